import { expect, test } from 'vitest';
import { closedDisclosures } from '../interaction/disclosures.ts';
import { breadcrumbs } from '../site/breadcrumbs.ts';
import { defineSite } from '../site/define.ts';
import { locate } from '../site/locate.ts';
import { menuItems } from '../site/menus.ts';
import { englishWording as wording } from '../wording.ts';
import { barView } from './bar-view.ts';
import { breadcrumbView } from './breadcrumb-view.ts';
import { footerView } from './footer-view.ts';
import { sidebarView } from './sidebar-view.ts';
import type { ViewElement, ViewNode } from './view.ts';

/** An entry with everything that can stand in one link: icon, summary, badge, new tab. */
const full = (id: string) => ({
  id,
  label: `Label ${id}`,
  href: `https://tides.example/${id}`,
  summary: 'A line that says more',
  badge: '3',
  icon: 'waves',
  opens: 'new-tab' as const,
});

const site = defineSite({
  name: 'Marram',
  entries: [
    { id: 'today', label: 'Today', href: '/', entries: [full('a'), full('b')] },
    { id: 'hides', label: 'Hides', href: '/hides', summary: 'Where to sit', entries: [full('c')] },
  ],
  menus: { main: [{ entry: 'today', depth: 2 }, { divider: true }, { entry: 'hides', depth: 2 }, { divider: true }] },
});

const items = menuItems(site, 'main', { badges: { a: { text: '4', spoken: '4 new' } } });
const slots = { brand: true, start: true, end: true, icon: true, foot: true, form: true };

/** Every list of siblings in which two nodes have one key, as the path to it. */
function repeatedKeys(view: ViewElement<unknown>, path = view.tag): string[] {
  const keys = view.children.map(keyOf);
  const repeated = keys.filter((key, index) => keys.indexOf(key) !== index);
  const below = view.children.flatMap((child) =>
    typeof child === 'string' || 'slot' in child ? [] : repeatedKeys(child, `${path} > ${child.key}`),
  );
  return [...repeated.map((key) => `${path} > ${key}`), ...below];
}

function keyOf(node: ViewNode<unknown>): string {
  if (typeof node === 'string') return `text ${node}`;
  return 'slot' in node ? `slot ${node.slot}` : node.key;
}

const label = 'Main';
const bar = barView({
  items,
  label,
  panelId: 'bar',
  expanded: true,
  room: 40,
  brandHref: '/',
  brandText: 'Marram',
  panels: { ...closedDisclosures, open: ['today'] },
  panelForms: 'rich',
  slots,
  wording,
});
const tree = { open: new Set(['today']), closing: new Set<string>(), markers: { a: 'red' } };
const sidebar = sidebarView({
  items,
  name: 'main',
  label,
  idPrefix: 'side',
  tree,
  annexKeys: new Set(),
  annexParameter: 'annex',
  annex: null,
  headingLevel: 2,
  search: { filtered: null },
  rail: 'narrow',
  whenNarrow: 'cover',
  alwaysToggle: false,
  expanded: true,
  closing: false,
  covers: true,
  slots,
  wording,
});
const position = locate(site, '/hides');
const steps = breadcrumbs(site, position);
const siblings = { hides: items };

test.each<[string, ViewElement<unknown> | null]>([
  ['bar', bar],
  ['sidebar', sidebar],
  ['footer', footerView({ items, label, idPrefix: 'foot', headingLevel: 2, iconsOnly: false, slots, wording })],
  ['breadcrumb trail', breadcrumbView(steps, { siblings, slots: { icon: true, separator: true }, wording })],
])('siblings in a %s have keys of their own', (_, view) => {
  expect(view && repeatedKeys(view)).toEqual([]);
});
