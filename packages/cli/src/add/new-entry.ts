import { everyEntry, locate, type DefinedSite, type Entry } from 'fair-trail';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';
import { plainLetters } from '../plain-letters.ts';

/** An entry to add, and where. */
export interface NewEntry {
  readonly id: string;
  readonly label: string;
  readonly href: string;
  /** The entry that it goes below; null for the first level. */
  readonly parent: Entry | null;
}

interface NewEntryOptions {
  readonly id?: string;
  readonly label?: string;
  readonly under?: string;
}

/**
 * What an entry for a path is called and where it belongs, as far as no one says it.
 *
 * @throws Failure where there is such an entry already, or a name that is given cannot be
 */
export function newEntry(site: DefinedSite, path: string, options: NewEntryOptions): NewEntry {
  const shown = printable(path);
  const fault = faultOfPath(path);
  if (fault !== null) {
    throw new Failure(
      'bad-address',
      `"${shown}" is not the path of a new page: ${fault}. Write it as /visit/boat-trips.`,
    );
  }
  const href = path.replace(/\/+$/u, '');
  const position = hasParams(href) ? null : locate(site, site.base + href);
  if (position?.status === 'exact' && position.entry) {
    throw new Failure('entry-exists', `The entry "${position.entry.id}" is at ${shown} already. Give another path.`);
  }
  const taken = new Set([...everyEntry(site.entries)].map(({ id }) => id));
  const parent = parentOf(site, href, options.under);
  const id = options.id ?? freeId(href, taken);
  if (!/^[A-Za-z][\w.-]*$/u.test(id)) {
    throw new Failure(
      'bad-usage',
      `"${printable(id)}" is no id: it is made of letters, digits, ".", "_" and "-". Give one with --id.`,
    );
  }
  if (taken.has(id))
    throw new Failure('entry-exists', `There is an entry "${printable(id)}" already. Give another id with --id.`);
  return { id, label: options.label ?? labelOfPath(href), href, parent };
}

/** Why a text is not the path of a new page; null if it is one. */
function faultOfPath(path: string): string | null {
  if (path === '/') return 'it is the home page, which every site has';
  if (!path.startsWith('/')) return 'it does not begin with "/"';
  if (path.startsWith('//')) return 'with "//" it is the address of another website';
  if (/\s/u.test(path)) return 'it has a space in it';
  const query = /[?#]/u.exec(path)?.[0];
  return query === undefined ? null : `"${query}" and what follows it are no part of a path`;
}

function parentOf(site: DefinedSite, href: string, under: string | undefined): Entry | null {
  if (under !== undefined) {
    const found = site.entry(under);
    if (!found)
      throw new Failure(
        'no-such-entry',
        `There is no entry "${printable(under)}". Use the id of an entry of the site file.`,
      );
    return found;
  }
  // The entry whose address the path goes on from, segment by segment.
  const entries = [...everyEntry(site.entries)].filter(({ href: above }) => above !== null && above !== '/');
  const above = entries.filter((entry) => href.startsWith(`${entry.href ?? ''}/`));
  return above.toSorted((one, other) => (other.href ?? '').length - (one.href ?? '').length)[0] ?? null;
}

/** Whether a path has parts that stand for anything, as the URL Pattern standard writes them. */
export function hasParams(path: string): boolean {
  return /[:*{(]/u.test(path);
}

function wordsIn(segment: string): string {
  let decoded = segment;
  try {
    decoded = decodeURIComponent(segment);
  } catch {
    // It stays as it is written.
  }
  return decoded.replace(/[^\p{Letter}\p{Number}]+/gu, ' ').trim();
}

function labelOfPath(href: string): string {
  const last = href.split('/').at(-1) ?? '';
  const param = /^:(\w+)$/u.exec(last)?.[1];
  // The label of a page that stands for many is made of what distinguishs them.
  if (param !== undefined) return `{${param}}`;
  const words = wordsIn(last);
  return words.slice(0, 1).toLocaleUpperCase() + words.slice(1);
}

/** The last segment, or as many more as it takes to be a new one. */
function freeId(href: string, taken: ReadonlySet<string>): string {
  const segments = href
    .split('/')
    .filter(Boolean)
    .map((segment) =>
      plainLetters(wordsIn(segment))
        .replace(/[^\w ]/gu, '')
        .trim(),
    );
  const names = segments.map((segment) => segment.replace(/\s+/gu, '-')).filter(Boolean);
  // What stands for many pages is named after what they are.
  const isOfMany = hasParams(href.split('/').at(-1) ?? '');
  if (isOfMany) names.splice(-1, 1, 'page');
  for (let count = isOfMany ? 2 : 1; count <= names.length; count += 1) {
    const id = names.slice(-count).join('-');
    if (/^[a-z]/u.test(id) && !taken.has(id)) return id;
  }
  for (let number = 2; ; number += 1) {
    const id = `${names.join('-') || 'page'}-${number}`.replace(/^(?=\d)/u, 'page-');
    if (!taken.has(id)) return id;
  }
}
