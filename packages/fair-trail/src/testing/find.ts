import { NavigationFailure } from './failures.ts';
import type { ItemReading, MenuReading, PageReading } from '../reading/page-reading.ts';
import { quoted, treeOf, treesOf } from './tree.ts';

/** A name as it is to be found: the text, or a pattern of it. */
export type Name = string | RegExp;

/** Which menu is meant: by its name, or by what is true of it alone. */
export type MenuChoice = Name | ((menu: MenuReading) => boolean);

/**
 * The menu of a name, or the only one where no name is given. Where the same menu is there twice, as a wide and a narrow copy,
 * it is the one that can be seen.
 *
 * @throws NavigationFailure `no-menu`, `several-menus`
 */
export function findMenu(page: PageReading, choice: MenuChoice | undefined): MenuReading {
  const menus = page.menus.filter(({ kind }) => kind !== 'breadcrumbs' || choice !== undefined);
  const found = chosenOf(menus, choice);
  const wanted = toldChoice(choice);
  const [first, second] = found;
  if (first && !second) return first;
  const seen = found.filter((menu) => isSeen(menu));
  if (seen.length === 1 && seen[0]) return seen[0];
  if (first) {
    throw new NavigationFailure('several-menus', {
      wanted: `${wanted} was looked for.`,
      found: `${found.length} of them: ${quoted(found.map((menu) => menu.name))}`,
      likely:
        choice === undefined
          ? 'there are several menus; say which one is meant by its name.'
          : typeof choice === 'function'
            ? 'say more of the one that is meant.'
            : 'two menus have one name, which no one can tell apart by ear either; give each a name of its own (aria-label).',
      tree: treesOf(page),
    });
  }
  throw new NavigationFailure('no-menu', {
    wanted: `${wanted} was looked for.`,
    found:
      menus.length === 0 ? `no navigation at ${page.url}` : `menus called ${quoted(menus.map((menu) => menu.name))}`,
    likely:
      menus.length === 0
        ? 'the page had not been drawn yet, another page is shown, or the links stand in no <nav>.'
        : 'it has another name (aria-label, aria-labelledby), or stands in no <nav>.',
    ...(menus.length > 0 && { tree: treesOf(page) }),
  });
}

function chosenOf(menus: readonly MenuReading[], choice: MenuChoice | undefined): readonly MenuReading[] {
  if (typeof choice === 'function') return menus.filter(choice);
  if (choice !== undefined) return bestMatches(menus, choice, ({ name }) => [name]);
  const landmarks = menus.filter(({ kind }) => kind === 'navigation');
  return landmarks.length > 0 ? landmarks : menus;
}

function toldChoice(choice: MenuChoice | undefined): string {
  if (typeof choice === 'function') return 'The menu that was described';
  return choice === undefined ? 'The menu of the page' : `The menu ${describeName(choice)}`;
}

function isSeen({ items, toggle }: MenuReading): boolean {
  return items.some(({ isShown }) => isShown) || toggle?.isShown === true;
}

/**
 * The item at the end of a way through the menu, and those before it. A single name may be anywhere; of several of one name
 * the one nearest to the top counts.
 *
 * @throws NavigationFailure `no-item`, `several-items`
 */
export function findItem(menu: MenuReading, way: readonly Name[]): readonly [ItemReading, ...ItemReading[]] {
  const [first, ...rest] = way;
  let path = first === undefined ? [] : searchBelow(menu, menu.items, first, []);
  for (const name of rest) {
    const last = path.at(-1);
    path = last ? [...path, ...searchBelow(menu, last.items, name, path)] : path;
  }
  const [start, ...others] = path;
  if (!start) throw new TypeError('The name of an item is needed.');
  return [start, ...others];
}

function searchBelow(
  menu: MenuReading,
  items: readonly ItemReading[],
  name: Name,
  above: readonly ItemReading[],
): readonly ItemReading[] {
  for (let level = items.map((item) => [item]); level.length > 0; level = level.flatMap(oneLower)) {
    const found = bestMatches(level, name, (path) => namesOf(path.at(-1)));
    const [first, ...others] = found;
    if (!first) continue;
    const seen = found.filter((path) => path.at(-1)?.isShown);
    const [only] = seen;
    if (others.length > 0 && seen.length !== 1 && !leadToOnePlace(found)) throw severalItems(menu, name, found.length);
    return seen.length === 1 && only ? only : first;
  }
  const where =
    above.length === 0 ? `the menu “${menu.name}”` : `“${above.at(-1)?.name ?? ''}” of the menu “${menu.name}”`;
  throw new NavigationFailure('no-item', {
    wanted: `${describeName(name)} was looked for in ${where}.`,
    found: quoted(items.map((item) => item.name)),
    likely:
      likelyName(menu, name) ?? 'it is not in this menu, has another name, or is made only when the menu is opened.',
    tree: treeOf(menu),
  });
}

function leadToOnePlace(found: readonly (readonly ItemReading[])[]): boolean {
  const places = new Set(found.map((path) => path.at(-1)?.link?.href ?? null));
  return places.size === 1 && !places.has(null);
}

function severalItems(menu: MenuReading, name: Name, count: number): NavigationFailure {
  return new NavigationFailure('several-items', {
    wanted: `${describeName(name)} was looked for in the menu “${menu.name}”.`,
    found: `${count} of that name side by side, which lead to different places`,
    likely: 'name the item above it first, or give the two labels that say where they lead.',
    tree: treeOf(menu),
  });
}

/** The name that is wanted with another spelling, or further down. */
function likelyName(menu: MenuReading, name: Name): string | null {
  if (typeof name !== 'string') return null;
  const all = everyItem(menu.items).map((item) => item.name);
  const plain = (text: string) => text.toLowerCase().replaceAll(/[^\p{Letter}\p{Number}]/gu, '');
  const near = all.find((one) => plain(one).includes(plain(name)) || (one !== '' && plain(name).includes(plain(one))));
  return near === undefined ? null : `“${near}” is what it is called.`;
}

function oneLower(path: readonly ItemReading[]): ItemReading[][] {
  return path.at(-1)?.items.map((item) => [...path, item]) ?? [];
}

export function everyItem(items: readonly ItemReading[]): readonly ItemReading[] {
  return items.flatMap((item) => [item, ...everyItem(item.items)]);
}

function namesOf(item: ItemReading | undefined): readonly string[] {
  return item ? [item.name, ...(item.control && item.link ? [item.control.name] : [])] : [];
}

/**
 * Those of exactly that name; else those of it in other letters; else those whose name begins with it, since a badge or a
 * note may come after.
 */
export function bestMatches<Thing>(
  things: readonly Thing[],
  name: Name,
  names: (thing: Thing) => readonly string[],
): readonly Thing[] {
  const by = (isIt: (candidate: string) => boolean) => things.filter((thing) => names(thing).some(isIt));
  if (typeof name !== 'string') return by((candidate) => name.test(candidate));
  const lower = name.toLowerCase();
  const ways = [
    (candidate: string) => candidate === name,
    (candidate: string) => candidate.toLowerCase() === lower,
    (candidate: string) => candidate.toLowerCase().startsWith(`${lower} `),
  ];
  return ways.map(by).find((found) => found.length > 0) ?? [];
}

/** Whether a name is meant by another, as `bestMatches` would have it. */
export function isMeant(candidate: string, name: string): boolean {
  return bestMatches([candidate], name, (one) => [one]).length > 0;
}

export function describeName(name: Name): string {
  return typeof name === 'string' ? `“${name}”` : String(name);
}
