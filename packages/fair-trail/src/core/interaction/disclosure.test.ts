import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { closedDisclosure, nextDisclosure, type DisclosureEvent } from './disclosure.ts';

const open = { expanded: true };

describe('an open disclosure', () => {
  test.each<[DisclosureEvent, string]>([
    [{ type: 'toggle' }, 'closed'],
    [{ type: 'escape', focusWithin: true }, 'closed, focus on trigger'],
    [{ type: 'escape', focusWithin: false }, 'closed'],
    [{ type: 'outside' }, 'closed'],
    [{ type: 'focus-left' }, 'closed'],
    [{ type: 'chosen' }, 'closed'],
    [{ type: 'room-enough', focusOnTrigger: false }, 'closed'],
    [{ type: 'room-enough', focusOnTrigger: true }, 'closed, focus on first-link'],
  ])('after %j is %s', (event, expected) => {
    const { state, effects } = nextDisclosure(open, event);
    const words = [state.expanded ? 'open' : 'closed', ...effects.map(({ type, target }) => `${type} on ${target}`)];
    expect(words.join(', ')).toBe(expected);
  });
});

const anyEvent: fc.Arbitrary<DisclosureEvent> = fc.oneof(
  fc
    .constantFrom('toggle' as const, 'outside' as const, 'focus-left' as const, 'chosen' as const)
    .map((type) => ({ type })),
  fc.boolean().map((focusWithin) => ({ type: 'escape' as const, focusWithin })),
  fc.boolean().map((focusOnTrigger) => ({ type: 'room-enough' as const, focusOnTrigger })),
);

test('whatever happens, only the trigger opens, and focus moves only where it would be lost', () => {
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 40 }), (events) => {
      let state = closedDisclosure;
      for (const event of events) {
        const next = nextDisclosure(state, event);
        if (next.state.expanded) expect([event.type, state.expanded]).toEqual(['toggle', false]);
        if (next.effects.some(({ target }) => target === 'trigger')) {
          expect([event, state.expanded]).toEqual([{ type: 'escape', focusWithin: true }, true]);
        }
        state = next.state;
      }
    }),
    { numRuns: 1000 },
  );
});
