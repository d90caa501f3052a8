import type { WrittenList, WrittenObject } from './source-tree.ts';

/** A text to put into a file at an offset. */
export interface Insertion {
  readonly offset: number;
  /** Where what it takes the place of ends. Default: it takes the place of nothing. */
  readonly end?: number;
  readonly text: string;
}

/** How values are written in a file. */
export interface WritingStyle {
  /** A quoted text. */
  readonly quote: (text: string) => string;
  /** A name of a field, quoted or not. */
  readonly name: (name: string) => string;
}

export const jsonStyle: WritingStyle = { quote: (text) => JSON.stringify(text), name: (name) => JSON.stringify(name) };

export const scriptStyle: WritingStyle = {
  quote: (text) => (text.includes("'") ? JSON.stringify(text) : `'${text.replaceAll('\\', '\\\\')}'`),
  name: (name) => (/^[A-Za-z_$][\w$]*$/u.test(name) ? name : scriptStyle.quote(name)),
};

/** One level of indentation in a text: that of its first line that has any. */
export function indentOf(text: string): string {
  return /^([ \t]+)\S/mu.exec(text)?.[1] ?? '  ';
}

/** The white space that a line begins with. */
function marginAt(text: string, offset: number): string {
  return /^[ \t]*/u.exec(text.slice(text.lastIndexOf('\n', offset - 1) + 1))?.[0] ?? '';
}

type WrittenTexts = Readonly<Record<string, string>>;

/** An object of texts, in one line or in one for each field. */
export function writeObject(values: WrittenTexts, style: WritingStyle, margin: string | null, indent: string): string {
  const fields = Object.entries(values).map(([name, value]) => `${style.name(name)}: ${style.quote(value)}`);
  if (margin === null) return `{ ${fields.join(', ')} }`;
  return `{\n${fields.map((field) => `${margin}${indent}${field}`).join(',\n')}\n${margin}}`;
}

/** Puts something at the end of a list or an object, in the way that what is there is written. */
function append(
  text: string,
  {
    start,
    end,
    parts,
  }: { start: number; end: number; parts: readonly { readonly start: number; readonly end: number }[] },
  write: (margin: string, isInLine: boolean) => string,
): Insertion {
  const last = parts.at(-1);
  const isInLine = !text.slice(start, end).includes('\n');
  if (!last) {
    const margin = marginAt(text, start);
    const inner = margin + indentOf(text);
    return { offset: start + 1, text: `\n${inner}${write(inner, true)}\n${margin}` };
  }
  const margin = marginAt(text, last.start);
  // What follows the last one is a comma already, where the project writes one.
  const comma = /^\s*,/u.exec(text.slice(last.end, end - 1))?.[0];
  // One that is written in a line is enough to show that they may be.
  const value = write(
    margin,
    parts.some((part) => !text.slice(part.start, part.end).includes('\n')),
  );
  if (comma !== undefined)
    return { offset: last.end + comma.length, text: isInLine ? ` ${value},` : `\n${margin}${value},` };
  return { offset: last.end, text: isInLine ? `, ${value}` : `,\n${margin}${value}` };
}

export function appendText(text: string, list: WrittenList, value: string, style: WritingStyle): Insertion {
  return append(text, { ...list, parts: list.items }, () => style.quote(value));
}

export function appendObject(text: string, list: WrittenList, values: WrittenTexts, style: WritingStyle): Insertion {
  return append(text, { ...list, parts: list.items }, (margin, isInLine) =>
    writeObject(values, style, isInLine ? null : margin, indentOf(text)),
  );
}

/** @param source the member as it is written, its name and its value */
export function appendMember(text: string, object: WrittenObject, source: string): Insertion {
  return append(text, { ...object, parts: object.members }, () => source);
}

/** So long may a line be: less than what most projects allow. */
const mostColumns = 100;

/** Adds a list with one object in it to an object that has no such list yet, and has a line for each field from then on. */
export function appendList(
  text: string,
  object: WrittenObject,
  name: string,
  values: WrittenTexts,
  style: WritingStyle,
): Insertion {
  const indent = indentOf(text);
  const isInLine = !text.slice(object.start, object.end).includes('\n');
  const inner = isInLine ? marginAt(text, object.start) + indent : marginAt(text, object.members.at(-1)?.start ?? 0);
  const value = writeObject(values, style, null, indent);
  const inOneLine = `${style.name(name)}: [${value}]`;
  const list =
    inner.length + inOneLine.length <= mostColumns
      ? inOneLine
      : `${style.name(name)}: [\n${inner}${indent}${value}\n${inner}]`;
  if (!isInLine) return append(text, { ...object, parts: object.members }, () => list);
  const fields = [...object.members.map(({ start, end }) => text.slice(start, end)), list];
  const margin = marginAt(text, object.start);
  const written = `{\n${fields.map((field) => `${inner}${field}`).join(',\n')}\n${margin}}`;
  return { offset: object.start, end: object.end, text: written };
}

/** The text with all insertions in it. */
export function insertAll(text: string, insertions: readonly Insertion[]): string {
  return insertions
    .toSorted((one, other) => other.offset - one.offset)
    .reduce((made, { offset, end = offset, text: added }) => made.slice(0, offset) + added + made.slice(end), text);
}
