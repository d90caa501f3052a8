import * as fc from 'fast-check';
import { expect, inject, test } from 'vitest';
import { initialAnnex, nextAnnex, type AnnexEvent, type AnnexState } from './annex.ts';

/** What is done; the address follows each wish at once, as a router does. */
function run(events: readonly AnnexEvent[], from: string | null = null): string {
  let state = initialAnnex(from);
  const done: string[] = [];
  const send = (event: AnnexEvent) => {
    const { state: next, effects } = nextAnnex(state, event);
    state = next;
    for (const effect of effects) {
      done.push(effect.type === 'navigate' ? `go to ${effect.id ?? 'none'}` : effect.type);
      if (effect.type === 'navigate') send({ type: 'address', id: effect.id });
    }
  };
  for (const event of events) send(event);
  return [...done, `shows ${state.shown ?? 'none'}${state.leaving ? ' leaving' : ''}`].join(', ');
}

const choose = (id: string): AnnexEvent => ({ type: 'choose', id });
const left: AnnexEvent = { type: 'left' };

test.each<[string, AnnexEvent[], string | null, string]>([
  ['opens, and focus goes to its heading', [choose('a')], null, 'go to a, focus-heading, shows a'],
  ['that was loaded with the page takes no focus', [], 'a', 'shows a'],
  [
    'leaves before another one enters',
    [choose('a'), choose('b'), left],
    null,
    'go to a, focus-heading, go to b, await-leave, keep-focus, focus-heading, shows b',
  ],
  ['closes by the item that opened it', [choose('a'), left], 'a', 'go to none, await-leave, keep-focus, shows none'],
  ['gives focus back to its item', [{ type: 'escape' }, left], 'a', 'go to none, await-leave, focus-item, shows none'],
  [
    'keeps focus when Back closes it',
    [{ type: 'address', id: null }, left],
    'a',
    'await-leave, keep-focus, shows none',
  ],
  [
    'goes when the sidebar is narrowed',
    [{ type: 'rail' }, left],
    'a',
    'go to none, await-leave, keep-focus, shows none',
  ],
  [
    'takes the last of several wishes',
    [choose('b'), choose('c'), left],
    'a',
    'go to b, await-leave, keep-focus, go to c, focus-heading, shows c',
  ],
  [
    'comes back as it leaves, with the Back button',
    [choose('b'), { type: 'address', id: 'a' }],
    'a',
    'go to b, await-leave, keep-focus, shows a',
  ],
])('%s', (_, events, from, expected) => {
  expect(run(events, from)).toBe(expected);
});

const ids = fc.constantFrom('a', 'b', 'c');
const events: fc.Arbitrary<AnnexEvent> = fc.oneof(
  ids.map(choose),
  fc.option(ids).map((id): AnnexEvent => ({ type: 'address', id })),
  fc.constantFrom<AnnexEvent>(left, { type: 'close' }, { type: 'escape' }, { type: 'rail' }),
);

test('whatever happens, what is shown is what is chosen once nothing leaves, and each leaving is awaited', () => {
  fc.assert(
    fc.property(fc.array(events, { maxLength: 100 }), (happened) => {
      let state: AnnexState = initialAnnex(null);
      for (const event of happened) {
        const { state: next, effects } = nextAnnex(state, event);
        if (!next.leaving) expect(next.shown).toBe(next.chosen);
        if (next.leaving && !state.leaving) expect(effects.map(({ type }) => type)).toContain('await-leave');
        state = next;
      }
    }),
    { numRuns: inject('machineRuns') },
  );
});
