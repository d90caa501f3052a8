import type { ViewElement } from '../core/view/view.ts';
import { isPlainClick } from '../dom/clicks.ts';

/** What decides whose a click is. A framework's own event has it too. */
export type Click = Pick<MouseEvent, 'button' | 'metaKey' | 'ctrlKey' | 'shiftKey' | 'altKey' | 'preventDefault'>;

/**
 * What a click on an element of a view does; undefined if that is the browser's alone. On a link, a click that the
 * browser would follow in this tab reports the event instead; any other stays the browser's.
 */
export function clickListener<Event>(
  { tag, click }: ViewElement<Event>,
  send: (event: Event) => void,
): ((given: Click) => void) | undefined {
  if (click === undefined) return undefined;
  if (tag !== 'a') return () => send(click);
  return (given) => {
    if (!isPlainClick(given)) return;
    given.preventDefault();
    send(click);
  };
}
