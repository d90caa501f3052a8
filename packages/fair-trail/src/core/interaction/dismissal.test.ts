import { expect, test } from 'vitest';
import { nextDismissal } from './dismissal.ts';

test.each([
  [false, true, ['focus-next', 'remember']],
  [false, false, ['remember']],
  [true, true, []],
])('dismissed before: %j, with focus within: %j, it asks for %j', (dismissed, focusWithin, expected) => {
  const { state, effects } = nextDismissal({ dismissed }, { type: 'dismiss', focusWithin });
  expect([state.dismissed, effects.map(({ type }) => type)]).toEqual([true, expected]);
});
