import { attributeName, type AttributeTable } from '../core/view/option-attributes.ts';
import type { ViewElement, ViewSlot } from '../core/view/view.ts';
import { warning, type Warning } from '../core/warnings.ts';
import { logWarning } from '../dom/log-warning.ts';
import { isElement } from '../dom/nodes.ts';
import type { NavigationPart } from '../parts/navigation-part.ts';
import { sayScripted } from '../parts/given-trail.ts';
import type { Surroundings, TrailLocation } from '../parts/surroundings.ts';
import { readAttributes } from './attributes.ts';
import { BaseElement } from './base-element.ts';
import { bareTrail, offeredTrail, offerTrail, whenOffered, type TrailSource } from './document-trails.ts';
import { DomPrinter, type PrintedElement } from './dom-printer.ts';
import type { ListSource } from './list-source.ts';
import { whenRestored } from './page-address.ts';
import { takeProperties } from './properties.ts';

/** Draws an icon by its name. */
export type DrawIcon = (name: string) => Node | null | undefined;

/** Slots that are drawn anew wherever they stand: a `template` says how. */
const repeated: ReadonlySet<string> = new Set(['icon', 'separator', 'panel']);

/** What an element of the view is called where it stands for the content that is in no slot. */
const contentSlots: ReadonlySet<string> = new Set(['content', 'children']);

/** Where the element is, and what it takes its links from. */
export interface ElementSurroundings extends TrailLocation {
  readonly trail: Surroundings;
  /** Begins every id in it. */
  readonly id: string;
  readonly icon: ((name: string) => unknown) | undefined;
}

let count = 0;

/**
 * A custom element that shows a part of the navigation, in the document itself and not in a shadow tree: the page's styles
 * reach it, and its links are the page's.
 */
export abstract class PartElement<
  Options extends object,
  PartOptions extends object,
  State,
  Event,
> extends BaseElement {
  /** Draws an icon by its name. Default: the `template` with `slot="icon"` and that name in `data-name`. */
  #drawIcon: DrawIcon | undefined;
  #part: NavigationPart<PartOptions, State, Event> | null = null;
  #printer: DomPrinter<Event> | null = null;
  #printed: PrintedElement<Event> | null = null;
  #connected: { readonly root: Element; readonly end: () => void } | null = null;
  #source: TrailSource | null = null;
  #stop: (() => void) | null = null;
  #isScheduled = false;
  #isTold = false;
  readonly #given: Partial<Options> = {};
  readonly #slotted = new Map<string, readonly ChildNode[]>();
  #id = '';
  /** The slots that are filled in what a server has written. */
  #rendered: ReadonlySet<string> = new Set();

  /** The attributes of the element. */
  protected abstract readonly table: AttributeTable<Options>;

  /** The names of properties that no attribute has. */
  protected abstract readonly dataNames: readonly string[];

  protected abstract createPart(options: PartOptions): NavigationPart<PartOptions, State, Event>;

  /** The options of the part, with those that the author has given. */
  protected abstract optionsOf(given: Partial<Options>, around: ElementSurroundings): PartOptions;

  /** Called when the element has been drawn, and with null when it is taken away. */
  protected drawn?(root: HTMLElement | null, options: PartOptions | null): void;

  /** A list that the author has written into the element; null where it shows no list. */
  protected takeList?(): ListSource | null;

  get icon(): DrawIcon | undefined {
    return this.#drawIcon;
  }
  set icon(icon: DrawIcon | undefined) {
    this.#drawIcon = icon;
    this.schedule();
  }

  connectedCallback(): void {
    takeProperties(this, ['icon', ...this.dataNames, ...Object.keys(this.table)]);
    if (this.#stop) {
      this.#findSource();
      this.schedule();
      return;
    }
    const { ownerDocument: document } = this;
    const window = document.defaultView;
    if (!window) return;
    const observer = new MutationObserver(() => this.#look());
    observer.observe(this, { childList: true, subtree: true });
    const ends = [
      sayScripted(),
      whenOffered(document, () => this.#findSource()),
      whenRestored(window, () => this.schedule()),
      () => observer.disconnect(),
    ];
    this.#stop = () => {
      for (const end of ends) end();
      this.#leave();
    };
    const start = () => {
      if (!this.#stop) return;
      this.#checkAttributes();
      this.#findSource();
      this.schedule();
    };
    whenParsed(this, start);
  }

  disconnectedCallback(): void {
    // What is only moved is connected again before this is looked at.
    queueMicrotask(() => {
      if (this.isConnected) return;
      this.#stop?.();
      this.#stop = null;
    });
  }

  /** Moved within the document, it is what it was. */
  connectedMoveCallback(): void {
    // There is nothing to do.
  }

  attributeChangedCallback(): void {
    this.schedule();
  }

  /* What frameworks do to the children that they gave the element, which may stand further in by now. */

  override insertBefore<Type extends Node>(node: Type, child: Node | null): Type {
    return super.insertBefore(node, child?.parentNode === this ? child : null);
  }

  override removeChild<Type extends Node>(child: Type): Type {
    const parent = child.parentNode;
    if (!parent || parent === this || !this.contains(child)) return super.removeChild(child);
    return parent.removeChild(child);
  }

  override replaceChild<Type extends Node>(node: Node, child: Type): Type {
    const parent = child.parentNode;
    if (!parent || parent === this || !this.contains(child)) return super.replaceChild(node, child);
    return parent.replaceChild(node, child);
  }

  /** Draws the element once what is under way has ended. */
  protected schedule(): void {
    if (this.#isScheduled || !this.#stop) return;
    this.#isScheduled = true;
    queueMicrotask(() => {
      this.#isScheduled = false;
      if (this.isConnected) this.#draw();
    });
  }

  /** The value of an option: the property, or else the attribute. */
  protected optionOf(name: keyof Options & string): unknown {
    if (this.#given[name] !== undefined) return this.#given[name];
    const written = name in this.table ? this.getAttribute(attributeName(name)) : null;
    return written === null ? undefined : this.table[name].read(written);
  }

  protected setOption(name: keyof Options & string, value: unknown): void {
    if (this.#given[name] === value) return;
    this.#given[name] = (value ?? undefined) as Options[typeof name];
    this.schedule();
  }

  /** What the app has set in a property that is no option of an attribute. */
  protected dataOf(name: string): unknown {
    return (this.#given as Readonly<Record<string, unknown>>)[name];
  }

  /** Whether the author has put something into a slot. */
  protected hasSlot(name: string): boolean {
    if (this.#rendered.has(name)) return true;
    if (repeated.has(name)) return this.#templates(name).length > 0;
    return this.#slotted.get(name)?.some((node) => this.contains(node) || !node.isConnected) === true;
  }

  protected get isIconDrawn(): boolean {
    return this.#drawIcon !== undefined || this.hasSlot('icon');
  }

  /** What the author has written for one of several places, such as the panel of a tab. */
  protected contentFor?(about: string): readonly ChildNode[];

  /** Reports what has happened to the app. */
  protected report(type: string, detail: Readonly<Record<string, unknown>>): void {
    this.dispatchEvent(new CustomEvent(`trail-${type}`, { bubbles: true, composed: true, detail }));
  }

  protected warn = (given: Warning): void => {
    // Where its list is what is missing, nothing more is to be said.
    if (given.code.startsWith('list-')) this.#isTold = true;
    const init = { bubbles: true, composed: true, cancelable: true, detail: given };
    if (this.dispatchEvent(new CustomEvent('trail-warning', init))) logWarning(given);
  };

  /** The elements that the author has written for a slot. */
  protected slotted(name: string): readonly Element[] {
    return (this.#slotted.get(name) ?? []).filter(isElement);
  }

  /** The elements that the author has written into it, and that are in no slot. */
  protected get ownContent(): readonly Element[] {
    return this.slotted('content');
  }

  #checkAttributes(): void {
    readAttributes(this, this.table, ['list'], this.warn);
    this.#rendered = new Set(this.getAttribute('data-ft-slots')?.split(' '));
    this.#collect();
  }

  #findSource(): void {
    const site = closestSite(this);
    if (site && !('surroundings' in site)) {
      // It is in the document, and its definition is not there yet.
      void customElements.whenDefined('trail-site').then(() => this.#findSource());
      return;
    }
    const own = this.#source && 'own' in this.#source ? this.#source : null;
    const source = own ?? (site as TrailSource | null) ?? offeredTrail(this.ownerDocument) ?? this.#bareSource();
    if (source === this.#source) return;
    this.#leaveSource?.();
    this.#source = source;
    const stop = source?.subscribe(() => this.schedule());
    this.#leaveSource = () => stop?.();
    this.schedule();
  }

  /** What stands in for a site, for an element that shows no links. */
  protected needsSite(): boolean {
    return true;
  }

  #bareSource(): TrailSource | null {
    const { defaultView: window } = this.ownerDocument;
    return this.needsSite() || !window ? null : (this.#bare ??= bareTrail(window));
  }

  #bare: TrailSource | null = null;

  #leaveSource: (() => void) | null = null;

  #leave(): void {
    this.#leaveSource?.();
    this.#leaveSource = null;
    this.#source = null;
    this.#connected?.end();
    this.#connected = null;
    this.drawn?.(null, null);
  }

  /** The author's list, where there is one and no site is around the element. */
  #list: ListSource | null = null;

  /** What it was in that no list was found: it is not looked for, and reported, again. */
  #looked: string | number = 0;

  #takeList(): void {
    if (this.#list || !this.takeList || closestSite(this)) return;
    const content = this.getAttribute('list') ?? this.ownContent.length;
    if (content === this.#looked) return;
    this.#looked = content;
    const list = this.takeList();
    if (!list) return;
    this.#list = list;
    this.#leaveSource?.();
    this.#source = list;
    const stop = [list.subscribe(() => this.schedule()), offerTrail(this.ownerDocument, list)];
    this.#leaveSource = () => stop.forEach((end) => end());
  }

  #draw(): void {
    this.#takeList();
    const source = this.#source;
    const { surroundings, location } = source ?? { surroundings: null, location: null };
    if (!surroundings || !location) {
      if (!source && !this.#isTold && this.ownerDocument.readyState === 'complete') {
        this.#isTold = true;
        this.warn(warning('site-missing', this.localName));
      }
      return;
    }
    this.#id ||= this.getAttribute('data-ft-id') ?? `trail-element-${(count += 1)}`;
    const icon = this.isIconDrawn ? (name: string) => this.#iconFor(name) ?? this.#rendered.has('icon') : undefined;
    const options = this.optionsOf(this.#options(), { ...location, trail: surroundings, id: this.#id, icon });
    const isFirst = this.#part === null;
    const part = (this.#part ??= this.createPart(options));
    // A drawing that a server made knows nothing of what this browser remembers.
    const isPrinted = isFirst && this.#writtenRoot() !== null;
    this.#show(part, options, isPrinted ? part.readRendered() : part.read());
    if (isPrinted) this.#show(part, options, part.read());
  }

  #show(part: NavigationPart<PartOptions, State, Event>, options: PartOptions, state: State): void {
    const view = part.view(options, state);
    this.#print(part, view);
    const root = (view && this.#printed?.element) ?? null;
    if (this.#connected?.root !== root) {
      this.#connected?.end();
      this.#connected = null;
      if (root) {
        const stop = part.subscribe(() => this.schedule());
        const end = part.connect(root as HTMLElement);
        this.#connected = {
          root,
          end: () => {
            end();
            stop();
          },
        };
      }
    }
    this.drawn?.(root as HTMLElement | null, options);
    part.drawn(options, state);
    if (part.read() !== state) this.schedule();
  }

  #print(part: NavigationPart<PartOptions, State, Event>, view: ViewElement<Event> | null): void {
    if (!view) {
      this.#printed?.element.remove();
      this.#printed = null;
      return;
    }
    const printer = (this.#printer ??= new DomPrinter<Event>(this.ownerDocument, part.send, {
      fill: (slot) => this.#fill(slot),
      found: (slot, nodes) => {
        if (!repeated.has(slot.slot)) this.#slotted.set(slotName(slot), nodes);
      },
      ...(this.#list && { own: this.#list.own, keeps: this.#list.keeps }),
    }));
    const written = this.#printed ? null : this.#writtenRoot();
    this.#printed = this.#printed
      ? printer.update(this.#printed, view)
      : ((written && printer.adopt(view, written)) ?? printer.print(view));
    const { element } = this.#printed;
    if (element.parentNode === this) return;
    written?.remove();
    super.insertBefore(element, this.firstChild);
    this.#list?.clean();
    // Links that the author wrote for people without scripts, where there is a site; or what a list stood in.
    for (const one of this.ownContent) {
      const isOver = this.#list ? one.children.length === 0 && one.textContent.trim() === '' : this.needsSite();
      if (isOver && one.parentNode === this) one.remove();
    }
  }

  /** What a server has written of it. */
  #writtenRoot(): Element | null {
    if (!this.hasAttribute('data-ft-id')) return null;
    return [...this.children].find((one) => one.className.startsWith('ft-')) ?? null;
  }

  #options(): Partial<Options> {
    const names = Object.keys(this.table) as (keyof Options & string)[];
    const options: Partial<Options> = {};
    for (const name of names) {
      const value = this.optionOf(name);
      if (value !== undefined) options[name] = value as Options[typeof name];
    }
    return options;
  }

  /** Something in it may be another: children that a framework has given it, or that it has lost. */
  #look(): void {
    if (this.#collect() || this.#printed?.element.parentNode !== this) this.schedule();
  }

  /** Notes down what is in the slots. @returns whether something has come or gone */
  #collect(): boolean {
    const root = this.#printed?.element ?? this.#writtenRoot();
    let isChange = false;
    for (const [name, nodes] of this.#slotted) {
      const left = nodes.filter((node) => this.contains(node));
      if (left.length === nodes.length || !root?.isConnected) continue;
      isChange = true;
      if (left.length > 0) this.#slotted.set(name, left);
      else {
        this.#slotted.delete(name);
        this.#rendered = new Set([...this.#rendered].filter((one) => one !== name));
      }
    }
    for (const node of this.childNodes) {
      if (node === root || node.nodeType === 8) continue;
      if (isElement(node) && (node.localName === 'template' || node.localName === 'script')) continue;
      const written = isElement(node) ? node.getAttribute('slot') : null;
      const name = written ?? 'content';
      const known = this.#slotted.get(name) ?? [];
      if (known.includes(node) || (written === null && !isElement(node) && node.textContent?.trim() === '')) continue;
      this.#slotted.set(name, [...known, node]);
      isChange = true;
      // A slot that is there already is filled where it stands.
      const [first] = known;
      if (this.#printed && first?.parentNode && first.parentNode !== this) first.parentNode.append(node);
    }
    return isChange;
  }

  #fill(slot: ViewSlot): readonly ChildNode[] {
    const name = slotName(slot);
    if (name === 'icon') {
      const drawing = slot.about === '' ? null : this.#iconFor(slot.about);
      return drawing ? [drawing as ChildNode] : [];
    }
    if (!repeated.has(name)) return this.#slotted.get(name) ?? this.contentFor?.(slot.about) ?? [];
    const [template] = this.#templates(name, slot.about);
    return template ? [...(template.content.cloneNode(true) as DocumentFragment).childNodes] : [];
  }

  #iconFor(name: string): Node | null {
    const drawn = this.#drawIcon?.(name);
    if (drawn) return drawn;
    const [template] = this.#templates('icon', name);
    return template?.content.firstElementChild?.cloneNode(true) ?? null;
  }

  /** The templates of a slot: those of the element, and those that all elements of its site share. */
  #templates(name: string, about?: string): readonly HTMLTemplateElement[] {
    const selector = `:scope > template[slot="${name}"]`;
    const all = [this, closestSite(this)].flatMap((one) => [
      ...(one?.querySelectorAll<HTMLTemplateElement>(selector) ?? []),
    ]);
    if (about === undefined) return all;
    return all.filter(({ dataset }) => dataset['name'] === undefined || dataset['name'] === about);
  }
}

/** Under which name the author writes what is in a slot. */
function slotName({ slot, about }: ViewSlot): string {
  return contentSlots.has(slot) ? (about === '' ? 'content' : `content/${about}`) : slot;
}

/** The nearest `trail-site` around an element, through the shadow trees that it stands in. */
function closestSite(element: Element): Element | null {
  for (let at: Element | null = element; at;) {
    const found: Element | null = at.closest('trail-site');
    if (found) return found;
    const root = at.getRootNode();
    at = 'host' in root ? (root.host as Element) : null;
  }
  return null;
}

/** Calls back once all of an element has been read: what is written into it comes after its start tag. */
function whenParsed(element: Element, act: () => void): void {
  const { ownerDocument: document, parentNode } = element;
  const isParsed = () => document.readyState !== 'loading' || element.nextSibling !== null;
  if (isParsed() || !parentNode) {
    act();
    return;
  }
  // As soon as what comes after it begins, and so before it is painted, if the browser is quick.
  const observer = new MutationObserver(() => {
    if (isParsed()) end();
  });
  const end = () => {
    observer.disconnect();
    document.removeEventListener('DOMContentLoaded', end);
    act();
  };
  observer.observe(parentNode, { childList: true });
  document.addEventListener('DOMContentLoaded', end);
}
