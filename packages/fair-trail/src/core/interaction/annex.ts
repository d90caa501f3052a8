import { to, type Transition } from './machine.ts';

/** The second panel that grows out of a sidebar. The address says what is chosen; this is how it comes and goes. */
export interface AnnexState {
  /** What the address asks for. */
  readonly chosen: string | null;
  /** What is to be seen: while it leaves for another one, still the last. */
  readonly shown: string | null;
  readonly leaving: boolean;
  /** Whether focus goes to the heading of what comes next: not where a page was loaded with it. */
  readonly wantsFocus: boolean;
  /** The item that focus goes back to, once what is shown begins to leave: before, it may lie beneath and take none. */
  readonly returns: string | null;
}

export type AnnexEvent =
  /** An item was activated: it opens its annex, or closes it where that is open. */
  | { readonly type: 'choose'; readonly id: string }
  /** The annex's own button was activated. */
  | { readonly type: 'close' }
  | { readonly type: 'escape' }
  /** The sidebar was narrowed or widened. */
  | { readonly type: 'rail' }
  /** The address asks for this now. */
  | { readonly type: 'address'; readonly id: string | null }
  /** What was shown has finished leaving. */
  | { readonly type: 'left' };

export type AnnexEffect =
  /** Go to the address that asks for it; `replace` where Back shall not lead to what was. */
  | { readonly type: 'navigate'; readonly id: string | null; readonly replace: boolean }
  /** Say `left` when what is shown has finished leaving. */
  | { readonly type: 'await-leave' }
  | { readonly type: 'focus-heading' }
  | { readonly type: 'focus-item'; readonly id: string }
  /** As `focus-item`, if focus is in the annex that leaves: Back took away what had it. */
  | { readonly type: 'keep-focus'; readonly id: string };

type AnnexTransition = Transition<AnnexState, AnnexEffect>;

/** @param id what the first address asks for: it is there at once, and takes no focus */
export function initialAnnex(id: string | null): AnnexState {
  return { chosen: id, shown: id, leaving: false, wantsFocus: false, returns: null };
}

export function nextAnnex(state: AnnexState, event: AnnexEvent): AnnexTransition {
  switch (event.type) {
    case 'choose': {
      const id = event.id === state.chosen ? null : event.id;
      return {
        state: { ...state, wantsFocus: id !== null, returns: null },
        effects: [{ type: 'navigate', id, replace: false }],
      };
    }
    case 'close':
    case 'escape':
      return leaveByHand(state);
    case 'rail':
      if (state.chosen === null) return to(state);
      // No one asked to leave it, so Back has nothing to come back to.
      return {
        state: { ...state, wantsFocus: false, returns: null },
        effects: [{ type: 'navigate', id: null, replace: true }],
      };
    case 'address':
      return follow(state, event.id);
    case 'left':
      return state.leaving ? enter(state) : to(state);
  }
}

function leaveByHand(state: AnnexState): AnnexTransition {
  const { chosen } = state;
  if (chosen === null) return to(state);
  return {
    state: { ...state, wantsFocus: false, returns: chosen },
    effects: [{ type: 'navigate', id: null, replace: false }],
  };
}

function follow(state: AnnexState, id: string | null): AnnexTransition {
  if (id === state.chosen) return to(state);
  const next: AnnexState = { ...state, chosen: id, returns: null };
  if (state.shown === null) return enter(next);
  // Back to the one that is leaving: it turns round from where it is.
  if (state.shown === id) return to({ ...next, leaving: false });
  if (state.leaving) return to(next);
  const back: AnnexEffect =
    id === null && state.returns !== null
      ? { type: 'focus-item', id: state.returns }
      : { type: 'keep-focus', id: state.shown };
  return { state: { ...next, leaving: true }, effects: [{ type: 'await-leave' }, back] };
}

function enter(state: AnnexState): AnnexTransition {
  const { chosen, wantsFocus } = state;
  const next: AnnexState = { chosen, shown: chosen, leaving: false, wantsFocus: false, returns: null };
  return chosen !== null && wantsFocus ? { state: next, effects: [{ type: 'focus-heading' }] } : to(next);
}
