import * as fc from 'fast-check';
import { expect, inject, test } from 'vitest';
import { nextDismissal, notDismissed, type DismissalEvent } from './dismissal.ts';

const anyEvent: fc.Arbitrary<DismissalEvent> = fc.oneof(
  fc.boolean().map((focusWithin) => ({ type: 'dismiss' as const, focusWithin })),
  fc.boolean().map((dismissed) => ({ type: 'remembered' as const, dismissed })),
  fc.constant<DismissalEvent>({ type: 'show-again' }),
);

test('whatever happens, what this reader did is remembered as it is shown, and focus moves only with what goes', () => {
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 40 }), (events) => {
      let state = notDismissed;
      let remembered = false;
      for (const event of events) {
        const { state: next, effects } = nextDismissal(state, event);
        if (event.type === 'remembered') remembered = event.dismissed;
        for (const { type } of effects) {
          if (type === 'remember') remembered = true;
          if (type === 'forget') remembered = false;
          if (type === 'focus-next') {
            expect([event, state.dismissed, next.dismissed]).toEqual([
              { type: 'dismiss', focusWithin: true },
              false,
              true,
            ]);
          }
        }
        expect(next.dismissed).toBe(remembered);
        state = next;
      }
    }),
    { numRuns: inject('machineRuns') },
  );
});
