import {
  createContext,
  createElement,
  Fragment,
  useContext,
  version,
  type MouseEvent,
  type ReactElement,
  type ReactNode,
  type Ref,
} from 'react';
import { jsxs } from 'react/jsx-runtime';
import type { ViewElement, ViewNode, ViewSlot } from '../core/view/view.ts';
import { clickListener, type Click } from '../parts/click.ts';
import { hostElement } from './host-element.ts';
import { linkElement, type Links } from './links.tsx';

/** What the app puts into the slots of a view, by their names. */
export type SlotContents = Readonly<Record<string, (about: string) => ReactNode>>;

/** Apart from the views, so that what is around a slot is not drawn again when its content is another one. */
export const SlotsContext = createContext<SlotContents>({});

/** Attributes that React knows under another name than HTML does. */
const reactNames: Readonly<Record<string, string>> = {
  class: 'className',
  tabindex: 'tabIndex',
  hreflang: 'hrefLang',
  for: 'htmlFor',
  autocomplete: 'autoComplete',
  spellcheck: 'spellCheck',
};

/** Since version 19, React takes this attribute for a boolean; before, it writes what it is given. */
const inert = Number.parseInt(version, 10) >= 19 ? true : '';

/** Attributes that it takes for booleans in every version: an empty text would be no. */
const booleans: Readonly<Record<string, unknown>> = { inert, hidden: true, disabled: true };

/** From here on, a list is printed in runs, so that React need not compare all of it for a change within. */
const longList = 100;

/** About how many children a run has. */
const runLength = 40;

export interface PrinterSettings<Event> {
  /** Takes what an element reports. */
  readonly send: (event: Event) => void;
  /** Draws an icon by its name; undefined if the app draws none. */
  readonly icon: ((name: string) => ReactNode) | undefined;
  readonly links: Links;
}

interface PrintedRun<Event> {
  readonly nodes: readonly ViewNode<Event>[];
  readonly element: ReactElement;
}

/**
 * Prints views with React. It keeps what it made of a node, and gives the same React element while the node is the same:
 * React then skips it, with all that is in it. No component stands for a link or a list.
 */
export class Printer<Event> {
  readonly #settings: PrinterSettings<Event>;
  readonly #elements = new WeakMap<ViewElement<Event>, ReactElement>();
  readonly #runs = new WeakMap<ViewElement<Event>, PrintedRun<Event>>();

  constructor(settings: PrinterSettings<Event>) {
    this.#settings = settings;
  }

  print(node: ViewElement<Event>): ReactElement {
    const known = this.#elements.get(node);
    if (known) return known;
    const made = this.#element(node, this.#propsOf(node), node.key);
    this.#elements.set(node, made);
    return made;
  }

  /** The outermost element of a view, or one that the app places itself, with what the app adds to it. */
  printWith(node: ViewElement<Event>, added: Readonly<Record<string, unknown>>, ref: Ref<HTMLElement>): ReactElement {
    const own = this.#propsOf(node);
    const { className, onClick, ...others } = added;
    const classes = [own['className'], className].filter(Boolean).join(' ');
    const listener = own['onClick'] as ((click: Click) => void) | undefined;
    const props: Record<string, unknown> = { ...own, ...others };
    if (classes !== '') props['className'] = classes;
    if (typeof onClick === 'function')
      props['onClick'] = listener ? inOrder(onClick as ClickHandler, listener) : onClick;
    // A link component of the app's own may know of no ref: it is given one only where somebody wants it.
    if (ref !== null) props['ref'] = ref;
    return this.#element(node, props, undefined);
  }

  #element(node: ViewElement<Event>, props: Record<string, unknown>, key: string | undefined): ReactElement {
    const { tag, children } = node;
    const [only] = children;
    if (children.length === 1 && only !== undefined) props['children'] = this.#print(only);
    else if (children.length > 1) props['children'] = this.#printAll(children);
    if (tag === 'a') return linkElement(props, this.#settings.links, key);
    return hostElement(tag, props, key);
  }

  #print(node: ViewNode<Event>): ReactNode {
    if (typeof node === 'string') return node;
    return 'slot' in node ? this.#printSlot(node) : this.print(node);
  }

  #printSlot({ slot, about }: ViewSlot): ReactNode {
    if (slot === 'icon') return about === '' ? null : (this.#settings.icon?.(about) ?? null);
    return createElement(SlotContent, { key: `slot/${slot}`, name: slot, about });
  }

  #printAll(nodes: readonly ViewNode<Event>[]): readonly ReactNode[] {
    if (nodes.length <= longList) return nodes.map((node) => this.#print(node));
    const printed: ReactNode[] = [];
    let run: ViewNode<Event>[] = [];
    for (const node of nodes) {
      if (run.length > 0 && beginsRun(node)) {
        printed.push(this.#printRun(run, printed.length));
        run = [];
      }
      run.push(node);
    }
    printed.push(this.#printRun(run, printed.length));
    return printed;
  }

  /**
   * Where a run begins depends on the children's own keys, so that one that comes or goes changes the run that it is in,
   * and no other. What comes first of all is in the first run, whichever it is.
   */
  #printRun(nodes: readonly ViewNode<Event>[], index: number): ReactNode {
    const [first] = nodes;
    if (first === undefined || typeof first === 'string' || 'slot' in first)
      return nodes.map((node) => this.#print(node));
    const known = this.#runs.get(first);
    if (known?.nodes.length === nodes.length && nodes.every((node, at) => node === known.nodes[at]))
      return known.element;
    const key = index === 0 ? 'first' : first.key;
    const element = jsxs(Fragment, { children: nodes.map((node) => this.#print(node)) }, key);
    this.#runs.set(first, { nodes, element });
    return element;
  }

  #propsOf(node: ViewElement<Event>): Record<string, unknown> {
    const props: Record<string, unknown> = {};
    const { attributes } = node;
    for (const name in attributes) props[reactNames[name] ?? name] = booleans[name] ?? attributes[name];
    const listener = clickListener(node, this.#settings.send);
    if (listener) props['onClick'] = listener;
    return props;
  }
}

type ClickHandler = (event: MouseEvent) => void;

/** The app may listen too; its function is called first, and takes nothing away. */
function inOrder(first: ClickHandler, second: (click: Click) => void): ClickHandler {
  return (event) => {
    first(event);
    second(event);
  };
}

/** The same answer for the same key, and yes for one in forty. */
function beginsRun(node: ViewNode<unknown>): boolean {
  if (typeof node === 'string' || 'slot' in node) return false;
  const { key } = node;
  let hash = 0;
  for (let index = 0; index < key.length; index += 1) hash = (hash * 31 + key.charCodeAt(index)) | 0;
  return hash % runLength === 0;
}

function SlotContent({ name, about }: { readonly name: string; readonly about: string }): ReactNode {
  return useContext(SlotsContext)[name]?.(about) ?? null;
}
