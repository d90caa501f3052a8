import type { ProblemCode } from './problem-codes.ts';
import { readFileSync } from 'node:fs';
import { Ajv2020, type AnySchema } from 'ajv/dist/2020.js';
import { describe, expect, test } from 'vitest';
import observatory from '../../../../../examples/observatory/observatory.site.json' with { type: 'json' };
import { checkSite } from './define.ts';
import { marram } from './site.samples.ts';

const file = new URL('../../../site.schema.json', import.meta.url);
const validate = new Ajv2020({ strict: true }).compile(JSON.parse(readFileSync(file, 'utf8')) as AnySchema);
const accepts = (definition: unknown) => validate(definition) === true;

/** What a schema can see: the rest needs more than one place of the file, or the parser of paths and addresses. */
const structural = new Set<ProblemCode>(['wrong-type', 'missing-field', 'unknown-field', 'empty-text', 'name-syntax']);

test.each([
  ['the sample', marram],
  ['the observatory', observatory],
])('%s is accepted', (_, definition) => {
  expect(accepts(definition), JSON.stringify(validate.errors)).toBe(true);
  expect(checkSite(definition).problems).toEqual([]);
});

/** The sample with one of its values, at each place in turn, replaced or taken out. */
function* mutations(value: unknown, path: string): Generator<[string, unknown]> {
  for (const other of [null, 7, '', ' ', 'x y', [], {}, true]) yield [`${path} = ${JSON.stringify(other)}`, other];
  if (Array.isArray(value)) {
    for (const [index, member] of (value as unknown[]).entries()) {
      for (const [name, changed] of mutations(member, `${path}/${index}`)) yield [name, value.with(index, changed)];
    }
  } else if (typeof value === 'object' && value !== null) {
    yield [`${path} with a field more`, { ...value, surprise: 1 }];
    for (const [key, member] of Object.entries(value)) {
      const { [key]: _, ...rest } = value as Record<string, unknown>;
      yield [`${path} without ${key}`, rest];
      for (const [name, changed] of mutations(member, `${path}/${key}`)) yield [name, { ...rest, [key]: changed }];
    }
  }
}

describe('schema and checker agree', () => {
  const all: readonly [name: string, definition: unknown][] = [
    ...mutations({ ...marram, language: 'en', title: '{label}' }, ''),
  ];

  test('on whatever the checker finds wrong in the structure', () => {
    expect(all.length).toBeGreaterThan(500);
    const disagreements = all.filter(([, definition]) => {
      const codes = checkSite(definition).problems.map(({ code }) => code);
      return codes.some((code) => structural.has(code)) && accepts(definition);
    });
    expect(disagreements.map(([name]) => name)).toEqual([]);
  });

  test('the schema refuses nothing that the checker takes', () => {
    const disagreements = all.filter(([, definition]) => {
      return checkSite(definition).problems.length === 0 && !accepts(definition);
    });
    expect(disagreements.map(([name]) => name)).toEqual([]);
  });

  test.each([
    ['/\\:x', true],
    ['/\\(intro\\)', true],
    ['/{\\\\x}', true],
    ['https://tides.example/', true],
    ['mailto:warden@marram.example', true],
    ['//host', false],
    ['/\\host', false],
    ['https:tides.example', false],
    ['https:///', false],
    ['mailto:', false],
    ['tel:', false],
    ['data:x', false],
  ])('on the href %j', (href, isAccepted) => {
    const definition = { name: 'x', entries: [{ id: 'a', label: 'A', href }] };
    expect([accepts(definition), checkSite(definition).problems.length === 0]).toEqual([isAccepted, isAccepted]);
  });
});
