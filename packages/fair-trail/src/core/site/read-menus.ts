import type { Entry } from './entry.ts';
import { menuItemFields } from './field-table.ts';
import {
  below,
  readList,
  readName,
  readObject,
  readOptional,
  readRecord,
  readRequired,
  readText,
  readTexts,
  type Languages,
  type FieldLocation,
} from './fields.ts';
import { isDots } from './encoding.ts';
import { nearest } from './nearest.ts';
import { fillTemplate, namesInTemplate } from './path-template.ts';
import { problem } from './problems.ts';
import { readAudience } from './read-details.ts';
import type { MenuNode } from './site.ts';

/** Menus may nest a little deeper than anyone would want, and no deeper: reading them recurses. */
const mostLevels = 32;

/** What the site says before its menus, and they depend on. */
interface MenuContext {
  readonly byId: ReadonlyMap<string, Entry>;
  readonly languages: Languages;
  /** The audiences that there are; null if the site does not list them. */
  readonly audiences: readonly string[] | null;
}

export function readMenus(
  value: unknown,
  context: MenuContext,
  place: FieldLocation,
): ReadonlyMap<string, readonly MenuNode[]> | null {
  const object = readRecord(value, place);
  if (!object) return null;
  const reader = new MenuReader(context);
  const menus = new Map<string, readonly MenuNode[]>();
  for (const name of Object.keys(object)) {
    const at = below(place, name);
    readName(name, 'the name of a menu', at);
    menus.set(name, reader.readNodes(object[name], 1, at) ?? []);
  }
  return menus;
}

class MenuReader {
  readonly #byId: ReadonlyMap<string, Entry>;
  readonly #languages: Languages;
  readonly #audiences: readonly string[] | null;
  /** The lists that are being read: one that holds itself would never end. */
  readonly #open = new Set<unknown>();
  /** How many wrong ids are still compared with all others; whoever has more has another problem. */
  #suggestions = 100;

  constructor({ byId, languages, audiences }: MenuContext) {
    this.#byId = byId;
    this.#languages = languages;
    this.#audiences = audiences;
  }

  readNodes(value: unknown, level: number, place: FieldLocation): MenuNode[] | null {
    if (level > mostLevels) {
      place.problems.push(problem('too-deep', place.pointer, { expected: String(mostLevels) }));
      return null;
    }
    if (this.#open.has(value)) {
      place.problems.push(problem('menu-holds-itself', place.pointer));
      return null;
    }
    this.#open.add(value);
    const seen = new Map<string, string>();
    const readMember = (member: unknown, at: FieldLocation) => {
      const node = this.#readNode(member, level, at);
      if (node?.kind !== 'entry' && node?.kind !== 'action') return node;
      const [id, key] =
        node.kind === 'entry'
          ? [node.entry.id, JSON.stringify([node.entry.id, node.params])]
          : [node.action, `action ${node.action}`];
      const other = seen.get(key);
      if (other === undefined) seen.set(key, at.pointer);
      else at.problems.push(problem('menu-repeats', at.pointer, { value: id, other }));
      return node;
    };
    const nodes = readList(value, readMember, place);
    this.#open.delete(value);
    return nodes;
  }

  #readNode(value: unknown, level: number, place: FieldLocation): MenuNode | null {
    if (typeof value === 'string') return this.#readEntry(value, 1, {}, place);
    const kind = kindOf(value);
    const object = readObject(value, Object.keys(menuItemFields[kind]), place);
    if (!object) return null;
    if (kind === 'divider') return readDivider(object, place);
    const readBelow = (list: unknown, at: FieldLocation) => this.readNodes(list, level + 1, at);
    if (kind === 'either') {
      const nodes = readRequired(object, 'either', 'a list of ids', readBelow, place);
      return { kind: 'choice', nodes: nodes ?? [] };
    }
    const readLabel = (text: unknown, at: FieldLocation) => readTexts(text, 'label', this.#languages, at);
    if (kind === 'action') {
      const action = readRequired(object, 'action', 'the name of an action', readAction, place);
      const labels = readRequired(object, 'label', 'the label of the action', readLabel, place);
      const icon = readOptional(object, 'icon', readIcon, place) ?? null;
      const readNames = (names: unknown, at: FieldLocation) => readAudience(names, this.#audiences, at);
      const audience = readOptional(object, 'audience', readNames, place);
      return {
        kind: 'action',
        action: action ?? '',
        labels: labels ?? {},
        icon,
        audiences: audience ? [audience] : [],
      };
    }
    if (kind === 'label') {
      const labels = readRequired(object, 'label', 'the title of the group', readLabel, place);
      const nodes = readRequired(object, 'entries', 'a list of ids', readBelow, place);
      return { kind: 'group', labels: labels ?? {}, nodes: nodes ?? [] };
    }
    const depth = readOptional(object, 'depth', readDepth, place) ?? menuItemFields.entry.depth.default;
    const params = readOptional(object, 'params', readParams, place) ?? {};
    const node = this.#readEntry(object['entry'], depth, params, below(place, 'entry'));
    if (node?.kind === 'entry') this.#checkParams(node, below(place, 'params'));
    return node;
  }

  #readEntry(
    value: unknown,
    depth: number,
    params: Readonly<Record<string, string>>,
    place: FieldLocation,
  ): MenuNode | null {
    const id = readText(value, 'id', place);
    if (id === null) return null;
    const entry = this.#byId.get(id);
    if (!entry) {
      const other = this.#suggestions > 0 ? nearest(id, this.#byId.keys()) : undefined;
      this.#suggestions -= 1;
      place.problems.push(problem('unknown-entry', place.pointer, { value: id, ...(other && { other }) }));
      return null;
    }
    const given = Object.keys(params);
    const quoted = entry.paramNames.map((name) => `"${name}"`).join(', ');
    for (const name of given) {
      if (entry.paramNames.includes(name)) continue;
      const details = { value: name, other: id, ...(quoted && { expected: quoted }) };
      place.problems.push(problem('menu-param-name', place.pointer, details));
    }
    const needed = entry.paramNames.some((name) => !entry.query.includes(name) && !given.includes(name));
    const ways = entry.templates[this.#languages.own] ?? [];
    // A wildcard at the end may stand for nothing.
    if (needed && entry.records === null && !ways.some((template) => fillTemplate(template, {}))) {
      place.problems.push(problem('menu-params', place.pointer, { value: id, other: quoted }));
    }
    return { kind: 'entry', entry, depth, params };
  }

  /** What no path can hold. Whether the address is the entry's own is known only when all addresses are. */
  #checkParams({ entry, params }: Extract<MenuNode, { kind: 'entry' }>, place: FieldLocation): void {
    const ways = entry.templates[this.#languages.own] ?? [];
    const isGiven = (template: string) => namesInTemplate(template).every((name) => Object.hasOwn(params, name));
    const given = ways.filter(isGiven);
    if (given.length === 0 || given.some((template) => fillTemplate(template, params))) return;
    const [name] = Object.entries(params).find(([, value]) => isDots(value)) ?? [];
    const at = name === undefined ? place : below(place, name);
    place.problems.push(problem('menu-param-value', at.pointer, { value: entry.id }));
  }
}

/** The kind of item that a value is most like; one without any such field is more likely a group that lacks something. */
function kindOf(value: unknown): keyof typeof menuItemFields {
  const has = (field: string) => typeof value === 'object' && value !== null && Object.hasOwn(value, field);
  return (['divider', 'either', 'action', 'entry'] as const).find(has) ?? 'label';
}

function readAction(value: unknown, place: FieldLocation): string | null {
  return readName(value, 'the name of an action', place);
}

function readIcon(value: unknown, place: FieldLocation): string | null {
  return readName(value, 'the name of an icon', place);
}

function readDivider(object: Readonly<Record<string, unknown>>, place: FieldLocation): MenuNode | null {
  if (object['divider'] === true) return { kind: 'divider' };
  const at = below(place, 'divider');
  at.problems.push(problem('wrong-type', at.pointer, { value: 'something else', expected: 'true' }));
  return null;
}

function readDepth(value: unknown, place: FieldLocation): number | null {
  if (typeof value === 'number' && Number.isInteger(value) && value >= 1) return value;
  const written = typeof value === 'number' ? String(value) : 'not a number';
  place.problems.push(problem('wrong-type', place.pointer, { value: written, expected: 'a whole number from 1' }));
  return null;
}

function readParams(value: unknown, place: FieldLocation): Readonly<Record<string, string>> | null {
  const object = readRecord(value, place);
  if (!object) return null;
  const params = Object.keys(object).map(
    (name) => [name, readText(object[name], 'param', below(place, name))] as const,
  );
  return Object.fromEntries(params.filter((pair): pair is readonly [string, string] => pair[1] !== null));
}
