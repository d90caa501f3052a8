import { h, mergeProps, withMemo, type VNode, type VNodeArrayChildren } from 'vue';
import { isViewElement, type ViewElement, type ViewNode } from '../core/view/view.ts';
import { clickListener, type Click } from '../parts/click.ts';
import { linkNode, type Links } from './links.ts';
import { SlotContent } from './slots.ts';

/** What was printed of an element of a view, at one place of the document. */
interface Printed<Event> {
  readonly node: ViewElement<Event>;
  readonly virtual: VNode;
  readonly children: readonly (Printed<Event> | null)[];
}

type ClickHandler = (event: MouseEvent) => void;

/** What the app adds to an element: attributes, and listeners by their names in Vue (`onClick`). */
export type Additions = Readonly<Record<string, unknown>>;

/**
 * Prints views with Vue. What was printed of a node stays the same while the node does, and Vue then skips it with all that
 * is in it: that is what `v-memo` makes of an element.
 */
export class Printer<Event> {
  readonly #send: (event: Event) => void;
  readonly #links: Links;
  /** By the key of the part of the view, since the app may place several of them by itself. */
  readonly #roots = new Map<string, readonly (Printed<Event> | null)[]>();

  /**
   * @param send takes what an element reports
   * @param links how links are written
   */
  constructor(send: (event: Event) => void, links: Links) {
    this.#send = send;
    this.#links = links;
  }

  /** The outermost element of a view, or one that the app places itself, with what the app adds to it. */
  printWith(node: ViewElement<Event>, added: Additions, ref?: (element: unknown) => void): VNode {
    const children = this.#printAll(node, this.#roots.get(node.key) ?? []);
    this.#roots.set(node.key, children);
    const own = this.#propsOf(node);
    const { onClick, ...others } = added;
    const props: Record<string, unknown> = mergeProps(own, others);
    // The app's function is called first, and takes nothing away.
    const clicks = [onClick, own['onClick']].flat().filter((one) => typeof one === 'function') as ClickHandler[];
    if (clicks.length > 0) props['onClick'] = clicks.length === 1 ? clicks[0] : clicks;
    if (ref) props['ref'] = ref;
    return this.#make(node, props, children);
  }

  #print(node: ViewElement<Event>, last: Printed<Event> | null): Printed<Event> {
    if (last?.node === node) return last;
    const children = this.#printAll(node, last?.children ?? []);
    const props = this.#propsOf(node);
    props['key'] = node.key;
    const make = () => this.#make(node, props, children);
    // Without a value that it depends on, it is never drawn again. It stands in no other list of kept nodes.
    return { node, virtual: withMemo([], make, [], 0) as VNode, children };
  }

  /** An element may stand at several places of a view, and a virtual node at one: each is kept where it was. */
  #printAll(
    { children }: ViewElement<Event>,
    last: readonly (Printed<Event> | null)[],
  ): readonly (Printed<Event> | null)[] {
    if (last.length === 0) return children.map((child) => (isViewElement(child) ? this.#print(child, null) : null));
    let byKey: Map<string, Printed<Event>> | null = null;
    const lastOf = (key: string, index: number): Printed<Event> | null => {
      const same = last[index];
      if (same?.node.key === key) return same;
      byKey ??= new Map(last.flatMap((one) => (one ? [[one.node.key, one] as const] : [])));
      return byKey.get(key) ?? null;
    };
    return children.map((child, index) => (isViewElement(child) ? this.#print(child, lastOf(child.key, index)) : null));
  }

  #make(node: ViewElement<Event>, props: Record<string, unknown>, printed: readonly (Printed<Event> | null)[]): VNode {
    const [only] = node.children;
    const children =
      node.children.length === 1 && typeof only === 'string'
        ? only
        : node.children.map((child, index) => printed[index]?.virtual ?? printOther(child));
    return node.tag === 'a' ? linkNode(props, children, this.#links) : h(node.tag, props, children);
  }

  #propsOf(node: ViewElement<Event>): Record<string, unknown> {
    const props: Record<string, unknown> = { ...node.attributes };
    const listener: ((click: Click) => void) | undefined = clickListener(node, this.#send);
    if (listener) props['onClick'] = listener;
    return props;
  }
}

/** Text, or a slot. */
function printOther(node: ViewNode<unknown>): VNodeArrayChildren[number] {
  if (typeof node === 'string') return node;
  if (!('slot' in node)) return null;
  return node.slot === 'icon' && node.about === ''
    ? null
    : h(SlotContent, { key: `slot/${node.slot}`, name: node.slot, about: node.about });
}
