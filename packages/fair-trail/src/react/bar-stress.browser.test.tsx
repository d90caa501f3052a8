import { useState, type ReactNode } from 'react';
import { describe, expect, inject, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import type { EntryDefinition, SiteDefinition } from '../core/site/definition.ts';
import type { NarrowForm } from '../core/view/bar-view.ts';
import { Navbar } from './navbar.tsx';
import { Stage } from './stage.tsx';
import { Trail } from './trail.tsx';
import { countObservers } from '../dom/count-observers.samples.ts';
import { EchoPage, mount, SampleApp } from './mount.samples.tsx';

/** Items with these labels, each of which holds pages three levels deep. */
function deepSite(labels: readonly string[]): SiteDefinition {
  const below = (id: string, label: string, depth: number): EntryDefinition => ({
    id,
    label,
    href: `/${id}`,
    ...(depth > 0 && { entries: [below(`${id}-a`, `${label} one`, depth - 1), below(`${id}-b`, label, 0)] }),
  });
  const entries = labels.map((label, index) => below(`e${index}`, label, 3));
  return { name: 'Marram', entries, menus: { main: entries.map(({ id }) => ({ entry: id, depth: 4 })) } };
}

declare module 'vitest' {
  interface ProvidedContext {
    mounts: number;
  }
}

const long = 'A label as long as they come when a committee has met '.repeat(4).slice(0, 200);
const labelSets: Readonly<Record<string, readonly string[]>> = {
  one: ['Hides'],
  sixty: Array.from({ length: 60 }, (_, index) => `Item ${index + 1}`),
  'one of 200 characters': ['Today', long],
  'single letters': ['A', 'B', 'C'],
  Arabic: ['اليوم', 'المخابئ', 'الأنواع'],
  emoji: ['🦆🦆🦆', '🌊'],
};
const forms: readonly NarrowForm[] = ['panel', 'screen', 'strip', 'more'];

const frames = async () => {
  for (let frame = 0; frame < 3; frame += 1) await new Promise(requestAnimationFrame);
};

describe.each(Object.keys(labelSets))('panels three deep under %s', (name) => {
  test.each(forms)('stay within the window, as a %s, at any size of text', async (whenNarrow) => {
    mount(<SampleApp url="/" definition={deepSite(labelSets[name] ?? [])} bar={{ whenNarrow }} />);
    await expect.element(page.getByRole('banner')).toBeVisible();
    for (const [textSize, width] of [
      ['100%', 1280],
      ['100%', 320],
      ['200%', 640],
      ['400%', 1280],
    ] as const) {
      document.documentElement.style.fontSize = textSize;
      await page.viewport(width, 700);
      await frames();
      const where = `${textSize} of text at ${width}px`;
      const toggle = document.querySelector<HTMLElement>('.ft-toggle');
      if (toggle?.checkVisibility() && toggle.getAttribute('aria-expanded') === 'false') toggle.click();
      await frames();
      const triggers = [...document.querySelectorAll<HTMLElement>('.ft-panel-trigger')];
      const last = triggers.findLast((trigger) => trigger.checkVisibility({ visibilityProperty: true }));
      if (last?.getAttribute('aria-expanded') === 'false') last.click();
      await expect.poll(() => `${last?.getAttribute('aria-expanded') ?? ''} ${where}`).toBe(`true ${where}`);
      await frames();
      expect(document.documentElement.scrollWidth, where).toBeLessThanOrEqual(width);
      const panel = last?.parentElement?.querySelector('.ft-panel');
      const { left, right } = panel?.getBoundingClientRect() ?? new DOMRect();
      expect([left >= -1, right <= width + 1], `${where}: ${left} to ${right}`).toEqual([true, true]);
      await userEvent.keyboard('{Escape}{Escape}');
    }
  });
});

test('a stylesheet that centers everything changes nothing in the bar', async () => {
  const style = document.createElement('style');
  style.textContent =
    '* { margin: 0; padding: 0; box-sizing: border-box } body { text-align: center; display: flex; place-items: center } body > div { flex: 1 } a { font-weight: 500; color: #646cff } ul { list-style: disc }';
  document.head.append(style);
  mount(<SampleApp url="/" definition={deepSite(['Hides', 'Species', 'Visit'])} />);
  const bar = page.getByRole('banner');
  await expect.element(bar).toBeVisible();
  await page.getByRole('button', { name: 'Pages in Visit' }).click();
  await expect
    .poll(() => document.querySelector('[data-ft-item=e2] > .ft-panel')?.checkVisibility({ visibilityProperty: true }))
    .toBe(true);
  const tops = [...document.querySelectorAll('.ft-bar-panel > .ft-menu > li > .ft-link')].map(
    (link) => link.getBoundingClientRect().top,
  );
  expect(new Set(tops).size).toBe(1);
  expect(document.documentElement.scrollWidth).toBeLessThanOrEqual(1280);
  style.remove();
});

test('taken away while it moves, it leaves neither an error nor a locked page', async () => {
  const errors = vi.spyOn(console, 'error');
  await page.viewport(320, 700);
  const { unmount } = mount(
    <SampleApp url="/" definition={deepSite(['Hides', 'Visit'])} bar={{ whenNarrow: 'screen', alwaysToggle: true }} />,
  );
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('button', { name: 'Pages in Hides' }).click();
  await page.getByRole('button', { name: 'Pages in Hides' }).click();
  unmount();
  await frames();
  expect([document.documentElement.style.overflow, document.querySelector('[inert]')]).toEqual(['', null]);
  expect(errors.mock.calls).toEqual([]);
  errors.mockRestore();
});

test('items that come and go while panels are open keep to themselves', async () => {
  const site = defineSite(deepSite(['Hides', 'Species', 'Visit']));
  const ids = ['e0', 'e1', 'e2'];
  const byCount = ids.map((_, count) => ({
    ...site.definition,
    menus: { main: ids.slice(0, count + 1).map((entry) => ({ entry, depth: 4 })) },
  }));
  function Growing(): ReactNode {
    const [count, setCount] = useState(2);
    return (
      <Trail site={defineSite(byCount[count] ?? deepSite([]))} history={memoryHistory('/e0')}>
        <Navbar
          end={
            <button type="button" onClick={() => setCount((count + 1) % 3)}>
              Change
            </button>
          }
        />
        <Stage pages={{ e0: EchoPage }} />
      </Trail>
    );
  }
  mount(<Growing />);
  const change = page.getByRole('button', { name: 'Change' });
  for (let round = 0; round < 6; round += 1) {
    await page.getByRole('button', { name: 'Pages in Hides' }).click();
    await change.click();
    await frames();
    const open = [...document.querySelectorAll('.ft-panel-trigger[aria-expanded=true]')];
    expect(open.length).toBeLessThanOrEqual(1);
  }
  await expect.poll(() => document.querySelectorAll('[inert]').length).toBe(0);
});

test('nothing is left after many have come and gone', { timeout: 600_000 }, async () => {
  const observers = countObservers();
  try {
    for (let round = 0; round < inject('mounts'); round += 1) {
      const whenNarrow = forms[round % forms.length] ?? 'panel';
      const { unmount } = mount(
        <SampleApp
          url="/"
          definition={deepSite(['Hides', 'Visit'])}
          bar={{ whenNarrow, pinned: 'sticky', givesWay: 'hide', hoverOpens: true }}
        />,
      );
      await frames();
      expect(observers.watching()).toBeGreaterThan(0);
      unmount();
      await frames();
      expect(observers.watching()).toBe(0);
    }
  } finally {
    observers.end();
  }
  expect(document.documentElement.getAttribute('style') ?? '').toBe('');
});
