import * as fc from 'fast-check';
import { expect, test } from 'vitest';
import { share } from './share.ts';

test('what is equal keeps its identity, and what changed does not', () => {
  const last = { children: [{ label: 'Hides' }, { label: 'Tides' }], name: 'main' };
  const next = share(last, { children: [{ label: 'Hides' }, { label: 'Visit' }], name: 'main' });
  expect(next.children[0]).toBe(last.children[0]);
  expect(next.children[1]).not.toBe(last.children[1]);
  expect(share(last, structuredClone(last))).toBe(last);
});

test('the answer always equals the next value', () => {
  const json = fc.jsonValue({ maxDepth: 4 });
  fc.assert(
    fc.property(json, json, (last, next) => {
      expect(share(last, structuredClone(next))).toEqual(next);
      expect(share(next, structuredClone(next))).toBe(next);
    }),
    { numRuns: 1000 },
  );
});
