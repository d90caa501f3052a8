import { readdirSync } from 'node:fs';
import path from 'node:path';
import { Failure } from '../failure.ts';
import { readBytes } from '../input/read-file.ts';
import { printable } from '../printable.ts';
import { decode, literalPath, type Draft, type DraftPage } from './draft.ts';
import { readPageFacts, type PageFacts } from './page-facts.ts';
import { commonAffix, labelPage, stripAffix } from './page-labels.ts';
import { mostCommon } from './sitemap-reader.ts';

/** More pages than any folder of documentation has, and few enough to hold. */
const mostPages = 20_000;

interface Page {
  /** From the top of the folder, with the name of an index page taken off. */
  readonly pathname: string;
  readonly facts: PageFacts;
  readonly draft: DraftPage;
  parent: Page | null;
}

/**
 * Reads a folder of HTML pages: labels from titles and headings, sections from the pages' own breadcrumbs and up links,
 * or else from the folders; the order from next links, or else from the links of the page above.
 *
 * @param progress told how many pages have been read, and of how many
 */
export function readFolder(folder: string, progress: (done: number, all: number) => void = () => undefined): Draft {
  const files = htmlFilesIn(folder);
  const guesses: string[] = [];
  const facts = files.map((file, index) => {
    progress(index, files.length);
    return { pathname: pathnameOf(file), facts: readPageFacts(readLoosely(path.join(folder, file))) };
  });
  const pages = labelled(
    facts.filter((one) => one.facts.redirect === null),
    guesses,
  );
  const byPath = new Map(pages.map((page) => [page.pathname, page]));
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
    language: mostCommon(pages.flatMap((page) => page.facts.language ?? [])),
    pages: sort(top.map((page) => page.draft)),
    menus: [],
    guesses,
  };
}

function htmlFilesIn(folder: string): string[] {
  const found: string[] = [];
  const visit = (relative: string) => {
    for (const item of readdirSync(path.join(folder, relative), { withFileTypes: true })) {
      const below = path.posix.join(relative, item.name);
      // A link may lead out of the folder, or in a circle.
      if (item.isDirectory() && !item.name.startsWith('.')) visit(below);
      else if (item.isFile() && /\.x?html?$/iu.test(item.name)) found.push(below);
      if (found.length > mostPages) {
        throw new Failure(
          'file-too-large',
          `"${printable(folder)}" has more than ${mostPages} pages. Convert it part by part.`,
        );
      }
    }
  };
  visit('');
  if (found.length === 0) throw new Failure('nothing-found', `No HTML page is in "${printable(folder)}".`);
  return found.sort();
}

/** Pages of old come in many encodings; a letter that is wrong in a label is better than no page. */
function readLoosely(file: string): string {
  const bytes = readBytes(file);
  const said = /charset\s*=\s*["']?([\w-]+)/iu.exec(bytes.subarray(0, 1024).toString('latin1'))?.[1] ?? 'utf-8';
  try {
    return new TextDecoder(said).decode(bytes);
  } catch {
    return new TextDecoder('utf-8').decode(bytes);
  }
}

function pathnameOf(file: string): string {
  const encoded = `/${file.split('/').map(encodeURIComponent).join('/')}`;
  return encoded.replace(/\/index\.x?html?$/iu, '/');
}

function labelled(facts: readonly { pathname: string; facts: PageFacts }[], guesses: string[]): Page[] {
  const titles = facts.map((one) => one.facts.title).filter(Boolean);
  const affix = commonAffix(titles);
  if (affix) guesses.push(`"${affix.text}" is taken off the titles: most of them share it.`);
  const counts = new Map<string, number>();
  for (const title of titles) counts.set(title, (counts.get(title) ?? 0) + 1);
  const isRepeated = (title: string) => (counts.get(title) ?? 0) > 1;
  return facts.map((one) => {
    const segment = decode(one.pathname.split('/').filter(Boolean).at(-1) ?? '');
    const { label, source } = labelPage(one.facts, affix, isRepeated, segment);
    if (source !== 'title') guesses.push(`The label "${label}" of ${printable(one.pathname)} is from its ${source}.`);
    const draft: DraftPage = { label, href: literalPath(one.pathname), movedFrom: [], pages: [] };
    return { ...one, draft, parent: null };
  });
}

/** The page of this folder that a link leads to. */
function target(written: string | null, from: string, byPath: ReadonlyMap<string, Page>): Page | null {
  const base = `https://site.invalid${from}`;
  if (written === null || !URL.canParse(written, base)) return null;
  const url = new URL(written, base);
  if (url.host !== 'site.invalid') return null;
  const pathname = url.pathname.replace(/\/index\.x?html?$/iu, '/');
  return byPath.get(pathname) ?? byPath.get(`${pathname.replace(/\/$/u, '')}/`) ?? null;
}

function addRedirects(
  facts: readonly { pathname: string; facts: PageFacts }[],
  byPath: ReadonlyMap<string, Page>,
  guesses: string[],
): void {
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

function parentOf(page: Page, byPath: ReadonlyMap<string, Page>, home: Page | null, guesses: string[]): Page | null {
  if (page === home) return null;
  const { breadcrumbs, up } = page.facts;
  const trail = breadcrumbs.flatMap((link) => target(link, page.pathname, byPath) ?? []);
  const said = trail.findLast((one) => one !== page) ?? target(up, page.pathname, byPath);
  // What lies right below the home page is at the top: nobody's section is the home page.
  if (said && said !== page) return said === home ? null : said;
  const index = folderIndex(page.pathname, byPath);
  if (index && index !== home) {
    guesses.push(`${printable(page.pathname)} is put below "${index.draft.label}" for its folder.`);
    return index;
  }
  return null;
}

/** The index page of the nearest folder above that has one. */
function folderIndex(pathname: string, byPath: ReadonlyMap<string, Page>): Page | null {
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

function breakCircles(pages: readonly Page[], home: Page | null, guesses: string[]): void {
  for (const page of pages) {
    const seen = new Set<Page>();
    for (let above: Page | null = page; above; above = above.parent) {
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
function readingOrder(pages: readonly Page[], byPath: ReadonlyMap<string, Page>, home: Page | null): Map<Page, number> {
  const order = new Map<Page, number>();
  const add = (page: Page | null) => {
    if (page && !order.has(page)) order.set(page, order.size);
  };
  add(home);
  const follow = (start: Page | null) => {
    for (let page = start; page;) {
      add(page);
      const next = target(page.facts.next, page.pathname, byPath);
      page = next && !order.has(next) ? next : null;
    }
  };
  follow(home);
  for (const page of pages)
    if (!order.has(page) && !target(page.facts.previous, page.pathname, byPath) && page.facts.next) follow(page);
  const queue = home ? [home, ...pages.filter((page) => page !== home)] : [...pages];
  for (const page of queue) {
    for (const link of page.facts.links) {
      const linked = target(link, page.pathname, byPath);
      if (linked && (linked.parent === page || (page === home && linked.parent === null))) add(linked);
    }
  }
  for (const page of pages) add(page);
  return order;
}

function siteName(pages: readonly Page[], home: Page | null, folder: string, guesses: string[]): string {
  const affix = commonAffix(pages.map((page) => page.facts.title));
  if (affix) return affix.text;
  const title = home ? stripAffix(home.facts.title, null) : '';
  if (title) return title;
  guesses.push('The name of the site is that of the folder: no title says it.');
  return path.basename(path.resolve(folder));
}
