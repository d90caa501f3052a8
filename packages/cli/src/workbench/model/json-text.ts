import { createScanner, findNodeAtLocation, getNodeValue, parseTree, type Node, type ParseError } from 'jsonc-parser';
import { habitsOf, inline, spread, type JsonHabits } from './json-habits.ts';

/** The steps from the root of a JSON text to a value in it. */
export type JsonPath = readonly (string | number)[];

/** A JSON text as it was read: comments and trailing commas may be in it, and stay. */
export interface ParsedJson {
  readonly value: unknown;
  readonly root: Node;
}

/** The kinds of tokens that the scanner tells apart, of which it exports no names that a bundler keeps. */
const kinds = { comma: 5, lineComment: 12, blockComment: 13, lineBreak: 14, trivia: 15, end: 17 } as const;

/** The texts that were read last: each edit asks for the same one several times. */
const read: { readonly text: string; readonly result: ParsedJson | null }[] = [];
const remembered = 4;

/** Reads a JSON text. @returns null if it is none */
export function readJsonText(text: string): ParsedJson | null {
  const known = read.find((each) => each.text === text);
  if (known) return known.result;
  const result = parse(text);
  read.unshift({ text, result });
  read.length = Math.min(read.length, remembered);
  return result;
}

function parse(text: string): ParsedJson | null {
  const errors: ParseError[] = [];
  try {
    const root = parseTree(text, errors, { allowTrailingComma: true });
    if (!root || errors.length > 0) return null;
    return { root, value: valueOf(text, root) };
  } catch (error) {
    // What is nested thousands of levels deep.
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/** By the language's own parser where it can: only that keeps a field named "__proto__" a mere field. */
function valueOf(text: string, root: Node): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/u, ''));
  } catch {
    return getNodeValue(root);
  }
}

/** A JSON text that the caller knows to be one. */
function rootOf(text: string): Node {
  const known = readJsonText(text);
  if (!known) throw new Error('This text is not JSON.');
  return known.root;
}

/** The value at a path; undefined if there is none. */
export function valueAt(text: string, path: JsonPath): unknown {
  const found = readJsonText(text);
  let value = found?.value;
  for (const step of path) {
    if (typeof value !== 'object' || value === null || !Object.hasOwn(value, step)) return undefined;
    value = (value as Record<string | number, unknown>)[step];
  }
  return value;
}

function nodeAt(text: string, path: JsonPath): Node | undefined {
  return findNodeAtLocation(rootOf(text), [...path]);
}

function lineStart(text: string, offset: number): number {
  return text.lastIndexOf('\n', offset - 1) + 1;
}

/** What a line begins with. */
function indentAt(text: string, offset: number): string {
  return /^[\t ]*/u.exec(text.slice(lineStart(text, offset), offset))?.[0] ?? '';
}

function endOf(node: Node): number {
  return node.offset + node.length;
}

/** Whether the members of an object or a list stand on the line of its brace. */
function isInline(text: string, node: Node): boolean {
  const [first] = node.children ?? [];
  return first !== undefined && !text.slice(node.offset, first.offset).includes('\n');
}

/** Where the next comma is, comments aside; -1 if there is none before the end. */
function commaBetween(text: string, from: number, to: number): number {
  const scanner = createScanner(text.slice(from, to), false);
  for (let kind = scanner.scan() as number; kind !== kinds.end; kind = scanner.scan() as number) {
    if (kind === kinds.comma) return from + scanner.getTokenOffset();
  }
  return -1;
}

/** The end of what belongs to a member on its line: its comma, and a comment that follows it. */
function endOfLineAfter(text: string, offset: number): number {
  const scanner = createScanner(text.slice(offset), false);
  let end = offset;
  for (let kind = scanner.scan() as number; kind !== kinds.end; kind = scanner.scan() as number) {
    const isTrivia = kind === kinds.trivia || kind === kinds.comma;
    if (!isTrivia && kind !== kinds.lineComment && kind !== kinds.blockComment) return end;
    // A comment over several lines belongs to what comes next.
    if (text.slice(offset, offset + scanner.getTokenOffset() + scanner.getTokenLength()).includes('\n')) return end;
    if (kind !== kinds.trivia) end = offset + scanner.getTokenOffset() + scanner.getTokenLength();
  }
  return end;
}

/** A member as it is to be written into an object or a list. */
interface NewMember {
  /** Null in a list. */
  readonly name: string | null;
  /** Null where the text is given as it is. */
  readonly value: unknown;
  readonly raw?: string;
  /** A comment that follows it on its line. */
  readonly beside?: string;
}

function written({ name, value, raw }: NewMember, indent: string | null, habits: JsonHabits): string {
  const text = raw ?? (indent === null ? inline(value, habits) : spread(value, indent, habits));
  return name === null ? text : `${JSON.stringify(name)}${habits.colon}${text}`;
}

/** Adds a member to an object or a list, at an index of its members. */
function addMember(text: string, container: Node, index: number, member: NewMember): string {
  const habits = habitsOf(text);
  const { eol, unit, comma, padding } = habits;
  const children = container.children ?? [];
  const outer = indentAt(text, endOf(container) - 1);
  const before = children[index - 1];
  const after = children[index];
  // An empty file says nothing of how it is to be written.
  const isOneLine = !text.trim().includes('\n') && text.trim() !== '{}';
  if (!before && !after) {
    const inside = text.slice(container.offset + 1, endOf(container) - 1);
    const isShort =
      isOneLine || (container.type === 'array' && typeof member.value !== 'object' && member.raw === undefined);
    const beside = member.beside === undefined ? '' : ` ${member.beside}`;
    const around = container.type === 'array' ? '' : padding;
    const line = indentOfLine(text, container.offset);
    const whole = isShort
      ? `${around}${written(member, null, habits)}${around}`
      : `${eol}${line}${unit}${written(member, line + unit, habits)}${beside}${eol}${line}`;
    // A comment alone in its braces stays before what is added.
    const kept = inside.trim() === '' ? '' : inside.trimEnd();
    return text.slice(0, container.offset + 1) + kept + whole + text.slice(endOf(container) - 1);
  }
  if (isInline(text, container)) {
    if (member.beside !== undefined || (member.raw !== undefined && hasComment(member.raw))) {
      // A comment ends its line.
      const spreadText = spreadOut(text, container.offset);
      const again = nodeBeginningAt(rootOf(spreadText), container.offset);
      if (again && !isInline(spreadText, again)) return addMember(spreadText, again, index, member);
    }
    const added = member.raw?.includes('\n') === true ? { ...member, value: readJsonText(member.raw)?.value } : member;
    const { raw, ...plain } = added;
    const short = written(raw?.includes('\n') === true ? plain : added, null, habits);
    const result = before
      ? splice(text, endOf(before), endOf(before), comma + short)
      : splice(text, after?.offset ?? 0, after?.offset ?? 0, short + comma);
    const start = lineStart(result, container.offset);
    const end = result.indexOf('\n', start);
    const isTooLong = (end < 0 ? result.length : end) - start > habits.width && !isOneLine;
    return isTooLong ? spreadOut(result, container.offset) : result;
  }
  const sibling = before ?? after;
  const indent = sibling ? indentAt(text, sibling.offset) : outer + unit;
  const [firstObject] = children.filter(({ type }) => type === 'object' && container.type === 'array');
  const likeSiblings = firstObject && isInline(text, firstObject) ? null : indent;
  const line = indent + written(member, likeSiblings, habits);
  const beside = member.beside === undefined ? '' : ` ${member.beside}`;
  if (!before) {
    // Above the comments that belong to the one that was first.
    const first = after ? lineStart(text, startWithComments(text, after)) : 0;
    return splice(text, first, first, `${line},${beside}${eol}`);
  }
  const hasComma = commaBetween(text, endOf(before), after?.offset ?? endOf(container) - 1) >= 0;
  const place = endOfLineAfter(text, endOf(before));
  const added = splice(text, place, place, `${eol}${line}${hasComma ? ',' : ''}${beside}`);
  return hasComma ? added : splice(added, endOf(before), endOf(before), ',');
}

/** The indentation of the line that something begins in. */
function indentOfLine(text: string, offset: number): string {
  return /^[\t ]*/u.exec(text.slice(lineStart(text, offset)))?.[0] ?? '';
}

/** Writes the list or object that begins there over several lines. */
function spreadOut(text: string, offset: number): string {
  const node = nodeBeginningAt(rootOf(text), offset);
  if (!node?.children) return text;
  const habits = habitsOf(text);
  const gaps = node.children.map((child, index) =>
    text.slice(index === 0 ? offset : endOf(node.children?.[index - 1] ?? child), child.offset),
  );
  if (gaps.some((gap) => gap.includes('/'))) return text;
  const indent = indentOfLine(text, offset);
  const inner = indent + habits.unit;
  const members = node.children.map((child) => inner + text.slice(child.offset, endOf(child)));
  const [open = '', close = ''] = node.type === 'array' ? '[]' : '{}';
  const whole = `${open}${habits.eol}${members.join(`,${habits.eol}`)}${habits.eol}${indent}${close}`;
  return splice(text, offset, endOf(node), whole);
}

function hasComment(text: string): boolean {
  const scanner = createScanner(text, false);
  for (let kind = scanner.scan() as number; kind !== kinds.end; kind = scanner.scan() as number) {
    if (kind === kinds.lineComment || kind === kinds.blockComment) return true;
  }
  return false;
}

function nodeBeginningAt(root: Node, offset: number): Node | undefined {
  if (root.offset === offset && root.type !== 'property') return root;
  for (const child of root.children ?? []) {
    if (offset >= child.offset && offset < endOf(child)) return nodeBeginningAt(child, offset);
  }
  return undefined;
}

function splice(text: string, from: number, to: number, put: string): string {
  return text.slice(0, from) + put + text.slice(to);
}

/** Takes a member out of an object or a list. */
function removeMember(text: string, container: Node, member: Node): string {
  const children = container.children ?? [];
  const index = children.indexOf(member);
  const [before, after] = [children[index - 1], children[index + 1]];
  const start = lineStart(text, member.offset);
  const beginsLine = text.slice(start, member.offset).trim() === '';
  if (!before && !after) {
    const inside = text.slice(container.offset + 1, member.offset) + text.slice(endOf(member), endOf(container) - 1);
    const isEmpty = inside.replace(',', '').trim() === '';
    if (isEmpty) return splice(text, container.offset + 1, endOf(container) - 1, '');
  }
  // The last one leaves a comma behind it, and what stood on its line.
  const end = after ? endOf(member) : (commaAfterLast(text, container, member) ?? endOf(member));
  const lineEnd = endOfLineAfter(text, end);
  const endsLine = /^[\t ]*\r?\n/u.test(text.slice(lineEnd));
  let result: string;
  if (beginsLine && endsLine) {
    const next = text.indexOf('\n', lineEnd) + 1;
    result = splice(text, start, next, '');
  } else if (after) {
    result = splice(text, member.offset, after.offset, '');
  } else {
    result = splice(text, before ? endOf(before) : member.offset, end, '');
    return result;
  }
  if (!after && before) {
    const comma = commaBetween(text, endOf(before), member.offset);
    const hadTrailing = commaAfterLast(text, container, member) !== null;
    if (comma >= 0 && !hadTrailing) result = splice(result, comma, comma + 1, '');
  }
  return result;
}

/** The end of a trailing comma. */
function commaAfterLast(text: string, container: Node, member: Node): number | null {
  const comma = commaBetween(text, endOf(member), endOf(container) - 1);
  return comma < 0 ? null : comma + 1;
}

/**
 * The text with a value at a path: replaced where there is one, else added; undefined takes it away. Everything else stays as it
 * is: comments, the order of the fields, indentation, the ends of lines.
 *
 * @param before the names of fields that a new field is written before, if there is one of them
 * @throws Error if there is nothing that could hold it
 */
export function setAt(text: string, path: JsonPath, value: unknown, before: readonly string[] = []): string {
  const found = path.length === 0 ? rootOf(text) : nodeAt(text, path);
  if (value === undefined) return found ? removeAt(text, path) : text;
  if (found) {
    const habits = habitsOf(text);
    const old = text.slice(found.offset, endOf(found));
    const isOneLine = !old.includes('\n') && (isInline(text, found) || !text.trim().includes('\n'));
    const plain = typeof value !== 'object' || value === null;
    const put = plain || isOneLine ? inline(value, habits) : spread(value, indentOfLine(text, found.offset), habits);
    return put === old ? text : splice(text, found.offset, endOf(found), put);
  }
  const parent = path.slice(0, -1);
  const name = path.at(-1);
  const container = parent.length === 0 ? rootOf(text) : nodeAt(text, parent);
  if (!container) {
    const next = typeof name === 'number' ? [] : {};
    return setAt(setAt(text, parent, next), path, value, before);
  }
  const children = container.children ?? [];
  if (container.type === 'array') return addMember(text, container, Number(name), { name: null, value });
  if (container.type !== 'object') throw new Error('Only an object or a list can hold a value.');
  const place = children.findIndex((child) => before.includes(String(child.children?.[0]?.value)));
  return addMember(text, container, place < 0 ? children.length : place, { name: String(name), value });
}

/** The text with one more member of a list. */
export function insertAt(text: string, list: JsonPath, index: number, value: unknown): string {
  const container = nodeAt(text, list);
  if (!container) return setAt(text, list, [value]);
  return addMember(text, container, Math.min(index, container.children?.length ?? 0), { name: null, value });
}

/** The text without what is at a path. */
export function removeAt(text: string, path: JsonPath): string {
  const node = nodeAt(text, path);
  const member = node?.parent?.type === 'property' ? node.parent : node;
  if (!member?.parent) return text;
  return removeMember(text, member.parent, member);
}

/** Where the comments above a member begin that stand on lines of their own; its own line if there are none. */
function startWithComments(text: string, member: Node): number {
  const container = member.parent;
  const children = container?.children ?? [];
  const before = children[children.indexOf(member) - 1];
  const from = before ? endOfLineAfter(text, endOf(before)) : (container?.offset ?? 0) + 1;
  const between = text.slice(from, member.offset);
  const lines = /^[^\S\n]*\r?\n/u.exec(between);
  if (!lines || between.trim() === '') return member.offset;
  return from + lines[0].length + (/^\s*/u.exec(between.slice(lines[0].length))?.[0].length ?? 0);
}

/**
 * The text with a member of a list in another place, as it was written: with the comments above it, indented as its new
 * neighbors are.
 *
 * @param to the list and the index in it, both as they are before
 */
export function moveItem(
  text: string,
  from: JsonPath,
  to: { readonly list: JsonPath; readonly index: number },
): string {
  const member = nodeAt(text, from);
  if (!member?.parent) return text;
  const start = startWithComments(text, member);
  const oldIndent = indentAt(text, member.offset);
  const raw = text.slice(start, endOf(member));
  // Taken out from the end, so that places before it stay.
  const fromList = from.slice(0, -1);
  const fromIndex = Number(from.at(-1));
  const list = shifted(to.list, fromList, fromIndex);
  const isSameList = fromList.length === to.list.length && fromList.every((step, place) => step === to.list[place]);
  const index = isSameList && to.index > fromIndex ? to.index - 1 : to.index;
  const [beside] = /\/[/*].*$/u.exec(text.slice(endOf(member), endOfLineAfter(text, endOf(member)))) ?? [];
  const isAbove = lineStart(text, start) < lineStart(text, member.offset);
  const bare = isAbove
    ? splice(text, lineStart(text, start), lineStart(text, member.offset), '')
    : splice(text, start, member.offset, '');
  const rest = removeAt(bare, from);
  const container = nodeAt(rest, list);
  const habits = habitsOf(text);
  if (!container) return setAt(rest, list, [readJsonText(text.slice(member.offset, endOf(member)))?.value]);
  const children = container.children ?? [];
  const sibling = children[0];
  const newIndent =
    sibling && !isInline(rest, container)
      ? indentAt(rest, sibling.offset)
      : indentOfLine(rest, container.offset) + habits.unit;
  const reindented = raw
    .split('\n')
    .map((line, number) => (number > 0 && line.startsWith(oldIndent) ? newIndent + line.slice(oldIndent.length) : line))
    .join('\n');
  return addMember(rest, container, Math.min(index, children.length), {
    name: null,
    value: null,
    raw: reindented,
    ...(beside !== undefined && { beside }),
  });
}

/** A path after a member of a list before it has gone. */
function shifted(path: JsonPath, list: JsonPath, index: number): JsonPath {
  const step = path[list.length];
  const isBelow = path.length > list.length && list.every((each, place) => each === path[place]);
  if (!isBelow || typeof step !== 'number' || step <= index) return path;
  return [...path.slice(0, list.length), step - 1, ...path.slice(list.length + 1)];
}

/** A JSON Pointer (RFC 6901) as a path: digits are the places in lists. */
export function pathOf(pointer: string): JsonPath {
  return pointer
    .split('/')
    .slice(1)
    .map((step) => {
      const name = step.replaceAll('~1', '/').replaceAll('~0', '~');
      return /^(?:0|[1-9]\d*)$/u.test(name) ? Number(name) : name;
    });
}

/** A path as a JSON Pointer. */
export function pointerOf(path: JsonPath): string {
  return path.map((step) => `/${String(step).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');
}
