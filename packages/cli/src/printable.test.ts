import { expect, test } from 'vitest';
import { reasonOf } from './printable.ts';

test.each<[unknown, string]>([
  [new Error('the page hangs'), 'the page hangs'],
  [new TypeError('Timeout of 15000 ms\nCall log:\n  - navigating'), 'Timeout of 15000 ms'],
  [new Error(''), ''],
  ['thrown as it is', 'thrown as it is'],
  [undefined, 'undefined'],
])('the reason of %s is one line', (error, reason) => {
  expect(reasonOf(error)).toBe(reason);
});
