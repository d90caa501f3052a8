import { keyTarget } from './keys.ts';
import { to, type Transition } from './machine.ts';

/** What the machine of a set of tabs has to know of each. */
export interface TabOption {
  readonly id: string;
  readonly disabled?: boolean;
}

export interface TabsState {
  readonly tabs: readonly TabOption[];
  /** Null if there is none that could be. */
  readonly selected: string | null;
  /** The one that Tab goes to: the selected one, or the one that arrow keys have walked to where activation is manual. */
  readonly reachable: string | null;
  /** Whether walking to a tab selects it. */
  readonly activation: 'automatic' | 'manual';
}

export type TabsEvent =
  /** A tab was pressed, or activated by Enter or Space. */
  | { readonly type: 'press'; readonly id: string }
  | {
      readonly type: 'key';
      /** As `KeyboardEvent.key` says it. */
      readonly key: string;
      readonly orientation: 'horizontal' | 'vertical';
      readonly direction: 'ltr' | 'rtl';
    }
  /** Focus has left the tabs: the next Tab leads to the selected one again. */
  | { readonly type: 'focus-left' }
  /** Something else decides which one is selected: the address, or the app. */
  | { readonly type: 'select'; readonly id: string | null }
  /** There are others now. `focusWithin` says whether focus is on a tab, or in its panel. */
  | { readonly type: 'tabs'; readonly tabs: readonly TabOption[]; readonly focusWithin: boolean };

export type TabsEffect =
  { readonly type: 'focus'; readonly id: string } | { readonly type: 'selected'; readonly id: string };

type TabsTransition = Transition<TabsState, TabsEffect>;

/** @param wanted the id to begin with; one that there is not, or that is disabled, gives the first that is enabled */
export function initialTabs(
  tabs: readonly TabOption[],
  wanted: string | null = null,
  activation: TabsState['activation'] = 'automatic',
): TabsState {
  const selected = enabled(tabs).find(({ id }) => id === wanted) ?? enabled(tabs)[0];
  const id = selected?.id ?? null;
  return { tabs, selected: id, reachable: id, activation };
}

/** Tabs, after the tabs pattern of the ARIA Authoring Practices. */
export function nextTabs(state: TabsState, event: TabsEvent): TabsTransition {
  switch (event.type) {
    case 'press':
      return select(state, event.id);
    case 'key':
      return walk(state, event);
    case 'focus-left':
      return state.reachable === state.selected ? to(state) : to({ ...state, reachable: state.selected });
    case 'select': {
      const next = initialTabs(state.tabs, event.id, state.activation);
      return next.selected === state.selected ? to(state) : to(next);
    }
    case 'tabs':
      return change(state, event.tabs, event.focusWithin);
  }
}

function enabled(tabs: readonly TabOption[]): readonly TabOption[] {
  return tabs.filter(({ disabled = false }) => !disabled);
}

function select(state: TabsState, id: string): TabsTransition {
  if (!enabled(state.tabs).some((tab) => tab.id === id)) return to(state);
  if (id === state.selected) return state.reachable === id ? to(state) : to({ ...state, reachable: id });
  return { state: { ...state, selected: id, reachable: id }, effects: [{ type: 'selected', id }] };
}

function walk(state: TabsState, { key, orientation, direction }: TabsEvent & { readonly type: 'key' }): TabsTransition {
  const walked = enabled(state.tabs);
  const index = walked.findIndex(({ id }) => id === state.reachable);
  const next = keyTarget({ key, index, count: walked.length, orientation, direction, wraps: true });
  const id = next === null ? undefined : walked[next]?.id;
  if (id === undefined || id === state.reachable) return to(state);
  const focus: TabsEffect = { type: 'focus', id };
  if (state.activation === 'manual') return { state: { ...state, reachable: id }, effects: [focus] };
  const { state: selected, effects } = select(state, id);
  return { state: selected, effects: [focus, ...effects] };
}

function change(state: TabsState, tabs: readonly TabOption[], focusWithin: boolean): TabsTransition {
  if (tabs === state.tabs) return to(state);
  const left = enabled(tabs);
  const isLeft = (id: string | null) => left.some((tab) => tab.id === id);
  if (isLeft(state.selected)) {
    return to({ ...state, tabs, reachable: isLeft(state.reachable) ? state.reachable : state.selected });
  }
  // The next that is left, else the nearest before.
  const index = state.tabs.findIndex(({ id }) => id === state.selected);
  const after = state.tabs.slice(index + 1).find(({ id }) => isLeft(id));
  const before = state.tabs.slice(0, Math.max(0, index)).findLast(({ id }) => isLeft(id));
  const id = (after ?? before ?? left[0])?.id ?? null;
  const next: TabsState = { ...state, tabs, selected: id, reachable: id };
  if (id === null) return to(next);
  const selected: TabsEffect = { type: 'selected', id };
  return { state: next, effects: focusWithin ? [selected, { type: 'focus', id }] : [selected] };
}
