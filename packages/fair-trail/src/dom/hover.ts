import { isInCorridor, type Point } from '../core/interaction/corridor.ts';
import { type HoverEvent, type HoverState, nextHover, noHover } from '../core/interaction/hover.ts';
import { findPanel, itemWithPanel } from './panels.ts';

/** What a resting pointer asks for. */
export interface HoverCallbacks {
  readonly show: (id: string) => void;
  readonly end: () => void;
}

/**
 * Opens panels for a mouse that rests on their items, and keeps them while it is on its way. A finger does not rest, and
 * a pen that does is about to press.
 *
 * @returns a function that stops listening
 */
export function listenForHover(root: HTMLElement, { show, end }: HoverCallbacks): () => void {
  const { defaultView: window } = root.ownerDocument;
  if (!window) return () => undefined;
  const listening = new AbortController();
  const { signal } = listening;
  let state: HoverState = noHover;
  let timer = 0;
  let from: Point = { x: 0, y: 0 };

  const send = (event: HoverEvent) => {
    const next = nextHover(state, event);
    state = next.state;
    for (const effect of next.effects) {
      if (effect.type === 'show') show(effect.id);
      else if (effect.type === 'end') end();
      else {
        window.clearTimeout(timer);
        if (effect.type === 'wait') timer = window.setTimeout(() => send({ type: 'waited' }), effect.milliseconds);
      }
    }
  };
  const isOnTheWay = (point: Point) => {
    const shown = state.shown === null ? null : findPanel(root, state.shown);
    return shown !== null && isInCorridor(point, from, shown.panel.getBoundingClientRect());
  };
  let last: string | null = null;
  const follow = (event: PointerEvent, id: string | null) => {
    if (event.pointerType !== 'mouse') return;
    const point = { x: event.clientX, y: event.clientY };
    if (id !== null && id === state.shown) from = point;
    if (id === last) {
      if (id !== state.shown && isOnTheWay(point)) send({ type: 'approach' });
      return;
    }
    last = id;
    const onTheWay = isOnTheWay(point);
    send(id === null ? { type: 'leave', onTheWay } : { type: 'enter', id, onTheWay });
  };
  // On the whole document, since the way to a panel may lead past the bar.
  root.ownerDocument.addEventListener(
    'pointermove',
    (event) => follow(event, itemWithPanel(root, event.target)?.dataset['ftItem'] ?? null),
    { signal, passive: true },
  );
  // Out of the window no more is heard of it.
  root.addEventListener('pointerleave', (event) => follow(event, null), { signal, passive: true });
  root.addEventListener(
    'pointerdown',
    (event) => {
      if (event.pointerType === 'mouse') return;
      last = null;
      send({ type: 'cancel' });
    },
    { signal, passive: true },
  );
  return () => {
    listening.abort();
    window.clearTimeout(timer);
  };
}
