import { describe, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { flexStyles } from '../core/output/flex-styles.ts';
import { defineSite } from '../core/site/define.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import { Sidebar } from './sidebar.tsx';
import { Trail } from './trail.tsx';
import { Part } from './printed-view.tsx';
import { desk, nested } from '../testing/sites.ts';
import { mount, SampleApp } from './mount.samples.tsx';

describe('a row that the app arranges itself', () => {
  test('has its own markup, and every part works where it stands', async () => {
    const pressed = vi.fn();
    await page.viewport(320, 700);
    mount(
      <SampleApp
        definition={nested}
        url="/hides"
        bar={{
          children: (
            <div className="mine">
              <p>Open today</p>
              <nav aria-label="Mine">
                <Part name="toggle" className="big" onClick={pressed} />
                <Part name="menu" />
              </nav>
              <Part name="brand" title="Home" />
              <Part name="start" />
            </div>
          ),
        }}
      />,
    );
    const toggle = page.getByRole('button', { name: 'Menu' });
    await expect.element(toggle).toHaveClass('ft-toggle', 'big');
    await toggle.click();
    expect(pressed).toHaveBeenCalledTimes(1);
    await expect.element(page.getByRole('link', { name: 'Hides', exact: true })).toBeVisible();
    await expect
      .element(page.getByRole('link', { name: 'Hides', exact: true }))
      .toHaveAttribute('aria-current', 'page');
    await expect.element(page.getByRole('link', { name: 'Marram' })).toHaveAttribute('title', 'Home');
    await userEvent.keyboard('{Escape}');
    await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
    await page.viewport(1280, 700);
    await expect.element(toggle).not.toBeInTheDocument();
    await page.getByRole('button', { name: 'Pages in Hides' }).click();
    await expect.element(page.getByRole('link', { name: 'Lantern Room' })).toBeVisible();
  });
});

test('the landmark of a bar is one of its parts, with all that is in it', async () => {
  mount(<SampleApp definition={nested} url="/hides" bar={{ children: <Part name="navigation" className="mine" /> }} />);
  const navigation = page.getByRole('navigation', { name: 'Main' });
  await expect.element(navigation).toHaveClass('mine');
  await expect.element(navigation.getByRole('link', { name: 'Hides', exact: true })).toBeVisible();
});

test('a slot that goes into the panel where room is short stands in the row where it is not', async () => {
  mount(
    <SampleApp definition={nested} url="/" bar={{ endPlace: 'panel', end: <button type="button">Sign in</button> }} />,
  );
  const signIn = page.getByRole('button', { name: 'Sign in' });
  const about = page.getByRole('link', { name: 'About' });
  await expect.element(signIn).toBeVisible();
  expect(about.element().getBoundingClientRect().right).toBeLessThanOrEqual(
    signIn.element().getBoundingClientRect().left,
  );
  await page.viewport(320, 700);
  await expect.element(signIn).not.toBeInTheDocument();
  await page.getByRole('button', { name: 'Menu' }).click();
  await expect.element(signIn).toBeVisible();
  expect(signIn.element().getBoundingClientRect().top).toBeGreaterThanOrEqual(
    about.element().getBoundingClientRect().bottom,
  );
});

test('items have the shares of the row that the site’s own stylesheet gives them', async () => {
  const shares: SiteDefinition = {
    name: 'Marram',
    entries: [
      { id: 'today', label: 'Today', href: '/', flex: '1 1 0px' },
      { id: 'hides', label: 'Hides', href: '/hides', flex: '3 1 0px' },
      { id: 'visit', label: 'Visit', href: '/visit' },
    ],
    menus: { main: ['today', 'hides', 'visit'] },
  };
  const style = document.createElement('style');
  style.textContent = flexStyles(defineSite(shares));
  document.head.append(style);
  mount(<SampleApp definition={shares} url="/" bar={{ extent: 'window' }} />);
  await expect.element(page.getByRole('banner')).toBeVisible();
  const widths = () =>
    [...document.querySelectorAll('.ft-bar-panel > .ft-menu > li')].map((item) => item.getBoundingClientRect().width);
  const [today = 0, hides = 0, visit = 0] = widths();
  expect(hides / today).toBeCloseTo(3, 1);
  expect(visit).toBeLessThan(100);
  await page.viewport(320, 700);
  await page.getByRole('button', { name: 'Menu' }).click();
  expect(new Set(widths()).size).toBe(1);
  style.remove();
});

test('a sidebar that the app arranges itself works where its parts stand', async () => {
  mount(
    <Trail site={defineSite(desk)} url="/">
      <Sidebar menu="desk" search rail>
        <p>Drawers</p>
        <Part name="search" />
        <Part name="menu" className="mine" />
        <Part name="rail" />
      </Sidebar>
    </Trail>,
  );
  const navigation = page.getByRole('navigation', { name: 'Sidebar' });
  await expect.element(navigation).toHaveClass('ft-sidebar-navigation', 'mine');
  await page.getByRole('searchbox').fill('garden');
  await expect.element(page.getByRole('link', { name: 'Garden nets' })).toBeVisible();
  await expect.element(page.getByRole('link', { name: 'Rota' })).not.toBeInTheDocument();
  const rail = page.getByRole('button', { name: 'Collapse sidebar' });
  expect(navigation.element().getBoundingClientRect().bottom).toBeLessThanOrEqual(
    rail.element().getBoundingClientRect().top,
  );
  await rail.click();
  await page.getByRole('button', { name: 'Expand sidebar' }).click();
});
