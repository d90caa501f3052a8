import fc from 'fast-check';
import { expect, test } from 'vitest';
import { mergeTexts, resolveMerge } from './merge.ts';

const text = fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { maxLength: 8 }).map((list) => list.join('\n'));

test('what one side changed alone is kept, to the letter', () => {
  fc.assert(
    fc.property(text, text, (base, changed) => {
      for (const [mine, theirs] of [
        [changed, base],
        [base, changed],
        [changed, changed],
      ] as const) {
        const merge = mergeTexts(mine, base, theirs);
        expect(merge.conflicts).toEqual([]);
        expect(resolveMerge(merge, () => 'mine')).toBe(changed);
      }
    }),
  );
});

test('where both changed a place, each choice gives that side’s version there', () => {
  const base = 'one\ntwo\nthree\nfour\n';
  const merge = mergeTexts('one\nTWO\nthree\nfour\n', base, 'one\n2\nthree\nFOUR\n');
  expect(merge.conflicts).toEqual([{ mine: 'TWO\n', theirs: '2\n' }]);
  expect(resolveMerge(merge, () => 'mine')).toBe('one\nTWO\nthree\nFOUR\n');
  expect(resolveMerge(merge, () => 'theirs')).toBe('one\n2\nthree\nFOUR\n');
});
