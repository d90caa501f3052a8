import { useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { describe, expect, inject, onTestFinished, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryKeys } from '../core/interaction/memory-keys.ts';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import type { EntryDefinition, SiteDefinition } from '../core/site/definition.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { Layout } from './layout.tsx';
import { Sidebar } from './sidebar.tsx';
import { TabLinks } from './tab-links.tsx';
import { Tablist, Tabpanel, Tabs } from './tabs.tsx';
import { Trail } from './trail.tsx';
import { desk } from '../testing/sites.ts';
import { countObservers } from '../dom/count-observers.samples.ts';
import { mount } from './mount.samples.tsx';

const frames = async () => {
  for (let frame = 0; frame < 3; frame += 1) await new Promise(requestAnimationFrame);
};

const forget = () => {
  for (const key of Object.values(memoryKeys)) localStorage.removeItem(key);
};

/** One entry within another, so many levels deep. */
function nest(level: number, label: string): EntryDefinition {
  const id = `level-${level}`;
  return { id, label: `${label} ${level}`, href: `/${id}`, ...(level < 8 && { entries: [nest(level + 1, label)] }) };
}

const long = 'A label as long as they come when a committee has met '.repeat(4).slice(0, 200);
const flat = (count: number): SiteDefinition => {
  const entries = Array.from({ length: count }, (_, index) => ({
    id: `e${index}`,
    label: `Page ${index}`,
    href: `/p${index}`,
  }));
  return { name: 'Marram', entries, menus: { main: [], desk: entries.map(({ id }) => id) } };
};
const deepSite = (label: string): SiteDefinition => ({
  name: 'Marram',
  entries: [nest(1, label)],
  menus: { main: [], desk: [{ entry: 'level-1', depth: 9 }] },
});

const app = (definition: SiteDefinition, url: string): ReactNode => (
  <Trail site={defineSite(definition)} history={memoryHistory(url)} eagerness={null}>
    <Layout sidebar={<Sidebar menu="desk" search rail />}>
      <Breadcrumbs siblings />
      <TabLinks menu="desk" label="Beside each other" />
      <main>Page</main>
    </Layout>
  </Trail>
);

describe.each([
  ['none', flat(0), '/p0'],
  ['one', flat(1), '/p0'],
  ['2 000', flat(2000), '/p1990'],
  ['eight levels', deepSite('Level'), '/level-8'],
  ['eight levels of long labels', deepSite(long), '/level-8'],
  ['labels of one letter', deepSite('A'), '/level-8'],
  ['Arabic labels', deepSite('المخابئ'), '/level-8'],
  ['emoji', deepSite('🦆🦆🦆'), '/level-8'],
] as const)('%s', (name, definition, url) => {
  test('stay within the window at any size of text, narrowed or not', async () => {
    forget();
    mount(app(definition, url));
    await expect.element(page.getByRole('main')).toBeVisible();
    for (const [textSize, width] of [
      ['100%', 1280],
      ['100%', 320],
      ['200%', 768],
      ['400%', 1280],
    ] as const) {
      document.documentElement.style.fontSize = textSize;
      await page.viewport(width, 700);
      await frames();
      const where = `${name}: ${textSize} of text at ${width}px`;
      expect(document.documentElement.scrollWidth, where).toBeLessThanOrEqual(width);
      const toggle = document.querySelector<HTMLElement>('.ft-sidebar-toggle');
      if (toggle?.checkVisibility()) {
        toggle.click();
        await frames();
        const panel = () => document.querySelector('.ft-sidebar-panel')?.getBoundingClientRect() ?? new DOMRect();
        await expect.poll(() => [panel().left >= 0, panel().right <= width, where]).toEqual([true, true, where]);
        expect(document.documentElement.scrollWidth, where).toBeLessThanOrEqual(width);
        await userEvent.keyboard('{Escape}');
      } else {
        const button = document.querySelector<HTMLElement>('.ft-rail-button');
        button?.click();
        await frames();
        expect(document.documentElement.scrollWidth, where).toBeLessThanOrEqual(width);
        button?.click();
      }
    }
    forget();
  });
});

test('nothing is left after many have come and gone', { timeout: 600_000 }, async () => {
  const observers = countObservers();
  const added = vi.spyOn(document, 'addEventListener');
  const removed = () =>
    added.mock.calls.every(([, , options]) => {
      return typeof options !== 'object' || options.signal === undefined || options.signal.aborted;
    });
  try {
    for (let round = 0; round < inject('mounts'); round += 1) {
      const { unmount } = mount(
        <>
          {app(desk, '/nets/reedbed/east?annex=spring')}
          <Trail site={defineSite(desk)} url="/">
            <Tabs label="Tabs" tabs={[{ id: 'a', label: 'A' }]}>
              <Tablist />
              <Tabpanel id="a">A</Tabpanel>
            </Tabs>
          </Trail>
        </>,
      );
      await frames();
      expect(observers.watching()).toBeGreaterThan(0);
      document.querySelector<HTMLElement>('.ft-rail-button')?.click();
      unmount();
      await frames();
      expect(observers.watching()).toBe(0);
      expect(removed()).toBe(true);
      added.mockClear();
    }
  } finally {
    observers.end();
    added.mockRestore();
    forget();
  }
  expect(document.querySelector('[inert]')).toBe(null);
  expect(document.documentElement.getAttribute('style') ?? '').toBe('');
});

test('taken away while it lies over the page, it gives the page back', async () => {
  await page.viewport(320, 700);
  const { unmount } = mount(app(desk, '/'));
  await page.getByRole('button', { name: 'Menu' }).click();
  await expect.poll(() => document.documentElement.style.overflow).toBe('hidden');
  unmount();
  await expect.poll(() => document.documentElement.style.overflow).toBe('');
  expect(document.querySelector('[inert]')).toBe(null);
});

test('focus goes to its toggle where room ends before anything has been measured', async () => {
  await page.viewport(1200, 700);
  flushSync(() => mount(app(desk, '/')));
  // All in one go, before the browser has laid anything out.
  document.querySelector<HTMLElement>('nav a[href="/rota"]')?.focus();
  const { style } = window.frameElement as HTMLElement;
  const { width } = style;
  onTestFinished(() => void (style.width = width));
  style.width = '400px';
  await expect.element(page.getByRole('button', { name: 'Menu' })).toHaveFocus();
});

test('the app may decide whether it is open: from the beginning, by its answer, and it hears when room ends that', async () => {
  await page.viewport(400, 700);
  const reported = vi.fn();
  const controlled = (expanded: boolean) => (
    <Trail site={defineSite(desk)} url="/">
      <Layout sidebar={<Sidebar menu="desk" expanded={expanded} onToggle={reported} />}>
        <main>Page</main>
      </Layout>
    </Trail>
  );
  const { render } = mount(controlled(true));
  const rota = page.getByRole('link', { name: 'Rota' });
  await expect.element(rota).toBeVisible();
  await expect.poll(() => document.querySelector('main')?.closest('[inert]') ?? null).not.toBe(null);
  await userEvent.keyboard('{Escape}');
  expect(reported.mock.calls).toEqual([[false]]);
  await expect.element(rota).toBeVisible();
  render(controlled(false));
  await expect.element(page.getByRole('button', { name: 'Menu' })).toHaveFocus();
  await expect.element(rota).not.toBeInTheDocument();
  render(controlled(true));
  await expect.element(rota).toBeVisible();
  await page.viewport(1200, 700);
  await expect.poll(() => reported.mock.calls).toEqual([[false], [false]]);
  await expect.poll(() => document.querySelector('[inert]')).toBe(null);
});

test('groups and annexes that go while they are open are forgotten', async () => {
  forget();
  const smaller: SiteDefinition = { ...desk, menus: { ...desk.menus, desk: ['desk', 'rota'] } };
  const sites = [defineSite(desk), defineSite(smaller)] as const;
  function Changing(): ReactNode {
    const [index, setIndex] = useState<0 | 1>(0);
    return (
      <Trail site={sites[index]} history={history}>
        <Layout sidebar={<Sidebar menu="desk" annex={['spring']} />}>
          <main>
            <button type="button" onClick={() => setIndex(index === 0 ? 1 : 0)}>
              Change
            </button>
          </main>
        </Layout>
      </Trail>
    );
  }
  const history = memoryHistory('/');
  mount(<Changing />);
  await page.getByRole('button', { name: 'Pages in Nets' }).click();
  await page.getByRole('button', { name: 'Spring' }).click();
  await expect.element(page.getByRole('navigation', { name: 'Spring' })).toBeVisible();
  await page.getByRole('button', { name: 'Change' }).click();
  await expect.element(page.getByRole('navigation', { name: 'Spring' })).not.toBeInTheDocument();
  await expect.element(page.getByRole('link', { name: 'Rota' })).toBeVisible();
  await page.getByRole('button', { name: 'Change' }).click();
  await expect.element(page.getByRole('button', { name: 'Pages in Nets' })).toHaveAttribute('aria-expanded', 'false');
  forget();
});
