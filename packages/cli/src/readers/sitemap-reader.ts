import path from 'node:path';
import { decodeSegment } from 'fair-trail/internal/core';
import { Failure } from '../failure.ts';
import { kindOf, readText } from '../input/read-file.ts';
import { printable } from '../printable.ts';
import { labelFromPath, literalPath, type Draft, type DraftPage } from './draft.ts';
import { readXml } from './xml.ts';

/** As deep as a site may be. */
const mostSegments = 32;

/** Reads a sitemap of the sitemaps.org protocol, packed or not, or an index with its sitemaps beside it. */
export function readSitemap(file: string): Draft {
  const leftOut: string[] = [];
  const addresses = readAddresses(file, leftOut, false);
  if (addresses.length === 0) {
    throw new Failure('nothing-found', `${printable(file)} has no addresses: no <url> with a <loc> is in it.`);
  }
  const draft = draftFromAddresses(addresses, leftOut);
  if (draft.pages.length > 0) return draft;
  throw new Failure('nothing-found', `${printable(file)} has no address that a site could have: ${leftOut[0] ?? ''}`);
}

function readAddresses(file: string, leftOut: string[], isPart: boolean): string[] {
  const { root, locations } = readLocations(readText(file), printable(file));
  if (root === 'urlset') return locations;
  if (root !== 'sitemapindex' || isPart) {
    throw new Failure('nothing-found', `${printable(file)} is no sitemap: its root element is <${printable(root)}>.`);
  }
  return locations.flatMap((location) => {
    const name = partName(location);
    if (name === '') {
      leftOut.push(`the part "${printable(location)}": it is no address of a file.`);
      return [];
    }
    // Nothing is fetched: the parts of an index are looked for where they lie beside it.
    const part = path.join(path.dirname(file), name);
    if (kindOf(part) === 'file') return readAddresses(part, leftOut, true);
    throw new Failure(
      'file-missing',
      `${printable(file)} names "${printable(name)}", which is not beside it. Put it there.`,
    );
  });
}

/** The name of a part's file, and never the way to another folder. */
function partName(location: string): string {
  const base = 'https://site.invalid/';
  if (!URL.canParse(location, base)) return '';
  return path.basename(decodeSegment(path.basename(new URL(location, base).pathname)));
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
export function draftFromAddresses(addresses: readonly string[], leftOut: string[]): Draft {
  const guesses: string[] = [];
  const urls = addresses.flatMap((address) => {
    const url = parseAddress(address);
    if (url?.protocol === 'https:' || url?.protocol === 'http:') return [url];
    leftOut.push(`"${printable(address)}": it is no http or https address.`);
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
      leftOut.push(`"${printable(url.href)}": it is not on ${origin ?? 'the site'}.`);
      continue;
    }
    const { pathname, search } = url;
    const steps = pathname.split('/').filter(Boolean);
    if (steps.length > mostSegments) {
      leftOut.push(`"${printable(url.href.slice(0, 80))}…": it has more than ${mostSegments} segments.`);
      continue;
    }
    const page = nodeAt(steps.join('/'));
    if (search) leftOut.push(`the query of "${printable(pathname + search)}".`);
    page.href ??= literalPath(pathname);
  }
  for (const [key, page] of nodes) guesses.push(`The label "${page.label}" of /${key} is made from its address.`);
  for (const [key, { href }] of nodes) {
    if (href !== null) continue;
    guesses.push(`/${key} is a group without a page: pages lie below it, and it is no address itself.`);
  }
  top.sort((one, other) => Number(other.href === '/') - Number(one.href === '/'));
  return { name: nameFromOrigin(origin), origin, language: null, pages: top, menus: [], guesses, leftOut };
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
