import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { Command } from 'commander';
import { checkSite, everyEntry, menuItems, type DefinedSite, type MenuItem } from 'fair-trail';
import { entryPointer } from 'fair-trail/internal/core';
import { htmlPage } from '../add/html-page.ts';
import {
  appendList,
  appendObject,
  appendText,
  insertAll,
  jsonStyle,
  scriptStyle,
  type Insertion,
} from '../add/insert.ts';
import { hasParams, newEntry, type NewEntry } from '../add/new-entry.ts';
import { objectsIn, parseScript, readWrittenJson, toWritten, writtenAt, type WrittenNode } from '../add/source-tree.ts';
import { filesBelow, findStagePages, pageChange, type PageChange } from '../add/stage-pages.ts';
import { outputColors as colors } from '../colors.ts';
import { Failure } from '../failure.ts';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { writeFolder } from '../writers/write-files.ts';
import { readNames } from './read-names.ts';

interface AddOptions {
  readonly site?: string;
  readonly id?: string;
  readonly label?: string;
  readonly under?: string;
  readonly menu?: readonly string[];
  readonly page: boolean;
  readonly dryRun?: boolean;
}

export function addAddCommand(program: Command): void {
  program
    .command('add')
    .summary('add a page to a project: its entry, its file and its line in the stage')
    .description(
      'Adds an entry to the site file, below the entry whose address begins the path. Writes the page’s file, and its line ' +
        'among the pages of the stage, in the style of the lines that are there. The rest of these files does not change.',
    )
    .argument('<path>', 'the address of the page, such as /visit/boat-trips')
    .option('--site <SITE FILE>', 'the site file; default: the only one below this folder')
    .option('--id <ID>', 'the id of the entry; default: the last part of the path')
    .option('--label <TEXT>', 'the label of its links; default: made from the path')
    .option('--under <ID>', 'the entry to put it below; default: the one whose address begins the path')
    .option(
      '--menu <A,B>',
      'the menus to list it in; default: main for a page of the first level, otherwise none',
      readNames,
    )
    .option('--no-page', 'add only the entry')
    .option('--dry-run', 'only show what would be written')
    .action((path_: string, options: AddOptions) => add(path_, options));
}

/** A file that is changed, with what is put into it. */
interface ChangedFile {
  readonly file: string;
  readonly text: string;
  readonly insertions: readonly Insertion[];
}

async function add(path_: string, options: AddOptions): Promise<void> {
  const file = options.site ?? onlySiteFile();
  const { site } = await readSoundSite(file);
  const entry = newEntry(site, path_, options);
  const isUsual = entry.parent === null && !hasParams(entry.href) && site.menus.has('main');
  const menus = options.menu ?? (isUsual ? ['main'] : []);
  const siteFile = changedSite(file, site, entry, menus);
  const page = options.page ? pageOf(site, entry) : null;
  const changed = [siteFile, ...(page?.insertions.length ? [page] : [])];
  for (const change of changed) for (const line of linesOf(change)) process.stdout.write(`${line}\n`);
  if (page) process.stdout.write(`${shown(page.page.file)}  ${colors.green('a new file')}\n`);
  const after = siteAfter(siteFile);
  if (after) process.stdout.write(`${menusText(after, entry.id)}\n`);
  if (options.dryRun === true) {
    process.stdout.write('Nothing is written: this is a dry run.\n');
    return;
  }
  const files = changed.map((change) => ({ path: change.file, text: insertAll(change.text, change.insertions) }));
  const own = page ? [{ path: page.page.file, text: page.page.text }] : [];
  writeFolder(
    '.',
    [...files, ...own].map((each) => ({ ...each, path: path.relative('.', each.path) })),
    true,
  );
}

const shown = (file: string) => printable(path.relative('.', file));

function onlySiteFile(): string {
  const [found, ...others] = filesBelow('.', /\.site\.(?:json|[cm]?[jt]s)$/u);
  if (found === undefined)
    throw new Failure('nothing-found', 'There is no site file below this folder. Name one with --site.');
  if (others.length === 0) return found;
  throw new Failure(
    'bad-usage',
    `There are several site files: ${[found, ...others].map(printable).join(', ')}. Name one with --site.`,
  );
}

/** The site file with the entry in it. @throws Failure where that cannot be written, or would not be sound */
function changedSite(file: string, site: DefinedSite, entry: NewEntry, menus: readonly string[]): ChangedFile {
  const text = readFileSync(file, 'utf8');
  const isJson = file.endsWith('.json');
  const style = isJson ? jsonStyle : scriptStyle;
  const root = isJson ? readWrittenJson(text.replace(/^\uFEFF/u, ' ')) : definitionIn(text, file);
  const values = { id: entry.id, label: entry.label, href: entry.href };
  const refuse = () =>
    new Failure(
      'no-place-for-page',
      `${printable(file)}: the entries are not written there as a list. Add this by hand: ${JSON.stringify(values)}`,
    );
  if (!root) throw refuse();
  const above = writtenAt(root, entry.parent ? entryPointer(entry.parent) : '');
  const list = writtenAt(root, `${entry.parent ? entryPointer(entry.parent) : ''}/entries`);
  const insertions: Insertion[] = [];
  if (list?.kind === 'list') insertions.push(appendObject(text, list, values, style));
  else if (!list && above?.kind === 'object') insertions.push(appendList(text, above, 'entries', values, style));
  else throw refuse();
  for (const menu of menus) {
    const items = writtenAt(root, `/menus/${menu}`);
    if (items?.kind !== 'list') {
      throw new Failure(
        'unknown-menu',
        `There is no menu "${printable(menu)}". The menus are ${[...site.menus.keys()].join(', ')}.`,
      );
    }
    insertions.push(appendText(text, items, entry.id, style));
  }
  const change = { file, text, insertions };
  if (isJson) {
    const { problems } = checkSite(JSON.parse(insertAll(text, insertions)));
    const fatal = problems.find(({ severity }) => severity === 'fatal');
    if (fatal) throw new Failure('bad-address', `${printable(fatal.message)} ${printable(fatal.remedy)}`);
  }
  return change;
}

/** The definition in a module: the object that has entries. */
function definitionIn(text: string, file: string): WrittenNode | null {
  const objects = objectsIn(parseScript(text, file)).map((node) => toWritten(node));
  return (
    objects.find((node) => writtenAt(node, '/entries')?.kind === 'list' && writtenAt(node, '/name') !== null) ?? null
  );
}

function siteAfter({ file, text, insertions }: ChangedFile): DefinedSite | null {
  return file.endsWith('.json') ? checkSite(JSON.parse(insertAll(text, insertions))).site : null;
}

interface ChangedPage extends ChangedFile {
  readonly page: PageChange['page'];
}

/** @throws Failure where there is nowhere to put it, or a file of that name already */
function pageOf(site: DefinedSite, entry: NewEntry): ChangedPage {
  const stage = findStagePages('.', new Set([...everyEntry(site.entries)].map(({ id }) => id)));
  const change = stage && pageChange(stage, entry);
  const page = change?.page ?? (stage ? null : htmlPage('.', entry));
  if (!page) {
    throw new Failure(
      'no-place-for-page',
      'No pages are found that this one could be written like. Add only the entry with --no-page, and write the page by hand.',
    );
  }
  if (existsSync(page.file)) {
    throw new Failure(
      'file-exists',
      `There is a file "${shown(page.file)}" already. Give another id with --id, or add the entry alone with --no-page.`,
    );
  }
  return { file: change?.file ?? page.file, text: stage?.text ?? '', insertions: change?.insertions ?? [], page };
}

/** The lines that are new in a file, each with its place. */
function linesOf({ file, text, insertions }: ChangedFile): readonly string[] {
  return insertions
    .toSorted((one, other) => one.offset - other.offset)
    .map(({ offset, text: added }) => {
      const line =
        text.slice(0, offset).split('\n').length + (added.startsWith('\n') || added.startsWith(',\n') ? 1 : 0);
      const shownText = added.replace(/^,?\s*/u, '').replace(/,?\s*$/u, '');
      return `${shown(file)}:${line}  ${colors.green('+')} ${shownText.split('\n').map(printable).join('\n    ')}`;
    });
}

function menusText(site: DefinedSite, id: string): string {
  const has = (items: readonly MenuItem[]): boolean =>
    items.some(({ entry, items: below }) => entry?.id === id || has(below));
  const names = [...site.menus.keys()].filter((name) =>
    has(menuItems(site, name, { audience: [...(site.audiences ?? [])] })),
  );
  return names.length > 0 ? `It is in the menu ${names.join(', ')}.` : 'It is in no menu: links in pages lead to it.';
}
