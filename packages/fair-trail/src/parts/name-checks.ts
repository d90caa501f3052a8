import type { MenuItem } from '../core/site/menu-item.ts';
import { isRecord } from '../core/site/records.ts';
import { everyEntry, everyMenuNode, type Site } from '../core/site/site.ts';
import type { WarningCode } from '../core/warning-codes.ts';
import { nameWarning, warning } from '../core/warnings.ts';
import { logWarning } from '../dom/log-warning.ts';
import type { Surroundings } from './surroundings.ts';

/** What a name in a property may stand for, and the warning for one that does not exist. */
const kinds = {
  menu: { code: 'menu-unknown', namesIn: (site) => [...site.menus.keys()] },
  entry: { code: 'entry-unknown', namesIn: (site) => [...everyEntry(site.entries)].map(({ id }) => id) },
  records: { code: 'records-unknown', namesIn: recordsIn },
  audience: { code: 'audience-unknown', namesIn: audiencesIn },
} as const satisfies Readonly<
  Record<string, { readonly code: WarningCode; readonly namesIn: (site: Site) => readonly string[] }>
>;

export interface UsedName {
  readonly kind: keyof typeof kinds;
  readonly property: string;
  readonly name: string;
}

/** The names in a property: one, several, or the keys of an object. */
export function namesIn(
  kind: UsedName['kind'],
  property: string,
  value: string | readonly string[] | object | null | undefined,
): readonly UsedName[] {
  if (value === null || value === undefined) return [];
  const names = typeof value === 'string' ? [value] : Array.isArray(value) ? (value as string[]) : Object.keys(value);
  return names.map((name) => ({ kind, property, name }));
}

/**
 * The name of a component's menu.
 *
 * @param usual the menu that is shown where none is named; a site without any menu means none
 */
export function menuNameIn(site: Site, given: string | undefined, usual: string): readonly UsedName[] {
  return namesIn('menu', 'menu', given ?? (site.menus.size > 0 ? usual : null));
}

/** What has been reported of each site: a component that is drawn a hundred times says it once. */
const reported = new WeakMap<Site, Set<string>>();

function isNew(site: Site, key: string): boolean {
  const keys = reported.get(site) ?? new Set();
  reported.set(site, keys);
  return keys.size < keys.add(key).size;
}

type Checked = Pick<Surroundings, 'site' | 'warn'>;

/**
 * In development, reports names in the properties of a component that the site does not have.
 *
 * @param used lists the names; a production build never calls it, and a page has thousands of links
 */
export function checkNames(
  component: string,
  { site, warn = logWarning }: Checked,
  used: () => readonly UsedName[],
): void {
  for (const { kind, property, name } of used()) {
    const { code, namesIn: known } = kinds[kind];
    const names = known(site);
    // Every audience is known only where the site lists them: else a name that is like none is the app's own affair.
    if (names.includes(name)) continue;
    const found = nameWarning(code, name, `${component}, property "${property}"`, names);
    const isSure = kind !== 'audience' || site.audiences !== null || found.remedy.startsWith('Did you mean');
    if (isSure && isNew(site, `${component} ${property} ${name}`)) warn(found);
  }
}

/** In development, reports records that cannot be drawn: by their name, the entry and the item. */
export function checkRecords({ site, warn = logWarning }: Checked, records: object | undefined): void {
  for (const { id, records: name } of everyEntry(site.entries)) {
    if (name === null || !records || !Object.hasOwn(records, name)) continue;
    const list = (records as Readonly<Record<string, unknown>>)[name];
    if (list === 'loading' || list === 'failed' || list === null || list === undefined) continue;
    const wrong = Array.isArray(list) ? list.findIndex((item) => !isRecord(item)) : -1;
    if (Array.isArray(list) && wrong < 0) continue;
    const what = wrong < 0 ? 'what is given' : `item ${wrong}`;
    const place = `records "${name}" of the entry "${id}": ${what}`;
    if (isNew(site, place)) warn(warning('records-malformed', place));
  }
}

/** What draws the icons of a menu, and has been asked already. */
const checkedIcons = new WeakMap<readonly MenuItem[], unknown>();

/** In development, reports icons of a menu that the app draws nothing for. */
export function checkIcons(
  component: string,
  { site, warn = logWarning }: Checked,
  icon: ((name: string) => unknown) | undefined,
  itemsOf: () => readonly MenuItem[],
): void {
  const items = itemsOf();
  if (!icon || checkedIcons.get(items) === icon) return;
  checkedIcons.set(items, icon);
  for (const name of new Set(iconsOf(items))) {
    const drawing = icon(name);
    if (drawing !== null && drawing !== undefined && drawing !== false) continue;
    if (isNew(site, `${component} icon ${name}`)) {
      warn(nameWarning('icon-unknown', name, `${component}, property "icon"`, []));
    }
  }
}

/** In development, reports a link whose address cannot be written. */
export function checkLink(id: string, isMissing: boolean, { site, warn = logWarning }: Checked): void {
  if (isMissing && isNew(site, `address ${id}`)) warn(warning('link-without-address', id));
}

function* iconsOf(items: readonly MenuItem[]): Generator<string, void, undefined> {
  for (const { icon, entry, items: below } of items) {
    if (icon !== null) yield icon;
    if (entry?.currentIcon) yield entry.currentIcon;
    yield* iconsOf(below);
  }
}

function recordsIn(site: Site): readonly string[] {
  return [...everyEntry(site.entries)].flatMap(({ records }) => records ?? []);
}

function audiencesIn(site: Site): readonly string[] {
  const nodes = [...site.menus.values()].flatMap((menu) => [...everyMenuNode(menu)]);
  const actions = nodes.filter((node) => node.kind === 'action');
  const used = [...everyEntry(site.entries), ...actions].flatMap(({ audiences }) => audiences.flat());
  return [...new Set([...(site.audiences ?? []), ...used])];
}

/** How long a layout may take to draw its stage, in milliseconds. */
const layoutPatience = 1000;

/**
 * In development, reports a layout around pages that holds no stage for them.
 *
 * @param stage the element of the stage that shows the layout
 * @param key of what the stage shows
 */
export function checkLayout(stage: Element, key: string, { site, warn = logWarning }: Checked): void {
  const [kind, id = ''] = key.split(' ');
  if (kind !== 'layout') return;
  setTimeout(() => {
    if (!stage.isConnected || stage.querySelector('.ft-stage') || !isNew(site, key)) return;
    warn(warning('layout-without-stage', `the entry "${id}"`));
  }, layoutPatience);
}

/** Where what follows the app's stages listens, while an app is developed. */
const stageListener = Symbol.for('fair-trail.stage');

/** In development, says which pages a stage has, to whoever wants to compare them with the site. */
export function noteStage(pages: object | undefined, layouts: object | undefined): void {
  const listener = (globalThis as { readonly [stageListener]?: (report: object) => void })[stageListener];
  listener?.({ pages: Object.keys(pages ?? {}), layouts: Object.keys(layouts ?? {}) });
}
