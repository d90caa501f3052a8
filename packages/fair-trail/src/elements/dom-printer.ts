import { slotComments } from '../core/output/html.ts';
import { isViewElement, type ViewElement, type ViewNode, type ViewSlot } from '../core/view/view.ts';
import { isElement } from '../dom/nodes.ts';
import { clickListener } from '../parts/click.ts';

/** What was printed of an element of a view. */
export interface PrintedElement<Event> {
  node: ViewElement<Event>;
  readonly element: Element;
  children: readonly Printed<Event>[];
  /** Whether the author wrote the element: what else is in it, and where it leads to, stays as it is. */
  readonly isOwn: boolean;
  /** Whether the author wrote all that is in it. */
  readonly hasOwnContent: boolean;
}

interface PrintedText {
  text: string;
  readonly nodes: readonly ChildNode[];
}

interface PrintedSlot {
  readonly slot: ViewSlot;
  readonly nodes: readonly ChildNode[];
}

type Printed<Event> = PrintedElement<Event> | PrintedText | PrintedSlot;

/** An element that the author has written. */
export interface OwnElement {
  readonly element: Element;
  /** Whether what is in it stands for all that the view has there. */
  readonly hasContent?: boolean;
  /** Its classes, in place of those of the view. */
  readonly classes?: string;
}

/** What stands in the slots of a view, and which of its elements the author has written already. */
export interface PrinterContent {
  /** What is put into a slot. Called when the slot first appears. */
  readonly fill: (slot: ViewSlot) => readonly ChildNode[];
  /** Called with what a document that is taken over has in a slot. */
  readonly found?: (slot: ViewSlot, nodes: readonly ChildNode[]) => void;
  /**
   * The author's element for an element of the view, which then stands for it.
   *
   * @param path the element of the view, and before it those around it
   */
  readonly own?: (path: readonly ViewElement<unknown>[]) => OwnElement | null;
  /** Attributes of the author's that count, and not what the view says. */
  readonly keeps?: (element: Element, name: string) => boolean;
}

const svgNamespace = 'http://www.w3.org/2000/svg';

/** Prints views into a document, and changes no more of it than the views do. */
export class DomPrinter<Event> {
  readonly #document: Document;
  readonly #send: (event: Event) => void;
  readonly #content: PrinterContent;
  readonly #path: ViewElement<unknown>[] = [];

  /** @param send takes what an element reports */
  constructor(document: Document, send: (event: Event) => void, content: PrinterContent) {
    this.#document = document;
    this.#send = send;
    this.#content = content;
  }

  print(node: ViewElement<Event>, isSvg = false): PrintedElement<Event> {
    const { tag, attributes } = node;
    this.#path.push(node);
    const own = this.#content.own?.(this.#path) ?? null;
    const isDrawing = isSvg || tag === 'svg';
    const element =
      own?.element ??
      (isDrawing ? this.#document.createElementNS(svgNamespace, tag) : this.#document.createElement(tag));
    const printed: PrintedElement<Event> = {
      node,
      element,
      children: [],
      isOwn: own !== null,
      hasOwnContent: own?.hasContent === true,
    };
    // A mark of the author's own says what was so where the page was written.
    if (own && attributes['aria-current'] === undefined && element.hasAttribute('aria-current')) {
      this.#remove(printed, 'aria-current');
    }
    for (const name in attributes) this.#write(printed, name, attributes[name] ?? '', own?.classes);
    if (own?.hasContent !== true) {
      printed.children = node.children.map((child) => this.#printNode(child, isDrawing));
      this.#place(printed, [], printed.children);
    }
    this.#path.pop();
    this.#listen(printed);
    return printed;
  }

  /** Makes what was printed what the view is now. An element of another tag or key is another one. */
  update(printed: PrintedElement<Event>, node: ViewElement<Event>): PrintedElement<Event> {
    const last = printed.node;
    if (last === node) return printed;
    if (last.tag !== node.tag) {
      const next = this.print(node);
      printed.element.replaceWith(next.element);
      return next;
    }
    printed.node = node;
    if (last.attributes !== node.attributes) this.#updateAttributes(printed, last.attributes);
    if (last.children !== node.children && !printed.hasOwnContent) this.#updateChildren(printed);
    if (last.click === undefined) this.#listen(printed);
    return printed;
  }

  /**
   * Takes over an element that was written as HTML, as it is. Where it is not what the view says, it is changed.
   *
   * @returns null where the element is another one altogether
   */
  adopt(node: ViewElement<Event>, element: Element): PrintedElement<Event> | null {
    if (element.localName !== node.tag) return null;
    const printed: PrintedElement<Event> = { node, element, children: [], isOwn: false, hasOwnContent: false };
    for (const { name } of [...element.attributes]) {
      if (node.attributes[name] === undefined) element.removeAttribute(name);
    }
    for (const name in node.attributes) {
      const value = node.attributes[name] ?? '';
      if (element.getAttribute(name) !== value) element.setAttribute(name, value);
    }
    printed.children = this.#adoptChildren(node, element);
    this.#listen(printed);
    return printed;
  }

  #adoptChildren(node: ViewElement<Event>, parent: Element): Printed<Event>[] {
    let next: ChildNode | null = parent.firstChild;
    const adopted = node.children.map((child): Printed<Event> => {
      if (typeof child === 'string') {
        if (next?.nodeType === 3) {
          const text = next as Text;
          next = text.nextSibling;
          if (text.data !== child) text.data = child;
          return { text: child, nodes: [text] };
        }
      } else if ('slot' in child) {
        if (isComment(next, slotComments.start)) {
          const nodes: ChildNode[] = [];
          let at: ChildNode | null = next.nextSibling;
          for (; at && !isComment(at, slotComments.end); at = at.nextSibling) nodes.push(at);
          next = at?.nextSibling ?? null;
          this.#content.found?.(child, nodes);
          return { slot: child, nodes };
        }
        // An icon that is not drawn now has left nothing behind.
        if (child.slot === 'icon' && child.about === '') return { slot: child, nodes: [] };
      } else {
        const candidate: ChildNode | null = next;
        const found = isElement(candidate) ? this.adopt(child, candidate) : null;
        if (found) {
          next = found.element.nextSibling;
          return found;
        }
      }
      const made = this.#printNode(child, parent.namespaceURI === svgNamespace);
      for (const one of nodesOf(made)) parent.insertBefore(one, next);
      return made;
    });
    while (next) {
      const left: ChildNode = next;
      next = left.nextSibling;
      left.remove();
    }
    return adopted;
  }

  #printNode(node: ViewNode<Event>, isSvg: boolean): Printed<Event> {
    if (typeof node === 'string') return { text: node, nodes: [this.#document.createTextNode(node)] };
    if ('slot' in node) return { slot: node, nodes: this.#content.fill(node) };
    return this.print(node, isSvg);
  }

  #updateChildren(printed: PrintedElement<Event>): void {
    const last = printed.children;
    const isSvg = printed.element.namespaceURI === svgNamespace;
    let byKey: Map<string, PrintedElement<Event>> | null = null;
    const lastElement = (key: string, index: number) => {
      const same = last[index];
      if (same && 'node' in same && same.node.key === key) return same;
      byKey ??= new Map(last.flatMap((one) => ('node' in one ? [[one.node.key, one] as const] : [])));
      return byKey.get(key) ?? null;
    };
    this.#path.push(printed.node);
    const next = printed.node.children.map((child, index): Printed<Event> => {
      if (isViewElement(child)) {
        const known = lastElement(child.key, index);
        return known ? this.update(known, child) : this.print(child, isSvg);
      }
      const same = last[index];
      if (typeof child !== 'string') {
        const isSame = same && 'slot' in same && same.slot.slot === child.slot && same.slot.about === child.about;
        return isSame ? same : this.#printNode(child, isSvg);
      }
      if (!same || !('text' in same)) return this.#printNode(child, isSvg);
      const [text] = same.nodes;
      if (same.text !== child) (text as Text).data = child;
      return { text: child, nodes: same.nodes };
    });
    this.#path.pop();
    this.#place(printed, last, next);
    printed.children = next;
  }

  /** Puts the children where they belong, and moves as few as may be: what is moved loses focus. */
  #place(printed: PrintedElement<Event>, last: readonly Printed<Event>[], next: readonly Printed<Event>[]): void {
    const { element } = printed;
    if (last.length === 0 && !printed.isOwn) {
      for (const one of next) for (const node of nodesOf(one)) element.appendChild(node);
      return;
    }
    const places = new Map(last.flatMap(nodesOf).map((node, index) => [node, index]));
    const nodes = next.flatMap(nodesOf);
    const kept = new Set<ChildNode>(nodes);
    for (const node of places.keys()) if (!kept.has(node) && node.parentNode === element) node.remove();
    let after: ChildNode | null = null;
    let lowest = Infinity;
    for (const node of nodes.reverse()) {
      const place = places.get(node) ?? -1;
      const isInPlace = place !== -1 && place < lowest && node.parentNode === element;
      if (isInPlace) lowest = place;
      else if (!(printed.isOwn && node.parentNode === element)) element.insertBefore(node, after);
      after = node;
    }
  }

  #updateAttributes(printed: PrintedElement<Event>, last: Readonly<Record<string, string>>): void {
    const { attributes } = printed.node;
    for (const name in last) if (attributes[name] === undefined) this.#remove(printed, name);
    for (const name in attributes) {
      const value = attributes[name] ?? '';
      if (value !== last[name]) this.#write(printed, name, value);
    }
  }

  #write({ element, isOwn }: PrintedElement<Event>, name: string, written: string, classes?: string): void {
    const value = name === 'class' ? (classes ?? written) : written;
    if (isOwn && name === 'class') {
      // Most have none of their own, and a list of classes takes far longer.
      if (element.className === '') element.className = value;
      else element.classList.add(...value.split(' '));
    } else if (!isOwn || this.#content.keeps?.(element, name) !== true) element.setAttribute(name, value);
  }

  #remove({ element, isOwn }: PrintedElement<Event>, name: string): void {
    if (!isOwn || this.#content.keeps?.(element, name) !== true) element.removeAttribute(name);
  }

  /** On the element itself: a listener above it would make all that is in between clickable to screen readers. */
  #listen(printed: PrintedElement<Event>): void {
    if (printed.node.click === undefined) return;
    printed.element.addEventListener('click', (event) => {
      clickListener(printed.node, this.#send)?.(event as MouseEvent);
    });
  }
}

function nodesOf<Event>(printed: Printed<Event>): readonly ChildNode[] {
  return 'node' in printed ? [printed.element] : printed.nodes;
}

function isComment(node: ChildNode | null, data: string): node is Comment {
  return node?.nodeType === 8 && (node as Comment).data === data;
}
