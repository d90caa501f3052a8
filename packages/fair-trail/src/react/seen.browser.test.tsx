import type { CSSProperties } from 'react';
import { describe, expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import { Layout } from './layout.tsx';
import { Navbar } from './navbar.tsx';
import { Sidebar } from './sidebar.tsx';
import { TrailAt } from './trail-at.tsx';
import { nested } from '../testing/sites.ts';
import { mount, SampleApp } from './mount.samples.tsx';

/** What a person sees: rectangles, and what lies on top. */

function elementAt(selector: string): Element {
  const found = document.querySelector(selector);
  if (found === null) throw new Error(`There is no ${selector}.`);
  return found;
}

const site = defineSite({
  name: 'Marram Point',
  entries: [
    { id: 'today', label: 'Today', href: '/', icon: 'sun' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      icon: 'hut',
      entries: [
        { id: 'reedbed', label: 'Reedbed Hide', href: '/hides/reedbed', icon: 'hut' },
        { id: 'lantern', label: 'Lantern Room', href: '/hides/lantern', icon: 'hut' },
      ],
    },
    { id: 'webcam', label: 'Webcam', href: '/webcam', planned: true },
  ],
  menus: { main: ['today', { entry: 'hides', depth: 2 }, 'webcam'] },
});

const bar = page.getByRole('navigation', { name: 'Main' });

test('an icon without a size is a little larger than the text, in the bar, in panels and in the sidebar', async () => {
  const icon = () => <svg viewBox="0 0 24 24" aria-hidden="true" data-icon="" />;
  const { container } = mount(
    <TrailAt site={site} url="/hides">
      <Navbar icon={icon} />
      <Sidebar menu="main" label="Beside" icon={icon} />
    </TrailAt>,
  );
  await bar.getByRole('button', { name: 'Pages in Hides' }).click();
  const icons = [...container.querySelectorAll('[data-icon]')].filter((one) => one.getClientRects().length > 0);
  expect(icons.length).toBeGreaterThan(6);
  for (const one of icons) {
    const { width, height } = one.getBoundingClientRect();
    const size = Number.parseFloat(getComputedStyle(one).fontSize);
    expect([width, height]).toEqual([size * 1.25, size * 1.25]);
  }
});

test('an open panel lies over a second bar below', async () => {
  mount(
    <TrailAt site={site} url="/">
      <Navbar />
      <Navbar element="div" label="Second" />
    </TrailAt>,
  );
  await bar.getByRole('button', { name: 'Pages in Hides' }).click();
  const lantern = bar.getByRole('link', { name: 'Lantern Room' });
  await expect.element(lantern).toBeVisible();
  for (const name of ['Reedbed Hide', 'Lantern Room']) {
    const link = bar.getByRole('link', { name }).element();
    const { left, top, width, height } = link.getBoundingClientRect();
    await expect
      .poll(() => document.elementFromPoint(left + width / 2, top + height / 2)?.closest('a')?.textContent)
      .toBe(name);
  }
});

test('in a narrow window the menu lies over the toggle of a sidebar, and an open sidebar over the bar', async () => {
  await page.viewport(390, 800);
  mount(
    <TrailAt site={site} url="/">
      <Layout bar={<Navbar />} sidebar={<Sidebar menu="main" label="Beside" />}>
        <main>Content</main>
      </Layout>
    </TrailAt>,
  );
  const onTop = (seen: Element) => {
    const { left, top, width, height } = seen.getBoundingClientRect();
    const found = document.elementFromPoint(left + Math.min(width, 60) / 2, top + height / 2);
    return found !== null && (seen.contains(found) || found.contains(seen));
  };
  const menu = bar.getByRole('button', { name: 'Menu' });
  await menu.click();
  const beside = page.getByRole('button', { name: 'Beside' });
  for (const name of ['Today', 'Hides', 'Webcam']) {
    await expect
      .poll(() => onTop(bar.getByRole('link', { name, exact: true }).element()), { message: name })
      .toBe(true);
  }
  await menu.click();
  await expect.poll(() => onTop(beside.element())).toBe(true);
  await beside.click();
  await expect.poll(() => onTop(elementAt('.ft-sidebar-panel'))).toBe(true);
  const brand = elementAt('.ft-brand');
  await expect.poll(() => document.elementFromPoint(20, 20)?.closest('.ft-sidebar')).not.toBe(null);
  expect(onTop(brand)).toBe(false);
});

test('a planned page is seen in its place, as a disabled item that leads nowhere and keeps its mark', async () => {
  const { render } = mount(
    <TrailAt site={site} url="/">
      <Navbar />
    </TrailAt>,
  );
  const webcam = bar.getByRole('link', { name: 'Webcam' });
  await expect.element(webcam).toHaveAttribute('aria-disabled', 'true');
  expect(webcam.element().hasAttribute('href')).toBe(false);
  const color = () => getComputedStyle(webcam.element()).color;
  const other = getComputedStyle(bar.getByRole('link', { name: 'Today' }).element()).color;
  expect(color()).not.toBe(other);
  await webcam.hover();
  expect(getComputedStyle(webcam.element(), '::after').backgroundColor).toBe('rgba(0, 0, 0, 0)');
  render(
    <TrailAt site={site} url="/webcam">
      <Navbar />
    </TrailAt>,
  );
  await expect.element(webcam).toHaveAttribute('aria-current', 'page');
});

const box = (locator: { element: () => Element }) => locator.element().getBoundingClientRect();

test('distances that an app sets count wherever they should', async () => {
  const distances = { '--ft-bar-padding': '10px 30px', '--ft-gap': '20px' } as CSSProperties;
  const { container } = mount(
    <TrailAt site={site} url="/">
      <Navbar style={distances} />
      <Sidebar menu="main" label="Beside" style={distances} />
    </TrailAt>,
  );
  const today = bar.getByRole('link', { name: 'Today' });
  await expect.element(today).toBeVisible();
  const row = container.querySelector('.ft-bar-row');
  const padding = row && getComputedStyle(row);
  expect([padding?.paddingTop, padding?.paddingLeft, padding?.paddingRight]).toEqual(['10px', '30px', '30px']);
  const beside = page.getByRole('navigation', { name: 'Beside' });
  const inSidebar = (name: string) => beside.getByRole('link', { name, exact: true });
  expect(box(inSidebar('Hides')).top - box(inSidebar('Today')).bottom).toBe(20);
  await page.viewport(320, 700);
  await bar.getByRole('button', { name: 'Menu' }).click();
  const hides = bar.getByRole('link', { name: 'Hides', exact: true });
  await expect.element(hides).toBeVisible();
  // The line between two items is in the middle of the gap.
  const line = hides.element().closest('li')?.getBoundingClientRect().top ?? 0;
  expect([line - box(today).bottom, box(hides).top - line - 1]).toEqual([10, 10]);
});

test('between a divider and a titled section there is one line', async () => {
  const titled = defineSite({
    name: 'Marram Point',
    entries: [
      { id: 'today', label: 'Today', href: '/' },
      { id: 'tides', label: 'Tides', href: '/tides' },
    ],
    menus: { main: ['today', { divider: true }, { label: 'Outside', entries: ['tides'] }] },
  });
  const { container } = mount(
    <TrailAt site={titled} url="/">
      <Sidebar menu="main" />
    </TrailAt>,
  );
  await expect.element(page.getByText('Outside')).toBeVisible();
  const lines = [...container.querySelectorAll('.ft-sidebar-navigation *')].filter((one) => {
    const { borderBlockStartWidth, borderBlockStartColor } = getComputedStyle(one);
    return one.checkVisibility() && borderBlockStartWidth === '1px' && borderBlockStartColor !== 'rgba(0, 0, 0, 0)';
  });
  expect(lines.map((one) => one.className)).toEqual(['ft-section']);
});

test('the menu of a bar in a narrow column can be read', async () => {
  mount(
    <TrailAt site={site} url="/">
      <div style={{ inlineSize: '60px' }}>
        <Navbar />
      </div>
    </TrailAt>,
  );
  await bar.getByRole('button', { name: 'Menu' }).click();
  const hides = bar.getByRole('link', { name: 'Hides', exact: true });
  await expect.element(hides).toBeVisible();
  expect(box(hides).width).toBeGreaterThan(120);
  expect(box(hides).height).toBeLessThan(60);
});

test('a rail keeps the picture that its start begins with', async () => {
  mount(
    <TrailAt site={site} url="/hides">
      <Sidebar
        menu="main"
        rail
        start={<span role="img" aria-label="Ivo Harn" style={{ display: 'block', inlineSize: 30, blockSize: 30 }} />}
      />
    </TrailAt>,
  );
  await page.getByRole('button', { name: 'Collapse sidebar' }).click();
  await expect.element(page.getByRole('button', { name: 'Expand sidebar' })).toBeVisible();
  expect(box(page.getByRole('img', { name: 'Ivo Harn' })).width).toBe(30);
  await page.getByRole('button', { name: 'Expand sidebar' }).click();
});

describe('a wheel', () => {
  const about = bar.getByRole('link', { name: 'About', exact: true });
  const inBar = (name: string) => bar.getByRole('link', { name, exact: true });

  // A spot of the page that no menu covers, for the pointer to be over.
  const besideTheMenu = () => {
    const spot = document.querySelector('main')?.appendChild(document.createElement('p')) ?? document.body;
    spot.style.cssText = 'position: fixed; inset: auto 0 0; margin: 0; block-size: 20px';
    return page.elementLocator(spot);
  };

  test('over the narrow menu scrolls nothing behind it, and beside it the page', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp definition={nested} url="/" />);
    await bar.getByRole('button', { name: 'Menu' }).click();
    await expect.element(about).toBeVisible();
    await userEvent.wheel(about, { delta: { y: 200 } });
    await userEvent.wheel(inBar('Hides'), { delta: { y: 200 } });
    expect(window.scrollY).toBe(0);
    await userEvent.wheel(besideTheMenu(), { delta: { y: 200 } });
    await expect.poll(() => window.scrollY).toBeGreaterThan(0);
  });

  test('scrolls no page that is dimmed, and any page again once the menu is closed', async () => {
    await page.viewport(320, 700);
    mount(<SampleApp definition={nested} url="/" bar={{ backdrop: 'both' }} />);
    await bar.getByRole('button', { name: 'Menu' }).click();
    await expect.element(about).toBeVisible();
    await userEvent.wheel(besideTheMenu(), { delta: { y: 200 } });
    await userEvent.wheel(about, { delta: { y: 200 } });
    expect(window.scrollY).toBe(0);
    await userEvent.keyboard('{Escape}');
    await userEvent.wheel(besideTheMenu(), { delta: { y: 200 } });
    await expect.poll(() => window.scrollY).toBeGreaterThan(0);
  });
});

describe('a sidebar that is to have a quarter of the room', () => {
  const share = { '--ft-sidebar-width': '25%' } as CSSProperties;
  const rectangle = (selector: string) => elementAt(selector).getBoundingClientRect();

  test('has it in a layout, as a rail only what a rail has, and with an annex both', async () => {
    const draw = (annex?: string) => (
      <div style={share}>
        <TrailAt site={site} url={annex === undefined ? '/' : `/?annex=${annex}`}>
          <Layout sidebar={<Sidebar menu="main" rail annex={['hides']} />}>
            <main>Content</main>
          </Layout>
        </TrailAt>
      </div>
    );
    const { render } = mount(draw());
    await expect.poll(() => rectangle('.ft-sidebar-panel').width).toBe(320);
    expect(rectangle('.ft-layout-content').left).toBe(320);
    expect(rectangle('.ft-layout-content').width).toBe(960);
    render(draw('hides'));
    await expect.poll(() => rectangle('.ft-annex').left).toBe(320);
    expect(rectangle('.ft-sidebar-panel').width).toBe(320);
    expect(rectangle('.ft-layout-content').left).toBe(320 + 256);
    render(draw());
    await expect.poll(() => rectangle('.ft-layout-content').left).toBe(320);
    await userEvent.click(elementAt('.ft-rail-button'));
    await expect.poll(() => rectangle('.ft-layout-content').left).toBe(60);
    await expect.poll(() => rectangle('.ft-sidebar-panel').width).toBe(60);
    render(draw('hides'));
    await expect.poll(() => rectangle('.ft-layout-content').left).toBe(60 + 256);
  });

  test('has it in a row of the app, and behind its toggle the width of a narrow window', async () => {
    mount(
      <div style={{ display: 'flex', ...share }}>
        <TrailAt site={site} url="/">
          <Sidebar menu="main" />
          <main style={{ flex: 1 }}>Content</main>
        </TrailAt>
      </div>,
    );
    await expect.poll(() => rectangle('.ft-sidebar-panel').width).toBe(320);
    expect(rectangle('main').left).toBe(320);
    await page.viewport(600, 800);
    await page.getByRole('button', { name: 'Menu' }).click();
    await expect.poll(() => rectangle('.ft-sidebar-panel').width).toBe(320);
    await expect.poll(() => rectangle('.ft-sidebar-panel').left).toBe(0);
  });
});
