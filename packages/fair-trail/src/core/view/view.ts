import type { MenuItem } from '../site/menu-item.ts';

/**
 * What the core decides and a framework prints: plain elements with their attributes, text, and named slots for what
 * the app brings. Nothing here knows a framework, so all of them print the same document.
 */
export type ViewNode = ViewElement | ViewSlot | string;

export interface ViewElement {
  readonly tag: string;
  /** Tells the element from its siblings across changes. */
  readonly key: string;
  /** HTML attributes under their HTML names. A boolean attribute that holds is the empty string. */
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly ViewNode[];
  /** The machine event that each DOM event stands for, by the DOM event's name. */
  readonly on?: Readonly<Record<string, unknown>>;
  /** The menu item whose mark the element shows, for those who follow marks one by one (`markedView`). */
  readonly item?: MenuItem;
  /** Whether it shows no mark but that of the page itself: what is in the item stands beside it, with marks of its own. */
  readonly pageOnly?: boolean;
}

/** Where the app's own content goes. */
export interface ViewSlot {
  readonly slot: string;
  /** What the slot's content is about, such as the name of an icon. */
  readonly about: string;
}

interface ElementExtras {
  readonly key?: string;
  readonly on?: Readonly<Record<string, unknown>>;
  readonly item?: MenuItem;
  readonly pageOnly?: boolean;
}

const nothing: readonly never[] = [];

/**
 * An element; attributes that are null or false are left out, and true is written as HTML writes a boolean. A page has
 * thousands, so this does no more than it must.
 */
export function element(
  tag: string,
  attributes: Readonly<Record<string, string | boolean | null>>,
  children: readonly (ViewNode | null)[] = nothing,
  extras?: ElementExtras,
): ViewElement {
  const written: Record<string, string> = {};
  for (const name in attributes) {
    const value = attributes[name] ?? null;
    if (value !== null && value !== false) written[name] = value === true ? '' : value;
  }
  const present = children.includes(null) ? children.filter((child) => child !== null) : (children as ViewNode[]);
  if (!extras) return { tag, key: tag, attributes: written, children: present };
  return { tag, key: tag, ...extras, attributes: written, children: present };
}

export function slot(name: string, about = ''): ViewSlot {
  return { slot: name, about };
}

/** The part of a view with that key, such as `toggle`; null where there is none now. */
export function partOf(view: ViewElement, key: string): ViewElement | null {
  for (const child of view.children) {
    if (typeof child === 'string' || 'slot' in child) continue;
    const found = child.key === key ? child : partOf(child, key);
    if (found) return found;
  }
  return null;
}

/**
 * The view with a slot named `children` in the place of what is in one of its elements: the app arranges that itself, with
 * the parts of the view (`partOf`) among its own markup.
 *
 * @param name the class of the element
 */
export function frameOf(view: ViewElement, name: string): ViewElement {
  if (view.attributes['class'] === name) return { ...view, children: [slot('children')] };
  const children = view.children.map((child) => {
    return typeof child === 'string' || 'slot' in child ? child : frameOf(child, name);
  });
  return { ...view, children };
}

/** An id for the document, made of one that may hold any character. */
export function documentId(prefix: string, id: string): string {
  return `${prefix}-${id.replaceAll(/[^\w-]/gu, (character) => `_${character.codePointAt(0) ?? 0}`)}`;
}
