import { describe, expect, test } from 'vitest';
import { documented } from '../rule-page.ts';
import { standards } from './all-standards.ts';

const ids = new Set(documented.map(({ id }) => id));

describe.each(standards)('$name', ({ statements }) => {
  test.each(statements)('$section: $text', ({ rules, undecided }) => {
    expect(rules.filter((id) => !ids.has(id))).toEqual([]);
    expect(rules.length > 0 || (undecided ?? '') !== '').toBe(true);
  });
});

test('every rule follows from a sentence', () => {
  const named = new Set(standards.flatMap(({ statements }) => statements.flatMap(({ rules }) => rules)));
  expect([...ids].filter((id) => !named.has(id))).toEqual([]);
});

test('no two rules have one id', () => {
  expect(documented).toHaveLength(ids.size);
});
