import type { Entry, DefinedSite } from 'fair-trail';
import type { Colors } from 'picocolors/types.js';
import { printable } from '../printable.ts';
import { table } from '../report/table.ts';
import type { SiteAnswerItem, SiteAnswer } from './show.ts';

/** The painted sign of a mark: filled on the page itself, outlined on a section that holds it. */
const blazes = { page: '▮', section: '▯' } as const;

/** For people: the tree of entries and, for an address, the position, the marks in each menu and the breadcrumbs. */
export function showText(site: DefinedSite, shown: SiteAnswer, colors: Colors): string {
  const entries = site.entries.flatMap((entry) => entryRows(entry, 0, shown, colors));
  const parts = [
    [colors.bold(printable(site.name)), site.origin === null ? '' : colors.dim(site.origin)].filter(Boolean).join('  '),
    section('Entries', table(entries), colors),
  ];
  if (shown.url !== null) parts.push(section(`At ${printable(shown.url)}`, positionLines(shown), colors));
  for (const [name, items] of Object.entries(shown.menus)) {
    const rows = items.flatMap((item) => itemRows(item, 0, colors));
    parts.push(section(`Menu ${name}`, rows.length > 0 ? table(rows) : ['(nothing for this visitor)'], colors));
  }
  if (shown.url !== null) parts.push(section('Breadcrumbs', [breadcrumbLine(shown, colors)], colors));
  return `${parts.join('\n\n')}\n`;
}

function section(title: string, lines: readonly string[], colors: Colors): string {
  return [colors.underline(title), ...lines.map((line) => `  ${line}`.trimEnd())].join('\n');
}

function entryRows(entry: Entry, level: number, shown: SiteAnswer, colors: Colors): string[][] {
  const isHere = entry.id === shown.entry;
  const isAbove = !isHere && shown.path.includes(entry.id);
  const notes = [
    entry.planned ? 'planned' : '',
    // Only what this entry adds: what it takes over from above is said there.
    ...entry.audiences.slice(entry.parent?.audiences.length ?? 0).map((names) => `for ${names.join(' or ')}`),
    entry.records === null ? '' : `records ${entry.records}`,
    entry.opens === 'new-tab' ? 'opens in a new tab' : '',
  ];
  const sign = isHere && shown.status === 'exact' ? blazes.page : isHere || isAbove ? blazes.section : ' ';
  const id = `${'  '.repeat(level)}${entry.id}`;
  const row = [
    `${colors.green(sign)} ${isHere ? colors.bold(id) : id}`,
    printable(entry.label),
    printable(entry.href ?? ''),
    colors.dim(notes.filter(Boolean).join(', ')),
  ];
  return [row, ...entry.entries.flatMap((child) => entryRows(child, level + 1, shown, colors))];
}

function positionLines(shown: SiteAnswer): string[] {
  const params = Object.entries(shown.params).map(([name, value]) => `${name} = ${printable(value)}`);
  const sentences = {
    exact: `exactly ${shown.entry ?? ''}`,
    inside: `inside ${shown.entry ?? ''}: no entry is known for the address itself`,
    unknown: 'unknown: the address lies in no entry',
  };
  return [sentences[shown.status], ...params];
}

function wordsFor({ kind, label }: SiteAnswerItem): string {
  if (kind === undefined || kind === 'action') return printable(label);
  return kind === 'divider' ? '───' : `(${kind})`;
}

function targetOf({ action, href, kind, items }: SiteAnswerItem): string {
  if (action !== undefined) return `action ${action}`;
  // Only what is planned has neither an address nor items below it.
  if (href === null && kind === undefined && items.length === 0) return '(planned)';
  return printable(href ?? '');
}

function itemRows(item: SiteAnswerItem, level: number, colors: Colors): string[][] {
  const sign = item.mark === null ? ' ' : blazes[item.mark];
  const words = wordsFor(item);
  const label = `${'  '.repeat(level)}${words}`;
  const row = [
    `${colors.green(sign)} ${item.mark === 'page' ? colors.bold(label) : label}`,
    targetOf(item),
    item.mark ?? '',
  ];
  return [row, ...item.items.flatMap((below) => itemRows(below, level + 1, colors))];
}

function breadcrumbLine({ breadcrumbs }: SiteAnswer, colors: Colors): string {
  const steps = breadcrumbs.map(({ label, current }) => (current ? colors.bold(printable(label)) : printable(label)));
  return steps.length > 0 ? steps.join(' › ') : '(none)';
}
