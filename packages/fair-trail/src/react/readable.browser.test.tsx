import type { ReactNode } from 'react';
import { afterEach, expect, test } from 'vitest';
import { cdp, page } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { FooterNav } from './footer-nav.tsx';
import { LanguageLinks } from './language-links.tsx';
import { Layout } from './layout.tsx';
import { Navbar } from './navbar.tsx';
import { Notice } from './notice.tsx';
import { Sidebar } from './sidebar.tsx';
import { SkipLink } from './skip-link.tsx';
import { Stage } from './stage.tsx';
import { TabLinks } from './tab-links.tsx';
import { Tablist, Tabpanel, Tabs } from './tabs.tsx';
import { Trail } from './trail.tsx';
import { contrast, type Color } from '../core/color/color.ts';
import { mount } from './mount.samples.tsx';

/** An app with no line of style of its own: every text can be read, whatever the system and the page look like. */

const site = defineSite({
  name: 'Marram',
  language: 'en',
  languages: ['cy'],
  home: 'today',
  entries: [
    { id: 'today', label: 'Today', href: '/', badge: '3' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      entries: [{ id: 'reedbed', label: 'Reedbed', href: '/hides/reedbed', summary: 'Bitterns, if you wait' }],
    },
    { id: 'office', label: 'Tide office', href: 'https://tides.example/', opens: 'new-tab' },
  ],
  menus: {
    main: ['today', { entry: 'hides', depth: 2 }, 'office'],
    side: [{ label: 'Watch', entries: ['today', { entry: 'hides', depth: 2 }] }],
    footer: [{ label: 'Watch', entries: ['today', 'hides'] }, 'office'],
  },
});

const tabs = [
  { id: 'one', label: 'One' },
  { id: 'two', label: 'Two', disabled: true },
];
const plainLink = <a href="/hides">Plain link</a>;

function BareApp(): ReactNode {
  return (
    <Trail site={site} url="/hides/reedbed">
      <SkipLink />
      <Layout
        notice={<Notice name="bare">High water at noon. {plainLink}</Notice>}
        bar={
          <Navbar
            start={plainLink}
            end={
              <>
                {plainLink}
                <a href="/hides" data-ft-button="primary">
                  Primary
                </a>
                <button data-ft-button="plain">Plain</button>
                <button data-ft-button="primary" disabled>
                  Disabled
                </button>
                <input aria-label="Field" defaultValue="In a field" />
              </>
            }
            held="hides"
          />
        }
        sidebar={<Sidebar menu="side" search start={plainLink} foot={plainLink} />}
        footer={<FooterNav form={plainLink} foot="Small print" />}
      >
        <Breadcrumbs />
        <TabLinks menu="main" label="Pages" />
        <Tabs tabs={tabs} label="Parts">
          <Tablist />
          <Tabpanel id="one">Text of the app {plainLink}</Tabpanel>
          <Tabpanel id="two">Other text</Tabpanel>
        </Tabs>
        <LanguageLinks />
        <Stage />
      </Layout>
    </Trail>
  );
}

interface Protocol {
  send(method: string, parameters: unknown): Promise<unknown>;
}

async function emulate(features: Readonly<Record<string, string>>): Promise<void> {
  const media = Object.entries(features).map(([name, value]) => ({ name, value }));
  await (cdp() as unknown as Protocol).send('Emulation.setEmulatedMedia', { features: media });
}

const root = document.documentElement;
const attributes = ['data-ft-page', 'data-ft-theme', 'data-ft-scheme'];

afterEach(async () => {
  for (const name of attributes) root.removeAttribute(name);
  await emulate({ 'prefers-color-scheme': '', 'forced-colors': '' });
});

const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true });

/** The color of a CSS value over a ground, as the browser itself paints it. */
function painted(value: string, ground: Color): Color {
  if (!canvas) throw new Error('There is no canvas.');
  const { red, green, blue } = ground;
  canvas.fillStyle = `rgb(${red * 255} ${green * 255} ${blue * 255})`;
  canvas.fillRect(0, 0, 1, 1);
  canvas.fillStyle = value;
  canvas.fillRect(0, 0, 1, 1);
  const [r = 0, g = 0, b = 0] = canvas.getImageData(0, 0, 1, 1).data;
  return { red: r / 255, green: g / 255, blue: b / 255 };
}

/** What is painted behind an element, from the canvas of the page upwards. */
function groundOf(element: Element): Color {
  const { backgroundColor } = getComputedStyle(element);
  const before = getComputedStyle(element, '::before');
  const isBoard = element.getAttribute('data-ft-button') === 'primary' && before.display !== 'none';
  const ground = element.parentElement ? groundOf(element.parentElement) : pageColor();
  const own = painted(backgroundColor, ground);
  return isBoard ? painted(before.backgroundColor, own) : own;
}

/** The color that the browser gives a page that paints nothing. */
function pageColor(): Color {
  const probe = document.createElement('div');
  probe.style.backgroundColor = 'Canvas';
  root.append(probe);
  const { backgroundColor } = getComputedStyle(probe);
  probe.remove();
  return painted(backgroundColor, { red: 1, green: 1, blue: 1 });
}

/** The visible texts with less contrast than level AA asks of them (WCAG 2.2, 1.4.3), and how many were read. */
function unreadable(): { readonly found: readonly string[]; readonly read: number } {
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const found: string[] = [];
  let read = 0;
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement;
    const text = node.textContent?.trim();
    if (!element || !text || element.closest('script, style')) continue;
    if (!element.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
    read += 1;
    const ground = groundOf(element);
    const ratio = contrast(painted(getComputedStyle(element).color, ground), ground);
    if (ratio < 4.5) found.push(`${element.className || element.localName} “${text}” ${ratio.toFixed(2)}`);
  }
  return { found, read };
}

const themes = [null, 'estuary'] as const;
const grounds = ['plain', 'following'] as const;
const conditions = [
  { 'prefers-color-scheme': 'light' },
  { 'prefers-color-scheme': 'dark' },
  { 'prefers-color-scheme': 'dark', 'forced-colors': 'active' },
];
const cases = themes.flatMap((theme) =>
  grounds.flatMap((ground) => conditions.map((features) => ({ theme, ground, features }))),
);

test.each(cases)('theme $theme, $ground page, $features', async ({ theme, ground, features }) => {
  if (theme) root.dataset['ftTheme'] = theme;
  if (ground === 'following') root.dataset['ftPage'] = '';
  await emulate(features);
  mount(<BareApp />);
  await expect.element(page.getByRole('link', { name: 'Skip to content' })).toBeInTheDocument();
  await expect.element(page.getByRole('link', { name: 'Reedbed' }).first()).toBeVisible();
  const { found, read } = unreadable();
  expect(read).toBeGreaterThan(25);
  expect(found).toEqual([]);
});

test.each(['light', 'dark'])('a scheme that the app fixes holds against the system: %s', async (scheme) => {
  root.dataset['ftScheme'] = scheme;
  root.dataset['ftPage'] = '';
  await emulate({ 'prefers-color-scheme': scheme === 'light' ? 'dark' : 'light' });
  mount(<BareApp />);
  await expect.element(page.getByRole('link', { name: 'Reedbed' }).first()).toBeVisible();
  expect(getComputedStyle(root).colorScheme).toBe(scheme);
  expect(unreadable().found).toEqual([]);
});

test('a page that follows is painted as the components are, to the window’s edge', async () => {
  root.dataset['ftPage'] = '';
  await emulate({ 'prefers-color-scheme': 'dark' });
  mount(<BareApp />);
  await expect.element(page.getByRole('link', { name: 'Reedbed' }).first()).toBeVisible();
  const breadcrumbs = document.querySelector('.ft-breadcrumbs');
  expect(breadcrumbs && getComputedStyle(breadcrumbs).backgroundColor).toBe(getComputedStyle(root).backgroundColor);
  expect(document.querySelector('.ft-bar')?.getBoundingClientRect().left).toBe(0);
});
