import { attributeName, type AttributeTable } from '../core/view/option-attributes.ts';
import type { ViewElement } from '../core/view/view.ts';
import { warning, type Warning } from '../core/warnings.ts';
import { logWarning } from '../dom/log-warning.ts';
import type { NavigationPart } from '../parts/navigation-part.ts';
import { sayScripted } from '../parts/given-trail.ts';
import type { Surroundings, TrailLocation } from '../parts/surroundings.ts';
import { readAttributes } from './attributes.ts';
import { BaseElement } from './base-element.ts';
import { closestSite } from './closest-site.ts';
import { DomPrinter, type PrintedElement } from './dom-printer.ts';
import { ElementSource } from './element-source.ts';
import { ListSource } from './list-source.ts';
import { whenRestored } from './page-address.ts';
import { takeProperties } from './properties.ts';
import { SlottedContent, type DrawIcon } from './slotted-content.ts';
import { whenParsed } from './when-parsed.ts';

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
  /** What the author has put into it. */
  protected readonly content = new SlottedContent(this);
  readonly #source = new ElementSource(
    this,
    () => this.needsSite(),
    // The list of another element is that one's menu: a second one would be its copy.
    (source) => !this.takeList || !(source instanceof ListSource),
    () => this.schedule(),
  );
  readonly #given: Partial<Options> = {};
  #part: NavigationPart<PartOptions, State, Event> | null = null;
  #printer: DomPrinter<Event> | null = null;
  #printed: PrintedElement<Event> | null = null;
  #connected: { readonly root: Element; readonly end: () => void } | null = null;
  #stop: (() => void) | null = null;
  #isScheduled = false;
  /** Whether all that is written into it has arrived: half a list would be taken for the list. */
  #isParsed = false;
  /** Whether it has been reported that the element has nothing to show. */
  #isReported = false;
  /** What it held when no list was found: it is not looked for, and reported, again. */
  #looked: string | number = 0;
  #id = '';

  /** The attributes of the element. */
  protected abstract readonly table: AttributeTable<Options>;

  /** The names of properties that no attribute has. */
  protected abstract readonly dataNames: readonly string[];

  protected abstract createPart(options: PartOptions): NavigationPart<PartOptions, State, Event>;

  /** The options of the part, with those that the author has given. */
  protected abstract optionsOf(given: Partial<Options>, around: ElementSurroundings): PartOptions;

  /** Called when the element has been drawn, and with null when it is taken away. */
  protected drawn?(root: HTMLElement | null, options: PartOptions | null): void;

  /** A list that the author has written into the element; null if it shows no list. */
  protected takeList?(): ListSource | null;

  /** Draws an icon by its name. Default: the `template` with `slot="icon"` and that name in `data-name`. */
  get icon(): DrawIcon | undefined {
    return this.content.drawIcon;
  }
  set icon(icon: DrawIcon | undefined) {
    this.content.drawIcon = icon;
    this.schedule();
  }

  connectedCallback(): void {
    takeProperties(this, ['icon', ...this.dataNames, ...Object.keys(this.table)]);
    if (this.#stop) {
      this.#source.find();
      this.schedule();
      return;
    }
    const window = this.ownerDocument.defaultView;
    if (!window) return;
    const observer = new MutationObserver(() => this.#look());
    observer.observe(this, { childList: true, subtree: true });
    const ends = [
      sayScripted(),
      this.#source.connect(),
      whenRestored(window, () => this.#restore()),
      () => observer.disconnect(),
    ];
    this.#stop = () => {
      for (const end of ends) end();
      this.#disconnectPart();
      this.drawn?.(null, null);
    };
    whenParsed(this, () => {
      if (!this.#stop) return;
      this.#isParsed = true;
      readAttributes(this, this.table, ['list'], this.warn);
      this.content.readRendered();
      this.content.collect(this.#writtenRoot());
      this.#source.find();
      this.schedule();
    });
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
    const isWithin = child !== null && child.parentNode !== this && this.contains(child);
    if (isWithin && this.content.insertBefore(node, child as ChildNode)) return node;
    return super.insertBefore(node, isWithin ? null : child);
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
    if (this.#isScheduled || !this.#stop || !this.#isParsed) return;
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

  /** What the author has written for one of several places, such as the panel of a tab. */
  protected contentFor?(about: string): readonly ChildNode[];

  /** Reports what has happened to the app. */
  protected report(type: string, detail: Readonly<Record<string, unknown>>): void {
    this.dispatchEvent(new CustomEvent(`trail-${type}`, { bubbles: true, composed: true, detail }));
  }

  protected warn = (given: Warning): void => {
    // Where its list is what is missing, nothing more is to be said.
    if (given.code.startsWith('list-')) this.#isReported = true;
    const init = { bubbles: true, composed: true, cancelable: true, detail: given };
    if (this.dispatchEvent(new CustomEvent('trail-warning', init))) logWarning(given);
  };

  /** Whether it shows links, and so has nothing to show without a site. */
  protected needsSite(): boolean {
    return true;
  }

  /** Whether what is open in it is closed when the browser shows the page again as it was left. */
  protected closesOnReturn(): boolean {
    return false;
  }

  #restore(): void {
    if (this.#part && this.closesOnReturn()) {
      this.#disconnectPart();
      this.#part = null;
    }
    this.schedule();
  }

  #takeList(): void {
    if (this.#source.list || !this.takeList || closestSite(this)) return;
    const held = this.getAttribute('list') ?? this.content.elements('content').length;
    if (held === this.#looked) return;
    this.#looked = held;
    const list = this.takeList();
    if (list) this.#source.take(list);
  }

  #draw(): void {
    this.#takeList();
    const { surroundings, location } = this.#source.current ?? { surroundings: null, location: null };
    if (!surroundings || !location) {
      const isMissing = !this.#source.current && this.ownerDocument.readyState === 'complete';
      if (!isMissing || this.#isReported) return;
      this.#isReported = true;
      this.warn(warning('site-missing', this.localName));
      return;
    }
    this.#id ||= this.getAttribute('data-ft-id') ?? `trail-element-${(count += 1)}`;
    const around = { ...location, trail: surroundings, id: this.#id, icon: this.content.icon };
    const options = this.optionsOf(this.#options(), around);
    const isFirst = this.#part === null;
    const part = (this.#part ??= this.createPart(options));
    // A drawing that a server made knows nothing of what this browser remembers.
    const isPrinted = isFirst && !this.#printed && this.#writtenRoot() !== null;
    this.#show(part, options, isPrinted ? part.readRendered() : part.read());
    if (isPrinted) this.#show(part, options, part.read());
  }

  #show(part: NavigationPart<PartOptions, State, Event>, options: PartOptions, state: State): void {
    const view = part.view(options, state);
    this.#print(view);
    const root = (view && this.#printed?.element) ?? null;
    if (this.#connected?.root !== root) {
      this.#disconnectPart();
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

  #disconnectPart(): void {
    this.#connected?.end();
    this.#connected = null;
  }

  #print(view: ViewElement<Event> | null): void {
    if (!view) {
      this.#printed?.element.remove();
      this.#printed = null;
      return;
    }
    const { list } = this.#source;
    const send = (event: Event) => this.#part?.send(event);
    const printer = (this.#printer ??= new DomPrinter<Event>(this.ownerDocument, send, {
      fill: (slot) => this.content.fill(slot) ?? this.contentFor?.(slot.about) ?? [],
      found: (slot, nodes) => this.content.found(slot, nodes),
      ...(list && { own: list.own, keeps: list.keeps }),
    }));
    const written = this.#printed ? null : this.#writtenRoot();
    this.#printed = this.#printed
      ? printer.update(this.#printed, view)
      : ((written && printer.adopt(view, written)) ?? printer.print(view));
    const { element } = this.#printed;
    if (element.parentNode === this) return;
    written?.remove();
    super.insertBefore(element, this.firstChild);
    list?.clean();
    // Links that the author wrote for people without scripts, where there is a site; or what a list stood in.
    for (const one of this.content.elements('content')) {
      const isOver = list ? one.children.length === 0 && one.textContent.trim() === '' : this.needsSite();
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
    if (!this.#isParsed) return;
    const root = this.#printed?.element ?? null;
    if (this.content.collect(root ?? this.#writtenRoot()) || root?.parentNode !== this) this.schedule();
  }
}
