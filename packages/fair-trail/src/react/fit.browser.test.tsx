import { expect, test } from 'vitest';
import { page } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import { mount, SampleApp } from './mount.samples.tsx';

/** A row with "More": it keeps as many items as there is room for, whatever their panels hold. */

const long = (id: string) => ({
  id,
  label: `A page with a label that is far longer than that of its item (${id})`,
  href: `/long/${id}`,
});

const definition: SiteDefinition = {
  name: 'Marram',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    { id: 'hides', label: 'Hides', href: '/hides', entries: [long('a'), long('b')] },
    { id: 'species', label: 'Species', href: '/species' },
    { id: 'practical', label: 'Practical', entries: [long('c'), long('d')] },
    { id: 'about', label: 'About us', href: '/about', entries: [long('e')] },
  ],
  menus: {
    main: [
      'today',
      { entry: 'hides', depth: 2 },
      'species',
      { entry: 'practical', depth: 2 },
      { entry: 'about', depth: 2 },
    ],
  },
};

const items = () => [...document.querySelectorAll<HTMLElement>('.ft-bar-panel > .ft-menu > .ft-menu-item')];
const width = (element: Element) => element.getBoundingClientRect().width;

/** What an item shows in a row: its link, and the trigger beside it. */
const shownWidth = (item: Element) => {
  const boxes = [...item.querySelectorAll(':scope > :is(a, button)')].map((one) => one.getBoundingClientRect());
  return Math.max(...boxes.map(({ right }) => right)) - Math.min(...boxes.map(({ left }) => left));
};

test('no further item would fit, at any width from 320 to 1280 px', async () => {
  await page.viewport(1280, 800);
  mount(<SampleApp definition={definition} history={memoryHistory('/')} bar={{ whenNarrow: 'more' }} />);
  await expect.element(page.getByRole('link', { name: 'About us' })).toBeVisible();
  await expect.poll(() => document.querySelector('[data-ft-fit="all"]')).not.toBeNull();
  const natural = items().map(shownWidth);
  expect(items().map(width)).toEqual(natural);
  const counts = new Set<number>();
  for (let size = 1280; size >= 320; size -= 24) {
    await page.viewport(size, 800);
    // The observer reports before the next frame is drawn, and React draws what it reported.
    await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
    const navigation = document.querySelector('.ft-bar-navigation');
    const toggle = document.querySelector('.ft-toggle');
    if (!navigation || !toggle) throw new Error('There is no bar.');
    const staying = items().filter((item) => !item.hasAttribute('data-ft-beyond'));
    counts.add(staying.length);
    // Each stays as wide as what it shows: a closed panel takes no room.
    expect(staying.map(width), `at ${size} px`).toEqual(natural.slice(0, staying.length));
    expect(navigation.scrollWidth, `at ${size} px`).toBeLessThanOrEqual(navigation.clientWidth);
    if (staying.length === natural.length) continue;
    const gap = Number.parseFloat(getComputedStyle(navigation).columnGap) || 0;
    const taken = natural.slice(0, staying.length + 1).reduce((sum, one) => sum + one + gap, 0);
    expect(taken + width(toggle), `one more at ${size} px`).toBeGreaterThan(navigation.clientWidth);
  }
  // The widths reach from all of them to few.
  expect(Math.max(...counts)).toBe(natural.length);
  expect(counts.size).toBeGreaterThan(3);
});

test('a panel of an item that stays hangs from it, and moves nothing', async () => {
  await page.viewport(420, 800);
  mount(<SampleApp definition={definition} history={memoryHistory('/')} bar={{ whenNarrow: 'more' }} />);
  const trigger = page.getByRole('button', { name: 'Pages in Hides' });
  await expect.element(trigger).toBeVisible();
  const boxes = () =>
    [...document.querySelectorAll('.ft-bar, h1, .ft-link')].map((one) => one.getBoundingClientRect().top);
  const before = boxes().slice(0, 3);
  await trigger.click();
  const link = page.getByRole('link', { name: long('a').label });
  await expect.element(link).toBeVisible();
  expect(boxes().slice(0, 3)).toEqual(before);
  const { left, right } = link.element().getBoundingClientRect();
  expect(left).toBeGreaterThanOrEqual(0);
  expect(right).toBeLessThanOrEqual(420);
});
