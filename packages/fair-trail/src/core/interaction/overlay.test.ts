import * as fc from 'fast-check';
import { expect, inject, test } from 'vitest';
import { closedOverlay, nextOverlay, type OverlayEvent, type OverlayState } from './overlay.ts';

const narrow: OverlayState = { ...closedOverlay, covers: true };

/** What is done, in order, and whether it is open at the end. */
function run(events: readonly OverlayEvent[], from: OverlayState = narrow): string {
  let state = from;
  const done = events.flatMap((event) => {
    const { state: next, effects } = nextOverlay(state, event);
    state = next;
    return effects.map((effect) => (effect.type === 'focus' ? `focus ${effect.target}` : effect.type));
  });
  return [...done, state.expanded ? 'open' : state.closing ? 'closing' : 'closed'].join(', ');
}

const toggle: OverlayEvent = { type: 'toggle' };

test.each<[string, OverlayEvent[], string]>([
  ['opens over the page, and focus goes in', [toggle], 'cover, focus content, open'],
  [
    'gives the page back before focus returns to the toggle',
    [toggle, { type: 'escape', focusWithin: true }],
    'cover, focus content, uncover, focus trigger, await-close, closing',
  ],
  [
    'leaves focus to the page that a chosen link leads to',
    [toggle, { type: 'chosen' }, { type: 'closed' }],
    'cover, focus content, uncover, await-close, closed',
  ],
  [
    'is no overlay any more once there is room',
    [toggle, { type: 'room', covers: false }],
    'cover, focus content, uncover, closed',
  ],
  ['covers nothing where it stands in the flow', [{ type: 'room', covers: false }, toggle], 'open'],
])('%s', (_, events, expected) => {
  expect(run(events)).toBe(expected);
});

test('one that is open from the beginning covers the page once that is known to be narrow', () => {
  const open = { ...closedOverlay, expanded: true };
  expect(run([{ type: 'room', covers: true }], open)).toBe('cover, focus content, open');
});

const events: fc.Arbitrary<OverlayEvent> = fc.oneof(
  fc.constantFrom<OverlayEvent>(
    toggle,
    { type: 'close' },
    { type: 'outside' },
    { type: 'focus-left' },
    { type: 'chosen' },
    { type: 'closed' },
  ),
  fc.record({ type: fc.constant('escape' as const), focusWithin: fc.boolean() }),
  fc.record({ type: fc.constant('room' as const), covers: fc.boolean() }),
);

test('whatever happens, the page is covered exactly while it is open over it, and each closing is awaited', () => {
  fc.assert(
    fc.property(fc.array(events, { maxLength: 100 }), (happened) => {
      let state: OverlayState = closedOverlay;
      let covered = false;
      for (const event of happened) {
        const { state: next, effects } = nextOverlay(state, event);
        for (const { type } of effects) {
          if (type === 'cover' || type === 'uncover') {
            expect(covered).toBe(type === 'uncover');
            covered = type === 'cover';
          }
        }
        expect(covered).toBe(next.expanded && next.covers);
        expect(next.expanded && next.closing).toBe(false);
        if (next.closing && !state.closing) expect(effects.map(({ type }) => type)).toContain('await-close');
        state = next;
      }
    }),
    { numRuns: inject('machineRuns') },
  );
});

test('closes where a script sends focus outside, and leaves focus there', () => {
  expect(run([toggle, { type: 'focus-left' }])).toBe('cover, focus content, uncover, await-close, closing');
});
