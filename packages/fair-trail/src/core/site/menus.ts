import { textIn } from './texts.ts';
import { mayAccess, type Audience, type Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { labelOf } from './labels.ts';
import { unknownPosition, type Position } from './locate.ts';
import { markedItems } from './marks.ts';
import type { MenuItem } from './menu-item.ts';
import { recordsOf, type SiteRecord, type SiteRecords } from './records.ts';
import type { MenuActionNode, MenuNode, Site } from './site.ts';

/** What is shown beside labels, by the entry's id: a text, or one to show and another to say ("3", "3 unread"). */
export type Badges = Readonly<Record<string, string | { readonly text: string; readonly spoken: string }>>;

/** What a menu depends on besides the site. */
export interface Visit {
  /** Default: nowhere, so that nothing is marked. */
  readonly position?: Position;
  /** The audiences that the visitor is in, or `unknown` while the app does not know yet. Default: none. */
  readonly audience?: Audience;
  /** The records as they are known now. Default: none. */
  readonly records?: SiteRecords;
  /** Badges that are known only now, by the entry's id. They go before those in the site file. Default: none. */
  readonly badges?: Badges;
  /** The language of labels and addresses. Default: that of the position. */
  readonly language?: string;
}

/**
 * Returns the items of a menu for a visit. In each list at most one item is marked: the page, else its nearest listed
 * ancestor, else a group that contains a marked item.
 *
 * @returns an empty list for a menu that the site does not have
 * @example
 * for (const { label, href, mark } of menuItems(site, 'main', { position: locate(site, '/hides') })) {
 *   console.log(mark === 'page' ? '*' : ' ', label, href);
 * }
 */
export function menuItems(site: Site, menu: string, visit: Visit = {}): readonly MenuItem[] {
  const position = visit.position ?? unknownPosition(site);
  const items = itemsAtRest(site, menu, visit, position.language);
  return markedItems(items, position);
}

/** What stands beside an entry in the site, the entry itself among it, marked for a visit. */
export function siblingItems(site: Site, entry: Entry, visit: Visit): readonly MenuItem[] {
  const position = visit.position ?? unknownPosition(site);
  const resolver = new MenuResolver(site, { ...visit, language: visit.language ?? position.language });
  const items = resolver.list(
    pagesBeside(site, entry).map((other): MenuNode => ({ kind: 'entry', entry: other, depth: 1, params: {} })),
  );
  return markedItems(items, position);
}

/** Whether anything else stands beside an entry for a visitor. There may be thousands, and this looks for two. */
export function hasSiblings(site: Site, entry: Entry, { audience = [], records = {} }: Visit): boolean {
  let count = 0;
  for (const other of pagesBeside(site, entry)) {
    if (mayAccess(other, audience) !== true) continue;
    const list = recordsOf(other, records);
    count += other.paramNames.length === 0 ? 1 : Array.isArray(list) ? list.length : 0;
    if (count > 1) return true;
  }
  return false;
}

function pagesBeside(site: Site, { parent }: Entry): readonly Entry[] {
  return (parent?.entries ?? site.entries).filter(({ href, outside }) => href !== null && !outside);
}

/** What a menu at rest was made of, and the items that came of it. */
interface MenuAtRest {
  readonly visit: Pick<Visit, 'audience' | 'records' | 'badges' | 'language'>;
  readonly items: readonly MenuItem[];
}

/** By the menus of a site, and not by the site: while an app is developed, a site may get new ones. */
const menusAtRest = new WeakMap<Site['menus'], Map<string, MenuAtRest>>();

/**
 * The items before any is marked. They are the same for every position, and so the last ones are kept: what a change of
 * position does not touch keeps its identity, and costs nothing to make again.
 */
function itemsAtRest(site: Site, menu: string, visit: Visit, positionLanguage: string): readonly MenuItem[] {
  const { audience, records, badges, language = positionLanguage } = visit;
  const menus = menusAtRest.get(site.menus) ?? new Map<string, MenuAtRest>();
  menusAtRest.set(site.menus, menus);
  const known = menus.get(menu);
  const isSame =
    known?.visit.audience === audience &&
    known?.visit.records === records &&
    known?.visit.badges === badges &&
    known?.visit.language === language;
  if (known && isSame) return known.items;
  const items = new MenuResolver(site, { ...visit, language }).list(site.menus.get(menu) ?? []);
  const kept = { language, ...(audience && { audience }), ...(records && { records }), ...(badges && { badges }) };
  menus.set(menu, { visit: kept, items });
  return items;
}

const none: readonly MenuItem[] = [];
const noParams: Readonly<Record<string, string>> = {};

const nothing: MenuItem = {
  kind: 'divider',
  entry: null,
  params: {},
  action: null,
  choice: null,
  label: '',
  longest: null,
  href: null,
  summary: null,
  badge: null,
  spokenBadge: null,
  icon: null,
  mark: null,
  items: [],
};

class MenuResolver {
  readonly #site: Site;
  readonly #audience: Audience;
  readonly #records: SiteRecords;
  readonly #badges: Badges;
  readonly #language: string;

  constructor(site: Site, visit: Visit & { readonly language: string }) {
    this.#site = site;
    this.#audience = visit.audience ?? [];
    this.#records = visit.records ?? {};
    this.#badges = visit.badges ?? {};
    this.#language = visit.language;
  }

  list(nodes: readonly MenuNode[]): readonly MenuItem[] {
    return withoutLooseDividers(nodes.flatMap((node) => this.#resolve(node)));
  }

  #resolve(node: MenuNode): readonly MenuItem[] {
    if (node.kind === 'divider') return [nothing];
    if (node.kind === 'action') return this.#resolveAction(node);
    if (node.kind === 'entry') return this.#resolveEntry(node.entry, node.depth, node.params);
    if (node.kind === 'choice') {
      // The first that there is; while that is not known, its reserved cell stands for all that could come.
      const items = node.nodes.map((child) => this.#resolve(child)).find((found) => found.length > 0) ?? [];
      const longest = longestOf(node.nodes.map((child) => this.#labelOf(child)));
      const choice = choiceName(node.nodes);
      return items.map((item) => ({ ...item, longest, ...(item.kind === 'action' && { choice }) }));
    }
    const items = this.list(node.nodes);
    // A group that this visitor would find empty is not shown to them.
    if (items.length === 0) return [];
    return [{ ...nothing, kind: 'group', label: textIn(node.labels, this.#language, this.#site.language), items }];
  }

  /** What a node of a choice may be called, whoever the visitor is. */
  #labelOf(node: MenuNode): string {
    if (node.kind === 'action') return textIn(node.labels, this.#language, this.#site.language);
    return node.kind === 'entry' ? this.#entryLabel(node.entry, node.params) : '';
  }

  #entryLabel(entry: Entry, params: Readonly<Record<string, string>>): string {
    return labelOf(this.#site, entry, { params, records: this.#records, language: this.#language });
  }

  #resolveAction({ action, labels, icon, audiences }: MenuActionNode): readonly MenuItem[] {
    const access = mayAccess({ audiences }, this.#audience);
    const label = textIn(labels, this.#language, this.#site.language);
    if (access === null) return [{ ...nothing, kind: 'reserved', longest: label }];
    if (!access) return [];
    return [{ ...nothing, kind: 'action', action, label, icon }];
  }

  #resolveEntry(entry: Entry, depth: number, params: Readonly<Record<string, string>>): readonly MenuItem[] {
    const access = mayAccess(entry, this.#audience);
    if (access === null) return [{ ...nothing, kind: 'reserved', longest: this.#entryLabel(entry, params) }];
    if (!access) return [];
    if (entry.records !== null && Object.keys(params).length === 0) return this.#resolveRecords(entry);
    // A group without an address is nothing without what it groups, so it does not count as a level.
    const below = entry.href === null ? depth : depth - 1;
    const items: MenuItem[] = [];
    if (below > 0) for (const child of entry.entries) items.push(...this.#resolveEntry(child, below, noParams));
    return this.#item(entry, params, items.length > 0 ? items : none);
  }

  #resolveRecords(entry: Entry): readonly MenuItem[] {
    const list = recordsOf(entry, this.#records);
    if (list === null) return [];
    if (typeof list === 'string') return [{ ...nothing, kind: list, entry }];
    if (list.length === 0) return [{ ...nothing, kind: 'empty', entry }];
    return list.flatMap(({ params }: SiteRecord) => this.#item(entry, params, []));
  }

  #item(entry: Entry, params: Readonly<Record<string, string>>, items: readonly MenuItem[]): readonly MenuItem[] {
    // What is planned keeps its place and its mark, and cannot be followed.
    const href = entry.planned ? null : hrefOf(this.#site, entry, params, this.#language);
    const isGroup = href === null && !entry.planned;
    // What cannot be linked to is worth a place only for what it holds.
    if (isGroup && items.length === 0) return [];
    const text = (texts: Entry['badges']) => texts && textIn(texts, this.#language, this.#site.language);
    const badge = Object.hasOwn(this.#badges, entry.id) ? this.#badges[entry.id] : text(entry.badges);
    const isSpoken = typeof badge === 'object' && badge !== null;
    const item: MenuItem = {
      kind: isGroup ? 'group' : 'link',
      entry,
      params,
      action: null,
      choice: null,
      label: this.#entryLabel(entry, params),
      longest: null,
      href,
      summary: text(entry.summaries),
      badge: isSpoken ? badge.text : (badge ?? null),
      spokenBadge: isSpoken ? badge.spoken : null,
      icon: entry.icon,
      mark: null,
      items,
    };
    return [item];
  }
}

function choiceName(nodes: readonly MenuNode[]): string {
  return nodes.flatMap((node) => (node.kind === 'action' ? [node.action] : [])).join('/');
}

function longestOf(labels: readonly string[]): string {
  return labels.reduce((longest, label) => (label.length > longest.length ? label : longest), '');
}

/** No divider stands at an end or beside another: what was between them may be hidden from this visitor. */
function withoutLooseDividers(items: readonly MenuItem[]): readonly MenuItem[] {
  const isDivider = (item: MenuItem | undefined) => item === undefined || item.kind === 'divider';
  const single = items.filter((item, index) => !isDivider(item) || !isDivider(items[index - 1]));
  return isDivider(single.at(-1)) ? single.slice(0, -1) : single;
}
