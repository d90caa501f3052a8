import { forwardRef, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { NoticePart } from '../parts/notice.ts';
import { PrintedView } from './printed-view.tsx';
import { useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

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
 * A strip above the page that the reader can dismiss. The choice is remembered if the browser allows storage.
 *
 * @example
 * <Notice name="tower-closed">The tower is closed until Friday.</Notice>
 */
export const Notice = forwardRef<HTMLElement, NoticeProps>(function Notice(props, ref) {
  const { name, label, onDismiss, children, ...attributes } = props;
  const trail = useSurroundings();
  const { view, printer, rootRef } = usePart(NoticePart, { trail, name, label, onDismiss }, ref);
  const contents = useMemo(() => ({ content: () => children }), [children]);
  return (
    view && <PrintedView view={view} printer={printer} slots={contents} attributes={attributes} elementRef={rootRef} />
  );
});
