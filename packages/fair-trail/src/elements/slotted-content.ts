import type { ViewSlot } from '../core/view/view.ts';
import { isElement } from '../dom/nodes.ts';
import { closestSite } from './closest-site.ts';

/** Draws an icon by its name. */
export type DrawIcon = (name: string) => Node | null | undefined;

/** Slots that are drawn again wherever they stand: a `template` says how. */
const repeated: ReadonlySet<string> = new Set(['icon', 'separator', 'panel']);

/** What a slot of a view is called where it stands for the content that is in no slot. */
const contentSlots: ReadonlySet<string> = new Set(['content', 'children']);

/**
 * What the author has put into an element: children with the attribute `slot`, templates, and all else, which is its
 * `content`. Once the element has been drawn, they stand further in.
 */
export class SlottedContent {
  drawIcon: DrawIcon | undefined;
  readonly #element: HTMLElement;
  readonly #nodes = new Map<string, readonly ChildNode[]>();
  /** The slots that are filled in what a server has written. */
  #rendered: ReadonlySet<string> = new Set();

  constructor(element: HTMLElement) {
    this.#element = element;
  }

  /** Notes down what a server says that it has filled. */
  readRendered(): void {
    this.#rendered = new Set(this.#element.getAttribute('data-ft-slots')?.split(' '));
  }

  /** Whether there is something in a slot. */
  has(name: string): boolean {
    if (this.#rendered.has(name) || (name === 'icon' && this.drawIcon !== undefined)) return true;
    if (repeated.has(name)) return this.#templates(name).length > 0;
    return this.#nodes.get(name)?.some((node) => this.#element.contains(node) || !node.isConnected) === true;
  }

  elements(name: string): readonly Element[] {
    return (this.#nodes.get(name) ?? []).filter(isElement);
  }

  /** What a part asks for an icon; undefined if nothing draws icons. */
  get icon(): ((name: string) => unknown) | undefined {
    return this.has('icon') ? (name) => this.#iconFor(name) ?? this.#rendered.has('icon') : undefined;
  }

  /**
   * Looks for what has come and gone.
   *
   * @param root what the element shows
   * @returns whether something has
   */
  collect(root: Element | null): boolean {
    let isChange = false;
    for (const [name, nodes] of this.#nodes) {
      const left = nodes.filter((node) => this.#element.contains(node));
      if (left.length === nodes.length || root?.isConnected !== true) continue;
      isChange = true;
      if (left.length > 0) this.#nodes.set(name, left);
      else this.#forget(name);
    }
    for (const node of this.#element.childNodes) {
      const name = node === root ? null : slotOf(node);
      const known = this.#nodes.get(name ?? '') ?? [];
      if (name === null || known.includes(node)) continue;
      this.#nodes.set(name, [...known, node]);
      isChange = true;
      // A slot that is there already is filled where it stands.
      const last = known.at(-1);
      if (last?.parentNode && last.parentNode !== this.#element) last.after(node);
    }
    return isChange;
  }

  /**
   * Puts a node before one that stands in a slot, as a framework does that takes it for a child of the element.
   *
   * @returns false where it stands in none
   */
  insertBefore(node: Node, child: ChildNode): boolean {
    for (const [name, nodes] of this.#nodes) {
      const at = nodes.indexOf(child);
      if (at < 0 || slotOf(node as ChildNode) !== name) continue;
      this.#nodes.set(name, [...nodes.slice(0, at), node as ChildNode, ...nodes.slice(at)]);
      child.before(node);
      return true;
    }
    return false;
  }

  /** Notes down what a document that is taken over has in a slot. */
  found(slot: ViewSlot, nodes: readonly ChildNode[]): void {
    if (!repeated.has(slot.slot)) this.#nodes.set(slotName(slot), nodes);
  }

  /** What goes into a slot of the view; undefined if the author has written nothing for it. */
  fill(slot: ViewSlot): readonly ChildNode[] | undefined {
    const name = slotName(slot);
    if (name === 'icon') {
      const drawing = slot.about === '' ? null : this.#iconFor(slot.about);
      return drawing ? [drawing as ChildNode] : [];
    }
    if (!repeated.has(name)) return this.#nodes.get(name);
    const [template] = this.#templates(name, slot.about);
    return template ? [...(template.content.cloneNode(true) as DocumentFragment).childNodes] : [];
  }

  #forget(name: string): void {
    this.#nodes.delete(name);
    this.#rendered = new Set([...this.#rendered].filter((one) => one !== name));
  }

  #iconFor(name: string): Node | null {
    const drawn = this.drawIcon?.(name);
    if (drawn) return drawn;
    const [template] = this.#templates('icon', name);
    return template?.content.firstElementChild?.cloneNode(true) ?? null;
  }

  /** The templates of a slot: those of the element, and those that all elements of its site share. */
  #templates(name: string, about?: string): readonly HTMLTemplateElement[] {
    const selector = `:scope > template[slot="${name}"]`;
    const all = [this.#element, closestSite(this.#element)].flatMap((one) => [
      ...(one?.querySelectorAll<HTMLTemplateElement>(selector) ?? []),
    ]);
    if (about === undefined) return all;
    return all.filter(({ dataset }) => dataset['name'] === undefined || dataset['name'] === about);
  }
}

/** The slot that a child is for; null for what is no content, such as a comment or a template. */
function slotOf(node: ChildNode): string | null {
  if (!isElement(node)) return node.nodeType === 3 && node.textContent?.trim() !== '' ? 'content' : null;
  if (node.localName === 'template' || node.localName === 'script') return null;
  return node.getAttribute('slot') ?? 'content';
}

/** Under which name the author writes what is in a slot. */
function slotName({ slot, about }: ViewSlot): string {
  return contentSlots.has(slot) ? (about === '' ? 'content' : `content/${about}`) : slot;
}
