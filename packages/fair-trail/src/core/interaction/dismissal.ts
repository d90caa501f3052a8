import { to, type Transition } from './machine.ts';

/** Something that the reader may send away for good, such as a notice. */
export interface DismissalState {
  readonly dismissed: boolean;
}

/** Its button was activated; `focusWithin` if focus is on it, and would be lost with it. */
export interface DismissalEvent {
  readonly type: 'dismiss';
  readonly focusWithin: boolean;
}

export interface DismissalEffect {
  /** Remember it, or move focus to what comes after it. */
  readonly type: 'remember' | 'focus-next';
}

export function nextDismissal(
  state: DismissalState,
  { focusWithin }: DismissalEvent,
): Transition<DismissalState, DismissalEffect> {
  if (state.dismissed) return to(state);
  // Focus first: it is to be lost with what is about to go.
  const effects: DismissalEffect[] = focusWithin
    ? [{ type: 'focus-next' }, { type: 'remember' }]
    : [{ type: 'remember' }];
  return { state: { dismissed: true }, effects };
}
