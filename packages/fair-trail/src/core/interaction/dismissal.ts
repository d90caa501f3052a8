import { to, type Transition } from './machine.ts';

/** Something that the reader may send away for good, such as a notice. */
export interface DismissalState {
  readonly dismissed: boolean;
}

export type DismissalEvent =
  /** Its button was activated; `focusWithin` if focus is on it, and would be lost with it. */
  | { readonly type: 'dismiss'; readonly focusWithin: boolean }
  /** What is remembered of it: at first, and when another tab says so. */
  | { readonly type: 'remembered'; readonly dismissed: boolean }
  /** It is to be shown again, to everyone. */
  | { readonly type: 'show-again' };

export type DismissalEffect =
  | { readonly type: 'remember' }
  | { readonly type: 'forget' }
  /** Move focus to what comes after it. */
  | { readonly type: 'focus-next' };

export const notDismissed: DismissalState = { dismissed: false };

export function nextDismissal(
  state: DismissalState,
  event: DismissalEvent,
): Transition<DismissalState, DismissalEffect> {
  switch (event.type) {
    case 'dismiss': {
      if (state.dismissed) return to(state);
      const effects: DismissalEffect[] = event.focusWithin
        ? [{ type: 'remember' }, { type: 'focus-next' }]
        : [{ type: 'remember' }];
      return { state: { dismissed: true }, effects };
    }
    case 'remembered':
      return to(event.dismissed === state.dismissed ? state : { dismissed: event.dismissed });
    case 'show-again':
      return state.dismissed ? { state: notDismissed, effects: [{ type: 'forget' }] } : to(state);
  }
}
