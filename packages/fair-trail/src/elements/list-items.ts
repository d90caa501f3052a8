import { mayBeLinked } from '../core/site/address.ts';
import { warning, type Warning } from '../core/warnings.ts';
import { isElement } from '../dom/nodes.ts';
import { pagePath, type ListEntry } from './list-site.ts';

/**
 * What an item of a list is: a link or a group with an address of its own or a list; a `placeholder`, which leads nowhere;
 * a divider; or what only its author knows, such as a button, a field or a heading.
 */
type OwnItemKind = 'menu' | 'placeholder' | 'divider' | 'own';

/** One item of a list that the author has written, and the elements that it is made of. */
export interface OwnItem {
  readonly id: string;
  readonly kind: OwnItemKind;
  readonly item: Element;
  /** The link, button or text that comes first; null if it is text of the item itself. */
  readonly lead: Element | null;
  /** What stands around the lead and goes where the lead is replaced, such as `details`. */
  readonly frame: Element | null;
  /** What the item is called, as the author wrote it. */
  readonly content: readonly ChildNode[];
  readonly list: Element | null;
  label: Element | null;
  isLeadUsed: boolean;
}

export const listSelector = 'ul, ol, menu';

const headings = 'h1, h2, h3, h4, h5, h6, [role="heading"]';
const dividers = 'hr, [role="separator"]';

/** Reads the items of a list: again and again, since scripts change lists. */
export class ListItems {
  readonly byId = new Map<string, OwnItem>();
  /** An item keeps its id when others come and go, and so do the elements that it is drawn with. */
  readonly #byElement = new WeakMap<Element, OwnItem>();
  readonly #paths = new Set<string>();
  readonly #warn: (given: Warning) => void;
  #count = 0;

  constructor(warn: (given: Warning) => void) {
    this.#warn = warn;
  }

  read(list: Element): readonly ListEntry[] {
    this.byId.clear();
    this.#paths.clear();
    return this.#readList(list);
  }

  #readList(list: Element): ListEntry[] {
    return [...list.children].flatMap((child) => {
      // What a list may not hold itself is there all the same, and is seen.
      const item = child.localName === 'li' || child.hasAttribute('data-ft-item') ? child : wrapped(child);
      return item ? [this.#readItem(item)] : [];
    });
  }

  #readItem(element: Element): ListEntry {
    const known = this.#byElement.get(element);
    const item = known ?? ownItem(element, `item-${(this.#count += 1)}`);
    this.#byElement.set(element, item);
    this.byId.set(item.id, item);
    const { id, kind, lead, list } = item;
    // A script may have written another text into the link, in place of what is drawn in it.
    const written = lead ? [...lead.childNodes] : item.content;
    const label = nameOf(lead, item.label?.isConnected === true ? [item.label] : written);
    if (known === undefined && kind === 'placeholder') {
      this.#warn(warning('list-placeholder', label));
    }
    // Before what is below it: of the same page twice, the first is its place, and is marked.
    const address = this.#addressOf(kind === 'menu' ? lead : null);
    return { id, label, ...address, isPlain: kind !== 'menu', entries: list ? this.#readList(list) : [] };
  }

  #addressOf(lead: Element | null): Pick<ListEntry, 'href' | 'path'> {
    const href = lead?.localName === 'a' ? addressOf(lead) : null;
    // A part of a page is no page: a link to it is followed, and never marked.
    const path =
      href === null || !href.startsWith('/') || href.includes('#') ? null : pagePath(href.split('?')[0] ?? '');
    if (path === null || this.#paths.has(path)) return { href, path: null };
    this.#paths.add(path);
    return { href, path };
  }
}

function ownItem(item: Element, id: string): OwnItem {
  // The first list in an item is its own, and so is the first link, unless that is in the list.
  const list = item.querySelector(listSelector);
  const isBeforeList = (one: Element | null) => one !== null && list?.contains(one) !== true;
  const first = item.querySelector('a, button, summary');
  const lead = isBeforeList(first)
    ? first
    : ([...item.children].find((one) => one !== list && !one.contains(list)) ?? null);
  const content = lead
    ? [...lead.childNodes]
    : [...item.childNodes].filter((node) => node !== list && !(isElement(node) && node.contains(list)));
  const frame = lead?.localName === 'summary' ? lead.closest('details') : null;
  const kind = kindOf(item, lead, list);
  return { id, kind, item, lead, frame, content, list, label: null, isLeadUsed: false };
}

function kindOf(item: Element, lead: Element | null, list: Element | null): OwnItemKind {
  if (item.matches(dividers) || (item.querySelector(`:scope > :is(${dividers})`) && !list)) return 'divider';
  if (list?.querySelector('li')) return 'menu';
  const isLink = lead?.localName === 'a' && !lead.matches('[onclick], [role="button"]');
  // A link beside a field or a second link is no longer one item of a menu.
  if (!isLink || [...item.children].some((one) => one !== lead && one.matches('a, button, form, input'))) return 'own';
  return addressOf(lead) === null ? 'placeholder' : 'menu';
}

/** The address that a link leads to, within this website from its root; null for a placeholder, or what may not be linked to. */
function addressOf(link: Element): string | null {
  const written = link.getAttribute('href')?.trim() ?? '';
  if (written === '' || written === '#' || link.getAttribute('aria-disabled') === 'true') return null;
  // Read whole and then cut: a link resolves its address again for each part that is read, which is slow.
  const resolved = (link as HTMLAnchorElement).href;
  const { protocol, host } = link.ownerDocument.location;
  const start = `${protocol}//${host}/`;
  // On a page from a disk, and only there, addresses of files are those of the website.
  const own = resolved.startsWith(start) ? resolved.slice(start.length - 1) : resolved;
  return [own, resolved].find(mayBeLinked) ?? null;
}

/** What stands in a list without an item around it, in one. Empty text and scripts need none. */
function wrapped(child: Element): Element | null {
  if (!child.matches(`${dividers}, ${headings}, a, button, form, span, p, div`)) return null;
  const item = child.ownerDocument.createElement('li');
  child.replaceWith(item);
  item.append(child);
  return item;
}

/** The classes of an item that is the author's as a whole. */
export function classesOf({ kind, item, lead }: OwnItem): string {
  if (kind === 'divider') return 'ft-divider';
  if (lead?.matches(headings)) return 'ft-menu-item ft-group-label';
  return item.children.length === 0 ? 'ft-menu-note' : 'ft-menu-item';
}

/** What a link is called: its name, its text, or that of its image. */
function nameOf(lead: Element | null, content: readonly ChildNode[]): string {
  const said = lead?.getAttribute('aria-label')?.trim() ?? '';
  const text = content.map((node) => node.textContent ?? '').join('');
  const image = content
    .flatMap((node) => (isElement(node) ? [node, ...node.querySelectorAll('img')] : []))
    .find((one) => one.localName === 'img');
  return said || text.replace(/\s+/gu, ' ').trim() || (image?.getAttribute('alt')?.trim() ?? '');
}
