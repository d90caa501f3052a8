import { locate } from '../core/site/locate.ts';
import type { ViewElement } from '../core/view/view.ts';
import { warning, type Warning } from '../core/warnings.ts';
import { isElement } from '../dom/nodes.ts';
import { surroundingsOf, type Surroundings, type TrailLocation } from '../parts/surroundings.ts';
import type { TrailSource } from './document-trails.ts';
import type { OwnElement } from './dom-printer.ts';
import { listSite, pagePath, type ListEntry } from './list-site.ts';
import { addressOfWindow, followAddress, goTo } from './page-address.ts';

/** One item of a list that the author has written, and the elements that it is made of. */
interface OwnItem {
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

const lists = 'ul, ol, menu';

/** The lists that an element has taken, so that no two have the same. */
const taken = new WeakSet<Element>();

/** A list of links that the author has written, as the site of the elements that show it. */
export class ListSource implements TrailSource {
  readonly surroundings: Surroundings;
  readonly #window: Window;
  readonly #root: Element;
  readonly #list: Element;
  readonly #navigation: Element | null;
  readonly #items = new Map<string, OwnItem>();
  readonly #paths = new Set<string>();
  readonly #listeners = new Set<() => void>();
  /** What the addresses of this website begin with. */
  readonly #start: string;
  #location: TrailLocation | null = null;

  /**
   * @param root what holds the list, or the list itself
   */
  constructor(window: Window, root: Element, list: Element) {
    this.#window = window;
    const { protocol, host } = window.location;
    this.#start = `${protocol}//${host}/`;
    this.#root = root;
    this.#list = list;
    this.#navigation = list.closest('nav, [role="navigation"]');
    const { document } = window;
    const site = listSite(this.#readList(list, 'item'), document.documentElement.lang || 'en');
    this.surroundings = surroundingsOf({ site }, null, (url, options) => {
      goTo(window, url, options?.history === 'replace');
      this.#report();
    });
  }

  get location(): TrailLocation {
    const url = addressOfWindow(this.#window);
    if (this.#location?.url !== url) {
      const { site } = this.surroundings;
      this.#location = { url, position: locate(site, { pathname: this.#window.location.pathname }) };
    }
    return this.#location;
  }

  subscribe(listener: () => void): () => void {
    this.#listeners.add(listener);
    const stop = followAddress(this.#window, listener);
    return () => {
      this.#listeners.delete(listener);
      stop();
    };
  }

  /** Where the list stood, and what to take away of it. */
  get root(): Element {
    return this.#navigation && this.#root.contains(this.#navigation) ? this.#root : (this.#navigation ?? this.#root);
  }

  /** Whether the author's attribute counts, and not what the view says. */
  keeps = (element: Element, name: string): boolean => {
    if (name === 'aria-label') return element === this.#navigation && element.hasAttribute(name);
    // On a page that is not in the list, the author knows better what to mark.
    if (name === 'aria-current') return this.location.position.path.length === 0;
    return name === 'href' || name === 'target' || name === 'rel' || name === 'id';
  };

  /** The author's element for one of the view. */
  own = (path: readonly ViewElement<unknown>[]): OwnElement | null => {
    const node = path[path.length - 1];
    const classes = node?.attributes['class']?.split(' ') ?? [];
    if (!node) return null;
    if (classes.includes('ft-bar-navigation') || classes.includes('ft-sidebar-navigation')) {
      return this.#navigation && { element: this.#navigation };
    }
    const around = path.findLast(({ tag, key }) => tag === 'li' && this.#items.has(key));
    const item = around && this.#items.get(around.key);
    if (node === around && item) return { element: item.item };
    if (classes.includes('ft-menu')) {
      const list = item ? item.list : this.#list;
      return list && { element: list };
    }
    if (!item) return null;
    const isLead = classes.includes('ft-link') || classes.includes('ft-group-label');
    if (isLead && item.lead?.localName === node.tag) {
      item.isLeadUsed = true;
      return { element: item.lead };
    }
    if (isLead && classes.includes('ft-group-label')) {
      const element = item.lead ?? this.#labelOf(item);
      item.isLeadUsed = true;
      return { element, hasContent: true };
    }
    if (!classes.includes('ft-label')) return null;
    return { element: this.#labelOf(item), hasContent: true };
  };

  /** Takes away what the author's elements stood in and nothing needs any more, once all of it is printed. */
  clean(): void {
    for (const { lead, frame, isLeadUsed } of this.#items.values()) {
      if (!isLeadUsed) lead?.remove();
      frame?.remove();
    }
  }

  /** Another element may have the list. */
  release(): void {
    taken.delete(this.#list);
  }

  #labelOf(item: OwnItem): Element {
    if (item.label) return item.label;
    const label = this.#window.document.createElement('span');
    label.append(...item.content);
    item.label = label;
    return label;
  }

  #report(): void {
    for (const listener of this.#listeners) listener();
  }

  #readList(list: Element, prefix: string): ListEntry[] {
    return [...list.children].flatMap((item, index) => {
      if (item.localName !== 'li') return [];
      const id = `${prefix}-${index}`;
      const entry = this.#readItem(item, id);
      return entry ? [entry] : [];
    });
  }

  #readItem(item: Element, id: string): ListEntry | null {
    // The first list in an item is its own, and so is the first link, unless that is in the list.
    const list = item.querySelector(lists);
    const isBeforeList = (one: Element | null) => one !== null && list?.contains(one) !== true;
    const first = item.querySelector('a, button, summary');
    const lead = isBeforeList(first)
      ? first
      : ([...item.children].find((one) => one !== list && !one.contains(list)) ?? null);
    const content = lead
      ? [...lead.childNodes]
      : [...item.childNodes].filter((node) => node !== list && !(isElement(node) && node.contains(list)));
    const label = nameOf(lead, content);
    if (label === '') return null;
    this.#items.set(id, {
      item,
      lead,
      frame: lead?.localName === 'summary' ? lead.closest('details') : null,
      content,
      list,
      label: null,
      isLeadUsed: false,
    });
    // Before what is below it: of the same page twice, the first is its place, and is marked.
    const address = this.#addressOf(lead?.localName === 'a' ? (lead as HTMLAnchorElement) : null);
    return { id, label, ...address, entries: list ? this.#readList(list, id) : [] };
  }

  #addressOf(link: HTMLAnchorElement | null): Pick<ListEntry, 'href' | 'path'> {
    const href = link?.getAttribute('href') ?? '';
    // A link that leads nowhere is how lists without scripts name a group.
    if (!link || href === '' || href.startsWith('#') || /^javascript:/iu.test(href)) return { href: null, path: null };
    // Resolved once: each part of a link's address is resolved again, which takes longer than all else here.
    const resolved = link.href;
    const own = resolved.startsWith(this.#start) ? resolved.slice(this.#start.length - 1) : null;
    const path = own === null || own.includes('#') ? null : pagePath(own.split('?')[0] ?? '');
    if (own === null || path === null || this.#paths.has(path)) return { href: resolved, path: null };
    this.#paths.add(path);
    return { href: own, path };
  }
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

/**
 * The list that is written into an element, or that its attribute `list` names.
 *
 * @param content what the author has written into the element
 * @returns null if there is none: where there should be one, that is reported
 */
export function takeListIn(
  element: HTMLElement,
  content: readonly Element[],
  warn: (given: Warning) => void,
): ListSource | null {
  const { ownerDocument: document } = element;
  const named = element.getAttribute('list');
  const root =
    named === null
      ? content.find((one) => one.matches(lists) || one.querySelector(lists))
      : document.getElementById(named);
  if (!root && named === null) return null;
  const list = root?.matches(lists) ? root : root?.querySelector(lists);
  if (!root || !list?.querySelector('a[href]') || !document.defaultView) {
    warn(warning('list-without-links', named ?? element.localName));
    return null;
  }
  if (taken.has(list)) {
    warn(warning('list-in-use', named ?? element.localName));
    return null;
  }
  taken.add(list);
  return new ListSource(document.defaultView, root, list);
}
