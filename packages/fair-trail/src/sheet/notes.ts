import { type Color, contrast, readComputedColor, readHex, writeHex } from '../core/color/color.ts';
import { colorNames } from '../core/color/palette.ts';
import { partStates } from '../core/view/states.ts';
import { keyboardTables } from './keyboard.ts';
import type { Specimen, SpecimenTable } from './specimen.ts';
import { transitsOf } from './timeline.ts';

/** A part of the notes: a titled table. */
export interface NoteTable {
  readonly title: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** What a browser tells assistive technology of a part. */
export interface ComputedName {
  /** The name of the table and the key of the row. */
  readonly table: string;
  readonly row: string;
  readonly role: string;
  readonly name: string;
  /** Such as `expanded: false`. */
  readonly states: readonly string[];
}

/** Computed names, and which browser computed them. */
export interface ComputedNames {
  readonly browser: string;
  readonly names: readonly ComputedName[];
}

/** The notes about a component, read from how it is drawn now. */
export function notesOf(document: Document, table: SpecimenTable, names: ComputedNames | null): readonly NoteTable[] {
  const tokens = colorTokens(document);
  const firsts = firstOfEach(table.specimens);
  const drawn = (row: Specimen, state: string) => {
    return drawnPart(document, table, row, state);
  };
  const sizes = firsts.flatMap((row) => {
    const part = drawn(row, row.states[0] ?? 'rest');
    return part ? [[row.part, ...sizesOf(part)]] : [];
  });
  const colors = firsts.flatMap((row) =>
    row.states.flatMap((state) => {
      const part = drawn(row, state);
      return part ? [[row.part, state, ...colorsOf(part, tokens)]] : [];
    }),
  );
  const times = firsts.flatMap((row) => {
    const part = drawn(row, row.states[0] ?? 'rest');
    return part ? timesOf(part).map((time) => [row.part, ...time]) : [];
  });
  const code = firsts.flatMap((row) => row.states.map((state) => [row.part, state, codeFor(row, state)]));
  const keys = keyboardTables[table.name] ?? [];
  const reported = names?.names.filter((name) => name.table === table.name) ?? [];
  const tables: NoteTable[] = [
    {
      title: 'Sizes and type, at rest',
      columns: ['part', 'width × height', 'padding', 'gap', 'text', 'weight'],
      rows: sizes,
    },
    { title: 'Colors', columns: ['part', 'state', 'text', 'on', 'contrast', 'ring'], rows: colors },
    { title: 'Timings', columns: ['part', 'what', 'duration', 'delay', 'easing'], rows: times },
    { title: 'Keyboard', columns: ['keys', 'what they do'], rows: keys },
    {
      title: names === null ? 'Roles and names' : `Roles and names, as ${names.browser} computes them`,
      columns: ['part', 'role', 'name', 'states'],
      rows: reported.map(({ row, role, name, states }) => [labelOf(table, row), role, name, states.join(', ')]),
    },
    { title: 'How to get each state', columns: ['part', 'state', 'code'], rows: code },
  ];
  return tables.filter(({ rows }) => rows.length > 0).map((each) => ({ ...each, rows: unlike(each.rows) }));
}

/** Rows that say the same, as those of two parts of a kind do, are said once. */
function unlike(rows: NoteTable['rows']): NoteTable['rows'] {
  return [...new Map(rows.map((cells) => [cells.join('\n'), cells])).values()];
}

/** The notes as Markdown, for an issue or a wiki. */
export function notesMarkdown(title: string, tables: readonly NoteTable[]): string {
  const blocks = tables.map(({ title: of, columns, rows }) => {
    const lines = [columns, columns.map(() => '---'), ...rows].map(
      (cells) => `| ${cells.map(markdownCell).join(' | ')} |`,
    );
    return [`## ${of}`, '', ...lines].join('\n');
  });
  return [`# ${title}`, ...blocks].join('\n\n').concat('\n');
}

function markdownCell(text: string): string {
  return text.replaceAll(/\s+/gu, ' ').replaceAll(/[\\|<>*_[\]]/gu, (character) => `\\${character}`);
}

function labelOf({ specimens }: SpecimenTable, key: string): string {
  return specimens.find((row) => row.key === key)?.label ?? key;
}

/** One row for each kind of part: the others differ in their labels only. */
function firstOfEach(specimens: readonly Specimen[]): readonly Specimen[] {
  const known = new Map<string, Specimen>();
  for (const row of specimens) {
    const name = `${row.part} ${row.states.join()}`;
    if (!known.has(name) && row.find !== '.ft-reserved') known.set(name, row);
  }
  return [...known.values()];
}

/** Where a row's part is drawn in a state. */
function drawnPart(document: Document, table: SpecimenTable, row: Specimen, state: string): HTMLElement | null {
  const selector = `[data-ft-sheet-key='${CSS.escape(row.key)}'] .ft-sheet-specimen[data-ft-state='${state}'] ${row.find}`;
  return document.querySelector<HTMLElement>(`[data-ft-table='${table.name}'] ${selector}`);
}

function styleOf(element: Element, pseudo?: string): CSSStyleDeclaration {
  // Of the element's own window, so that it is asked in the place that it is drawn in.
  return (element.ownerDocument.defaultView ?? window).getComputedStyle(element, pseudo);
}

function sizesOf(part: HTMLElement): readonly string[] {
  const { width, height } = part.getBoundingClientRect();
  const style = styleOf(part);
  return [
    `${round(width)} × ${round(height)} px`,
    [style.paddingBlockStart, style.paddingInlineEnd, style.paddingBlockEnd, style.paddingInlineStart].join(' '),
    style.columnGap === 'normal' ? '0' : style.columnGap,
    `${style.fontSize} / ${style.lineHeight}`,
    style.fontWeight,
  ];
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}

type Tokens = ReadonlyMap<string, string>;

/** The tokens of each color that the frame's theme has: two may well be alike. */
function colorTokens(document: Document): Tokens {
  const style = styleOf(document.documentElement);
  const names = new Map<string, string>();
  // A custom property is asked for by name: browsers do not list them.
  for (const name of Object.keys(colorNames)) {
    const color = readHex(style.getPropertyValue(`--ft-${name}`).trim());
    if (!color) continue;
    const known = names.get(writeHex(color));
    names.set(writeHex(color), `${known === undefined ? '' : `${known}, `}--ft-${name}`);
  }
  return names;
}

function colorsOf(part: HTMLElement, tokens: Tokens): readonly string[] {
  const style = styleOf(part);
  const text = readComputedColor(style.color);
  const board = boardBehind(part);
  const ratio = text && board ? `${(Math.floor(contrast(text, board) * 100) / 100).toFixed(2)} : 1` : '';
  const ring = style.outlineStyle === 'none' ? null : readComputedColor(style.outlineColor);
  return [named(text, style.color, tokens), named(board, '', tokens), ratio, ring ? named(ring, '', tokens) : ''];
}

function named(color: Color | null, written: string, tokens: Tokens): string {
  if (!color) return written;
  const hex = writeHex(color);
  const name = tokens.get(hex);
  return name === undefined ? hex : `${hex} (${name})`;
}

/** What a part is painted on: its own board, which may be drawn by a pseudo-element, or what lies around it. */
function boardBehind(part: HTMLElement): Color | null {
  for (let element: HTMLElement | null = part; element; element = element.parentElement) {
    const drawn = styleOf(element, '::after');
    const after = element === part && drawn.content !== 'none' ? readComputedColor(drawn.backgroundColor) : null;
    const own = after ?? readComputedColor(styleOf(element).backgroundColor);
    if (own) return own;
  }
  return null;
}

function timesOf(part: HTMLElement): readonly (readonly string[])[] {
  return [undefined, '::before', '::after'].flatMap((pseudo) =>
    transitsOf(styleOf(part, pseudo)).map(({ property, duration, delay, easing }) => [
      pseudo === undefined ? property : `${property} of ${pseudo}`,
      `${duration} ms`,
      `${delay} ms`,
      easing,
    ]),
  );
}

/** What to write for a state: what the reader causes is a selector, and what the app causes a property. */
export function codeFor({ part, item }: Specimen, state: string): string {
  const selectors: Readonly<Record<string, string>> = partStates[part];
  const id = item?.entry?.id;
  switch (state) {
    case 'current page':
      return item?.href == null ? (selectors[state] ?? '') : `<Trail site={site} url="${item.href}">`;
    case 'current section':
      return item?.href == null
        ? (selectors[state] ?? '')
        : `<Trail site={site} url="${item.href.replace(/\/$/u, '')}/…">`;
    case 'expanded':
      if (part === 'toggle') return '<Navbar expanded onToggle={…} />';
      if (part === 'annex item') return `<Sidebar annex={['${id ?? ''}']} /> at ?annex=${id ?? ''}`;
      return id === undefined ? (selectors[state] ?? '') : `<Navbar held="${id}" />`;
    case 'reserved':
      return '<Trail site={site} audience="unknown">';
    case 'narrow':
      return '<Sidebar rail narrowed onNarrow={…} />';
    case 'selected':
      return '<Tabs selected="…" onSelect={…}>';
    default:
      return selectors[state] ?? '';
  }
}
