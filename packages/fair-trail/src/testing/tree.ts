import type { ItemReading, MenuReading, PageReading } from '../reading/page-reading.ts';

/** More items of one list are counted, and not written out. */
const mostItems = 12;

/** A menu as a small tree: `*` page, `~` section, `+` closed, `-` open, in brackets what is hidden. */
export function treeOf({ name, kind, toggle, items }: MenuReading): string {
  const title = `${kind === 'list' ? 'list of links' : kind}${name === '' ? ' without a name' : ` “${name}”`}`;
  const opener = toggle ? `, ${toggle.isExpanded === true ? 'opened' : 'closed'} by “${toggle.name}”` : '';
  return [`${title}${opener}`, ...linesOf(items, '  ')].join('\n');
}

/** All menus of a page. */
export function treesOf({ menus }: PageReading): string {
  return menus.length === 0 ? '(no menus)' : menus.map(treeOf).join('\n');
}

function linesOf(items: readonly ItemReading[], indent: string): string[] {
  const shown = items.slice(0, mostItems);
  const lines = shown.flatMap((item) => [`${indent}${lineOf(item)}`, ...linesOf(item.items, `${indent}  `)]);
  return items.length > shown.length ? [...lines, `${indent}… and ${items.length - shown.length} more`] : lines;
}

function lineOf({ name, link, control, current, isShown }: ItemReading): string {
  const mark = current === null ? ' ' : current === 'page' ? '*' : '~';
  const opens = control === null ? '' : control.isExpanded === true ? '- ' : '+ ';
  const place = link === null ? '' : ` → ${link.written}`;
  const text = `${opens}${name === '' ? '(no name)' : name}`;
  return `${mark} ${isShown ? text : `(${text})`}${place}`;
}

/** Names in quotes, with commas. */
export function quoted(names: readonly string[]): string {
  if (names.length === 0) return 'nothing';
  const few = names.slice(0, mostItems).map((name) => `“${name}”`);
  return names.length > few.length ? `${few.join(', ')} and ${names.length - few.length} more` : few.join(', ');
}
