import type { CSSProperties, ReactNode } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { afterEach, beforeAll, describe, expect, test, vi } from 'vitest';
import { page } from 'vitest/browser';
import { memoryKeys } from '../core/interaction/memory-keys.ts';
import { defineSite } from '../core/site/define.ts';
import { scriptedAttribute } from '../dom/scripted.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { Layout } from './layout.tsx';
import { Sidebar } from './sidebar.tsx';
import { TabLinks } from './tab-links.tsx';
import { Trail } from './trail.tsx';
import { deep, desk } from '../testing/sites.ts';
import './mount.samples.tsx';

const site = defineSite(desk);

/** The strip has to fit into 320 px, whatever fonts there are: else it scrolls to the marked item, as it should. */
const narrowGutter = { '--ft-gutter': '0.5rem', fontSize: '11px' } as CSSProperties;

const withSidebar = (url = '/nets/garden') => (
  <Trail site={site} url={url}>
    <Layout
      style={narrowGutter}
      sidebar={<Sidebar menu="desk" rail search annex={['spring']} icon={() => <svg width="20" height="20" />} />}
    >
      <TabLinks menu="desk" label="Beside each other" />
      <main>Page</main>
    </Layout>
  </Trail>
);

let printed = document.createElement('div');

function print(content: ReactNode): void {
  printed = document.createElement('div');
  printed.innerHTML = renderToString(content);
  document.body.prepend(printed);
}

// As in an earlier visit: the early script looks once, as the page is loaded.
beforeAll(async () => {
  localStorage.setItem(memoryKeys.rails, JSON.stringify(['desk']));
  localStorage.setItem(memoryKeys.open, JSON.stringify(['desk\ninstruments', 'desk\nnets>reedbed']));
  await import('../dom/early.ts');
  return () => {
    for (const key of Object.values(memoryKeys)) localStorage.removeItem(key);
    document.adoptedStyleSheets = [];
  };
});

afterEach(() => {
  printed.remove();
  document.documentElement.removeAttribute(scriptedAttribute);
});

const boxes = (selector: string) =>
  [...printed.querySelectorAll(selector)]
    .filter((element) => element.checkVisibility({ visibilityProperty: true }))
    .map((element) => {
      const { left, top, width, height } = element.getBoundingClientRect();
      return [element.classList[0], left, top, width, height].map(String).join(' ');
    });

describe.each([320, 1280])('without scripts at %i px', (width) => {
  test('every link is to be seen and inside the window, and nothing is dead', async () => {
    await page.viewport(width, 800);
    document.documentElement.removeAttribute(scriptedAttribute);
    print(withSidebar('/nets/garden?annex=spring'));
    await Promise.allSettled(document.getAnimations().map(({ finished }) => finished));
    const links = [...printed.querySelectorAll<HTMLElement>('.ft-sidebar a, .ft-tab-links a')];
    expect(links.length).toBeGreaterThan(15);
    for (const link of links) {
      const { left, right, height } = link.getBoundingClientRect();
      const where = `${link.textContent} at ${left} to ${right}`;
      expect([left >= 0, right <= width, height > 0], where).toEqual([true, true, true]);
      expect(link.checkVisibility({ visibilityProperty: true, opacityProperty: true }), where).toBe(true);
      link.focus();
      expect(document.activeElement, where).toBe(link);
    }
    const dead = [...printed.querySelectorAll('button, input')].filter((control) => control.checkVisibility());
    expect(dead.map(({ className }) => className)).toEqual([]);
    expect(document.documentElement.scrollWidth).toBeLessThanOrEqual(width);
  });
});

test('without scripts, a long label widens the sidebar no more than with them', async () => {
  await page.viewport(1280, 800);
  document.documentElement.removeAttribute(scriptedAttribute);
  const long = defineSite({
    name: 'Marram Point',
    entries: [
      { id: 'desk', label: 'The ringing desk behind the lantern room, for wardens and for guests', href: '/desk' },
    ],
    menus: { main: ['desk'] },
  });
  print(
    <Trail site={long} url="/desk">
      <Layout sidebar={<Sidebar />}>
        <main>Page</main>
      </Layout>
    </Trail>,
  );
  const width = () => printed.querySelector('.ft-layout-sidebar')?.getBoundingClientRect().width;
  const without = width();
  document.documentElement.setAttribute(scriptedAttribute, '');
  expect(without).toBe(width());
});

test.each([320, 1280])(
  'at %i px nothing moves when the app takes over, not even what the reader left narrow or open',
  async (width) => {
    await page.viewport(width, 800);
    document.documentElement.setAttribute(scriptedAttribute, '');
    print(withSidebar());
    const selector = '.ft-sidebar, .ft-sidebar-panel, .ft-sidebar a, .ft-panel, .ft-tab-links a, main';
    const before = boxes(selector);
    if (width === 1280) expect(printed.querySelector('.ft-sidebar')?.getBoundingClientRect().width).toBeLessThan(80);
    const errors = vi.spyOn(console, 'error');
    const root = hydrateRoot(printed, withSidebar());
    await expect.poll(() => printed.querySelector('[data-ft-rail=narrow]')).not.toBe(null);
    await new Promise((resolve) => setTimeout(resolve, 120));
    expect(boxes(selector)).toEqual(before);
    expect(errors.mock.calls).toEqual([]);
    errors.mockRestore();
    root.unmount();
  },
);

test('breadcrumbs that all fit stay where they are when the app takes over', async () => {
  document.documentElement.setAttribute(scriptedAttribute, '');
  const app = (
    <Trail site={defineSite(deep)} url="/log/seasons/autumn">
      <Breadcrumbs siblings />
      <main>Page</main>
    </Trail>
  );
  print(app);
  const before = boxes('.ft-breadcrumbs, .ft-breadcrumb, main');
  const root = hydrateRoot(printed, app);
  await new Promise((resolve) => setTimeout(resolve, 120));
  expect(boxes('.ft-breadcrumbs, .ft-breadcrumb, main')).toEqual(before);
  root.unmount();
});
