import { readdirSync, realpathSync, statSync } from 'node:fs';
import path from 'node:path';
import { decodeSegment } from 'fair-trail/internal/core';
import { Failure } from '../failure.ts';
import { kindOf, readBytes } from '../input/read-file.ts';
import { printable } from '../printable.ts';
import { labelFromPath, languageTag, literalPath, type Draft, type DraftPage } from './draft.ts';
import { readPageFacts, type PageFacts } from './page-facts.ts';
import { labelPage, labelStyle } from './page-labels.ts';
import { mostCommon } from './sitemap-reader.ts';

/** More pages than any folder of documentation has, and few enough to hold. */
const mostPages = 20_000;

interface FolderPage {
  /** From the top of the folder, with the name of an index page taken off. */
  readonly pathname: string;
  readonly facts: PageFacts;
  readonly draft: DraftPage;
  parent: FolderPage | null;
}

/**
 * Reads a folder of HTML pages: labels from titles and headings, sections from the pages' own breadcrumbs and up links,
 * or else from the folders; the order from next links, or else from the links of the page above.
 *
 * @param progress called with how many pages have been read, and of how many
 */
export function readFolder(folder: string, progress: (done: number, all: number) => void = () => undefined): Draft {
  const leftOut: string[] = [];
  const files = htmlFilesIn(folder, leftOut);
  const guesses: string[] = [];
  const places = new Set(files.flatMap(({ place, others }) => [place, ...others]));
  const facts = files.flatMap((file, index) => {
    progress(index, files.length);
    const text = readLoosely(path.join(folder, file.place), file.place, leftOut);
    if (text === null) return [];
    const pathname = pathnameOf(file.place, places);
    // A server answers for an index page under its own name too.
    const names = [file.place, ...file.others];
    const known = [...names.map(encodedPath), ...names.map((name) => pathnameOf(name, places))];
    const aliases = [...new Set(known)].filter((one) => one !== pathname);
    return [{ pathname, aliases, facts: readPageFacts(text) }];
  });
  const pages = labelled(
    facts.filter((one) => one.facts.redirect === null),
    guesses,
  );
  if (pages.length === 0) {
    throw new Failure(
      'nothing-found',
      `The pages in "${printable(folder)}" only lead on to others, or cannot be read.`,
    );
  }
  const aliases = new Map(facts.map((one) => [one.facts, one.aliases]));
  const byPath = new Map(
    pages.flatMap((page) => [page.pathname, ...(aliases.get(page.facts) ?? [])].map((at) => [at, page] as const)),
  );
  addRedirects(facts, byPath, guesses);
  const home = byPath.get('/') ?? null;
  for (const page of pages) page.parent = parentOf(page, byPath, home, guesses);
  breakCircles(pages, home, guesses);

  const top = pages.filter((page) => page.parent === null);
  const order = readingOrder(pages, byPath, home);
  for (const page of pages) page.parent?.draft.pages.push(page.draft);
  const rank = new Map(pages.map((page) => [page.draft, order.get(page) ?? 0]));
  const sort = (list: DraftPage[]) => list.sort((one, other) => (rank.get(one) ?? 0) - (rank.get(other) ?? 0));
  for (const page of pages) sort(page.draft.pages);
  return {
    name: siteName(pages, home, folder, guesses),
    origin: null,
    language: languageTag(mostCommon(pages.flatMap((page) => page.facts.language ?? [])), leftOut),
    pages: groupByFolder(sort(top.map((page) => page.draft)), guesses),
    menus: [],
    guesses,
    leftOut,
  };
}

/** One file, and the other places that links within the folder give it. */
interface PageFile {
  readonly place: string;
  readonly others: readonly string[];
}

function htmlFilesIn(folder: string, leftOut: string[]): PageFile[] {
  const kind = kindOf(folder);
  if (kind === null) throw new Failure('file-missing', `There is no file or folder "${printable(folder)}".`);
  if (kind !== 'folder') {
    throw new Failure('file-unreadable', `"${printable(folder)}" is not a folder. Say with --from what it is.`);
  }
  const top = realpathSync(folder);
  const places = new Map<string, string[]>();
  const add = (relative: string) => {
    const real = realpathSync(path.join(folder, relative));
    // A link may lead out of the folder, to what is no page of it.
    if (!real.startsWith(top + path.sep) || !statSync(real).isFile()) return;
    const names = places.get(real);
    if (names) names.push(relative);
    else places.set(real, [relative]);
    if (places.size > mostPages) {
      throw new Failure(
        'file-too-large',
        `"${printable(folder)}" has more than ${mostPages} pages. Convert it part by part.`,
      );
    }
  };
  const attempt = (relative: string, isLink: boolean, read: () => void) => {
    try {
      read();
    } catch (error) {
      if (error instanceof Failure) throw error;
      leftOut.push(`${printable(relative)}: ${unreadable(error as NodeJS.ErrnoException, isLink)}`);
    }
  };
  const visit = (relative: string) => {
    for (const item of readdirSync(path.join(folder, relative), { withFileTypes: true })) {
      const below = path.posix.join(relative, item.name);
      // Folders are followed only where they are: a link to one may lead in a circle.
      if (item.isDirectory() && !item.name.startsWith('.')) attempt(below, false, () => visit(below));
      else if (/\.x?html?$/iu.test(item.name)) attempt(below, item.isSymbolicLink(), () => add(below));
    }
  };
  attempt('.', false, () => visit(''));
  if (places.size === 0) throw new Failure('nothing-found', `No HTML page is in "${printable(folder)}".`);
  const isIndex = (place: string) => /(?:^|\/)index\.x?html?$/iu.test(place);
  const files = [...places].map(([real, names]) => {
    const own = path.relative(top, real).split(path.sep).join('/');
    const place = names.find(isIndex) ?? names.find((name) => name === own) ?? names[0] ?? '';
    return { place, others: names.filter((name) => name !== place) };
  });
  return files.sort((one, other) => (one.place < other.place ? -1 : 1));
}

function unreadable({ code }: NodeJS.ErrnoException, isLink: boolean): string {
  if (code === 'ELOOP') return 'the link leads back to itself.';
  if (code === 'ENOENT') return isLink ? 'the link leads nowhere.' : 'its name is not text in UTF-8.';
  return `it cannot be read (${code ?? 'unknown error'}).`;
}

/** Pages of old come in many encodings; a letter that is wrong in a label is better than no page. */
function readLoosely(file: string, shown: string, leftOut: string[]): string | null {
  let bytes: Buffer;
  try {
    bytes = readBytes(file);
  } catch (error) {
    if (!(error instanceof Failure)) throw error;
    leftOut.push(`${printable(shown)}: ${error.message}`);
    return null;
  }
  const said = /charset\s*=\s*["']?([\w-]+)/iu.exec(bytes.subarray(0, 1024).toString('latin1'))?.[1] ?? 'utf-8';
  try {
    return new TextDecoder(said).decode(bytes);
  } catch {
    return new TextDecoder('utf-8').decode(bytes);
  }
}

function encodedPath(file: string): string {
  return `/${file.split('/').map(encodeURIComponent).join('/')}`;
}

/** The names of a folder's own page, the one that servers prefer first. */
const indexNames = ['index.html', 'index.htm', 'index.xhtml', 'index.xhtm'];

/** @param places all pages: of two index pages in one folder, one has its own name as its address */
function pathnameOf(file: string, places: ReadonlySet<string>): string {
  const folder = file.slice(0, file.lastIndexOf('/') + 1);
  const name = file.slice(folder.length).toLowerCase();
  const first = indexNames.find((one) => places.has(folder + one));
  const isIndex = indexNames.includes(name) && (first === undefined || first === name);
  return isIndex ? encodedPath(folder).replace(/\/+$/u, '/') : encodedPath(file);
}

interface ReadPage {
  readonly pathname: string;
  readonly aliases: readonly string[];
  readonly facts: PageFacts;
}

function labelled(read: readonly ReadPage[], guesses: string[]): FolderPage[] {
  const style = labelStyle(read.map(({ facts }) => facts.title).filter(Boolean));
  if (style.affix) guesses.push(`"${style.affix.text}" is taken off the titles: most of them share it.`);
  return read.map(({ pathname, aliases, facts }) => {
    const segment = decodeSegment(pathname.split('/').filter(Boolean).at(-1) ?? '');
    const { label, source } = labelPage(facts, style, segment);
    if (source !== 'title') guesses.push(`The label "${label}" of ${printable(pathname)} is from its ${source}.`);
    const draft: DraftPage = {
      label,
      href: literalPath(pathname),
      aliases: aliases.map(literalPath),
      movedFrom: [],
      pages: [],
    };
    return { pathname, facts, draft, parent: null };
  });
}

/** The page of this folder that a link leads to. */
function target(written: string | null, from: string, byPath: ReadonlyMap<string, FolderPage>): FolderPage | null {
  const base = `https://site.invalid${from}`;
  if (written === null || !URL.canParse(written, base)) return null;
  const url = new URL(written, base);
  if (url.host !== 'site.invalid') return null;
  const pathname = url.pathname.replace(/\/index\.x?html?$/iu, '/');
  return byPath.get(pathname) ?? byPath.get(`${pathname.replace(/\/$/u, '')}/`) ?? null;
}

function addRedirects(facts: readonly ReadPage[], byPath: ReadonlyMap<string, FolderPage>, guesses: string[]): void {
  for (const {
    pathname,
    facts: { redirect },
  } of facts) {
    if (redirect === null) continue;
    const page = target(redirect, pathname, byPath);
    if (page) page.draft.movedFrom?.push(literalPath(pathname));
    const outcome = page ? `is an old address of "${page.draft.label}"` : 'is left out';
    guesses.push(`${printable(pathname)} ${outcome}: it only leads on to ${printable(redirect)}.`);
  }
}

function parentOf(
  page: FolderPage,
  byPath: ReadonlyMap<string, FolderPage>,
  home: FolderPage | null,
  guesses: string[],
): FolderPage | null {
  if (page === home) return null;
  const { breadcrumbs, up } = page.facts;
  const trail = breadcrumbs.flatMap((link) => target(link, page.pathname, byPath) ?? []);
  const said = trail.findLast((one) => one !== page) ?? target(up, page.pathname, byPath);
  // What lies right below the home page is at the top: no one's section is the home page.
  if (said && said !== page) return said === home ? null : said;
  const stem = stemPage(page, byPath, home);
  if (stem) {
    guesses.push(`${printable(page.pathname)} is put below "${stem.draft.label}" for its name.`);
    return stem;
  }
  const index = folderIndex(page.pathname, byPath);
  if (index && index !== home) {
    guesses.push(`${printable(page.pathname)} is put below "${index.draft.label}" for its folder.`);
    return index;
  }
  return null;
}

/** For "index-b.html" the page "index.html" beside it, where that links to it and the home page does not. */
function stemPage(
  page: FolderPage,
  byPath: ReadonlyMap<string, FolderPage>,
  home: FolderPage | null,
): FolderPage | null {
  const links = (from: FolderPage) => from.facts.links.some((link) => target(link, from.pathname, byPath) === page);
  const stem = page.pathname.replace(/-[^-/]+(?=\.x?html?$)/iu, '');
  const found = stem === page.pathname ? null : (byPath.get(stem) ?? null);
  return found && found !== home && links(found) && !(home && links(home)) ? found : null;
}

/** The index page of the nearest folder above that has one. */
function folderIndex(pathname: string, byPath: ReadonlyMap<string, FolderPage>): FolderPage | null {
  const steps = pathname
    .replace(/[^/]+$|(?<=.)[^/]*\/$/u, '')
    .split('/')
    .filter(Boolean);
  for (let length = steps.length; length > 0; length -= 1) {
    const index = byPath.get(`/${steps.slice(0, length).join('/')}/`);
    if (index && index.pathname !== pathname) return index;
  }
  return null;
}

function breakCircles(pages: readonly FolderPage[], home: FolderPage | null, guesses: string[]): void {
  for (const page of pages) {
    const seen = new Set<FolderPage>();
    for (let above: FolderPage | null = page; above; above = above.parent) {
      if (seen.has(above)) {
        guesses.push(`"${above.draft.label}" is put at the top: the pages' own links make it its own ancestor.`);
        above.parent = null;
        break;
      }
      seen.add(above);
    }
  }
  if (home) home.parent = null;
}

/** A place for each page: the home page first, then along the next links, then as the page above links to it. */
function readingOrder(
  pages: readonly FolderPage[],
  byPath: ReadonlyMap<string, FolderPage>,
  home: FolderPage | null,
): Map<FolderPage, number> {
  const order = new Map<FolderPage, number>();
  const add = (page: FolderPage | null) => {
    if (page && !order.has(page)) order.set(page, order.size);
  };
  add(home);
  const follow = (start: FolderPage | null) => {
    for (let page = start; page;) {
      add(page);
      const next = target(page.facts.next, page.pathname, byPath);
      page = next && !order.has(next) ? next : null;
    }
  };
  const addLinked = (page: FolderPage) => {
    for (const link of page.facts.links) {
      const linked = target(link, page.pathname, byPath);
      if (linked && (linked.parent === page || (page === home && linked.parent === null))) add(linked);
    }
  };
  follow(home);
  if (home) addLinked(home);
  for (const page of pages) {
    const begins = page.facts.next !== null && !target(page.facts.previous, page.pathname, byPath);
    if (begins) follow(page);
  }
  for (const page of pages) addLinked(page);
  for (const page of pages) add(page);
  return order;
}

/**
 * The pages at the top with those of one folder in a group: a folder without an index page still says that its pages
 * belong together. The groups come last, since nothing says where else.
 */
function groupByFolder(top: readonly DraftPage[], guesses: string[]): DraftPage[] {
  const folderOf = ({ href }: DraftPage) => /^\/([^/]+)\/[^/]/u.exec(href ?? '')?.[1] ?? '';
  const groups = new Map<string, DraftPage[]>();
  for (const page of top) {
    const folder = folderOf(page);
    const group = groups.get(folder);
    if (group) group.push(page);
    else groups.set(folder, [page]);
  }
  const alone = (folder: string) => folder === '' || (groups.get(folder)?.length ?? 0) < 3;
  const grouped = [...groups].filter(([folder]) => !alone(folder));
  for (const [folder, { length }] of grouped) {
    guesses.push(
      `${length} pages are in a group "${labelFromPath(folder)}" for their folder, which has no page of its own.`,
    );
  }
  return [
    ...top.filter((page) => alone(folderOf(page))),
    ...grouped.map(([folder, pages]): DraftPage => ({ label: labelFromPath(folder), href: null, pages })),
  ];
}

/** Headings of a first page that say where one is, and not on what site. */
const plainHeading = /^(?:home|index|contents|table of contents|welcome|documentation|main page|start)\W*$/iu;

function siteName(pages: readonly FolderPage[], home: FolderPage | null, folder: string, guesses: string[]): string {
  for (const said of [home?.facts.heading, home?.draft.label]) if (said && !plainHeading.test(said)) return said;
  const { affix } = labelStyle(pages.map((page) => page.facts.title));
  if (affix) return affix.text;
  guesses.push('The name of the site is that of the folder: no title says it.');
  return path.basename(path.resolve(folder));
}
