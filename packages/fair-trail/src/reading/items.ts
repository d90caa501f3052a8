import { accessibleNameWhenShown } from './accessible-name.ts';
import { roleOf } from './role.ts';
import { controlOf, isOpener, targetOf } from './controls.ts';
import type { Elements } from './elements.ts';
import type { ItemReading, LinkReading } from './page-reading.ts';
import { isInReach } from './reach.ts';
import { shadowOf } from './shadow-roots.ts';

/** An item while it is being put together, with the element that it was made of. */
export interface FoundItem extends Omit<ItemReading, 'items'> {
  readonly source: Element;
  /** Whether it is an item of a list: then what opens something beside its link belongs to it. */
  readonly isListed: boolean;
  items: FoundItem[];
}

/** The items of a menu as a tree: lists in items of lists, what a control says that it opens, details, titled lists. */
export function itemsIn(root: Element, elements: Elements): FoundItem[] {
  return underTheirControls(new ItemReader(elements).within(root));
}

/** Null for what has no address. */
export function linkOf(element: Element, elements: Elements): LinkReading | null {
  const written = element.getAttribute('href');
  if (written === null) return null;
  const isOther = (element.getAttribute('target') ?? '_self') === '_blank' || element.hasAttribute('download');
  return {
    element: elements.numberOf(element),
    href: (element as HTMLAnchorElement).href,
    written,
    opensElsewhere: isOther,
  };
}

class ItemReader {
  readonly #elements: Elements;

  constructor(elements: Elements) {
    this.#elements = elements;
  }

  within(root: Element): FoundItem[] {
    const items: FoundItem[] = [];
    let title: Element | null = null;
    for (const child of childrenOf(root)) {
      const isList = ['list', 'group', 'menu'].includes(roleOf(child) ?? '');
      const found = this.#at(child);
      if (found.length === 0) {
        // A title may be wrapped in something; what is no title leaves the last one as it is.
        title = headingIn(child) ?? title;
        continue;
      }
      // A title belongs to the list that comes next, however that is wrapped.
      const named = isList ? accessibleNameWhenShown(child, 'list') || null : null;
      const titled = title ?? (named === null ? null : child);
      if (titled && (isList || title !== null) && found.every(({ isListed }) => isListed)) {
        const name = title ? accessibleNameWhenShown(title, 'heading') : (named ?? '');
        items.push(this.#group(titled, name, found));
      } else items.push(...found);
      title = null;
    }
    return items;
  }

  #at(element: Element): FoundItem[] {
    if (element.getAttribute('aria-hidden') === 'true') return [];
    if (['script', 'style', 'template', 'noscript'].includes(element.localName)) return [];
    const role = roleOf(element);
    if (role === 'listitem' || role === 'treeitem' || (role === 'none' && element.localName === 'li')) {
      return this.#listItem(element);
    }
    if (element.localName === 'details') return this.#details(element);
    if (isOpener(element)) return [this.#control(element)];
    if (role === 'link' || role === 'menuitem') return [this.#link(element)];
    return this.within(element);
  }

  /** One item for a link, its button, and what is below both; but as many as there are where they do not belong together. */
  #listItem(element: Element): FoundItem[] {
    const parts = underTheirControls(this.within(element));
    const own = parts.filter(({ isListed }) => !isListed);
    const below = parts.filter(({ isListed }) => isListed);
    const lead = own.find(({ link }) => link !== null) ?? null;
    const opener = own.find(({ control }) => control !== null) ?? null;
    const first = lead ?? opener;
    const current = currentOf(element);
    if (!first) {
      const label = ownText(element);
      if (below.length === 0 || label === '') return below;
      return [{ ...this.#group(element, label, below), current: current ?? labelCurrent(element), isListed: true }];
    }
    const others = own.filter((one) => one !== lead && one !== opener);
    const items = [
      ...first.items,
      ...(opener && opener !== first ? opener.items : []),
      ...(opener ? others : []),
      ...below,
    ];
    const whole: FoundItem = {
      ...first,
      link: lead?.link ?? null,
      control: opener?.control ?? null,
      current: first.current ?? opener?.current ?? current,
      isShown: first.isShown || (opener?.isShown ?? false),
      isListed: true,
      items,
    };
    return [whole, ...(opener ? [] : others.map((other) => ({ ...other, isListed: true })))];
  }

  #details(element: Element): FoundItem[] {
    const summary = [...element.children].find(({ localName }) => localName === 'summary');
    if (!summary) return this.within(element);
    const below = this.within(element).filter(({ source }) => !summary.contains(source));
    return [{ ...this.#control(summary), items: below }];
  }

  #link(element: Element): FoundItem {
    const role = roleOf(element);
    const link = linkOf(element, this.#elements);
    return {
      name: accessibleNameWhenShown(element, role),
      link,
      control: link ? null : controlOf(element, this.#elements),
      current: currentOf(element),
      isShown: isInReach(element),
      items: [],
      source: element,
      isListed: false,
    };
  }

  #control(element: Element): FoundItem {
    const control = controlOf(element, this.#elements);
    const { name } = control;
    const current = currentOf(element);
    return {
      name,
      link: null,
      control,
      current,
      isShown: control.isShown,
      items: [],
      source: element,
      isListed: false,
    };
  }

  #group(source: Element, name: string, items: FoundItem[]): FoundItem {
    const current = currentOf(source);
    return { name, link: null, control: null, current, isShown: isInReach(source), items, source, isListed: false };
  }
}

/** Puts what a control says that it opens below it, where that stands beside it. */
function underTheirControls(items: FoundItem[]): FoundItem[] {
  let left = items;
  for (const item of items) {
    if (item.control === null || item.isListed || item.items.length > 0) continue;
    const target = targetOf(item.source);
    if (!target || target.contains(item.source)) continue;
    const opened = left.filter((other) => other !== item && target.contains(other.source));
    item.items = opened;
    left = left.filter((other) => !opened.includes(other));
  }
  return left;
}

function headingIn(element: Element): Element | null {
  if (roleOf(element) === 'heading') return element;
  return element.querySelector('h1, h2, h3, h4, h5, h6, [role="heading"]');
}

function currentOf(element: Element): string | null {
  const said = element.getAttribute('aria-current') ?? '';
  return said === '' || said === 'false' ? null : said;
}

/** A group without a page may say it on its label. */
function labelCurrent(element: Element): string | null {
  const label = [...element.children].find((child) => child.hasAttribute('aria-current'));
  return label ? currentOf(label) : null;
}

/** The text of an item that is in no list within it. */
function ownText(element: Element): string {
  let text = '';
  for (const node of element.childNodes) {
    if (node.nodeType === 3) text += node.nodeValue ?? '';
    else if (node.nodeType === 1) {
      const child = node as Element;
      if (child.querySelector('ul, ol, menu') === null && !child.matches('ul, ol, menu')) text += child.textContent;
    }
  }
  return text.replaceAll(/\s+/gu, ' ').trim();
}

/** What is in an element as it is shown: its shadow, or what a slot was given. */
function childrenOf(element: Element): readonly Element[] {
  const shadow = shadowOf(element);
  if (shadow) return [...shadow.children];
  const assigned = element.localName === 'slot' ? (element as HTMLSlotElement).assignedElements() : [];
  return assigned.length > 0 ? assigned : [...element.children];
}
