import { describe, expect, test } from 'vitest';
import { breadcrumbs } from '../site/breadcrumbs.ts';
import { defineSite } from '../site/define.ts';
import { languageLinks } from '../site/language-links.ts';
import { locate } from '../site/locate.ts';
import { menuItems, siblingItems } from '../site/menus.ts';
import { closedDisclosures } from '../interaction/disclosures.ts';
import { englishWording as wording } from '../wording.ts';
import { barView, type BarViewOptions } from './bar-view.ts';
import { breadcrumbView, type BreadcrumbViewOptions } from './breadcrumb-view.ts';
import { filterView } from './filter-view.ts';
import { languagesView } from './languages-view.ts';
import { menuView } from './menu-view.ts';
import { sidebarView, type SidebarViewOptions } from './sidebar-view.ts';
import { stageView } from './stage-view.ts';
import { tabLinksView } from './tab-links-view.ts';
import type { ViewElement } from './view.ts';

/** What styles, scripts and browsers go by, and no test of behaviour notices while it is missing. */

const site = defineSite({
  name: 'Marram',
  home: 'today',
  languages: ['cy'],
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    {
      id: 'practical',
      label: 'Practical',
      entries: [
        { id: 'visit', label: 'Visit', href: '/visit', badge: '3' },
        { id: 'office', label: 'Tide office', href: 'https://tides.example/', opens: 'new-tab' },
      ],
    },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      entries: [
        { id: 'reedbed', label: 'Reedbed', href: '/hides/reedbed' },
        { id: 'lantern', label: 'Lantern', href: '/hides/lantern' },
      ],
    },
  ],
  menus: { main: ['today', { entry: 'practical', depth: 2 }, { entry: 'hides', depth: 2 }] },
});

/** The first element within a view that has this class among its own. */
function find(view: ViewElement<unknown> | null, name: string): ViewElement<unknown> {
  const search = (at: ViewElement<unknown>): ViewElement<unknown> | null => {
    if (at.attributes['class']?.split(' ').includes(name)) return at;
    for (const child of at.children) {
      const found = typeof child === 'string' || 'slot' in child ? null : search(child);
      if (found) return found;
    }
    return null;
  };
  const found = view && search(view);
  if (!found) throw new Error(`There is no "${name}".`);
  return found;
}

const bar = (options: Partial<BarViewOptions> = {}) =>
  barView({
    items: menuItems(site, 'main'),
    label: 'Main',
    panelId: 'bar',
    expanded: false,
    room: 40,
    brandHref: '/',
    brandText: 'Marram',
    slots: { brand: false, start: false, end: false, icon: false },
    wording,
    ...options,
  });

describe('a bar', () => {
  test('keeps what is closing from taking focus', () => {
    expect(find(bar({ closing: true }), 'ft-bar-panel').attributes).toHaveProperty('inert');
    expect(find(bar(), 'ft-bar-panel').attributes).not.toHaveProperty('inert');
    const panels = { ...closedDisclosures, closing: ['hides'] };
    const items = bar({ panels, items: menuItems(site, 'main').slice(2) });
    expect(find(items, 'ft-panel').attributes).toHaveProperty('inert');
  });

  test('says what its measures and styles go by', () => {
    const row = find(bar({ whenNarrow: 'more', beyond: ['hides'] }), 'ft-bar-row');
    expect(row.attributes).toMatchObject({ 'data-ft-row': '', 'data-ft-fit': 'some', 'data-ft-form': 'more' });
    expect(find(bar({ whenNarrow: 'more', beyond: [] }), 'ft-bar-row').attributes['data-ft-fit']).toBe('all');
    expect(find(bar(), 'ft-panel').attributes).toMatchObject({ 'data-ft-form': 'list', 'data-ft-label': 'Practical' });
  });
});

describe('breadcrumbs', () => {
  const position = locate(site, '/hides/reedbed');
  const view = (options: Partial<BreadcrumbViewOptions>) =>
    breadcrumbView(breadcrumbs(site, position), { wording, ...options });
  const { entry } = position;
  const siblings = { reedbed: entry ? siblingItems(site, entry, { position }) : [] };

  test('say what their measures and styles go by', () => {
    const slots = { icon: false, separator: true };
    expect(find(view({ revealed: true, slots }), 'ft-breadcrumbs').attributes).toMatchObject({
      'data-ft-revealed': '',
      'data-ft-separator': '',
    });
    expect(find(view({}), 'ft-breadcrumb-list').attributes).toHaveProperty('data-ft-row');
  });

  test('have a panel that its button names, and that takes no focus while it closes', () => {
    const closing = view({ siblings, panels: { ...closedDisclosures, closing: ['reedbed'] } });
    const { id, inert, 'data-ft-form': form } = find(closing, 'ft-panel').attributes;
    expect([id, inert, form]).toEqual([find(closing, 'ft-panel-trigger').attributes['aria-controls'], '', 'list']);
  });
});

test('a field that filters says what it is for, and leaves what is written as it is', () => {
  const view = filterView({ id: 'field', filtered: null, wording });
  expect(find(view, 'ft-filter-field').attributes).toMatchObject({
    placeholder: wording.filter,
    autocomplete: 'off',
    spellcheck: 'false',
  });
  const filtered = { count: 2, left: new Set(), ranges: new Map() } as never;
  expect(find(filterView({ id: 'field', filtered, wording }), 'ft-filter-status').attributes['data-ft-left']).toBe('2');
});

test('a link to another language says which one it leads to', () => {
  const links = languageLinks(site, locate(site, '/hides'), { cy: 'Cymraeg', en: 'English' });
  const hreflangs = find(languagesView(links, wording), 'ft-menu').children.map((item) => {
    return typeof item === 'string' || 'slot' in item ? null : find(item, 'ft-language').attributes['hreflang'];
  });
  expect(hreflangs).toEqual(['en', 'cy']);
});

describe('a menu', () => {
  const items = menuItems(site, 'main', { position: locate(site, '/visit') });

  test('says of a group without a page that the page is in it', () => {
    expect(find(menuView(items.slice(1), { wording }), 'ft-group-label').attributes['aria-current']).toBe('true');
  });

  test('opens another tab where that is asked for, and gives it no hold on this one', () => {
    const office = items[1]?.items[1];
    const link = find(menuView(office ? [office] : [], { wording }), 'ft-link');
    expect(link.attributes).toMatchObject({ target: '_blank', rel: 'noopener' });
    const visit = items[1]?.items[0];
    expect(find(menuView(visit ? [visit] : [], { wording }), 'ft-link').attributes).not.toHaveProperty('target');
  });

  test('draws a marker that says nothing', () => {
    const view = menuView(items.slice(0, 1), { wording, markers: { today: '#4a6332' } });
    expect(find(view, 'ft-marker').attributes).toMatchObject({ viewBox: '0 0 10 10', 'aria-hidden': 'true' });
  });

  test('shows a badge to eyes and says another to ears', () => {
    const [visit] = menuItems(site, 'main', { badges: { visit: { text: '3', spoken: '3 new' } } })[1]?.items ?? [];
    const view = menuView(visit ? [visit] : [], { wording });
    expect(find(view, 'ft-badge').attributes['aria-hidden']).toBe('true');
    expect(find(view, 'ft-visually-hidden').children).toEqual([' 3 new']);
  });
});

test('a group without a page says in a bar, too, that the page is in it', () => {
  const items = menuItems(site, 'main', { position: locate(site, '/visit') }).slice(1, 2);
  expect(find(bar({ items }), 'ft-panel-trigger').attributes['aria-current']).toBe('true');
});

test('the stage takes focus from a script, is where a skip link leads, and says that it waits', () => {
  expect(stageView({ busy: true }).attributes).toMatchObject({ id: 'main', tabindex: '-1', 'aria-busy': 'true' });
  const nested = stageView({ nested: true }).attributes;
  expect([nested['id'], nested['tabindex'], nested['aria-busy']]).toEqual([undefined, '-1', undefined]);
});

test('a strip of links says where its row is', () => {
  const view = tabLinksView({ items: [], label: 'Strip', fills: true, idPrefix: 'strip', icons: false, wording });
  expect(find(view, 'ft-tab-row').attributes).toHaveProperty('data-ft-row');
});

describe('a sidebar', () => {
  const items = menuItems(site, 'main');
  const sidebar = (closing: boolean, search: SidebarViewOptions['search'] = null, ids: readonly string[] = []) =>
    sidebarView({
      items: [items[2], { ...items[1], entry: null }] as SidebarViewOptions['items'],
      name: 'desk',
      label: 'Desk',
      idPrefix: 'side',
      tree: { open: new Set(), closing: new Set(ids) },
      expanded: false,
      closing,
      search,
      slots: { icon: false, start: false, foot: false },
      wording,
    });

  test('tells itself from others, and takes no focus while it closes', () => {
    expect(find(sidebar(false), 'ft-sidebar').attributes['data-ft-sidebar']).toBe('desk');
    expect(find(sidebar(true), 'ft-sidebar-panel').attributes).toHaveProperty('inert');
    expect(find(sidebar(false), 'ft-sidebar-panel').attributes).not.toHaveProperty('inert');
  });

  test('names its groups for those who remember them, and what closes in it takes no focus', () => {
    const view = sidebar(false, null, ['hides']);
    expect(find(view, 'ft-panel').attributes).toMatchObject({ 'data-ft-label': 'Hides', inert: '' });
    expect(find(view, 'ft-menu-item').attributes['data-ft-item']).toBe('hides');
  });

  test('hides a section of which a query leaves nothing', () => {
    const filtered = { count: 0, left: new Set(), ranges: new Map() } as never;
    const view = sidebar(false, { filtered });
    expect(find(view, 'ft-sidebar-navigation').attributes).toHaveProperty('data-ft-filtered');
    expect(find(view, 'ft-section').attributes).toHaveProperty('hidden');
    expect(find(sidebar(false, { filtered: null }), 'ft-section').attributes).not.toHaveProperty('hidden');
  });
});
