import { textIn, type Texts } from './texts.ts';
import { parseUrl } from './address.ts';
import { entryPointer, type Entry } from './entry.ts';
import { locate } from './locate.ts';
import type { EntryAddress } from './match.ts';
import { overlappingAddresses } from './overlap.ts';
import { pointerTo } from './fields.ts';
import { problem, type Problem } from './problems.ts';
import { reviewLabels, reviewMenu } from './review-menu.ts';
import { readableSample, sampleAddresses } from './sample-addresses.ts';
import { everyEntry, everyMenuNode, type DefinedSite, type Site } from './site.ts';

/**
 * Returns likely mistakes in a valid site. All of them are advisory; problems of the site file itself are not repeated.
 *
 * @example
 * for (const { pointer, message, remedy } of reviewSite(site)) console.log(pointer, message, remedy);
 */
export function reviewSite(site: DefinedSite): readonly Problem[] {
  const entries = [...everyEntry(site.entries)];
  return [
    ...entries.flatMap((entry) => reviewEntry(site, entry)),
    ...shadowed(site),
    ...overlaps(site),
    ...repeatedDestinations(site, entries),
    ...unreachable(site, entries),
    ...unusedAudiences(site, entries),
    ...[...site.menus].flatMap(([name, nodes]) => reviewMenu(site, nodes, pointerTo('/menus', name))),
  ];
}

function reviewEntry(site: Site, entry: Entry): Problem[] {
  const found = reviewLabels(site, entry.labels, `${entryPointer(entry)}/label`);
  if (entry.outside) {
    for (const href of new Set(Object.values(entry.hrefs ?? {}))) {
      if (!isPlaceholder(site, href)) continue;
      found.push(problem('placeholder-link', `${entryPointer(entry)}/href`, { value: href }));
    }
  }
  if (entry.planned) {
    found.push(problem('planned-entry', `${entryPointer(entry)}/planned`, { value: entry.id }));
  }
  return found;
}

/**
 * Hosts that are reserved for documentation and tests (RFC 2606, RFC 6761, RFC 5737, RFC 3849), or that only those in
 * the same network can reach (RFC 1918, RFC 4193, RFC 6762, RFC 8375).
 */
const placeholderHosts: readonly RegExp[] = [
  /^(?:.*\.)?(?:localhost|invalid|test|local|localdomain|internal|intranet|lan|home\.arpa)$/u,
  /^(?:.*\.)?example\.(?:com|net|org)$/u,
  /^(?:0|10|127)\.[\d.]+$/u,
  /^(?:169\.254|192\.168|192\.0\.2|198\.51\.100|203\.0\.113)\.[\d.]+$/u,
  /^172\.(?:1[6-9]|2\d|3[01])\.[\d.]+$/u,
  /^\[(?:::1?|f[cd][\da-f]{2}:.*|fe[89ab][\da-f]:.*|2001:db8:.*)\]$/u,
];

/** As the rest, but a site that is itself at such a host is made up, and so are its neighbors. */
const exampleHost = '.example';

function isPlaceholder({ origin }: Site, href: string): boolean {
  const url = parseUrl(href);
  if (!url?.protocol.startsWith('http')) return false;
  const host = hostOf(url.origin);
  if (host.endsWith(exampleHost)) return origin !== null && !hostOf(origin).endsWith(exampleHost);
  // A name without a dot is one of the developer's own network.
  return placeholderHosts.some((pattern) => pattern.test(host)) || /^[^.:[\]]+$/u.test(host);
}

function hostOf(origin: string): string {
  return origin.replace(/^https?:\/\//u, '').replace(/:\d+$/u, '');
}

/** The addresses with params that lead to other entries, whatever the params are. */
function shadowed(site: DefinedSite): Problem[] {
  const reported = new Set<string>();
  const places = site.languages.flatMap((language) =>
    placesOf(site, language).map((place) => ({ ...place, language })),
  );
  return places.flatMap(({ language, entry, path, field, moved }) => {
    const pointer = entryPointer(entry) + field;
    if (moved || reported.has(pointer) || path.every(({ kind }) => kind === 'literal')) return [];
    const samples = sampleAddresses(site, path, language);
    const takers = samples.map((pathname) => locate(site, { pathname }).entry);
    const [taker, sample] = [takers[0], samples[0]];
    if (!taker || sample === undefined || takers.includes(entry)) return [];
    reported.add(pointer);
    return [problem('address-shadowed', pointer, { value: readableSample(sample), other: entryPointer(taker) })];
  });
}

function placesOf({ addresses }: DefinedSite, language: string): readonly EntryAddress[] {
  return addresses[language] ?? [];
}

function overlaps(site: DefinedSite): Problem[] {
  const reported = new Set<string>();
  return site.languages.flatMap((language) => {
    return overlappingAddresses(placesOf(site, language), site.caseSensitive).flatMap(({ one, other }) => {
      const [here, there] = [entryPointer(other.entry) + other.field, entryPointer(one.entry) + one.field];
      if (reported.has(here)) return [];
      reported.add(here);
      const [sample = ''] = sampleAddresses(site, other.path, language);
      return [problem('addresses-overlap', here, { value: readableSample(sample), other: there })];
    });
  });
}

function repeatedDestinations(site: Site, entries: readonly Entry[]): Problem[] {
  const first = new Map<string, Entry>();
  return entries.flatMap((entry) => {
    if (!entry.outside) return [];
    for (const language of site.languages) {
      const text = (texts: Texts | null) => textIn(texts ?? {}, language, site.language);
      const href = text(entry.hrefs);
      const destination = `${language} ${parseUrl(href)?.href ?? href}`;
      const other = first.get(destination);
      if (!other) first.set(destination, entry);
      else if (text(other.labels) !== text(entry.labels)) {
        const details = { value: href, other: entryPointer(other) };
        return [problem('destination-repeats', `${entryPointer(entry)}/href`, details)];
      }
    }
    return [];
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
