import { readTokens, writeHex, type Theme } from 'fair-trail/color';
import { everyNode, entryOutline, menuNames, menuOutline, type OutlineNode } from './site-edits.ts';
import type { FileTexts } from './edit-history.ts';
import { readJsonText, valueAt } from './json-text.ts';

/** One thing that is another than it was. */
export interface SessionChange {
  readonly file: 'site' | 'tokens' | 'options';
  /** What it is, in words. */
  readonly what: string;
  /** Null for what was not there. */
  readonly was: string | null;
  /** Null for what is gone. */
  readonly is: string | null;
}

/** What changed between two versions of the files. */
export function changesBetween(before: FileTexts, now: FileTexts): readonly SessionChange[] {
  return [...siteChanges(before.site, now.site), ...tokenChanges(before.tokens, now.tokens)];
}

function siteChanges(before: string | null, now: string | null): readonly SessionChange[] {
  if (before === null || now === null || before === now) return [];
  const [old, next] = [entriesOf(before), entriesOf(now)];
  const changes: SessionChange[] = [];
  const add = (what: string, was: unknown, is: unknown) => {
    if (JSON.stringify(was) !== JSON.stringify(is))
      changes.push({ file: 'site', what, was: shown(was), is: shown(is) });
  };
  for (const [id, entry] of next) {
    const known = old.get(id);
    if (!known) {
      add(`the entry ${id}`, undefined, `${entry.node.label}, ${shown(entry.fields['href']) ?? 'without an address'}`);
      continue;
    }
    for (const field of new Set([...Object.keys(known.fields), ...Object.keys(entry.fields)])) {
      if (field !== 'entries') add(`${field} of ${id}`, known.fields[field], entry.fields[field]);
    }
    add(`place of ${id}`, known.parent, entry.parent);
  }
  for (const [id, { node }] of old) if (!next.has(id)) add(`the entry ${id}`, node.label, undefined);
  const lists = (text: string) => new Map<string, readonly OutlineNode[]>(listsOf(entryOutline(text), null));
  const nextLists = lists(now);
  for (const [parent, members] of lists(before)) {
    const others = nextLists.get(parent) ?? [];
    const order = (nodes: readonly OutlineNode[], of: readonly OutlineNode[]) => {
      const ids = new Set(of.map(({ id }) => id));
      return nodes.filter(({ id }) => ids.has(id)).map(({ id }) => id);
    };
    const [was, is] = [order(members, others), order(others, members)];
    add(`order of ${parent === '' ? 'the entries' : `what is below ${parent}`}`, was.join(', '), is.join(', '));
  }
  for (const menu of new Set([...menuNames(before), ...menuNames(now)])) {
    if (JSON.stringify(valueAt(before, ['menus', menu])) === JSON.stringify(valueAt(now, ['menus', menu]))) continue;
    const has = (text: string) => menuNames(text).includes(menu);
    add(
      `the menu ${menu}`,
      has(before) ? menuText(before, menu) : undefined,
      has(now) ? menuText(now, menu) : undefined,
    );
  }
  const [oldSite, nextSite] = [readJsonText(before)?.value, readJsonText(now)?.value] as [object, object];
  for (const field of new Set([...Object.keys(oldSite), ...Object.keys(nextSite)])) {
    if (field === 'entries' || field === 'menus') continue;
    add(field, (oldSite as FieldValues)[field], (nextSite as FieldValues)[field]);
  }
  return changes;
}

type FieldValues = Readonly<Record<string, unknown>>;

interface FoundEntry {
  readonly node: OutlineNode;
  readonly fields: FieldValues;
  readonly parent: string;
}

function entriesOf(text: string): ReadonlyMap<string, FoundEntry> {
  const found = new Map<string, FoundEntry>();
  const visit = (nodes: readonly OutlineNode[], parent: string) => {
    for (const node of nodes) {
      if (node.id !== null)
        found.set(node.id, { node, parent, fields: (valueAt(text, node.path) ?? {}) as FieldValues });
      visit(node.children, node.id ?? '');
    }
  };
  visit(entryOutline(text), 'the top');
  return found;
}

function* listsOf(
  nodes: readonly OutlineNode[],
  parent: string | null,
): Generator<readonly [string, readonly OutlineNode[]], void, undefined> {
  yield [parent ?? '', nodes];
  for (const { id, children } of nodes) if (children.length > 0) yield* listsOf(children, id);
}

function menuText(text: string, menu: string): string {
  return [...everyNode(menuOutline(text, menu))].map(({ id, label }) => id ?? label).join(', ');
}

function shown(value: unknown): string | null {
  if (value === undefined) return null;
  return typeof value === 'string' ? value : JSON.stringify(value);
}

function tokenChanges(before: string | null, now: string | null): readonly SessionChange[] {
  if (before === null || now === null || before === now) return [];
  const [old, next] = [tokenValues(before), tokenValues(now)];
  return [...new Set([...old.keys(), ...next.keys()])]
    .filter((name) => old.get(name) !== next.get(name))
    .map((name) => ({ file: 'tokens', what: name, was: old.get(name) ?? null, is: next.get(name) ?? null }));
}

/** What the file itself says, by the names of the tokens. */
function tokenValues(text: string): ReadonlyMap<string, string> {
  const { themes, measures } = readTokens(readJsonText(text)?.value, { light: {}, dark: {} } as Theme);
  const values = new Map<string, string>();
  for (const [theme, schemes] of Object.entries(themes)) {
    for (const scheme of ['light', 'dark'] as const) {
      for (const [name, color] of Object.entries(schemes[scheme])) {
        values.set(`${theme === 'default' ? '' : `${theme}, `}${name}, ${scheme}`, writeHex(color));
      }
    }
  }
  for (const [name, value] of Object.entries(measures)) values.set(name, value);
  return values;
}

/** A change in a sentence. */
export function changeSentence({ what, was, is }: SessionChange): string {
  if (was === null) return `${what}: ${is ?? ''} (new)`;
  return is === null ? `${what}: ${was} (gone)` : `${what}: ${was} → ${is}`;
}

/** The changes for whoever builds or reviews them, as a table in Markdown. */
export function changesMarkdown(changes: readonly SessionChange[]): string {
  if (changes.length === 0) return '';
  const cell = (text: string | null) =>
    text === null ? '–' : text.replaceAll('|', String.raw`\|`).replaceAll(/\s+/gu, ' ');
  const rows = changes.map(({ file, what, was, is }) => `| ${file} | ${cell(what)} | ${cell(was)} | ${cell(is)} |`);
  return ['## Changed in this session', '', '| in | what | was | is |', '| --- | --- | --- | --- |', ...rows, ''].join(
    '\n',
  );
}
