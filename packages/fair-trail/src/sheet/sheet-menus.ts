import type { MenuNode, DefinedSite } from '../core/site/site.ts';
import type { SheetMenus } from './sheet-context.ts';

/**
 * Which menu a site is likely to mean for which component, for whom nothing else was said: the one of that name; else for a
 * sidebar the deepest of the rest, and for a strip the flattest.
 *
 * @param isShown whether a menu has anything for this visitor
 */
export function menusOf(
  site: DefinedSite,
  isShown: (menu: string) => boolean = () => true,
  given: Partial<SheetMenus> = {},
): SheetMenus {
  const names = [...site.menus.keys()].filter(isShown);
  const has = (name: string) => (names.includes(name) ? name : undefined);
  const bar = given.bar ?? has('main') ?? names[0] ?? 'main';
  const footer = given.footer ?? has('footer') ?? bar;
  const others = names.filter((name) => name !== bar && name !== footer);
  const byDepth = others.toSorted((one, other) => depthOf(site, other) - depthOf(site, one));
  return {
    bar,
    footer,
    sidebar: given.sidebar ?? has('sidebar') ?? byDepth[0] ?? bar,
    strip: given.strip ?? byDepth.at(-1) ?? bar,
  };
}

function depthOf(site: DefinedSite, menu: string): number {
  return levels(site.menus.get(menu) ?? []);
}

function levels(nodes: readonly MenuNode[]): number {
  const below = nodes.map((node) => {
    if (node.kind === 'divider' || node.kind === 'action') return 0;
    return node.kind === 'entry' ? node.depth : levels(node.nodes) + (node.kind === 'group' ? 1 : 0);
  });
  return Math.max(0, ...below);
}
