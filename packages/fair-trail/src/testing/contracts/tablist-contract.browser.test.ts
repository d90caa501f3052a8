import { afterEach, describe, expect, test } from 'vitest';
import { promisesOf } from '../promises.samples.ts';
import { clearSubject, showSubject } from '../subject-in-page.samples.ts';
import { tablistContract, tablistParts } from '../vitest.ts';
import { tabsByHand, tabsFaults } from './tabs-by-hand.samples.ts';

afterEach(clearSubject);

const show = (markup: typeof tabsByHand, patience = 3000) => showSubject('/curlew', markup, { patience });

describe('tabs of anybody’s making', () => {
  tablistContract({ open: () => show(tabsByHand), tabs: 'Curlew' });
});

/** The same in another writing direction, orientation, or way of being selected. */
describe.each([
  [
    'from right to left',
    'ArrowRight: (at + 1) % length, ArrowLeft: (at + length - 1)',
    'ArrowLeft: (at + 1) % length, ArrowRight: (at + length - 1)',
    '[role="tablist"] { direction: rtl }',
  ],
  ['selected by hand', 'select(enabled[to])', 'enabled[to].focus()', ''],
] as const)('tabs %s', (_, from, to, style) => {
  const script = tabsByHand.script.replace(from, to);
  expect(script).not.toBe(tabsByHand.script);
  tablistContract({ open: () => show({ ...tabsByHand, script, style: tabsByHand.style + style }) });
});

describe('tabs below each other', () => {
  const script = tabsByHand.script.replace('ArrowRight:', 'ArrowDown:').replace('ArrowLeft:', 'ArrowUp:');
  const body = tabsByHand.body.replace('role="tablist"', 'role="tablist" aria-orientation="vertical"');
  tablistContract({ open: () => show({ ...tabsByHand, body, script }) });
});

describe('the contract of tabs sees a fault that was put in', () => {
  test.each(tabsFaults.map(({ name, ...fault }) => [name, fault] as const))('%s', async (_, { part, broken }) => {
    const parts = tablistParts.filter(({ name }) => name === part);
    expect((await promisesOf(parts, { open: () => show(broken, 300) })).broken).not.toEqual([]);
  });

  test('and keeps no promise for want of something to ask it of', async () => {
    const nothing = { open: () => show({ body: '', script: '', style: '' }, 50) };
    expect((await promisesOf(tablistParts, nothing)).kept).toEqual([]);
    const body = '<div role="tablist"><button role="tab" aria-selected="true">Song</button></div>';
    const one = { open: () => show({ body, script: '', style: '' }, 50) };
    expect((await promisesOf(tablistParts, one)).kept).toEqual([]);
  });
});
