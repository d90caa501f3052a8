import { locate } from '../core/site/locate.ts';
import type { ViewElement } from '../core/view/view.ts';
import { warning, type Warning } from '../core/warnings.ts';
import { surroundingsOf, type Surroundings, type TrailLocation } from '../parts/surroundings.ts';
import type { TrailSource } from './document-trails.ts';
import type { OwnElement } from './dom-printer.ts';
import { classesOf, ListItems, listSelector, type OwnItem } from './list-items.ts';
import { listSite } from './list-site.ts';
import { addressOfWindow, followAddress, goTo } from './page-address.ts';

/** The lists that an element has taken, so that no two have the same. */
const taken = new WeakSet<Element>();

/** A list of links that the author has written, as the site of the elements that show it. */
export class ListSource implements TrailSource {
  readonly #window: Window;
  readonly #root: Element;
  readonly #list: Element;
  readonly #navigation: Element | null;
  readonly #items: ListItems;
  readonly #listeners = new Set<() => void>();
  readonly #language: string;
  #surroundings: Surroundings;
  /** What was read last, to see whether it is another. */
  #entries = '';
  #location: TrailLocation | null = null;

  /**
   * @param root what holds the list, or the list itself
   */
  constructor(window: Window, root: Element, list: Element, warn: (given: Warning) => void) {
    this.#window = window;
    this.#root = root;
    this.#list = list;
    this.#navigation = list.closest('nav, [role="navigation"]');
    this.#items = new ListItems(warn);
    this.#language = window.document.documentElement.lang || 'en';
    this.#surroundings = this.#read();
  }

  get surroundings(): Surroundings {
    return this.#surroundings;
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
    const changes = new MutationObserver(() => this.#readAgain());
    const seen = { childList: true, subtree: true, characterData: true } as const;
    changes.observe(this.#list, { ...seen, attributes: true, attributeFilter: ['href', 'aria-label'] });
    return () => {
      this.#listeners.delete(listener);
      changes.disconnect();
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
    const around = path.findLast(({ tag, key }) => tag === 'li' && this.#items.byId.has(key));
    const item = around && this.#items.byId.get(around.key);
    if (node === around && item) {
      const isWhole = item.kind === 'divider' || item.kind === 'own';
      return { element: item.item, ...(isWhole && { hasContent: true, classes: classesOf(item) }) };
    }
    if (classes.includes('ft-menu')) {
      const list = item ? item.list : this.#list;
      return list && { element: list };
    }
    if (!item) return null;
    const isLead = classes.includes('ft-link') || classes.includes('ft-group-label');
    if (isLead && item.lead?.localName === node.tag) {
      item.isLeadUsed = true;
      if (item.kind === 'placeholder') item.lead.removeAttribute('href');
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
    for (const { kind, lead, frame, isLeadUsed } of this.#items.byId.values()) {
      if (kind === 'own' || kind === 'divider') continue;
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

  #read(): Surroundings {
    const entries = this.#items.read(this.#list);
    this.#entries = JSON.stringify(entries);
    this.#location = null;
    return surroundingsOf({ site: listSite(entries, this.#language) }, null, (url, options) => {
      goTo(this.#window, url, options?.history === 'replace');
      this.#report();
    });
  }

  /** Scripts change lists. What is drawn changes the list too, and is read as what it was. */
  #readAgain(): void {
    const last = this.#entries;
    const next = this.#read();
    if (this.#entries === last) return;
    this.#surroundings = next;
    this.#report();
  }

  #report(): void {
    for (const listener of this.#listeners) listener();
  }
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
  const holds = (one: Element) => one.querySelector(`${listSelector}, a[href]`) !== null;
  const root =
    named === null
      ? (content.find((one) => one.matches(listSelector) || one.querySelector(listSelector)) ?? content.find(holds))
      : document.getElementById(named);
  if (!root && named === null) return null;
  const list = root ? listIn(root) : null;
  if (!root || !list?.querySelector('a, button, summary') || !document.defaultView) {
    warn(warning('list-without-links', named ?? element.localName));
    return null;
  }
  if (taken.has(list)) {
    warn(warning('list-in-use', named ?? element.localName));
    return null;
  }
  taken.add(list);
  joinLists(list, warn);
  return new ListSource(document.defaultView, root, list, warn);
}

/** The list of an element, or one made of the links that stand in it beside each other. */
function listIn(root: Element): Element | null {
  const list = root.matches(listSelector) ? root : root.querySelector(listSelector);
  if (list) return list;
  const parent = root.querySelector('a[href]')?.parentElement;
  const links = [...(parent?.children ?? [])].filter((one) => one.localName === 'a' || one.localName === 'button');
  if (!parent || links.length < root.querySelectorAll('a[href]').length || links.length < 2) return null;
  const made = root.ownerDocument.createElement('ul');
  links[0]?.before(made);
  for (const link of links) {
    const item = root.ownerDocument.createElement('li');
    item.append(link);
    made.append(item);
  }
  return made;
}

/** Lists beside each other in one landmark are one menu, with a divider between them. */
function joinLists(list: Element, warn: (given: Warning) => void): void {
  const navigation = list.closest('nav, [role="navigation"]');
  const others = [...(navigation?.querySelectorAll(listSelector) ?? [])].filter((one) => {
    return one !== list && !one.parentElement?.closest(listSelector) && !taken.has(one);
  });
  for (const other of others) {
    const divider = list.ownerDocument.createElement('li');
    divider.setAttribute('role', 'separator');
    list.append(divider, ...other.children);
    other.remove();
  }
  if (others.length > 0) warn(warning('lists-joined', navigation?.getAttribute('aria-label') ?? 'nav'));
}
