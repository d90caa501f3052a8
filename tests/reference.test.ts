import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import * as reference from '../scripts/reference.mjs';
import { root } from './code-blocks.ts';

interface PublicName {
  readonly name: string;
  readonly isValue: boolean;
  readonly text: string;
  readonly examples: readonly string[];
}

// The script has no types.
const { publicNames, referencePages } = reference as unknown as {
  readonly publicNames: () => readonly { readonly module: string; readonly names: readonly PublicName[] }[];
  readonly referencePages: () => Promise<ReadonlyMap<string, string>>;
};

const surfaces = publicNames();
const all = surfaces.flatMap(({ module, names }) => names.map((one) => ({ ...one, title: `${module}: ${one.name}` })));

describe('the public surface', () => {
  test('is small', () => {
    expect(surfaces.find(({ module }) => module === 'fair-trail')?.names.length).toBeLessThanOrEqual(60);
    // The same component in another framework is no other name to learn.
    const names = new Set(all.map(({ name }) => name));
    expect(names.size).toBeLessThanOrEqual(215);
    expect(names.size).toBeGreaterThan(100);
  });

  test('says of each name what it is', () => {
    expect(all.filter(({ text }) => text === '').map(({ title }) => title)).toEqual([]);
  });

  test('has an example for each name that can be called or drawn', () => {
    expect(all.filter(({ isValue, examples }) => isValue && examples.length === 0).map(({ title }) => title)).toEqual(
      [],
    );
  });
});

test('the reference has every public name and no other, as scripts/reference.mjs writes it', async () => {
  const folder = path.join(root, 'docs/reference');
  const pages = await referencePages();
  expect(readdirSync(folder).toSorted()).toEqual([...pages.keys()].toSorted());
  for (const [name, text] of pages) expect(readFileSync(path.join(folder, name), 'utf8')).toBe(text);
});
