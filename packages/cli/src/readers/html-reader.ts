import path from 'node:path';
import { Failure } from '../failure.ts';
import { readText } from '../input/read-file.ts';
import { printable } from '../printable.ts';
import {
  labelFromPath,
  languageTag,
  literalPath,
  type Draft,
  type DraftItem,
  type DraftMenu,
  type DraftPage,
} from './draft.ts';
import {
  attribute,
  childrenOf,
  closest,
  elementsIn,
  isBreadcrumbs,
  isElement,
  parseHtml,
  textOf,
  type HtmlElement,
} from './html-document.ts';

/** Lists within lists beyond this are no menu. */
const mostLevels = 16;

/** Reads the navigation of one HTML page: each of its landmarks is a menu, their links are the entries. */
export function readHtmlNavigation(file: string): Draft {
  const document = parseHtml(readText(file));
  const elements = [...elementsIn(document)];
  const find = (name: string) => elements.find(({ tagName }) => tagName === name);
  const base = baseOf(elements, file);
  const reader = new NavigationReader(base);
  const menus = reader.readMenus(elements);
  if (reader.pages.length === 0) {
    throw new Failure('nothing-found', `${printable(file)} has no navigation: no list of links is in it.`);
  }
  const html = find('html');
  const title = find('title');
  const name = title
    ? textOf(title)
        .split(/ [|·–—-] /u)
        .at(-1)
    : '';
  if (!name) reader.guesses.push('The name of the site is made from the file: the page has no title.');
  return {
    name: name === undefined || name === '' ? labelFromPath(path.basename(file)) : name,
    origin: base.origin === placeholderOrigin ? null : base.origin,
    language: languageTag(html ? attribute(html, 'lang') : null, reader.leftOut),
    pages: reader.pages,
    menus,
    guesses: reader.guesses,
    leftOut: reader.leftOut,
  };
}

const placeholderOrigin = 'https://site.invalid';

/** What the page's links are relative to: its own address, where it says one. */
function baseOf(elements: readonly HtmlElement[], file: string): URL {
  const canonical = elements.find((element) => element.tagName === 'link' && attribute(element, 'rel') === 'canonical');
  const base = elements.find((element) => element.tagName === 'base' && attribute(element, 'href') !== null);
  const own = new URL(encodeURIComponent(path.basename(file)), `${placeholderOrigin}/`);
  const said = (canonical && attribute(canonical, 'href')) ?? '';
  const address = said && URL.canParse(said) ? new URL(said) : own;
  const href = (base && attribute(base, 'href')) ?? '';
  return href && URL.canParse(href, address.href) ? new URL(href, address.href) : address;
}

class NavigationReader {
  readonly guesses: string[] = [];
  readonly leftOut: string[] = [];
  /** The pages that are below no other. A set, since a page of a long list is taken out of it where it is below another. */
  readonly #top = new Set<DraftPage>();
  readonly #base: URL;
  readonly #byHref = new Map<string, DraftPage>();
  readonly #names = new Set<string>();

  constructor(base: URL) {
    this.#base = base;
  }

  get pages(): readonly DraftPage[] {
    return [...this.#top];
  }

  readMenus(elements: readonly HtmlElement[]): DraftMenu[] {
    const isLandmark = (element: HtmlElement) => {
      return element.tagName === 'nav' || attribute(element, 'role') === 'navigation';
    };
    let roots = elements.filter((element) => isLandmark(element) && !isBreadcrumbs(element));
    if (roots.length === 0) {
      // Without landmarks, the longest list of links is most likely the menu.
      const lists = elements.filter(({ tagName }) => tagName === 'ul' || tagName === 'ol');
      const links = (list: HtmlElement) => [...elementsIn(list)].filter(({ tagName }) => tagName === 'a').length;
      const [longest] = lists
        .map((list) => ({ list, count: links(list) }))
        .sort((one, other) => other.count - one.count);
      roots = longest && longest.count > 1 ? [longest.list] : [];
      if (roots.length > 0)
        this.guesses.push('The longest list of links is taken for the menu: the page has no <nav>.');
    }
    return roots.flatMap((root) => {
      const items = this.#readItems(root, 1);
      return items.length > 0 ? [{ name: this.#nameOf(root), items }] : [];
    });
  }

  #nameOf(root: HtmlElement): string {
    const said = attribute(root, 'aria-label') ?? attribute(root, 'id') ?? '';
    const place = closest(root, ({ tagName }) => tagName === 'footer' || tagName === 'aside')?.tagName;
    const slug = said
      .toLowerCase()
      .replace(/[^a-z\d]+/gu, '-')
      .replace(/^[^a-z]+|-+$/gu, '');
    const wanted = slug || (place === 'footer' ? 'footer' : place === 'aside' ? 'side' : 'main');
    let name = wanted;
    for (let number = 2; this.#names.has(name); number += 1) name = `${wanted}-${number}`;
    this.#names.add(name);
    if (!slug) this.guesses.push(`A menu is called "${name}" for where it stands: it has no name.`);
    return name;
  }

  /** The items of a list, or of whatever stands in its place. */
  #readItems(root: HtmlElement, level: number): DraftItem[] {
    const list = root.tagName === 'ul' || root.tagName === 'ol' ? root : firstLists(root);
    if (Array.isArray(list)) {
      if (list.length === 0) return [...elementsIn(root)].flatMap((element) => this.#readLink(element));
      return list.flatMap((one) => this.#readItems(one, level));
    }
    const seen = new Set<DraftPage>();
    return childrenOf(list).flatMap((child): DraftItem[] => {
      if (!isElement(child) || child.tagName !== 'li' || level > mostLevels) return [];
      return this.#readListItem(child, level).filter((item) => {
        if (!('page' in item)) return true;
        const isNew = !seen.has(item.page);
        seen.add(item.page);
        return isNew;
      });
    });
  }

  #readListItem(item: HtmlElement, level: number): DraftItem[] {
    const isList = ({ tagName }: HtmlElement) => tagName === 'ul' || tagName === 'ol';
    const lists = firstLists(item);
    const below = lists.flatMap((list) => this.#readItems(list, level + 1));
    const [link] = [...elementsIn(item, isList)].flatMap((element) => this.#readLink(element));
    if (below.length === 0) return link ? [link] : [];
    if (!link) return [{ label: textOf(item, isList) || 'More', items: below }];
    for (const one of below) if ('page' in one) this.#moveBelow(one.page, link.page);
    const depths = below.map((one) => ('page' in one ? (one.depth ?? 1) : 1));
    return [{ page: link.page, depth: 1 + Math.max(...depths) }];
  }

  /** A page that is listed below another is below it, unless it has its place already. */
  #moveBelow(page: DraftPage, parent: DraftPage): void {
    if (!this.#top.has(page) || holds(page, parent)) return;
    this.#top.delete(page);
    parent.pages.push(page);
  }

  #readLink(element: HtmlElement): { page: DraftPage }[] {
    const written = element.tagName === 'a' ? attribute(element, 'href') : null;
    if (written === null) return [];
    const label = attribute(element, 'aria-label') ?? textOf(element);
    const url = URL.canParse(written, this.#base.href) ? new URL(written, this.#base.href) : null;
    const isPlaceholder = written.trim() === '' || written.startsWith('#');
    if (!url || isPlaceholder || !/^(?:https?|mailto|tel):$/u.test(url.protocol)) {
      this.leftOut.push(`"${printable(label)}": "${printable(written)}" leads to no page.`);
      return [];
    }
    const href = url.origin === this.#base.origin ? literalPath(url.pathname) : url.href;
    const key = href.replace(/(?<=.)\/$/u, '');
    const known = this.#byHref.get(key);
    if (known) return [{ page: known }];
    if (!label) this.guesses.push(`The label of ${printable(href)} is made from its address: the link has no text.`);
    const page: DraftPage = {
      label: label || labelFromPath(url.pathname.split('/').filter(Boolean).at(-1) ?? ''),
      href,
      pages: [],
    };
    this.#byHref.set(key, page);
    this.#top.add(page);
    return [{ page }];
  }
}

/** Whether a page is another one, or that one is somewhere below it. */
function holds(page: DraftPage, other: DraftPage): boolean {
  return page === other || page.pages.some((below) => holds(below, other));
}

/** The lists in an element that are in no other list of it. */
function firstLists(root: HtmlElement): HtmlElement[] {
  const found: HtmlElement[] = [];
  const waiting = [...childrenOf(root)].reverse();
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if (!isElement(node)) continue;
    if (node.tagName === 'ul' || node.tagName === 'ol') found.push(node);
    else waiting.push(...[...childrenOf(node)].reverse());
  }
  return found;
}
