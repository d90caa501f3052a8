import { expect, test } from 'vitest';
import { cdp, page } from 'vitest/browser';
import {
  barView,
  closedDisclosures,
  defineSite,
  englishWording,
  locate,
  menuItems,
  nextDisclosures,
  type ViewElement,
  type ViewNode,
} from '../core/index.ts';
import { nested } from '../testing/sites.ts';
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

const interesting = new Set(['banner', 'navigation', 'list', 'listitem', 'link', 'button']);

/** The browser's own account of the bar: roles, names and states, none of it written by us. */
async function browserSays(): Promise<readonly string[]> {
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
    .filter((node) => node.role?.value === 'banner')
    .flatMap(withBelow)
    .filter((node) => !node.ignored && interesting.has(node.role?.value ?? ''))
    .map(({ role, name, properties = [] }) => {
      const value = (property: string) => properties.find((one) => one.name === property)?.value.value;
      const isNamed = role?.value !== 'list' && role?.value !== 'listitem';
      return line(role?.value ?? '', isNamed ? (name?.value ?? '') : '', value('expanded') as boolean | undefined);
    });
}

function line(role: string, name: string, expanded: boolean | undefined): string {
  return [role, name, expanded === undefined ? '' : expanded ? 'expanded' : 'collapsed'].filter(Boolean).join(' ');
}

const roles: Readonly<Record<string, string>> = {
  header: 'banner',
  nav: 'navigation',
  ul: 'list',
  li: 'listitem',
  a: 'link',
  button: 'button',
};

function textOf(node: ViewNode): string {
  if (typeof node === 'string') return node;
  if ('slot' in node || node.attributes['aria-hidden'] === 'true') return '';
  return node.children.map(textOf).join('');
}

/** What the view says, without what is closed. */
function viewSays(view: ViewElement, isNarrow: boolean): readonly string[] {
  const { tag, attributes, children } = view;
  if (attributes['class'] === 'ft-toggle' && !isNarrow) return [];
  const role = roles[tag];
  const expanded = attributes['aria-expanded'];
  const isNamed = tag === 'nav' || tag === 'a' || tag === 'button';
  const name = isNamed ? (attributes['aria-label'] ?? (tag === 'nav' ? '' : textOf(view).trim())) : '';
  const own = role ? [line(role, name, expanded === undefined ? undefined : expanded === 'true')] : [];
  const within = children.flatMap((child, index) => {
    if (typeof child === 'string' || 'slot' in child) return [];
    const before = children[index - 1];
    const trigger = typeof before === 'object' && 'tag' in before ? before.attributes['aria-expanded'] : undefined;
    const isPanel =
      child.attributes['class'] === 'ft-panel' || (child.attributes['class'] === 'ft-bar-panel' && isNarrow);
    return isPanel && trigger === 'false' ? [] : viewSays(child, isNarrow);
  });
  // A link's or a button's content is its name.
  return tag === 'a' || tag === 'button' ? own : [...own, ...within];
}

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
  const expected = viewSays(view, isNarrow);
  expect(expected.length).toBeGreaterThan(isNarrow ? 3 : 8);
  await expect.poll(browserSays).toEqual(expected);
});
