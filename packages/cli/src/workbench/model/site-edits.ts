import { insertAt, moveItem, readJsonText, removeAt, setAt, valueAt, type JsonPath } from './json-text.ts';
import { plainLetters } from '../../plain-letters.ts';

/** An entry or an item of a menu, as it is written. */
/** An object of the site file, as it is written. */
export type WrittenFields = Readonly<Record<string, unknown>>;

/** One line of an outline: an entry of the site, or an item of a menu. */
export interface OutlineNode {
  readonly path: JsonPath;
  readonly kind: 'entry' | 'group' | 'action' | 'divider' | 'choice';
  /** The id of the entry, or of the one that an item of a menu shows. */
  readonly id: string | null;
  readonly label: string;
  readonly children: readonly OutlineNode[];
}

/** Where in the outline something goes: a list, and the index in it. */
export interface OutlinePlace {
  readonly list: JsonPath;
  readonly index: number;
}

/** Text that may be written by language. */
export function textOf(value: unknown): string {
  if (typeof value === 'string') return value;
  if (typeof value !== 'object' || value === null) return '';
  const [first] = Object.values(value) as unknown[];
  return typeof first === 'string' ? first : '';
}

export function listAt(value: unknown): readonly unknown[] {
  return Array.isArray(value) ? value : [];
}

function objectAt(value: unknown): WrittenFields {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as WrittenFields) : {};
}

/** The entries of a site file, as an outline. */
export function entryOutline(text: string): readonly OutlineNode[] {
  return entryNodes(objectAt(readJsonText(text)?.value)['entries'], ['entries']);
}

function entryNodes(list: unknown, path: JsonPath): readonly OutlineNode[] {
  return listAt(list).map((each, index): OutlineNode => {
    const { id, label, entries } = objectAt(each);
    const at = [...path, index];
    const name = typeof id === 'string' ? id : null;
    return {
      path: at,
      kind: 'entry',
      id: name,
      label: textOf(label) || (name ?? ''),
      children: entryNodes(entries, [...at, 'entries']),
    };
  });
}

/** The names of the menus, in the order of the file. */
export function menuNames(text: string): readonly string[] {
  return Object.keys(objectAt(objectAt(readJsonText(text)?.value)['menus']));
}

/** The items of a menu, as an outline. */
export function menuOutline(text: string, menu: string): readonly OutlineNode[] {
  const labels = new Map<string, string>();
  for (const { id, label } of everyNode(entryOutline(text))) if (id !== null) labels.set(id, label);
  return menuNodes(valueAt(text, ['menus', menu]), ['menus', menu], labels);
}

function menuNodes(list: unknown, path: JsonPath, labels: ReadonlyMap<string, string>): readonly OutlineNode[] {
  return listAt(list).map((each, index): OutlineNode => {
    const at = [...path, index];
    const item = objectAt(each);
    const id = typeof each === 'string' ? each : item['entry'];
    if (typeof id === 'string') {
      return { path: at, kind: 'entry', id, label: labels.get(id) ?? id, children: [] };
    }
    const node = { path: at, id: null, label: textOf(item['label']), children: [] };
    if ('divider' in item) return { ...node, kind: 'divider', label: 'Divider' };
    if ('action' in item) return { ...node, kind: 'action' };
    if ('either' in item) {
      return {
        ...node,
        kind: 'choice',
        label: 'One of',
        children: menuNodes(item['either'], [...at, 'either'], labels),
      };
    }
    return { ...node, kind: 'group', children: menuNodes(item['entries'], [...at, 'entries'], labels) };
  });
}

export function* everyNode(nodes: readonly OutlineNode[]): Generator<OutlineNode, void, undefined> {
  for (const node of nodes) {
    yield node;
    yield* everyNode(node.children);
  }
}

/** Where the members of a node are, or would be. */
export function listBelow({ path, kind }: OutlineNode): JsonPath | null {
  if (kind === 'choice') return [...path, 'either'];
  return kind === 'group' || (kind === 'entry' && path[0] === 'entries') ? [...path, 'entries'] : null;
}

/** The text with an entry's or item's field; undefined, and what says nothing, takes the field away. */
export function setField(text: string, path: JsonPath, field: string, value: unknown): string {
  const owner = valueAt(text, path);
  if (typeof owner === 'string') {
    // An item that was no more than an id becomes an object that can say more.
    if (field === 'entry') return setAt(text, path, value);
    return value === undefined ? text : setAt(text, path, { entry: owner, [field]: value });
  }
  const isEmpty = value === undefined || value === '' || (Array.isArray(value) && value.length === 0);
  const next = setAt(text, [...path, field], isEmpty && field !== 'label' ? undefined : value, ['entries']);
  const left = objectAt(valueAt(next, path));
  const isIdAlone = typeof left['entry'] === 'string' && Object.keys(left).length === 1 && path[0] === 'menus';
  return isIdAlone ? setAt(next, path, left['entry']) : next;
}

/** In which language a text is written, of which the site has its own. */
export interface TextLanguage {
  /** Null where the site has one language. */
  readonly language: string | null;
  readonly own: string;
}

/** The text of a field in a language. A second language makes texts by language of a text. */
export function setText(
  text: string,
  path: JsonPath,
  field: string,
  value: string,
  { language, own }: TextLanguage,
): string {
  const known = valueAt(text, [...path, field]);
  const isByLanguage = typeof known === 'object' && known !== null;
  if (language === null || (!isByLanguage && language === own)) return setField(text, path, field, value);
  if (isByLanguage) return setAt(text, [...path, field, language], value === '' ? undefined : value);
  if (value === '') return text;
  return setField(text, path, field, { ...(typeof known === 'string' && { [own]: known }), [language]: value });
}

/** An id that no entry has yet, made of a label. */
export function freeId(text: string, label: string): string {
  const ids = new Set([...everyNode(entryOutline(text))].map(({ id }) => id));
  const plain = plainLetters(label)
    .replaceAll(/[^a-z\d]+/gu, '-')
    .replaceAll(/^[^a-z]+|-$/gu, '');
  const stem = plain === '' ? 'page' : plain;
  if (!ids.has(stem)) return stem;
  let number = 2;
  while (ids.has(`${stem}-${number}`)) number += 1;
  return `${stem}-${number}`;
}

/** Adds an entry. Its address lies below that of the entry that it stands in. */
export function addEntry(
  text: string,
  { list, index }: OutlinePlace,
  label: string,
): { readonly text: string; readonly path: JsonPath } {
  const id = freeId(text, label);
  const above = list.length > 1 ? valueAt(text, [...list.slice(0, -1), 'href']) : '/';
  const stem =
    typeof above === 'string' && above.startsWith('/') && !/[:*{?]/u.test(above) ? above.replace(/\/$/u, '') : '';
  const known = listAt(valueAt(text, list));
  const place = Math.min(index, known.length);
  const entry = { id, label, href: `${stem}/${id}`, planned: true };
  return { text: insertAt(text, list, place, entry), path: [...list, place] };
}

/** Whether a menu has an item for an entry, at any depth. */
export function isInMenu(text: string, menu: string, id: string): boolean {
  return [...everyNode(menuOutline(text, menu))].some((node) => node.id === id);
}

/** Puts an entry at the end of a menu, or takes all of its items out. */
export function setInMenu(text: string, menu: string, id: string, isIn: boolean): string {
  if (isIn) return insertAt(text, ['menus', menu], listAt(valueAt(text, ['menus', menu])).length, id);
  return withoutItems(text, menu, new Set([id]));
}

function withoutItems(text: string, menu: string, ids: ReadonlySet<string>): string {
  const gone = [...everyNode(menuOutline(text, menu))].filter(({ id }) => id !== null && ids.has(id));
  // From the end, so that the places of the others stay.
  return gone.toReversed().reduce((rest, { path }) => removeAt(rest, path), text);
}

/** Takes an entry away, with all below it and every item of a menu that shows one of them. */
export function removeEntry(text: string, path: JsonPath): string {
  const node = [...everyNode(entryOutline(text))].find((each) => samePath(each.path, path));
  if (!node) return text;
  const ids = new Set([...everyNode([node])].flatMap(({ id }) => (id === null ? [] : [id])));
  const withoutMenus = menuNames(text).reduce((rest, menu) => withoutItems(rest, menu, ids), text);
  const home = valueAt(text, ['home']);
  const withoutHome = typeof home === 'string' && ids.has(home) ? removeAt(withoutMenus, ['home']) : withoutMenus;
  return withoutEmptyList(removeAt(withoutHome, path), path.slice(0, -1));
}

/** A list of entries that has become empty goes too, but for those that must be there. */
function withoutEmptyList(text: string, list: JsonPath): string {
  const isFree = list.length > 1 && list[0] === 'entries' && list.at(-1) === 'entries';
  return isFree && listAt(valueAt(text, list)).length === 0 ? removeAt(text, list) : text;
}

/** Moves an entry, or an item of a menu. */
export function moveNode(
  text: string,
  path: JsonPath,
  place: OutlinePlace,
): { readonly text: string; readonly path: JsonPath } {
  const from = path.slice(0, -1);
  const index = Number(path.at(-1));
  const isSame = samePath(from, place.list);
  if (isSame && (place.index === index || place.index === index + 1)) return { text, path };
  // Nothing can stand within itself.
  if (path.every((step, at) => step === place.list[at])) return { text, path };
  const moved = moveItem(text, path, place);
  const target = isSame && place.index > index ? place.index - 1 : place.index;
  const step = place.list[from.length];
  const isBelow = place.list.length > from.length && from.every((each, at) => each === place.list[at]);
  const list =
    isBelow && !isSame && typeof step === 'number' && step > index
      ? [...place.list.slice(0, from.length), step - 1, ...place.list.slice(from.length + 1)]
      : place.list;
  return { text: withoutEmptyList(moved, from), path: [...list, target] };
}

export function samePath(one: JsonPath, other: JsonPath): boolean {
  return one.length === other.length && one.every((step, index) => step === other[index]);
}

/** Gives an entry another id, in the entries, the menus and as the home of breadcrumbs. */
export function renameEntry(text: string, path: JsonPath, id: string): string {
  const old = valueAt(text, [...path, 'id']);
  let next = setAt(text, [...path, 'id'], id);
  if (typeof old !== 'string' || old === '') return next;
  if (valueAt(next, ['home']) === old) next = setAt(next, ['home'], id);
  for (const menu of menuNames(next)) {
    for (const { path: at, id: shown } of [...everyNode(menuOutline(next, menu))]) {
      if (shown === old)
        next = typeof valueAt(next, at) === 'string' ? setAt(next, at, id) : setAt(next, [...at, 'entry'], id);
    }
  }
  return next;
}

/** Has links to the address that an entry had lead on to the one that it has. */
export function keepOldAddress(text: string, path: JsonPath, old: string): string {
  const list = [...path, 'movedFrom'];
  const known = listAt(valueAt(text, list));
  if (known.includes(old)) return text;
  return known.length > 0 ? insertAt(text, list, known.length, old) : setAt(text, list, [old], ['entries']);
}

/** Adds an item to a menu: a group, or a divider. */
export function addMenuItem(
  text: string,
  place: OutlinePlace,
  item: unknown,
): { readonly text: string; readonly path: JsonPath } {
  const index = Math.min(place.index, listAt(valueAt(text, place.list)).length);
  return { text: insertAt(text, place.list, index, item), path: [...place.list, index] };
}

/** Adds a menu without items. */
export function addMenu(text: string, name: string): string {
  return setAt(text, ['menus', name], []);
}
