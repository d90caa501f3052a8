import { expect, test } from 'vitest';
import { cdp, page } from 'vitest/browser';
import { closedDisclosures, nextDisclosures } from '../core/interaction/disclosures.ts';
import { initialTabs } from '../core/interaction/tabs.ts';
import { memoryHistory } from '../core/router/memory-history.ts';
import { breadcrumbs } from '../core/site/breadcrumbs.ts';
import { defineSite } from '../core/site/define.ts';
import { locate } from '../core/site/locate.ts';
import { hasSiblings, menuItems, siblingItems } from '../core/site/menus.ts';
import { barView } from '../core/view/bar-view.ts';
import { breadcrumbView } from '../core/view/breadcrumb-view.ts';
import { sidebarView } from '../core/view/sidebar-view.ts';
import { tablistView, tabpanelView } from '../core/view/tabs-view.ts';
import type { ViewElement, ViewNode } from '../core/view/view.ts';
import { englishWording } from '../core/wording.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { Sidebar } from './sidebar.tsx';
import { Tablist, Tabpanel, Tabs } from './tabs.tsx';
import { Trail } from './trail.tsx';
import { deep, desk, nested } from '../testing/sites.ts';
import { mount, SampleApp } from './mount.samples.tsx';

/** What the DevTools protocol says of a node, as far as it matters here. */
interface AccessibleNode {
  readonly nodeId: string;
  readonly childIds?: readonly string[];
  readonly ignored: boolean;
  readonly role?: { readonly value: string };
  readonly name?: { readonly value: string };
  readonly properties?: readonly { readonly name: string; readonly value: { readonly value?: unknown } }[];
}

interface Protocol {
  send(method: 'Page.getFrameTree'): Promise<{ frameTree: { childFrames?: { frame: { id: string } }[] } }>;
  send(method: 'Accessibility.getFullAXTree', options: { frameId: string }): Promise<{ nodes: AccessibleNode[] }>;
}

const interesting = new Set([
  'banner',
  'navigation',
  'list',
  'listitem',
  'link',
  'button',
  'heading',
  'searchbox',
  'tablist',
  'tab',
  'tabpanel',
]);

/** The browser's own account of what is in such elements: roles, names and states, none of it written by us. */
async function browserSays(roots: readonly string[]): Promise<readonly string[]> {
  const protocol = cdp() as unknown as Protocol;
  const { frameTree } = await protocol.send('Page.getFrameTree');
  const frameId = frameTree.childFrames?.[0]?.frame.id ?? '';
  const { nodes } = await protocol.send('Accessibility.getFullAXTree', { frameId });
  const byId = new Map(nodes.map((node) => [node.nodeId, node]));
  const withBelow = (node: AccessibleNode): readonly AccessibleNode[] => {
    const below = (node.childIds ?? []).flatMap((id) => byId.get(id) ?? []);
    return [node, ...below.flatMap(withBelow)];
  };
  return nodes
    .filter((node) => roots.includes(node.role?.value ?? ''))
    .flatMap(withBelow)
    .filter((node) => !node.ignored && interesting.has(node.role?.value ?? ''))
    .map(({ role, name, properties = [] }) => {
      const value = (property: string) => properties.find((one) => one.name === property)?.value.value;
      const isNamed = role?.value !== 'list' && role?.value !== 'listitem';
      const states = [
        value('expanded') === undefined ? '' : value('expanded') === true ? 'expanded' : 'collapsed',
        // A tab that is not selected says so by saying nothing.
        value('selected') === true ? 'selected' : '',
      ];
      return [role?.value ?? '', isNamed ? (name?.value ?? '').trim() : '', ...states].filter(Boolean).join(' ');
    });
}

const roles: Readonly<Record<string, string>> = {
  ol: 'list',
  h2: 'heading',
  input: 'searchbox',
  header: 'banner',
  nav: 'navigation',
  ul: 'list',
  li: 'listitem',
  a: 'link',
  button: 'button',
};

function textOf(node: ViewNode<unknown>): string {
  if (typeof node === 'string') return node;
  if ('slot' in node || node.attributes['aria-hidden'] === 'true') return '';
  return node.children.map(textOf).join('');
}

/** What the view says, without what is closed or not for this width. */
function viewSays(view: ViewElement<unknown>, isHidden: (element: ViewElement<unknown>) => boolean): readonly string[] {
  const { tag, attributes, children } = view;
  if (isHidden(view) || 'hidden' in attributes || attributes['aria-hidden'] === 'true') return [];
  const role = attributes['role'] ?? roles[tag];
  const states = [
    attributes['aria-expanded'] === undefined ? '' : attributes['aria-expanded'] === 'true' ? 'expanded' : 'collapsed',
    attributes['aria-selected'] === 'true' ? 'selected' : '',
  ];
  const isNamed = role !== undefined && role !== 'list' && role !== 'listitem' && interesting.has(role);
  const name = attributes['aria-label'] ?? (isLeaf(role) ? textOf(view).trim() : nameOf(view));
  const own = role && interesting.has(role) ? [[role, isNamed ? name : '', ...states].filter(Boolean).join(' ')] : [];
  const within = children.flatMap((child, index) => {
    if (typeof child === 'string' || 'slot' in child) return [];
    const before = children[index - 1];
    const trigger = typeof before === 'object' && 'tag' in before ? before.attributes['aria-expanded'] : undefined;
    const isPanel = child.attributes['class'] === 'ft-panel';
    return isPanel && trigger === 'false' ? [] : viewSays(child, isHidden);
  });
  // The content of a link, a button or a tab is its name; a heading may hold a link.
  return isLeaf(role) && role !== 'heading' ? own : [...own, ...within];
}

function isLeaf(role: string | undefined): boolean {
  return role === 'link' || role === 'button' || role === 'tab' || role === 'heading';
}

/** Of what is named by another element, which the tests name alike. */
function nameOf({ tag, attributes }: ViewElement<unknown>): string {
  if (tag === 'input') return englishWording.filter;
  return attributes['aria-labelledby'] === undefined ? '' : (named[attributes['aria-labelledby']] ?? '');
}

/** By the ids of the elements that name them. */
const named: Readonly<Record<string, string>> = { 'x-annex-title': 'Spring', 'x-tab-sounds': 'Sounds' };

test.each([
  ['wide, closed', 1280, null],
  ['wide, with a panel open', 1280, 'hides'],
  ['narrow, closed', 320, null],
] as const)('the browser’s accessibility tree is what the view says: %s', async (_, width, open) => {
  await page.viewport(width, 800);
  mount(<SampleApp definition={nested} url="/hides/reedbed" />);
  await expect.element(page.getByRole('banner')).toBeVisible();
  if (open) await page.getByRole('button', { name: 'Pages in Hides' }).click();
  const site = defineSite(nested);
  const pressed =
    open === null ? closedDisclosures : nextDisclosures(closedDisclosures, { type: 'press', id: open }).state;
  const view = barView({
    items: menuItems(site, 'main', { position: locate(site, '/hides/reedbed') }),
    label: 'Main',
    panelId: 'x',
    expanded: false,
    panels: pressed,
    room: 36,
    brandHref: '/',
    brandText: 'Marram',
    slots: { brand: false, start: false, end: false, icon: false },
    wording: englishWording,
  });
  const isNarrow = width === 320;
  const expected = viewSays(view, ({ attributes }) => {
    return isNarrow ? attributes['class'] === 'ft-bar-panel' : attributes['class'] === 'ft-toggle';
  });
  expect(expected.length).toBeGreaterThan(isNarrow ? 3 : 8);
  await expect.poll(() => browserSays(['banner'])).toEqual(expected);
});

test.each([
  ['at rest', null],
  ['with an annex', 'spring'],
])('a sidebar’s tree is what the view says: %s', async (_, chosen) => {
  const site = defineSite(desk);
  mount(
    <Trail
      site={site}
      history={memoryHistory(chosen === null ? '/nets/reedbed/east' : '/nets/reedbed/east?annex=spring')}
    >
      <Sidebar menu="desk" search rail annex={['spring']} />
    </Trail>,
  );
  await expect.element(page.getByRole('link', { name: 'East ride' })).toBeVisible();
  const items = menuItems(site, 'desk', { position: locate(site, '/nets/reedbed/east') });
  const spring = items.flatMap((item) => item.items).find(({ label }) => label === 'Spring');
  const open = new Set(['nets', 'nets>reedbed']);
  const none = new Set<string>();
  const view = sidebarView({
    items,
    name: 'desk',
    label: 'Sidebar',
    idPrefix: 'x',
    tree: { open, closing: none },
    annexKeys: new Set(['spring']),
    annex:
      chosen !== null && spring
        ? {
            of: { item: spring, id: 'spring' },
            chosen,
            leaving: false,
            filter: { filtered: null },
            hasSlot: false,
            open,
            closing: none,
          }
        : null,
    search: { filtered: null },
    rail: 'full',
    expanded: false,
    closing: false,
    slots: { icon: false, start: false, foot: false },
    wording: englishWording,
  });
  const expected = viewSays(view, ({ attributes }) => {
    return /ft-sidebar-toggle|ft-sidebar-close|ft-monogram/u.test(attributes['class'] ?? '');
  });
  expect(expected.length).toBeGreaterThan(15);
  // All of the page is the sidebar.
  await expect.poll(() => browserSays(['RootWebArea'])).toEqual(expected);
});

test('tabs’ and breadcrumbs’ trees are what the views say', async () => {
  const site = defineSite(deep);
  const url = '/log/seasons/autumn';
  const tabs = [
    { id: 'overview', label: 'Overview' },
    { id: 'sounds', label: 'Sounds' },
  ];
  mount(
    <Trail site={site} url={url}>
      <Breadcrumbs siblings />
      <Tabs label="Curlew" tabs={tabs} initial="sounds">
        <Tablist />
        <Tabpanel id="overview">One</Tabpanel>
        <Tabpanel id="sounds">Two</Tabpanel>
      </Tabs>
    </Trail>,
  );
  await expect.element(page.getByText('Two')).toBeVisible();
  const position = locate(site, url);
  const steps = breadcrumbs(site, position);
  const way = breadcrumbView(steps, {
    wording: englishWording,
    siblings: Object.fromEntries(
      steps
        .filter(({ entry }) => hasSiblings(site, entry, {}))
        .map(({ entry }) => [entry.id, siblingItems(site, entry, { position })]),
    ),
  });
  const list = tablistView({
    tabs,
    state: initialTabs(tabs, 'sounds'),
    label: 'Curlew',
    idPrefix: 'x',
    orientation: 'horizontal',
    fills: false,
    icons: false,
    panels: ['overview', 'sounds'],
  });
  const panel = tabpanelView({ id: 'sounds', label: 'Sounds', selected: true, idPrefix: 'x' });
  const expected = [way, list, panel].flatMap((view) => (view ? viewSays(view, () => false) : []));
  expect(expected).toContain('tab Sounds selected');
  await expect.poll(() => browserSays(['RootWebArea'])).toEqual(expected);
});
