import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { beforeAll, expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { compileSite } from '../core/site/compile.ts';
import { defineSite } from '../core/site/define.ts';
import type { Site } from '../core/site/site.ts';
import { loadSite } from '../core/site/load.ts';
import { scriptedAttribute } from '../dom/scripted.ts';
import { mount } from './mount.samples.tsx';
import { Sidebar } from './sidebar.tsx';
import { Trail } from './trail.tsx';

function siteWith(groups: number, pages: number): Site {
  const entries = Array.from({ length: groups }, (_, group) => ({
    id: `g${group}`,
    label: `Drawer ${group}`,
    href: `/g${group}`,
    entries: Array.from({ length: pages }, (__, index) => ({
      id: `g${group}-p${index}`,
      label: `Sheet ${group}.${index}`,
      href: `/g${group}/p${index}`,
    })),
  }));
  const menus = { main: entries.map(({ id }) => ({ entry: id, depth: 2 })) };
  return loadSite(compileSite(defineSite({ name: 'Ringing log', entries, menus })));
}

let flat: Site;
let grouped: Site;
beforeAll(() => {
  flat = siteWith(1, 49_999);
  grouped = siteWith(500, 99);
});

const sidebar = (site: Site, url: string) => (
  <Trail site={site} history={memoryHistory(url)}>
    <Sidebar search />
  </Trail>
);
const navigation = page.getByRole('navigation', { name: 'Sidebar' });
const link = (name: string) => navigation.getByRole('link', { name, exact: true });
const linkCount = () => document.querySelectorAll('nav a').length;

test('a list of 50 000 is drawn in pieces: its beginning, and what is marked', async () => {
  mount(sidebar(flat, '/g0/p30050'));
  await expect.element(link('Sheet 0.30050')).toHaveAttribute('aria-current', 'page');
  await expect.element(link('Sheet 0.0')).toBeInTheDocument();
  expect(linkCount()).toBeLessThan(250);
  const gaps = [...document.querySelectorAll('.ft-list-more')].map(({ textContent }) => textContent);
  expect(gaps).toEqual(['Show more (29900 left)', 'Show more (19899 left)']);
});

test('its button shows the next piece, and focus goes to the first item of that', async () => {
  mount(sidebar(flat, '/g0'));
  await expect.element(link('Sheet 0.99')).toBeInTheDocument();
  const more = navigation.getByRole('button', { name: 'Show more (49899 left)' });
  (more.element() as HTMLElement).focus();
  await userEvent.keyboard('{Enter}');
  await expect.element(link('Sheet 0.100')).toHaveFocus();
  await expect.element(link('Sheet 0.199')).toBeInTheDocument();
  await expect.element(navigation.getByRole('button', { name: 'Show more (49799 left)' })).toBeInTheDocument();
});

test('all of it is searched, and what is found is shown up to a number, which is said', async () => {
  mount(sidebar(flat, '/g0'));
  await page.getByRole('searchbox').fill('sheet 0.4567');
  await expect.element(link('Sheet 0.45678')).toBeVisible();
  await expect.element(page.getByRole('status')).toHaveTextContent('11 pages match');
  await page.getByRole('searchbox').fill('sheet');
  await expect.element(page.getByRole('status')).toHaveTextContent('49999 pages match, the first 100 are shown');
  expect(linkCount()).toBeLessThan(250);
});

test('of 500 groups only those that are open hold anything, and each opens in place', async () => {
  mount(sidebar(grouped, '/g0/p5'));
  await expect.element(link('Sheet 0.5')).toBeVisible();
  expect(linkCount()).toBeLessThan(250);
  await navigation.getByRole('button', { name: 'Pages in Drawer 7', exact: true }).click();
  await expect.element(link('Sheet 7.98')).toBeInTheDocument();
  await navigation.getByRole('button', { name: 'Pages in Drawer 7', exact: true }).click();
  await expect.element(link('Sheet 7.98')).not.toBeInTheDocument();
});

test('it is hydrated as it was rendered, and without scripts there is no dead button', async () => {
  const app = sidebar(flat, '/g0/p30050');
  const printed = document.createElement('div');
  document.documentElement.removeAttribute(scriptedAttribute);
  printed.innerHTML = renderToString(app);
  document.body.prepend(printed);
  expect([...printed.querySelectorAll('button')].filter((button) => button.checkVisibility())).toEqual([]);
  const before = printed.querySelector('[aria-current=page]');
  const root = hydrateRoot(printed, app);
  await expect.poll(() => printed.querySelector('[data-ft-settled]')).not.toBe(null);
  expect(printed.querySelector('[aria-current=page]')).toBe(before);
  root.unmount();
  printed.remove();
});
