import { breadcrumbs } from '../core/site/breadcrumbs.ts';
import { mayAccess } from '../core/site/entry.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import { locate, type Position } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import type { Visit } from '../core/site/menus.ts';
import { everyEntry } from '../core/site/site.ts';
import { barTable, panelTable, type SpecimenSource } from './specimens-bar.ts';
import { breadcrumbsTable, footerTable, pageTable, tabLinksTable, tabsTable } from './specimens-page.ts';
import { sidebarTable } from './specimens-sidebar.ts';
import type { SheetMenus } from './sheet-context.ts';
import type { SpecimenTable } from './specimen.ts';

type MenuItems = Readonly<Record<keyof SheetMenus, readonly MenuItem[]>>;

interface More {
  readonly annex: readonly string[];
  readonly visit: Visit & { readonly position: Position };
}

/** All tables of a sheet. What a site has no use for, such as links to languages if there is one, has none. */
export function stateTables(
  source: SpecimenSource,
  items: MenuItems,
  { annex, visit }: More,
): readonly SpecimenTable[] {
  const { site } = source;
  const position = withSteps(source, visit);
  const steps = breadcrumbs(site, position, visit.records);
  const tables = [
    barTable(items.bar, source),
    panelTable(items.bar, source),
    sidebarTable(items.sidebar, { ...source, annex }),
    tabsTable(items.strip, source),
    tabLinksTable(items.strip, source),
    breadcrumbsTable(steps, site, { ...visit, position }, source),
    footerTable(items.footer, source),
    pageTable(site, visit.position, source),
  ];
  return tables.filter((table) => table !== null);
}

/** The position, or the deepest page of the site if there is no way to it. */
function withSteps(
  { site }: SpecimenSource,
  { position, audience = [], language = site.language }: More['visit'],
): Position {
  if (position.path.length > 0 && position.entry !== site.home) return position;
  let deepest: { readonly href: string; readonly depth: number } | null = null;
  for (const entry of everyEntry(site.entries)) {
    const href = hrefOf(site, entry, {}, language);
    if (href?.startsWith('/') !== true || mayAccess(entry, audience) !== true) continue;
    const depth = locate(site, href).path.length;
    if (depth > (deepest?.depth ?? 0)) deepest = { href, depth };
  }
  return deepest ? locate(site, deepest.href) : position;
}
