import * as fc from 'fast-check';
import { describe, expect, inject, test } from 'vitest';
import { initialTabs, nextTabs, type TabOption, type TabsEvent, type TabsState } from './tabs.ts';

const tabs = (ids: string): readonly TabOption[] =>
  Array.from(ids, (id) => ({ id: id.toLowerCase(), disabled: id !== id.toLowerCase() }));
const key = (name: string, direction: 'ltr' | 'rtl' = 'ltr'): TabsEvent => ({
  type: 'key',
  key: name,
  orientation: 'horizontal',
  direction,
});

/** What is selected, and what was done on the way. A capital letter is a disabled tab. */
function run(ids: string, events: readonly TabsEvent[], activation: TabsState['activation'] = 'automatic'): string {
  let state = initialTabs(tabs(ids), null, activation);
  const done = events.flatMap((event) => {
    const { state: next, effects } = nextTabs(state, event);
    state = next;
    return effects.map(({ type, id }) => `${type} ${id}`);
  });
  return [...done, `${state.selected ?? 'none'}/${state.reachable ?? 'none'}`].join(', ');
}

describe('tabs', () => {
  test.each<[string, string, TabsEvent[], string]>([
    ['begin with the first that is enabled', 'Abc', [], 'b/b'],
    ['are none where all are disabled', 'AB', [], 'none/none'],
    ['are selected by a press', 'abc', [{ type: 'press', id: 'c' }], 'selected c, c/c'],
    ['are not selected where they are disabled', 'abC', [{ type: 'press', id: 'c' }], 'a/a'],
    ['are walked by arrows, past disabled ones', 'aBc', [key('ArrowRight')], 'focus c, selected c, c/c'],
    ['are walked in a ring', 'abc', [key('ArrowLeft')], 'focus c, selected c, c/c'],
    ['are walked the other way from right to left', 'abc', [key('ArrowLeft', 'rtl')], 'focus b, selected b, b/b'],
    ['are walked to their end', 'abC', [key('End')], 'focus b, selected b, b/b'],
    ['follow the address', 'abc', [{ type: 'select', id: 'b' }], 'b/b'],
    ['take the first for an address that names none', 'abc', [{ type: 'select', id: 'x' }], 'a/a'],
  ])('%s', (_, ids, events, expected) => {
    expect(run(ids, events)).toBe(expected);
  });

  test('activated by hand, are walked first and selected then, and Tab leads to the selected one again', () => {
    expect(run('abc', [key('ArrowRight')], 'manual')).toBe('focus b, a/b');
    expect(run('abc', [key('ArrowRight'), { type: 'focus-left' }], 'manual')).toBe('focus b, a/a');
    expect(run('abc', [key('ArrowRight'), { type: 'press', id: 'b' }], 'manual')).toBe('focus b, selected b, b/b');
  });
});

describe('a selected tab that goes', () => {
  const gone = (before: string, after: string, selected: string, focusWithin: boolean) => {
    const state = initialTabs(tabs(before), selected);
    const { state: next, effects } = nextTabs(state, { type: 'tabs', tabs: tabs(after), focusWithin });
    return [next.selected, effects.some(({ type }) => type === 'focus')];
  };
  test.each([
    ['gives way to the next', 'abc', 'ac', 'b', 'c'],
    ['gives way to the next enabled one', 'abcd', 'aCd', 'b', 'd'],
    ['else to the one before', 'abc', 'ab', 'c', 'b'],
    ['as does one that is disabled', 'abc', 'aBc', 'b', 'c'],
    ['else to nothing', 'a', '', 'a', null],
  ])('%s', (_, before, after, selected, expected) => {
    expect(gone(before, after, selected, false)).toEqual([expected, false]);
    expect(gone(before, after, selected, true)).toEqual([expected, expected !== null]);
  });
});

const letters = fc.subarray(['a', 'b', 'c', 'd', 'e']);
const events: fc.Arbitrary<TabsEvent> = fc.oneof(
  fc.record({ type: fc.constantFrom('press' as const, 'select' as const), id: fc.constantFrom('a', 'c', 'e', 'x') }),
  fc
    .record({ name: fc.constantFrom('ArrowLeft', 'ArrowRight', 'Home', 'End', 'x'), rtl: fc.boolean() })
    .map(({ name, rtl }) => key(name, rtl ? 'rtl' : 'ltr')),
  fc.constant<TabsEvent>({ type: 'focus-left' }),
  fc
    .record({ ids: letters, disabled: letters, focusWithin: fc.boolean() })
    .map(({ ids, disabled, focusWithin }): TabsEvent => {
      return { type: 'tabs', tabs: ids.map((id) => ({ id, disabled: disabled.includes(id) })), focusWithin };
    }),
);

test('whatever happens, one enabled tab is selected and one is reachable, if any is enabled', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('automatic' as const, 'manual' as const),
      fc.array(events, { maxLength: 100 }),
      (activation, happened) => {
        let state = initialTabs(tabs('abc'), null, activation);
        for (const event of happened) {
          const { state: next, effects } = nextTabs(state, event);
          const enabled = next.tabs.filter(({ disabled = false }) => !disabled).map(({ id }) => id);
          for (const id of [next.selected, next.reachable]) {
            if (enabled.length > 0) expect(enabled).toContain(id);
            else expect(id).toBe(null);
          }
          if (activation === 'automatic') expect(next.reachable).toBe(next.selected);
          for (const { id } of effects) expect(enabled).toContain(id);
          state = next;
        }
      },
    ),
    { numRuns: inject('machineRuns') },
  );
});

test('pressing the selected one where arrow keys have walked on makes it the one that Tab goes to', () => {
  const walked = [key('ArrowRight'), { type: 'press', id: 'a' }] as const;
  const state = walked.reduce(
    (before, event) => nextTabs(before, event).state,
    initialTabs(tabs('abc'), null, 'manual'),
  );
  expect([state.selected, state.reachable]).toEqual(['a', 'a']);
});

test('where other tabs come, the one walked to stays so if it is left', () => {
  const walked = nextTabs(initialTabs(tabs('abc'), null, 'manual'), key('ArrowRight')).state;
  const change = (ids: string) => nextTabs(walked, { type: 'tabs', tabs: tabs(ids), focusWithin: true }).state;
  expect([change('abd').tabs.length, change('abd').reachable]).toEqual([3, 'b']);
  expect(change('acd').reachable).toBe('a');
  expect(change('acd').tabs.map(({ id }) => id)).toEqual(['a', 'c', 'd']);
});
