import * as fc from 'fast-check';
import { expect, inject, test } from 'vitest';
import { nextGroups, pathSeparator, type GroupsEvent, type GroupsState } from './groups.ts';

const id = (path: string) => path.replaceAll('/', pathSeparator);
const shown = (path: string) => path.replaceAll(pathSeparator, '/');
const start = (one: boolean): GroupsState => ({ one, open: [], closing: [] });

function after(events: readonly GroupsEvent[], one = false): string {
  const state = events.reduce((before, event) => nextGroups(before, event).state, start(one));
  return [...state.open, ...state.closing.map((closing) => `-${closing}`)].map(shown).join(' ');
}

const press = (path: string): GroupsEvent => ({ type: 'press', id: id(path) });

test.each<[string, GroupsEvent[], boolean, string]>([
  ['many are open', [press('a'), press('b')], false, 'a b'],
  ['one of those beside each other is open', [press('a'), press('b')], true, 'b -a'],
  ['one within another closes nothing but its siblings', [press('a'), press('a/x'), press('a/y')], true, 'a a/y -a/x'],
  [
    'what is open within a group is open again with it',
    [press('a'), press('a/x'), press('a'), press('a')],
    false,
    'a/x a',
  ],
  ['one that is closing turns round', [press('a'), press('a'), press('a')], false, 'a'],
  ['what holds the page opens', [{ type: 'reveal', ids: ['a', 'a/x'].map(id) }], true, 'a a/x'],
  ['the last stays where only one may', [press('a'), press('b'), { type: 'allow', one: true }], false, 'b -a'],
  ['what is gone is forgotten', [press('a'), press('b'), { type: 'left-over', ids: ['b'] }], false, 'b'],
])('%s', (_, events, one, expected) => {
  expect(after(events, one)).toBe(expected);
});

test('only what the reader does is remembered', () => {
  expect(nextGroups(start(false), press('a')).effects).toEqual([{ type: 'remember', ids: ['a'] }]);
  expect(nextGroups(start(false), { type: 'reveal', ids: ['a'] }).effects).toEqual([]);
});

const paths = ['a', 'a/x', 'a/y', 'a/x/u', 'b', 'b/x'].map(id);
const events: fc.Arbitrary<GroupsEvent> = fc.oneof(
  fc.record({ type: fc.constantFrom('press' as const, 'closed' as const), id: fc.constantFrom(...paths) }),
  fc.record({ type: fc.constant('allow' as const), one: fc.boolean() }),
  fc.record({ type: fc.constantFrom('reveal' as const, 'left-over' as const), ids: fc.subarray(paths) }),
);

test('whatever happens, none is open twice or open and closing, and of siblings one at most is open where one may be', () => {
  fc.assert(
    fc.property(fc.boolean(), fc.array(events, { maxLength: 100 }), (one, happened) => {
      let state = start(one);
      for (const event of happened) {
        const { state: next, effects } = nextGroups(state, event);
        expect(new Set(next.open).size).toBe(next.open.length);
        expect(next.open.filter((open) => next.closing.includes(open))).toEqual([]);
        const parents = next.open.map((open) => open.slice(0, Math.max(0, open.lastIndexOf(pathSeparator))));
        if (next.one) expect(new Set(parents).size).toBe(parents.length);
        const awaited = effects.flatMap((effect) => (effect.type === 'await-close' ? [effect.id] : []));
        for (const closing of next.closing) if (!state.closing.includes(closing)) expect(awaited).toContain(closing);
        state = next;
      }
    }),
    { numRuns: inject('machineRuns') },
  );
});

test('one that has finished closing is closing no more', () => {
  expect(after([press('a'), press('a'), { type: 'closed', id: id('a') }])).toBe('');
});
