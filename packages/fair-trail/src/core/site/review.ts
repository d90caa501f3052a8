import { parseUrl } from './address.ts';
import { entryPointer, type Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { locate } from './locate.ts';
import { overlappingPaths } from './overlap.ts';
import { pointerTo } from './pointer.ts';
import { problem, type Problem } from './problems.ts';
import { everyEntry, everyMenuNode, type MenuNode, type Site } from './site.ts';

export interface ReviewOptions {
  /** Whether the site is about to be published, so that planned entries are problems. Default: false. */
  readonly release?: boolean;
}

/** Longer than this, a list is scanned and not read. */
const longestList = 12;

const longestLabel = 30;

/** What is valid and still likely to hurt someone. All of it is advisory; the site's own problems are not among it. */
export function reviewSite(site: Site, options: ReviewOptions = {}): readonly Problem[] {
  const entries = [...everyEntry(site.entries)];
  return [
    ...entries.flatMap((entry) => reviewEntry(site, entry, options)),
    ...overlaps(site, entries),
    ...repeatedDestinations(entries),
    ...unreachable(site, entries),
    ...unusedAudiences(site, entries),
    ...[...site.menus].flatMap(([name, nodes]) => reviewMenu(nodes, pointerTo('/menus', name))),
  ];
}

function reviewEntry(site: Site, entry: Entry, { release }: ReviewOptions): Problem[] {
  const found: Problem[] = [];
  const at = (field: string) => `${entryPointer(entry)}/${field}`;
  for (const text of Object.values(entry.labels)) {
    if (lengthOf(text) > longestLabel) {
      found.push(problem('label-too-long', at('label'), { value: text, expected: String(longestLabel) }));
    }
  }
  for (const language of site.languages) {
    const isNamed = Object.hasOwn(entry.labels, language) || /^\{\w+\}$/u.test(entry.label);
    if (!isNamed) found.push(problem('missing-language', at('label'), { value: language }));
  }
  if (entry.outside && entry.href !== null && isPlaceholder(entry.href)) {
    found.push(problem('placeholder-link', at('href'), { value: entry.href }));
  }
  if (release && entry.planned) found.push(problem('planned-entry', at('planned'), { value: entry.id }));
  const taker = takerOf(site, entry);
  if (taker)
    found.push(problem('address-shadowed', at('href'), { value: entry.href ?? '', other: entryPointer(taker) }));
  return found;
}

/** What a reader counts as characters, whatever they are made of. */
function lengthOf(text: string): number {
  return [...new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(text)].length;
}

/** Hosts that are reserved for examples and tests, or are the developer's own machine. */
const placeholderHost =
  /^(?:localhost|127\.[\d.]+|\[::1\]|0\.0\.0\.0|(?:.*\.)?(?:invalid|test|localhost)|(?:www\.)?example\.(?:com|net|org))$/u;

function isPlaceholder(href: string): boolean {
  const url = parseUrl(href);
  if (!url?.protocol.startsWith('http')) return false;
  return placeholderHost.test(url.origin.replace(/^https?:\/\//u, '').replace(/:\d+$/u, ''));
}

/** Another entry that takes the address that links to this one lead to. */
function takerOf(site: Site, entry: Entry): Entry | null {
  // A value that no one writes in a path, so that only another param or wildcard can take it; and, where slashes stay
  // slashes, one of several segments, as only a wildcard has it.
  const params = Object.fromEntries(entry.paramNames.map((name) => [name, '\u2060/\u2060/\u2060']));
  const href = entry.outside ? null : hrefOf(site, entry, params);
  const found = href === null ? null : locate(site, { pathname: href.split('?', 1)[0] ?? '' }).entry;
  return found === entry ? null : found;
}

function overlaps(site: Site, entries: readonly Entry[]): Problem[] {
  const ways = entries.flatMap((entry) => (entry.paths[site.language] ?? []).map((path) => ({ entry, path })));
  return overlappingPaths(ways).map(({ one, other }) => {
    return problem('addresses-overlap', `${entryPointer(other)}/href`, {
      value: other.href ?? '',
      other: `${entryPointer(one)}/href`,
    });
  });
}

function repeatedDestinations(entries: readonly Entry[]): Problem[] {
  const first = new Map<string, Entry>();
  return entries.flatMap((entry) => {
    if (!entry.outside || entry.href === null) return [];
    const destination = parseUrl(entry.href)?.href ?? entry.href;
    const other = first.get(destination);
    if (!other) first.set(destination, entry);
    if (!other || other.label === entry.label) return [];
    return [
      problem('destination-repeats', `${entryPointer(entry)}/href`, { value: entry.href, other: entryPointer(other) }),
    ];
  });
}

function unreachable(site: Site, entries: readonly Entry[]): Problem[] {
  if (site.menus.size === 0) return [];
  const nodes = [...site.menus.values()].flatMap((menu) => [...everyMenuNode(menu)]);
  const listed = new Set(nodes.flatMap((node) => (node.kind === 'entry' ? [node.entry] : [])));
  const isReached = (entry: Entry | null): boolean =>
    entry !== null && (!entry.listed || listed.has(entry) || isReached(entry.parent));
  return entries.flatMap((entry) => {
    // Of a whole part that nothing reaches, its top says enough.
    if (entry === site.home || isReached(entry) || (entry.parent && !isReached(entry.parent))) return [];
    return [problem('unreachable-entry', entryPointer(entry), { value: entry.id })];
  });
}

function unusedAudiences(site: Site, entries: readonly Entry[]): Problem[] {
  const nodes = [...site.menus.values()].flatMap((menu) => [...everyMenuNode(menu)]);
  const actions = nodes.filter((node) => node.kind === 'action');
  const used = new Set([...entries, ...actions].flatMap(({ audiences }) => audiences.flat()));
  return (site.audiences ?? []).flatMap((name, index) => {
    return used.has(name) ? [] : [problem('unused-audience', `/audiences/${index}`, { value: name })];
  });
}

function reviewMenu(nodes: readonly MenuNode[], pointer: string): Problem[] {
  const found: Problem[] = [];
  const labels = new Map<string, { readonly key: string; readonly pointer: string }>();
  const visit = (list: readonly MenuNode[], at: string) => {
    const count = list.filter(({ kind }) => kind !== 'divider').length;
    if (count > longestList) {
      found.push(problem('menu-too-long', at, { value: String(count), expected: String(longestList) }));
    }
    list.forEach((node, index) => {
      const here = `${at}/${index}`;
      if (node.kind === 'group') visit(node.nodes, `${here}/entries`);
      else if (node.kind === 'choice') visit(node.nodes, `${here}/either`);
      else if (node.kind === 'entry') {
        const { entry } = node;
        const key = `${entry.id} ${JSON.stringify(node.params)}`;
        const other = labels.get(entry.label);
        if (!other) labels.set(entry.label, { key, pointer: here });
        else if (other.key !== key && entry.paramNames.length === 0) {
          found.push(problem('label-repeats', here, { value: entry.label, other: other.pointer }));
        }
      }
    });
  };
  visit(nodes, pointer);
  return [...found, ...missingIcons(nodes, pointer)];
}

function missingIcons(nodes: readonly MenuNode[], pointer: string): Problem[] {
  const entries = nodes.flatMap((node, index) => (node.kind === 'entry' ? [{ entry: node.entry, index }] : []));
  if (entries.every(({ entry }) => entry.icon === null) && !pointer.endsWith('/rail')) return [];
  return entries.flatMap(({ entry, index }) => {
    return entry.icon === null ? [problem('missing-icon', `${pointer}/${index}`, { value: entry.id })] : [];
  });
}
