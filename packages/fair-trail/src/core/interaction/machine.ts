/** What an event leads to: a new state, and effects as data for the browser side to carry out, in order. */
export interface Transition<State, Effect> {
  readonly state: State;
  readonly effects: readonly Effect[];
}

/** A transition without effects. */
export function to<State>(state: State): Transition<State, never> {
  return { state, effects: [] };
}
