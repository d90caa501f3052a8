import * as fc from 'fast-check';
import { describe, expect, inject, test } from 'vitest';
import { closedDisclosures, nextDisclosures, type DisclosuresEvent, type DisclosuresState } from './disclosures.ts';

declare module 'vitest' {
  interface ProvidedContext {
    machineRuns: number;
  }
}

/** What is open, closing (-), wished for (?), after the events. */
function after(events: readonly DisclosuresEvent[], from: DisclosuresState = closedDisclosures): string {
  const state = events.reduce((before, event) => nextDisclosures(before, event).state, from);
  const wish = state.wish === null ? [] : [`?${state.wish}`];
  return [...state.open, ...state.closing.map((id) => `-${id}`), ...wish].join(' ');
}

const press = (id: string) => ({ type: 'press' as const, id });
const hover = (id: string) => ({ type: 'hover' as const, id });
const closed = (id: string) => ({ type: 'closed' as const, id });

describe('one at a time', () => {
  test.each<[string, DisclosuresEvent[], string]>([
    ['opens at once where none was open', [press('a')], 'a'],
    ['closes by its own trigger', [press('a'), press('a')], '-a'],
    ['opens the next when the last has closed', [press('a'), press('b')], '-a ?b'],
    ['and then it is open', [press('a'), press('b'), closed('a')], 'b'],
    ['turns round where it is', [press('a'), press('a'), press('a')], 'a'],
    ['takes the latest wish', [press('a'), press('b'), press('c'), closed('a')], 'c'],
    ['lets go of a wish that is pressed again', [press('a'), press('b'), press('b'), closed('a')], ''],
    ['goes back to the one that is closing', [press('a'), press('b'), press('a')], 'a'],
    ['closes by Escape', [press('a'), { type: 'escape', focusWithin: true }], '-a'],
    ['forgets a wish at a press elsewhere', [press('a'), press('b'), { type: 'outside' }, closed('a')], ''],
  ])('%s', (_, events, expected) => {
    expect(after(events)).toBe(expected);
  });
});

describe('hover', () => {
  test.each<[string, DisclosuresEvent[], string]>([
    ['opens, and closes as it goes', [hover('a'), { type: 'hover-end' }], '-a'],
    ['stays open once it is pressed', [hover('a'), press('a'), { type: 'hover-end' }], 'a'],
    [
      'stays wished for once it is pressed',
      [hover('a'), hover('b'), press('b'), { type: 'hover-end' }, closed('a')],
      'b',
    ],
    ['goes on to the next', [hover('a'), hover('b'), closed('a')], 'b'],
    ['closes the next as it goes', [hover('a'), hover('b'), closed('a'), { type: 'hover-end' }], '-b'],
    ['takes nothing away that was pressed', [press('a'), hover('b'), closed('a')], 'a'],
    ['is forgotten with the wish it made', [hover('a'), hover('b'), { type: 'hover-end' }, closed('a')], ''],
  ])('%s', (_, events, expected) => {
    expect(after(events)).toBe(expected);
  });
});

test('many may be open where that is allowed, and all close when it no longer is', () => {
  const many: DisclosuresEvent[] = [{ type: 'allow', many: true }, press('a'), press('b')];
  expect(after(many)).toBe('a b');
  expect(after([...many, press('a')])).toBe('b -a');
  expect(after([...many, { type: 'focus-left' }, { type: 'outside' }])).toBe('a b');
  expect(after([...many, { type: 'chosen' }])).toBe('-a -b');
  expect(after([...many, { type: 'allow', many: false }])).toBe('-a -b');
});

test('one that is held open stays so, beside another, until it is let go', () => {
  const held: DisclosuresEvent[] = [{ type: 'hold', id: 'a' }, { type: 'outside' }, press('a')];
  expect(after(held)).toBe('a');
  expect(after([...held, press('b')])).toBe('a b');
  expect(after([...held, press('b'), press('c'), closed('b')])).toBe('a c');
  expect(after([...held, { type: 'hold', id: null }])).toBe('-a');
});

test('what has been taken away is neither open nor waited for', () => {
  expect(after([press('a'), press('b'), { type: 'left-over', ids: ['b'] }])).toBe('b');
  expect(after([press('a'), press('b'), { type: 'left-over', ids: ['a'] }, closed('a')])).toBe('');
});

test('Escape gives focus back to the trigger, where it was within', () => {
  const open = nextDisclosures(closedDisclosures, press('a')).state;
  const focused = (focusWithin: boolean) => nextDisclosures(open, { type: 'escape', focusWithin }).effects;
  expect(focused(true)).toContainEqual({ type: 'focus-trigger', id: 'a' });
  expect(focused(false)).toEqual([{ type: 'await-close', id: 'a' }]);
});

const ids = ['a', 'b', 'c', 'd'];
const anyId = fc.constantFrom(...ids);
const anyEvent: fc.Arbitrary<DisclosuresEvent> = fc.oneof(
  { arbitrary: anyId.map(press), weight: 4 },
  { arbitrary: anyId.map(hover), weight: 3 },
  { arbitrary: anyId.map(closed), weight: 3 },
  fc.constantFrom<DisclosuresEvent>(
    { type: 'hover-end' },
    { type: 'outside' },
    { type: 'focus-left' },
    { type: 'chosen' },
    { type: 'escape', focusWithin: true },
    { type: 'escape', focusWithin: false },
    { type: 'allow', many: true },
    { type: 'allow', many: false },
    { type: 'hold', id: 'a' },
    { type: 'hold', id: null },
  ),
  fc.subarray(ids).map((left) => ({ type: 'left-over' as const, ids: left })),
);

test('whatever happens, one at a time is open beside a held one, and every wait ends', () => {
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 100 }), (events) => {
      let state = closedDisclosures;
      const awaited = new Set<string>();
      // One that was held may close beside another.
      const released = new Set<string | null>();
      for (const event of events) {
        const { state: next, effects } = nextDisclosures(state, event);
        for (const effect of effects) if (effect.type === 'await-close') awaited.add(effect.id);
        const free = next.open.filter((id) => id !== next.held);
        if (event.type === 'hold') released.add(state.held);
        const leaving = next.closing.filter((id) => !released.has(id));
        if (!next.many) expect(free.length + Math.sign(leaving.length)).toBeLessThanOrEqual(1);
        expect(new Set([...next.open, ...next.closing]).size).toBe(next.open.length + next.closing.length);
        // A wish only waits for something that will tell when it has closed.
        if (next.wish !== null) expect(next.closing.length).toBeGreaterThan(0);
        for (const id of next.closing) expect(awaited).toContain(id);
        if (next.hovered !== null) expect([...next.open, next.wish]).toContain(next.hovered);
        state = next;
      }
      for (const id of state.closing) state = nextDisclosures(state, closed(id)).state;
      expect([state.closing, state.wish]).toEqual([[], null]);
    }),
    { numRuns: inject('machineRuns') },
  );
});

test('a wish is given up where the pointer comes back to what is open, and at Escape', () => {
  const open: DisclosuresState = { ...closedDisclosures, open: ['a'], closing: ['b'], wish: 'c' };
  expect(after([hover('a')], open)).toBe('a -b');
  expect(after([{ type: 'escape', focusWithin: false }], { ...open, open: [] })).toBe('-b');
});
