import {
  forwardRef,
  useCallback,
  useImperativeHandle,
  useMemo,
  useRef,
  useSyncExternalStore,
  type HTMLAttributes,
  type ReactNode,
} from 'react';
import { nextDismissal, noticeView } from '../core/index.ts';
import { focusAfter, memoryOf } from '../dom/index.ts';
import { useSurroundings } from './trail-context.ts';
import { useShared } from './use-shared.ts';
import { ViewRoot } from './view.tsx';

export interface NoticeProps extends Omit<HTMLAttributes<HTMLElement>, 'onToggle'> {
  /** Tells it from other notices. A notice with another name is another one, and is shown to those who sent this one away. */
  readonly name: string;
  /** The name of its region. Default: "Notice", or what the trail's wording says. */
  readonly label?: string;
  /** Told when the reader has sent it away. */
  readonly onDismiss?: () => void;
  readonly children?: ReactNode;
}

const nowhere = () => () => undefined;

/** A strip above the page that the reader can send away. That is remembered across reloads, where the browser lets it. */
export const Notice = forwardRef<HTMLElement, NoticeProps>(function Notice(props, ref) {
  const { name, label, onDismiss, children, ...attributes } = props;
  const { wording } = useSurroundings();
  const root = useRef<HTMLElement>(null);
  useImperativeHandle<HTMLElement | null, HTMLElement | null>(ref, () => root.current, []);
  const memory = typeof window === 'undefined' ? null : memoryOf(window);
  const dismissed = useSyncExternalStore(
    memory?.subscribe ?? nowhere,
    () => memory?.has(name) ?? false,
    () => false,
  );
  const send = useCallback(() => {
    const focusWithin = root.current?.matches(':focus-within') === true;
    for (const { type } of nextDismissal({ dismissed }, { type: 'dismiss', focusWithin }).effects) {
      if (type === 'remember') memory?.add(name);
      else if (root.current) focusAfter(root.current);
    }
    onDismiss?.();
  }, [dismissed, memory, name, onDismiss]);
  const slots = useMemo(() => ({ content: () => children }), [children]);
  const view = useShared(dismissed ? null : noticeView({ name, ...(label !== undefined && { label }), wording }));
  return view && <ViewRoot view={view} surroundings={{ slots, send }} attributes={attributes} elementRef={root} />;
});
