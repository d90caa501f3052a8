/**
 * What the core decides and a framework prints: plain elements with their attributes, text, and named slots for what
 * the app brings. Nothing here knows a framework, so all of them print the same document.
 *
 * `Event` is what the elements report when they are clicked; `never` where nothing in the view reports anything.
 */
export type ViewNode<Event = never> = ViewElement<Event> | ViewSlot | string;

export interface ViewElement<out Event = never> {
  readonly tag: string;
  /** Tells the element from its siblings across changes. */
  readonly key: string;
  /** HTML attributes under their HTML names. A boolean attribute that holds is the empty string. */
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly ViewNode<Event>[];
  /** What a click on it reports. */
  readonly click?: Event;
}

/** Where the app's own content goes. */
export interface ViewSlot {
  readonly slot: string;
  /** What the slot's content is about, such as the name of an icon. */
  readonly about: string;
}

interface ElementExtras<Event> {
  readonly key?: string;
  readonly click?: Event;
}

const nothing: readonly never[] = [];

/**
 * An element; attributes that are null or false are left out, and true is written as HTML writes a boolean. A page has
 * thousands, so this does no more than it must.
 */
export function element<Event = never>(
  tag: string,
  attributes: Readonly<Record<string, string | boolean | null>>,
  children: readonly (ViewNode<Event> | null)[] = nothing,
  extras?: ElementExtras<Event>,
): ViewElement<Event> {
  const written: Record<string, string> = {};
  for (const name in attributes) {
    const value = attributes[name] ?? null;
    if (value !== null && value !== false) written[name] = value === true ? '' : value;
  }
  const present = children.includes(null)
    ? children.filter((child) => child !== null)
    : (children as readonly ViewNode<Event>[]);
  const key = extras?.key ?? tag;
  const click = extras?.click;
  return click === undefined
    ? { tag, key, attributes: written, children: present }
    : { tag, key, attributes: written, children: present, click };
}

export function slot(name: string, about = ''): ViewSlot {
  return { slot: name, about };
}

/** Whether a node is an element, and neither text nor a slot. */
export function isViewElement<Event>(node: ViewNode<Event>): node is ViewElement<Event> {
  return typeof node !== 'string' && !('slot' in node);
}

/** The part of a view with that key, such as `toggle`; null if there is none now. */
export function partOf<Event>(view: ViewElement<Event>, key: string): ViewElement<Event> | null {
  for (const child of view.children) {
    if (!isViewElement(child)) continue;
    const found = child.key === key ? child : partOf(child, key);
    if (found) return found;
  }
  return null;
}

/**
 * The view with a slot named `children` instead of what is in one of its elements: the app arranges that itself, with
 * the parts of the view (`partOf`) among its own markup.
 *
 * @param name the class of the element
 */
export function frameOf<Event>(view: ViewElement<Event>, name: string): ViewElement<Event> {
  if (view.attributes['class'] === name) return { ...view, children: [slot('children')] };
  const children = view.children.map((child) => (isViewElement(child) ? frameOf(child, name) : child));
  return { ...view, children };
}

/** An id for the document, made of one that may hold any character. */
export function documentId(prefix: string, id: string): string {
  return `${prefix}-${id.replaceAll(/[^\w-]/gu, (character) => `_${character.codePointAt(0) ?? 0}`)}`;
}
