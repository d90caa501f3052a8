import { to, type Transition } from './machine.ts';

/** The panels of one bar: which are open, and which are still closing. */
export interface DisclosuresState {
  /** Whether several may be open at a time. */
  readonly many: boolean;
  /** Those whose triggers say that they are expanded. */
  readonly open: readonly string[];
  /** Those that are still to be seen, on their way out. Nothing in them takes focus any more. */
  readonly closing: readonly string[];
  /** The one that opens when the last has finished closing. */
  readonly wish: string | null;
  /** The open one that the pointer opened by resting, and that closes when it goes. */
  readonly hovered: string | null;
  /** One that stays open whatever happens, while it is being styled. */
  readonly held: string | null;
}

export type DisclosuresEvent =
  /** A trigger was activated. One that hover had opened stays open. */
  | { readonly type: 'press'; readonly id: string }
  /** A fine pointer rests on a trigger or in its panel. */
  | { readonly type: 'hover'; readonly id: string }
  /** The pointer has left both, for good. */
  | { readonly type: 'hover-end' }
  | { readonly type: 'escape'; readonly focusWithin: boolean }
  /** Something else on the page was pressed. */
  | { readonly type: 'outside' }
  /** Focus went on to something outside. */
  | { readonly type: 'focus-left' }
  /** A link in a panel was followed. Focus goes where the page change puts it. */
  | { readonly type: 'chosen' }
  /** A panel has finished closing. */
  | { readonly type: 'closed'; readonly id: string }
  /** Only these are left. */
  | { readonly type: 'left-over'; readonly ids: readonly string[] }
  /** Whether several may be open depends on the form that the bar has now. */
  | { readonly type: 'allow'; readonly many: boolean }
  | { readonly type: 'hold'; readonly id: string | null };

export type DisclosuresEffect =
  /** Say `closed` when the panel has finished closing. */
  { readonly type: 'await-close'; readonly id: string } | { readonly type: 'focus-trigger'; readonly id: string };

export const closedDisclosures: DisclosuresState = {
  many: false,
  open: [],
  closing: [],
  wish: null,
  hovered: null,
  held: null,
};

type DisclosuresTransition = Transition<DisclosuresState, DisclosuresEffect>;

/**
 * Triggers with panels of which one is open at a time, or many, after the disclosure navigation of the ARIA Authoring
 * Practices. The next one opens only when the last has finished closing, or at once where none was open.
 */
export function nextDisclosures(state: DisclosuresState, event: DisclosuresEvent): DisclosuresTransition {
  switch (event.type) {
    case 'press':
      return press(state, event.id);
    case 'hover':
      return hover(state, event.id);
    case 'hover-end':
      return state.hovered === null ? to(state) : close(withoutWish(state), [state.hovered]);
    case 'escape':
      return escape(state, event.focusWithin);
    case 'outside':
    case 'focus-left':
      // Where many may be open they lie beside each other, and cover nothing that someone may turn to.
      return state.many ? to(state) : close(withoutWish(state), state.open);
    case 'chosen':
      return close(withoutWish(state), state.open);
    case 'closed':
      return finish(state, event.id);
    case 'left-over':
      return keep(state, new Set(event.ids));
    case 'allow':
      return event.many === state.many ? to(state) : close({ ...withoutWish(state), many: event.many }, state.open);
    case 'hold':
      return hold(state, event.id);
  }
}

function press(state: DisclosuresState, id: string): DisclosuresTransition {
  if (state.wish === id) return to(state.hovered === id ? { ...state, hovered: null } : withoutWish(state));
  if (!state.open.includes(id)) return want({ ...state, hovered: null }, id);
  if (state.hovered === id) return to({ ...state, hovered: null });
  return close(state, [id]);
}

function hover(state: DisclosuresState, id: string): DisclosuresTransition {
  if (state.open.includes(id)) return to(withoutWish(state));
  // What was opened by a press is wanted: a pointer that passes by does not take it away.
  const isPressed = state.open.some((other) => other !== state.hovered && other !== state.held);
  return isPressed ? to(state) : want({ ...state, hovered: id }, id);
}

function want(state: DisclosuresState, id: string): DisclosuresTransition {
  // One that is closing turns round from where it is.
  const closing = state.closing.filter((other) => other !== id);
  if (state.many) return to({ ...state, closing, open: [...state.open, id], wish: null });
  const others = state.open.filter((other) => other !== state.held);
  if (others.length === 0 && closing.length === 0) {
    return to({ ...state, closing, open: [...state.open, id], wish: null });
  }
  const { state: left, effects } = close({ ...state, closing }, others);
  return { state: { ...left, hovered: state.hovered === id ? id : null, wish: id }, effects };
}

function close(state: DisclosuresState, ids: readonly string[]): DisclosuresTransition {
  const leaving = ids.filter((id) => id !== state.held && state.open.includes(id));
  if (leaving.length === 0) return to(state);
  return {
    state: {
      ...state,
      open: state.open.filter((id) => !leaving.includes(id)),
      closing: [...state.closing, ...leaving],
      hovered: state.hovered !== null && leaving.includes(state.hovered) ? null : state.hovered,
    },
    effects: leaving.map((id) => ({ type: 'await-close', id })),
  };
}

function escape(state: DisclosuresState, focusWithin: boolean): DisclosuresTransition {
  const last = state.open.filter((id) => id !== state.held).at(-1);
  if (last === undefined) return to(withoutWish(state));
  const { state: next, effects } = close(withoutWish(state), [last]);
  return { state: next, effects: focusWithin ? [...effects, { type: 'focus-trigger', id: last }] : effects };
}

function finish(state: DisclosuresState, id: string): DisclosuresTransition {
  if (!state.closing.includes(id)) return to(state);
  return to(grantWish({ ...state, closing: state.closing.filter((other) => other !== id) }));
}

/** Opens what waited, as soon as there is nothing left that it waits for. */
function grantWish(state: DisclosuresState): DisclosuresState {
  const { wish } = state;
  if (wish === null || state.closing.length > 0) return state;
  return { ...state, open: state.open.includes(wish) ? state.open : [...state.open, wish], wish: null };
}

function keep(state: DisclosuresState, ids: ReadonlySet<string>): DisclosuresTransition {
  const isLeft = (id: string) => ids.has(id);
  if ([...state.open, ...state.closing, state.wish, state.hovered].every((id) => id === null || isLeft(id))) {
    return to(state);
  }
  const only = (id: string | null) => (id !== null && isLeft(id) ? id : null);
  const left: DisclosuresState = {
    ...state,
    open: state.open.filter(isLeft),
    closing: state.closing.filter(isLeft),
    wish: only(state.wish),
    hovered: only(state.hovered),
  };
  // The one that was waited for may be among those that have gone.
  return to(grantWish(left));
}

function hold(state: DisclosuresState, id: string | null): DisclosuresTransition {
  if (state.held === id) return to(state);
  const before = state.held;
  const free = { ...state, held: id };
  const { state: next, effects } = before === null ? to(free) : close(free, [before]);
  if (id === null || next.open.includes(id)) return { state: next, effects };
  const closing = next.closing.filter((other) => other !== id);
  return { state: grantWish({ ...next, closing, open: [...next.open, id] }), effects };
}

function withoutWish(state: DisclosuresState): DisclosuresState {
  if (state.wish === null) return state;
  return { ...state, wish: null, hovered: state.hovered === state.wish ? null : state.hovered };
}
