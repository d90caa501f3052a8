/** Whether a bar that gives way to the content is there, and where the reader's scrolling began to turn. */
export interface CondenseState {
  readonly away: boolean;
  /** How far the page was scrolled where the last turn of direction began, in CSS pixels. */
  readonly turn: number;
  readonly top: number;
}

export interface ScrollReport {
  readonly type: 'scroll';
  /** How far the page is scrolled, in CSS pixels; below zero where it bounces. */
  readonly top: number;
  /** Whether something in the bar has focus or is expanded: then it stays. */
  readonly needed: boolean;
}

/** In CSS pixels. */
export interface CondenseSizes {
  /** Near the top of the page the bar is whole. */
  readonly near: number;
  /** So far in one direction before the bar follows, so that a trembling finger moves nothing. */
  readonly slack: number;
}

export const condenseSizes: CondenseSizes = { near: 64, slack: 24 };

export const notCondensed: CondenseState = { away: false, turn: 0, top: 0 };

/**
 * A bar that gives way on the way down, and is whole again on the way up, near the top, and whenever it is needed.
 * Focus never lies on what has given way (WCAG 2.2, success criterion 2.4.11).
 */
export function nextCondense(state: CondenseState, event: ScrollReport, sizes = condenseSizes): CondenseState {
  const top = Math.max(0, event.top);
  if (event.needed || top <= sizes.near) return { away: false, turn: top, top };
  const isDown = top > state.top;
  const wasDown = state.top > state.turn;
  const turn = top === state.top || isDown === wasDown ? state.turn : state.top;
  if (Math.abs(top - turn) < sizes.slack) return { away: state.away, turn, top };
  return { away: top > turn, turn, top };
}
