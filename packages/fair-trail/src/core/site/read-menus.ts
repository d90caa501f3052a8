import type { Entry } from './entry.ts';
import { below, readList, readName, readObject, readRequired, readText, type Place } from './fields.ts';
import { nearest } from './nearest.ts';
import { problem } from './problems.ts';
import type { Path } from './pathname.ts';
import type { MenuNode } from './site.ts';

/** Menus may nest a little deeper than anyone would want, and no deeper: reading them recurses. */
const mostLevels = 32;

export function readMenus(
  value: unknown,
  byId: ReadonlyMap<string, Entry>,
  place: Place,
): ReadonlyMap<string, readonly MenuNode[]> | null {
  const object = readObject(value, Object.keys(value ?? {}), place);
  if (!object) return null;
  const menus = new Map<string, readonly MenuNode[]>();
  for (const name of Object.keys(object)) {
    const at = below(place, name);
    readName(name, 'the name of a menu', at);
    menus.set(name, readNodes(object[name], byId, 1, at) ?? []);
  }
  return menus;
}

function readNodes(value: unknown, byId: ReadonlyMap<string, Entry>, level: number, place: Place): MenuNode[] | null {
  if (level > mostLevels) {
    place.problems.push(problem('too-deep', place.pointer, { expected: String(mostLevels) }));
    return null;
  }
  const seen = new Map<string, string>();
  return readList(
    value,
    (member, at) => {
      const node = readNode(member, byId, level, at);
      if (node?.kind !== 'entry') return node;
      const other = seen.get(node.entry.id);
      if (other === undefined) seen.set(node.entry.id, at.pointer);
      else at.problems.push(problem('menu-repeats', at.pointer, { value: node.entry.id, other }));
      return node;
    },
    place,
  );
}

function readNode(value: unknown, byId: ReadonlyMap<string, Entry>, level: number, place: Place): MenuNode | null {
  if (typeof value === 'string') return readEntryNode(value, 1, byId, place);
  const isGroup = typeof value === 'object' && value !== null && !Object.hasOwn(value, 'entry');
  const object = readObject(value, isGroup ? ['label', 'entries'] : ['entry', 'depth'], place);
  if (!object) return null;
  if (isGroup) {
    const label = readRequired(object, 'label', 'the title of the group', (v, at) => readText(v, 'label', at), place);
    const readBelow = (list: unknown, at: Place) => readNodes(list, byId, level + 1, at);
    const nodes = readRequired(object, 'entries', 'a list of ids', readBelow, place);
    return { kind: 'group', label: label ?? '', nodes: nodes ?? [] };
  }
  const depth = Object.hasOwn(object, 'depth') ? readDepth(object['depth'], below(place, 'depth')) : 1;
  return readEntryNode(object['entry'], depth, byId, below(place, 'entry'));
}

function readDepth(value: unknown, place: Place): number {
  if (Number.isInteger(value) && (value as number) >= 1) return value as number;
  const written = typeof value === 'number' ? String(value) : `not a number`;
  place.problems.push(problem('wrong-type', place.pointer, { value: written, expected: 'a whole number from 1' }));
  return 1;
}

function readEntryNode(value: unknown, depth: number, byId: ReadonlyMap<string, Entry>, place: Place): MenuNode | null {
  const id = readText(value, 'id', place);
  if (id === null) return null;
  const entry = byId.get(id);
  if (!entry) {
    const other = nearest(id, byId.keys());
    place.problems.push(problem('unknown-entry', place.pointer, { value: id, ...(other && { other }) }));
    return null;
  }
  if (entry.paramNames.length > 0 && entry.records === null && !entry.paths.some((path) => isPlain(path))) {
    const other = entry.paramNames.map((name) => `":${name}"`).join(', ');
    place.problems.push(problem('menu-params', place.pointer, { value: id, other }));
  }
  return { kind: 'entry', entry, depth };
}

/** A path that can be linked to without params: a wildcard at its end may stand for nothing. */
function isPlain(path: Path): boolean {
  return path.every((segment) => segment.kind === 'literal' || (segment.kind === 'wildcard' && !segment.filled));
}
