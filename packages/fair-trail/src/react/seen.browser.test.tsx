import { expect, test } from 'vitest';
import { page } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import { Navbar } from './navbar.tsx';
import { Sidebar } from './sidebar.tsx';
import { TrailAt } from './trail-at.tsx';
import { mount } from './mount.samples.tsx';

/** What a person sees: rectangles, and what lies on top. */

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
