import type { Entry } from '../core/site/entry.ts';
import { noDetails } from '../core/site/field-table.ts';
import type { PathnameMatch } from '../core/site/match.ts';
import { SiteEntry } from '../core/site/site-entry.ts';
import type { MenuNode, Site } from '../core/site/site.ts';

/** An item of a list of links. */
export interface ListEntry {
  readonly id: string;
  readonly label: string;
  /** How the address is written; null for what cannot be followed. */
  readonly href: string | null;
  /** What the address is found by, in the form of `pagePath`; null for one of another site, or that stands twice. */
  readonly path: string | null;
  /** Whether it keeps its place although it can neither be followed nor opened. */
  readonly isPlain: boolean;
  readonly entries: readonly ListEntry[];
}

/** As a page that does not exist yet: its item is there, and leads nowhere. */
const plainDetails = { ...noDetails, planned: true };

/** Lists within lists beyond this are no menu. */
const deepest = 16;

/**
 * A site made of a list of links, with the menu `main`. Its addresses are as they are written, without params, so that it
 * needs neither the checks nor the matching of a site file.
 */
export function listSite(list: readonly ListEntry[], language: string): Site {
  const byId = new Map<string, Entry>();
  const byPath = new Map<string, Entry>();
  const add = ({ id, label, href, path, isPlain, entries }: ListEntry, parent: Entry | null, index: number): Entry => {
    const below: Entry[] = [];
    const entry = SiteEntry.create(
      {
        id,
        label,
        labels: { [language]: label },
        href,
        hrefs: href === null ? null : { [language]: href },
        outside: href !== null && path === null,
        templates: href === null || path === null ? {} : { [language]: [href] },
        isRoot: path === '/',
        paramNames: [],
        audiences: [],
        parent,
        entries: below,
        index,
      },
      isPlain ? plainDetails : noDetails,
    );
    byId.set(id, entry);
    if (path !== null) byPath.set(path, entry);
    entries.forEach((one, place) => below.push(add(one, entry, place)));
    return entry;
  };
  const entries = list.map((one, index) => add(one, null, index));
  const paths = [...byPath.keys()];
  // The page that lies above all others: breadcrumbs begin with it.
  const home = paths.find((path) => paths.every((other) => other === path || isBelow(other, path)));
  const main = entries.map((entry): MenuNode => ({ kind: 'entry', entry, depth: deepest, params: {} }));
  return {
    name: '',
    names: { [language]: '' },
    origin: null,
    language,
    languages: [language],
    titles: { [language]: '{label}' },
    audiences: null,
    base: '',
    caseSensitive: true,
    home: byPath.get(home ?? '') ?? null,
    entries,
    menus: new Map(entries.length > 0 ? [['main', main]] : []),
    entry: (id) => byId.get(id),
    find: (pathname): PathnameMatch => {
      const own = pagePath(pathname);
      // An address that is not in the list is inside the nearest that is above it, but for the page above all.
      for (let path = own; path !== '' && path !== '/'; path = path.slice(0, path.lastIndexOf('/'))) {
        const entry = byPath.get(path);
        if (!entry || (path === home && path !== own)) continue;
        return { language, match: { entry, params: {}, exact: path === own, moved: false } };
      }
      const root = own === '/' ? byPath.get('/') : undefined;
      return { language, match: root ? { entry: root, params: {}, exact: true, moved: false } : null };
    },
  };
}

/** A pathname without what servers leave out of it: `/hides/index.html` is `/hides`, and so is `/hides.html`. */
export function pagePath(pathname: string): string {
  const path = decoded(pathname)
    .replace(/\/{2,}/gu, '/')
    .replace(/(?:\/index)?\.html?$/iu, '')
    .replace(/\/$/u, '');
  return path === '' ? '/' : path;
}

function isBelow(path: string, other: string): boolean {
  return path.startsWith(other === '/' ? other : `${other}/`);
}

function decoded(pathname: string): string {
  try {
    return decodeURI(pathname);
  } catch {
    // It is no text, and is compared as it is written.
    return pathname;
  }
}
