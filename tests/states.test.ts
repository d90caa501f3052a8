import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from 'vitest';
import { linkStates } from '../packages/fair-trail/src/core/color/index.ts';

const folder = path.resolve(import.meta.dirname, '../packages/fair-trail/src/styles');
const styles = readdirSync(folder)
  .map((name) => readFileSync(path.join(folder, name), 'utf8'))
  .join('\n');

test.each(Object.entries(linkStates))('the stylesheet draws the state "%s"', (_, selector) => {
  expect(styles).toContain(selector);
});
