import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from 'vitest';

/** Link components of other routers write `aria-current="false"`, so a mark is recognized by its values alone. */

const root = path.resolve(import.meta.dirname, '..');

/** What draws marks, or looks for them in what is drawn; the audit and the reading of pages judge all that there may be. */
const folders = ['styles', 'core', 'dom', 'parts', 'react', 'vue', 'elements', 'html', 'sheet'].map(
  (name) => `packages/fair-trail/src/${name}`,
);

const files = [...folders, 'examples/observatory/styles', 'packages/cli/templates', 'docs']
  .flatMap((folder) =>
    readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' }).map((file) => path.join(folder, file)),
  )
  .filter((file) => /\.(?:css|tsx?|vue|md)$/u.test(file) && !/\.test\.|\.samples\.|node_modules|dist/u.test(file));

test('every selector of a mark names its value', () => {
  expect(files.filter((file) => file.endsWith('.css')).length).toBeGreaterThan(20);
  const found = files.flatMap((file) =>
    readFileSync(path.join(root, file), 'utf8')
      .split('\n')
      .flatMap((line, index) => (line.includes('[aria-current]') ? [`${file}:${index + 1}: ${line.trim()}`] : [])),
  );
  expect(found).toEqual([]);
});
