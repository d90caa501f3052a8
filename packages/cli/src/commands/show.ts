import {
  breadcrumbs,
  locate,
  type MenuItem,
  menuItems,
  type Position,
  type DefinedSite,
  type SiteRecords,
} from 'fair-trail';
import { unknownPosition } from 'fair-trail/internal/core';

/** What `fair-trail show` answers; its JSON output is exactly this. */
export interface SiteAnswer {
  /** The address asked about, as given; null if none was. */
  readonly url: string | null;
  readonly entry: string | null;
  readonly status: Position['status'];
  readonly params: Readonly<Record<string, string>>;
  readonly path: readonly string[];
  readonly menus: Readonly<Record<string, readonly SiteAnswerItem[]>>;
  readonly breadcrumbs: readonly { readonly label: string; readonly href: string | null; readonly current: boolean }[];
}

export interface SiteAnswerItem {
  /** Null for a group that exists only in the menu. */
  readonly entry: string | null;
  readonly label: string;
  readonly href: string | null;
  readonly mark: MenuItem['mark'];
  readonly items: readonly SiteAnswerItem[];
  /** For what is neither a link nor a group: an action, a divider, or the state of records. */
  readonly kind?: MenuItem['kind'];
  /** For an action: the name that the app gets. */
  readonly action?: string;
}

export interface ShowQuestion {
  readonly url: string | null;
  /** Only this menu; null for all. */
  readonly menu: string | null;
  readonly audience: readonly string[];
  readonly records: SiteRecords;
}

export function show(site: DefinedSite, { url, menu, audience, records }: ShowQuestion): SiteAnswer {
  const position = url === null ? unknownPosition(site) : locate(site, url);
  const names = menu === null ? [...site.menus.keys()] : [menu];
  const menus = names.map(
    (name) => [name, menuItems(site, name, { position, audience, records }).map(showItem)] as const,
  );
  const steps = url === null ? [] : breadcrumbs(site, position, records);
  return {
    url,
    entry: position.entry?.id ?? null,
    status: position.status,
    params: position.params,
    path: position.path.map(({ id }) => id),
    menus: Object.fromEntries(menus),
    breadcrumbs: steps.map(({ label, href, current }) => ({ label, href, current })),
  };
}

function showItem({ kind, entry, action, label, href, mark, items }: MenuItem): SiteAnswerItem {
  const isPlain = kind === 'link' || kind === 'group';
  const item = { entry: entry?.id ?? null, label, href, mark, items: items.map(showItem) };
  return isPlain ? item : { ...item, kind, ...(action !== null && { action }) };
}
