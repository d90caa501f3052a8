import { accessibleNameWhenShown } from '../../reading/accessible-name.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { inOneReading } from '../../reading/one-reading.ts';
import { activeElement } from '../../reading/element-at.ts';
import { untilQuiet } from '../../reading/quiet.ts';
import { roleOf } from '../../reading/role.ts';
import { Elements } from '../../reading/elements.ts';
import { breadcrumbsOf, menusAndControls } from '../../reading/menus.ts';
import { linkOf } from '../../reading/items.ts';
import type { FocusReading, FoundReading, PageReading } from '../../reading/page-reading.ts';
import { isInReach } from '../../reading/reach.ts';
import { setTextSize } from './text-size.ts';
import { focusable } from '../../reading/focusable.ts';
import { tablistsOf } from '../../reading/tablists.ts';

/** Where an element lies from what has focus, in the order of the document. */
export type Direction = 'here' | 'forward' | 'backward';

/** What can be asked of a page. Everything asked and answered can go through a wire. */
export interface PageReader {
  readonly read: () => PageReading;
  readonly place: () => { readonly url: string; readonly title: string; readonly heading: string | null };
  readonly focus: () => FocusReading | null;
  readonly directionTo: (element: number) => Direction;
  /** How many keys it takes at most to get anywhere, and the stop through which arrow keys lead to an element. */
  readonly stops: (element: number) => { readonly count: number; readonly through: number | null };
  /** Buttons or links anywhere on the page whose names have this text in them, in any case; or that match the pattern. */
  readonly find: (role: 'button' | 'link', text: string, isPattern: boolean) => readonly FoundReading[];
  /** How far the page is scrolled down, and how far it reaches beyond the window sideways, in CSS pixels. */
  readonly extent: () => { readonly scrolled: number; readonly beyond: number };
  /** Until what was begun has come to an end; a page that never rests is not waited for. */
  readonly settle: () => Promise<void>;
  /** The text at 200 percent is a `textSize` of 200. */
  readonly setTextSize: (percent: number) => void;
  /** A name of its own for the document, so that another one at the same address is distinguished from it. */
  readonly document: () => string;
}

/** How long nothing must change before a page is taken for settled, in milliseconds. */
const quiet = 40;

/** How long is waited for that at most, in milliseconds: some pages change for ever. */
const mostSettling = 1500;

const composites = '[role~="tablist"], [role~="menubar"], [role~="menu"], [role~="tree"], [role~="toolbar"]';

/** Reads a page's navigation. */
export class DocumentReader implements PageReader {
  readonly #document: Document;
  readonly #elements = new Elements();
  readonly #name = Math.random().toString(36).slice(2);

  constructor(document: Document) {
    this.#document = document;
  }

  read(): PageReading {
    return inOneReading(() => ({
      ...this.place(),
      ...menusAndControls(this.#document, this.#elements),
      tablists: tablistsOf(this.#document, this.#elements),
      breadcrumbs: breadcrumbsOf(this.#document),
      focus: this.focus(),
    }));
  }

  place(): { readonly url: string; readonly title: string; readonly heading: string | null } {
    const heading = headingOf(this.#document);
    const name = heading ? accessibleNameWhenShown(heading, 'heading') : null;
    return { url: this.#document.URL, title: this.#document.title, heading: name };
  }

  focus(): FocusReading | null {
    const active = activeElement(this.#document);
    if (!active) return null;
    const role = roleOf(active);
    return { element: this.#elements.numberOf(active), role, name: accessibleNameWhenShown(active, role ?? 'button') };
  }

  directionTo(element: number): Direction {
    const target = this.element(element);
    const active = activeElement(this.#document);
    if (active === target) return 'here';
    if (!active || !target) return 'forward';
    const isBefore = active.compareDocumentPosition(target) & 2;
    return isBefore === 0 ? 'forward' : 'backward';
  }

  stops(element: number): { readonly count: number; readonly through: number | null } {
    const target = this.element(element);
    const count = deepElements(this.#document, focusable).length;
    const composite = target?.closest(composites);
    if (!target || !composite || target.tabIndex >= 0) return { count, through: null };
    const stop = deepElements(composite, '[tabindex="0"], a[href]:not([tabindex]), button:not([tabindex])')[0];
    return { count, through: stop ? this.#elements.numberOf(stop) : null };
  }

  find(role: 'button' | 'link', text: string, isPattern: boolean): readonly FoundReading[] {
    const isWanted = isPattern
      ? (name: string) => new RegExp(text, 'u').test(name)
      : (name: string) => name.toLowerCase().includes(text.toLowerCase());
    const candidates =
      role === 'link' ? 'a[href], [role~="link"]' : 'button, summary, [role~="button"], input, [aria-expanded]';
    const reading = (element: Element): FoundReading[] => {
      if (roleOf(element) !== role) return [];
      const name = accessibleNameWhenShown(element, role);
      if (!isWanted(name)) return [];
      const isNow = isInReach(element);
      return [
        { element: this.#elements.numberOf(element), name, isShown: isNow, link: linkOf(element, this.#elements) },
      ];
    };
    return inOneReading(() => deepElements(this.#document, candidates).flatMap(reading));
  }

  extent(): { readonly scrolled: number; readonly beyond: number } {
    const { documentElement, defaultView } = this.#document;
    const beyond = Math.max(0, documentElement.scrollWidth - documentElement.clientWidth);
    return { scrolled: Math.round(defaultView?.scrollY ?? 0), beyond };
  }

  settle(): Promise<void> {
    return untilQuiet(quiet, mostSettling, this.#document);
  }

  setTextSize(percent: number): void {
    setTextSize(this.#document, percent);
  }

  document(): string {
    return this.#name;
  }

  /** For hosts in the same window: what a number stands for; null if it has gone. */
  element(number: number): HTMLElement | null {
    return this.#elements.at(number);
  }
}

/** The first heading of the main content, or else of the page: those of its menus, side and foot are there before it. */
function headingOf(document: Document): Element | null {
  const headings = 'h1, [role="heading"][aria-level="1"], h2';
  const within = document.querySelector('main, [role="main"]')?.querySelector(headings);
  const others = 'nav, [role="navigation"], aside, [role="complementary"], footer, [role="contentinfo"]';
  const isOwn = (heading: Element) => !heading.closest(others);
  return within ?? [...document.querySelectorAll(headings)].find(isOwn) ?? null;
}
