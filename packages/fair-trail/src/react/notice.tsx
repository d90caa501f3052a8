import { forwardRef, useCallback, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { nextDismissal } from '../core/interaction/dismissal.ts';
import { noticeView } from '../core/view/notice-view.ts';
import { focusAfter } from '../dom/focus.ts';
import { useSurroundings } from './trail-context.ts';
import { useMemory } from './use-memory.ts';
import { useRoot } from './use-root.ts';
import { useShared } from './use-shared.ts';
import { ViewRoot } from './view.tsx';

export interface NoticeProps extends Omit<HTMLAttributes<HTMLElement>, 'onToggle'> {
  /** Tells it from other notices. A notice with another name is another one, and is shown to those who sent this one away. */
  readonly name: string;
  /** The name of its region. Default: "Notice", or what the trail's wording says. */
  readonly label?: string;
  /** Called when the reader has sent it away. */
  readonly onDismiss?: () => void;
  readonly children?: ReactNode;
}

/**
 * A strip above the page that the reader can send away. That is remembered across reloads, where the browser lets it.
 *
 * @example
 * <Notice name="tower-closed">The tower is closed until Friday.</Notice>
 */
export const Notice = forwardRef<HTMLElement, NoticeProps>(function Notice(props, ref) {
  const { name, label, onDismiss, children, ...attributes } = props;
  const { wording } = useSurroundings();
  const root = useRoot(ref);
  const [names, memory] = useMemory('dismissed');
  const dismissed = names.includes(name);
  const send = useCallback(() => {
    const focusWithin = root.current?.matches(':focus-within') === true;
    for (const { type } of nextDismissal({ dismissed }, { type: 'dismiss', focusWithin }).effects) {
      if (type === 'remember') memory?.replace((other) => other === name, [name]);
      else if (root.current) focusAfter(root.current);
    }
    onDismiss?.();
  }, [root, dismissed, memory, name, onDismiss]);
  const slots = useMemo(() => ({ content: () => children }), [children]);
  const view = useShared(dismissed ? null : noticeView({ name, ...(label !== undefined && { label }), wording }));
  return view && <ViewRoot view={view} surroundings={{ slots, send }} attributes={attributes} elementRef={root} />;
});
