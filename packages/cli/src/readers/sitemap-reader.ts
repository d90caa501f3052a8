import { existsSync } from 'node:fs';
import path from 'node:path';
import { Failure } from '../failure.ts';
import { readText } from '../input/read-file.ts';
import { printable } from '../printable.ts';
import { labelFromPath, literalPath, type Draft, type DraftPage } from './draft.ts';
import { readXml } from './xml.ts';

/** Reads a sitemap of the sitemaps.org protocol, packed or not, or an index with its sitemaps beside it. */
export function readSitemap(file: string): Draft {
  const guesses: string[] = [];
  const addresses = readAddresses(file, guesses, false);
  if (addresses.length === 0) {
    throw new Failure('nothing-found', `${printable(file)} has no addresses: no <url> with a <loc> is in it.`);
  }
  return draftFromAddresses(addresses, guesses);
}

function readAddresses(file: string, guesses: string[], isPart: boolean): string[] {
  const { root, locations } = readLocations(readText(file), printable(file));
  if (root === 'urlset') return locations;
  if (root !== 'sitemapindex' || isPart) {
    throw new Failure('nothing-found', `${printable(file)} is no sitemap: its root element is <${printable(root)}>.`);
  }
  return locations.flatMap((location) => {
    // Nothing is fetched: the parts of an index are looked for where they lie beside it.
    const name = path.basename(new URL(location, 'https://site.invalid/').pathname);
    const part = path.join(path.dirname(file), name);
    if (existsSync(part)) return readAddresses(part, guesses, true);
    throw new Failure(
      'file-missing',
      `${printable(file)} names "${printable(name)}", which is not beside it. Put it there.`,
    );
  });
}

function readLocations(text: string, file: string): { root: string; locations: string[] } {
  let root = '';
  let parent = '';
  let location: string | null = null;
  const locations: string[] = [];
  readXml(text, file, {
    open(name) {
      root ||= name;
      if (name === 'loc' && (parent === 'url' || parent === 'sitemap')) location = '';
      // Other elements called "loc", such as an image's, are within elements of their own.
      if (name !== 'loc') parent = name;
    },
    text(part) {
      if (location !== null) location += part;
    },
    close(name) {
      if (name === 'loc' && location !== null) {
        if (location.trim()) locations.push(location.trim());
        location = null;
      } else if (name === 'url' || name === 'sitemap') parent = '';
      else if (name !== 'loc') parent = root === 'urlset' ? 'url' : 'sitemap';
    },
  });
  return { root, locations };
}

function parseAddress(address: string): URL | null {
  try {
    return new URL(address);
  } catch {
    return null;
  }
}

/** A tree by the segments of the paths, with labels made of their words. */
export function draftFromAddresses(addresses: readonly string[], guesses: string[]): Draft {
  const urls = addresses.flatMap((address) => {
    const url = parseAddress(address);
    if (url?.protocol === 'https:' || url?.protocol === 'http:') return [url];
    guesses.push(`Left out "${printable(address)}": it is no http or https address.`);
    return [];
  });
  const origin = mostCommon(urls.map((url) => url.origin));
  const nodes = new Map<string, DraftPage>();
  const top: DraftPage[] = [];

  /** The page of a path without slashes around it; those above it come into being with it. */
  const nodeAt = (key: string): DraftPage => {
    const known = nodes.get(key);
    if (known) return known;
    const slash = key.lastIndexOf('/');
    const page: DraftPage = { label: labelFromPath(key.slice(slash + 1)), href: null, pages: [] };
    nodes.set(key, page);
    const siblings = slash < 0 ? top : nodeAt(key.slice(0, slash)).pages;
    siblings.push(page);
    return page;
  };

  for (const url of urls) {
    if (url.origin !== origin) {
      guesses.push(`Left out "${printable(url.href)}": it is not on ${origin ?? 'the site'}.`);
      continue;
    }
    const { pathname, search } = url;
    const page = nodeAt(pathname.replace(/^\/+|\/+$/gu, '').replace(/\/{2,}/gu, '/'));
    if (search) guesses.push(`Left the query out of "${printable(pathname + search)}".`);
    page.href ??= literalPath(pathname);
  }
  for (const [key, page] of nodes) guesses.push(`The label "${page.label}" of /${key} is made from its address.`);
  for (const [key, { href }] of nodes) {
    if (href !== null) continue;
    guesses.push(`/${key} is a group without a page: pages lie below it, and it is no address itself.`);
  }
  top.sort((one, other) => Number(other.href === '/') - Number(one.href === '/'));
  return { name: nameFromOrigin(origin), origin, language: null, pages: top, menus: [], guesses };
}

export function nameFromOrigin(origin: string | null): string {
  return origin === null ? 'Site' : labelFromPath(new URL(origin).hostname.replace(/^www\./u, '').split('.')[0] ?? '');
}

export function mostCommon<Value>(values: readonly Value[]): Value | null {
  const counts = new Map<Value, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  let best: Value | null = null;
  for (const [value, count] of counts) if (best === null || count > (counts.get(best) ?? 0)) best = value;
  return best;
}
