import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from 'vitest';

/** The list of custom properties in the documentation is that of the stylesheet. */

const root = path.resolve(import.meta.dirname, '..');
const folder = path.join(root, 'packages/fair-trail/src/styles');
const styles = readdirSync(folder)
  .filter((name) => name.endsWith('.css') && !name.startsWith('sheet'))
  .map((name) => readFileSync(path.join(folder, name), 'utf8'))
  .join('\n')
  .replaceAll(/\/\*.*?\*\//gsu, '');

/** What the parts tell each other: which form they have, and what scripts have measured. */
const own = new Set(
  ['wide', 'narrow', 'over', 'beside', 'rail', 'full', 'ground', 'fade', 'panel-line', 'annex-room']
    .concat(['sidebar-length', 'sidebar-share', 'sidebar-size', 'sidebar-rest'])
    .concat(['bar-block-size', 'panel-room', 'panel-start', 'tip-start', 'tip-top'])
    .map((name) => `--ft-${name}`),
);

test('the documentation lists each custom property that the stylesheet reads, and no other', () => {
  const [, section = ''] = readFileSync(path.join(root, 'docs/react.md'), 'utf8').split('## Custom properties');
  const listed = [...section.matchAll(/`(--ft-[\w-]+)`/gu)].map(([, name]) => name);
  const read = new Set([...styles.matchAll(/var\(\s*(--ft-[\w-]+)/gu)].map(([, name]) => name ?? ''));
  for (const name of own) {
    expect(read).toContain(name);
    read.delete(name);
  }
  expect(listed.toSorted()).toEqual([...read].toSorted());
});
