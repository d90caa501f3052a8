import { to, type Transition } from './machine.ts';

/** Something that lies over the page while it is open, and makes the page wait. */
export interface OverlayState {
  readonly expanded: boolean;
  /** Whether it is on its way out, and to be seen still. */
  readonly closing: boolean;
  /** Whether it lies over the page at all: with enough room it stands beside the rest, and closing it means nothing. */
  readonly covers: boolean;
}

export type OverlayEvent =
  /** Its toggle was activated. */
  | { readonly type: 'toggle' }
  /** Its own button to close it was activated. */
  | { readonly type: 'close' }
  | { readonly type: 'escape'; readonly focusWithin: boolean }
  /** The page behind was pressed. */
  | { readonly type: 'outside' }
  /** Focus went on to something outside, which can only be by a script: what is behind takes none. */
  | { readonly type: 'focus-left' }
  /** A link in it was followed. Focus goes where the page change puts it. */
  | { readonly type: 'chosen' }
  /** It has finished closing. */
  | { readonly type: 'closed' }
  /** There is room for it beside the rest, or no longer. */
  | { readonly type: 'room'; readonly covers: boolean };

export type OverlayEffect =
  /** Make the rest of the page inert, and keep it from scrolling. */
  | { readonly type: 'cover' }
  /** Give the page back. */
  | { readonly type: 'uncover' }
  | { readonly type: 'focus'; readonly target: 'trigger' | 'content' }
  /** Say `closed` when it has finished closing. */
  | { readonly type: 'await-close' };

/** Whether it covers anything is only known once the page has been laid out. */
export const closedOverlay: OverlayState = { expanded: false, closing: false, covers: false };

/**
 * An overlay, after the modal dialog of the ARIA Authoring Practices: focus goes into it and back, Escape and a press on
 * what is behind close it, and the page is given back at the start of closing.
 */
export function nextOverlay(state: OverlayState, event: OverlayEvent): Transition<OverlayState, OverlayEffect> {
  switch (event.type) {
    case 'toggle':
      return state.expanded ? close(state, 'trigger') : open(state);
    case 'close':
    case 'outside':
      return close(state, 'trigger');
    case 'escape':
      return close(state, event.focusWithin ? 'trigger' : null);
    case 'focus-left':
    case 'chosen':
      return close(state, null);
    case 'closed':
      return state.closing ? to({ ...state, closing: false }) : to(state);
    case 'room':
      return makeRoom(state, event.covers);
  }
}

function open(state: OverlayState): Transition<OverlayState, OverlayEffect> {
  const next = { ...state, expanded: true, closing: false };
  // What only stands in the flow covers nothing, and leaves focus where it is.
  return state.covers ? { state: next, effects: [{ type: 'cover' }, { type: 'focus', target: 'content' }] } : to(next);
}

function close(state: OverlayState, focus: 'trigger' | null): Transition<OverlayState, OverlayEffect> {
  if (!state.expanded) return to(state);
  const effects: OverlayEffect[] = state.covers ? [{ type: 'uncover' }] : [];
  // The page takes focus again only once it is given back.
  if (focus !== null) effects.push({ type: 'focus', target: focus });
  return { state: { ...state, expanded: false, closing: true }, effects: [...effects, { type: 'await-close' }] };
}

function makeRoom(state: OverlayState, covers: boolean): Transition<OverlayState, OverlayEffect> {
  if (covers === state.covers) return to(state);
  // One that the app has open from the beginning begins to cover the page now.
  if (covers) return state.expanded ? open({ ...state, covers }) : to({ ...state, covers });
  const next: OverlayState = { expanded: false, closing: false, covers };
  return state.expanded ? { state: next, effects: [{ type: 'uncover' }] } : to(next);
}
