import { to, type Transition } from './machine.ts';

/** What a fine pointer means by where it is. */
export interface HoverState {
  /** Whose panel the pointer has opened. */
  readonly shown: string | null;
  /** What happens when the wait is over: its panel opens, or, for null, the shown one closes. Undefined: nothing. */
  readonly pending?: string | null | undefined;
}

export type HoverEvent =
  /** The pointer came to a trigger, or into the panel of one; `onTheWay` if its path may lead to the panel shown. */
  | { readonly type: 'enter'; readonly id: string; readonly onTheWay: boolean }
  /** The pointer left trigger and panel; `onTheWay` if its path may lead to the panel shown. */
  | { readonly type: 'leave'; readonly onTheWay: boolean }
  /** The pointer moved on between trigger and panel, in the corridor from one to the other. */
  | { readonly type: 'approach' }
  | { readonly type: 'waited' }
  /** Another input took over, or what was shown has closed. */
  | { readonly type: 'cancel' };

export type HoverEffect =
  /** Say `waited` after so many milliseconds. A new wait takes the place of the last one. */
  | { readonly type: 'wait'; readonly milliseconds: number }
  | { readonly type: 'stop-waiting' }
  | { readonly type: 'show'; readonly id: string }
  | { readonly type: 'end' };

/** In milliseconds. */
export interface HoverTimes {
  /** Before a panel opens, so that a pointer that passes by opens nothing. */
  readonly rest: number;
  /** Before it closes, for a pointer that slipped off. */
  readonly grace: number;
  /** Without a step towards the panel, before its corridor is given up. */
  readonly corridor: number;
}

export const hoverTimes: HoverTimes = { rest: 90, grace: 260, corridor: 320 };

export const noHover: HoverState = { shown: null };

type HoverTransition = Transition<HoverState, HoverEffect>;

/** Opens panels for a pointer that rests, and keeps them while it is on its way (WCAG 2.2, success criterion 1.4.13). */
export function nextHover(state: HoverState, event: HoverEvent, times = hoverTimes): HoverTransition {
  switch (event.type) {
    case 'enter':
      if (event.id === state.shown) return stopWaiting(state);
      return wait({ ...state, pending: event.id }, event.onTheWay ? times.corridor : times.rest);
    case 'leave':
      if (state.shown === null) return stopWaiting(state);
      return wait({ ...state, pending: null }, event.onTheWay ? times.corridor : times.grace);
    case 'approach':
      return state.pending === undefined || state.shown === null ? to(state) : wait(state, times.corridor);
    case 'waited':
      if (state.pending === undefined) return to(state);
      if (state.pending === null) return { state: noHover, effects: [{ type: 'end' }] };
      return { state: { shown: state.pending }, effects: [{ type: 'show', id: state.pending }] };
    case 'cancel':
      return { state: noHover, effects: state.pending === undefined ? [] : [{ type: 'stop-waiting' }] };
  }
}

function wait(state: HoverState, milliseconds: number): HoverTransition {
  return { state, effects: [{ type: 'wait', milliseconds }] };
}

function stopWaiting({ shown, pending }: HoverState): HoverTransition {
  return { state: { shown }, effects: pending === undefined ? [] : [{ type: 'stop-waiting' }] };
}
