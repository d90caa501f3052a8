import { Failure } from '../failure.ts';
import { readText } from '../input/read-file.ts';
import { printable } from '../printable.ts';
import { literalPath, type Draft, type DraftPage } from './draft.ts';
import { mostCommon, nameFromOrigin } from './sitemap-reader.ts';
import { readXml } from './xml.ts';

/** The addresses that an outline of OPML 2.0 may carry, the page's before the feed's. */
const addressAttributes = ['htmlUrl', 'url', 'xmlUrl'] as const;

/** Reads an OPML outline: nested items with a text and perhaps an address. */
export function readOpml(file: string): Draft {
  const shown = printable(file);
  const guesses: string[] = [];
  const top: DraftPage[] = [];
  const stack: DraftPage[] = [];
  const all: DraftPage[] = [];
  let root = '';
  const titleTexts: string[] = [];
  let inTitle = false;
  readXml(readText(file), shown, {
    open(name, attributes) {
      root ||= name;
      if (name === 'title') inTitle = true;
      if (name !== 'outline') return;
      const label = (attributes['text'] ?? attributes['title'] ?? '').replace(/\s+/gu, ' ').trim();
      const href = addressAttributes.map((attribute) => attributes[attribute]).find(Boolean) ?? null;
      if (!label)
        guesses.push(`An outline without a text is called "Untitled"${href === null ? '' : `: ${printable(href)}`}.`);
      const page: DraftPage = { label: label || 'Untitled', href, pages: [] };
      (stack.at(-1)?.pages ?? top).push(page);
      stack.push(page);
      all.push(page);
    },
    text(text) {
      if (inTitle) titleTexts.push(text);
    },
    close(name) {
      if (name === 'title') inTitle = false;
      if (name === 'outline') stack.pop();
    },
  });
  if (root !== 'opml' || all.length === 0) {
    throw new Failure('nothing-found', `${shown} is no OPML outline: no <outline> within <opml> is in it.`);
  }
  const origin = settleAddresses(all, guesses);
  const name = titleTexts.join('').trim();
  if (!name) guesses.push('The name of the site is made from its address: the outline has no title.');
  return { name: name || nameFromOrigin(origin), origin, language: null, pages: top, menus: [], guesses, leftOut: [] };
}

/** Makes site paths of the addresses on the origin that most of them share; answers that origin. */
function settleAddresses(pages: readonly DraftPage[], guesses: string[]): string | null {
  const urlOf = (href: string | null) => (href !== null && URL.canParse(href) ? new URL(href) : null);
  const origins = pages.flatMap(({ href }) => {
    const url = urlOf(href);
    return url && /^https?:$/u.test(url.protocol) ? [url.origin] : [];
  });
  const common = mostCommon(origins);
  // A list of other people's sites has no origin of its own.
  const origin = common !== null && origins.filter((one) => one === common).length * 2 > origins.length ? common : null;
  if (origin !== null) guesses.push(`The site is at ${origin}: most of the addresses are.`);
  const seen = new Map<string, DraftPage>();
  for (const page of pages) {
    if (page.href === null) continue;
    const url = urlOf(page.href);
    const path = page.href.startsWith('/') && !/^\/[/\\]/u.test(page.href) ? page.href : null;
    if (url?.origin === origin) page.href = literalPath(url.pathname);
    else if (path !== null) page.href = literalPath(new URL(path, 'https://site.invalid').pathname);
    else if (!url || !/^(?:https?|mailto|tel):$/u.test(url.protocol)) {
      guesses.push(
        `"${page.label}" is a group: its address "${printable(page.href)}" is none that a site may link to.`,
      );
      page.href = null;
    }
    if (page.href?.startsWith('/') !== true) continue;
    const key = page.href.replace(/(?<=.)\/$/u, '');
    const other = seen.get(key);
    if (other) {
      guesses.push(`"${page.label}" is a group: its address is that of "${other.label}".`);
      page.href = null;
    } else seen.set(key, page);
  }
  return origin;
}
