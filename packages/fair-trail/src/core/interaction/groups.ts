import { to, type Transition } from './machine.ts';

/** Between the keys on the way down to a group; within a key it is percent-encoded. */
export const pathSeparator = '>';

/** Groups of a list that open in place, at any depth. A group is identified by the keys on the path to it. */
export interface GroupsState {
  /** Whether only one of those beside each other may be open. */
  readonly one: boolean;
  readonly open: readonly string[];
  /** Those on their way out. Nothing in them takes focus any more. */
  readonly closing: readonly string[];
}

export type GroupsEvent =
  /** A group's button was activated. */
  | { readonly type: 'press'; readonly id: string }
  /** These hold what the visitor is shown now, outermost first. */
  | { readonly type: 'reveal'; readonly ids: readonly string[] }
  /** Whether only one of those beside each other may be open. */
  | { readonly type: 'allow'; readonly one: boolean }
  /** A group has finished closing. */
  | { readonly type: 'closed'; readonly id: string }
  /** Only these are left. */
  | { readonly type: 'left-over'; readonly ids: readonly string[] };

export type GroupsEffect =
  /** Say `closed` when the group has finished closing. */
  | { readonly type: 'await-close'; readonly id: string }
  /** The reader has opened or closed something: remember what is open now. */
  | { readonly type: 'remember'; readonly ids: readonly string[] };

type GroupsTransition = Transition<GroupsState, GroupsEffect>;

export function nextGroups(state: GroupsState, event: GroupsEvent): GroupsTransition {
  switch (event.type) {
    case 'press': {
      const { state: next, effects } = state.open.includes(event.id) ? close(state, [event.id]) : open(state, event.id);
      return { state: next, effects: [...effects, { type: 'remember', ids: next.open }] };
    }
    case 'reveal':
      return reveal(state, event.ids);
    case 'allow':
      return allow(state, event.one);
    case 'closed':
      if (!state.closing.includes(event.id)) return to(state);
      return to({ ...state, closing: state.closing.filter((id) => id !== event.id) });
    case 'left-over':
      return keep(state, new Set(event.ids));
  }
}

function parentOf(id: string): string {
  return id.slice(0, Math.max(0, id.lastIndexOf(pathSeparator)));
}

function open(state: GroupsState, id: string): GroupsTransition {
  const siblings = state.open.filter((other) => other !== id && parentOf(other) === parentOf(id));
  const { state: left, effects } = state.one ? close(state, siblings) : to(state);
  // One that is closing turns round from where it is.
  const closing = left.closing.filter((other) => other !== id);
  return { state: { ...left, open: [...left.open, id], closing }, effects };
}

function close(state: GroupsState, ids: readonly string[]): GroupsTransition {
  if (ids.length === 0) return to(state);
  return {
    // What is open within a group stays so, and is there again when the group is.
    state: {
      ...state,
      open: state.open.filter((id) => !ids.includes(id)),
      closing: [...state.closing, ...ids],
    },
    effects: ids.map((id) => ({ type: 'await-close', id })),
  };
}

function allow(state: GroupsState, one: boolean): GroupsTransition {
  if (state.one === one) return to(state);
  const next = { ...state, one };
  // Of those beside each other, the one that was opened last is the one that is wanted.
  const isFollowed = (id: string, index: number) =>
    state.open.slice(index + 1).some((later) => parentOf(later) === parentOf(id));
  return one ? close(next, state.open.filter(isFollowed)) : to(next);
}

function reveal(state: GroupsState, ids: readonly string[]): GroupsTransition {
  let step: GroupsTransition = to(state);
  for (const id of ids) {
    if (step.state.open.includes(id)) continue;
    const { state: next, effects } = open(step.state, id);
    step = { state: next, effects: [...step.effects, ...effects] };
  }
  return step;
}

function keep(state: GroupsState, ids: ReadonlySet<string>): GroupsTransition {
  const isLeft = (id: string) => ids.has(id);
  if (state.open.every(isLeft) && state.closing.every(isLeft)) return to(state);
  return to({ ...state, open: state.open.filter(isLeft), closing: state.closing.filter(isLeft) });
}
