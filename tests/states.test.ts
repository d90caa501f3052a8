import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { partStates } from '../packages/fair-trail/src/core/view/states.ts';

const folder = path.resolve(import.meta.dirname, '../packages/fair-trail/src/styles');
const styles = readdirSync(folder)
  .map((name) => readFileSync(path.join(folder, name), 'utf8'))
  .join('\n');

const states = Object.entries(partStates).flatMap(([part, of]) =>
  Object.entries(of).map(([state, selector]) => [part, state, selector] as const),
);

describe('the stylesheet draws every state that is listed', () => {
  test.each(states)('%s, %s', (_, __, selector) => {
    // Not the whole stylesheet in the message.
    expect(styles.includes(selector) ? selector : 'not drawn').toBe(selector);
  });
});

test('and no state of what the reader does that is not', () => {
  const drawn = new Set(
    [...styles.matchAll(/\.ft-[\w-]+:(?:hover|active|focus-visible)/gu)].map(([selector]) => selector),
  );
  const listed = new Set(states.map(([, , selector]) => selector as string));
  expect(drawn.size).toBeGreaterThan(20);
  expect([...drawn].filter((selector) => !listed.has(selector))).toEqual([]);
});
