import { subjectAt } from './subject.ts';
import { isNearNavigation } from '../../reading/near.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { holds, navigationsOf } from '../../reading/navigations.ts';
import { roleOf } from '../../reading/role.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isExposed, isSeen, isVisible, parentOf, seenBox, type ElementBox } from '../../reading/visible.ts';
import { activeElement, elementOn, numberOf } from '../../reading/element-at.ts';
import { hearsPresses, looksPressable } from './listeners.ts';

let navigations: readonly Element[] | null = null;

/** The navigations of the page, found again only when it has changed: this is asked at each step of a walk. */
function knownNavigations(): readonly Element[] {
  if (navigations === null) {
    const { landmarks, runs } = navigationsOf(document);
    navigations = [...landmarks, ...runs];
    const observer = new MutationObserver(() => {
      navigations = null;
      observer.disconnect();
    });
    observer.observe(document, { childList: true, subtree: true, attributeFilter: ['role', 'href'] });
  }
  return navigations;
}

/** A place where focus is. */
export interface FocusStep {
  readonly number: number;
  readonly selector: string;
  readonly html: string;
  readonly seen: boolean;
  /** What lies over all of it; null if some of it can be seen. */
  readonly cover: string | null;
  /** Whether it is in a menu of the page. */
  readonly isInMenu: boolean;
  /** The list that it is an item of, by its number; null for what is in none, or is placed by itself. */
  readonly list: number | null;
  /** The item that it says is active within it (WAI-ARIA 1.2, aria-activedescendant); null if it says none. */
  readonly active: string | null;
  /** Whether it is an area of an image map, whose focus the browser draws (HTML standard, section 4.8.14). */
  readonly isArea: boolean;
  /** What can be seen of it, in the window. */
  readonly box: ElementBox;
  /** All of it, from where its list begins: that stays the same when something scrolls. */
  readonly placed: ElementBox;
  /** The same for what is drawn by the same rules. */
  readonly kind: string;
  /** Whether it is a frame, in which focus goes on by itself. */
  readonly isFrame: boolean;
  readonly isRightToLeft: boolean;
  /** Whether it holds something that may have focus itself, as a region or a panel does. */
  readonly isAround: boolean;
  /** Whether it is in a dialog, which may well keep focus. */
  readonly isInDialog: boolean;
  readonly url: string;
}

export function focused(): FocusStep | null {
  const active = activeElement();
  if (!active) return null;
  // A field that is drawn by its label is nothing to see by itself.
  const isPlain = active.matches('a[href], button, summary, [role="button"], [role="link"], [role="tab"]');
  const menu = knownNavigations().find((navigation) => holds(navigation, active));
  return {
    number: numberOf(active),
    selector: selectorOf(active),
    html: tagOf(active),
    seen: !isPlain || isSeen(active),
    cover: isPlain ? coverOf(active) : null,
    isInMenu: menu !== undefined || isNearNavigation(active, knownNavigations()),
    list: listOf(active),
    active: active.getAttribute('aria-activedescendant'),
    isArea: active.localName === 'area',
    box: seenBox(active),
    placed: placeInList(active),
    kind: [menu ? numberOf(menu) : 0, active.localName, active.className, active.parentElement?.className].join(' '),
    isRightToLeft: runsRightToLeft(active),
    isFrame: active.localName === 'iframe',
    isAround: active.querySelector('a[href], button') !== null,
    isInDialog: active.closest('dialog, [role="dialog"], [role="alertdialog"], [aria-modal="true"]') !== null,
    url: location.href,
  };
}

/** Whether what comes later stands further left: by its direction, or where lines are vertical and follow from the right. */
function runsRightToLeft(element: Element): boolean {
  const { direction, writingMode } = getComputedStyle(element);
  return writingMode === 'horizontal-tb' ? direction === 'rtl' : writingMode === 'vertical-rl';
}

function placeInList(element: Element): ElementBox {
  const list = element.closest('ul, ol, nav, [role="navigation"]');
  const from = (list?.firstElementChild ?? element).getBoundingClientRect();
  const { left, right, top, bottom } = element.getBoundingClientRect();
  return { left: left - from.left, right: right - from.left, top: top - from.top, bottom: bottom - from.top };
}

/** Puts focus on an element, as a script would. Whether that was taken. */
export function focusOn(selector: string): boolean {
  const element = subjectAt(selector);
  // As the browser does it: a page may have replaced the method.
  if (element && window.fairTrailActivity) window.fairTrailActivity.focus(element);
  else element?.focus({ preventScroll: false });
  return element !== null && activeElement() === element;
}

export function leaveFocus(): void {
  (activeElement() as HTMLElement | null)?.blur();
}

function listOf(element: Element): number | null {
  const list = element.closest('ul, ol, nav, [role="navigation"]');
  for (let at: Element | null = element; at && at !== list; at = parentOf(at)) {
    const { position, float } = getComputedStyle(at);
    // What is put aside on purpose has no place in the order that is seen.
    if (['absolute', 'fixed', 'sticky'].includes(position) || float !== 'none') return null;
  }
  return list && numberOf(list);
}

/** What hides an element that has focus: something else of the page's own that lies over all of it (WCAG 2.2, 2.4.11). */
export function coverOf(element: Element): string | null {
  const { left, top, right, bottom } = seenBox(element);
  const shares = [0.1, 0.5, 0.9];
  const points = shares.flatMap((across) =>
    shares.map((down) => [left + (right - left) * across, top + (bottom - top) * down] as const),
  );
  const inside = points.filter(([x, y]) => x >= 0 && y >= 0 && x < innerWidth && y < innerHeight);
  let cover: Element | null = null;
  for (const [x, y] of inside) {
    const found = elementOn(x, y);
    if (!found || holds(element, found) || holds(found, element)) return null;
    if (found.closest('label')?.control === element) return null;
    if (!isSolid(found)) return null;
    cover = found;
  }
  return cover && selectorOf(cover);
}

/** Painted over whatever is behind, and put there on purpose. */
function isSolid(element: Element): boolean {
  let isPlaced = false;
  let isPainted = false;
  for (let at: Element | null = element; at && at !== document.body; at = parentOf(at)) {
    const style = getComputedStyle(at);
    if (Number(style.opacity) < 1) return false;
    const alpha = /^rgba\(.*,\s*([\d.]+)\)$/u.exec(style.backgroundColor)?.[1];
    isPainted ||= alpha === undefined || Number(alpha) === 1 || at.localName === 'img';
    isPlaced ||= ['fixed', 'sticky', 'absolute'].includes(style.position);
    if (isPlaced && isPainted) return true;
  }
  return false;
}

/** Where one stop stands for all items: arrow keys go between them. */
const composite =
  '[role="tablist"], [role="menu"], [role="menubar"], [role="tree"], [role="treegrid"], [role="grid"], ' +
  '[role="listbox"], [role="radiogroup"], [role="toolbar"]';

/** A thing of a menu that can be pressed and that Tab has not come to. */
export interface Unreached {
  readonly selector: string;
  readonly html: string;
  /** Whether it says that it is a control; anything else can only be taken for one. */
  readonly isControl: boolean;
  /** Whether it has been heard to listen for presses. */
  readonly isListening: boolean;
}

/** What can be seen and pressed in the menus, and is not among the stops. */
export function unreached(stops: readonly number[]): readonly Unreached[] {
  const isInMenu = (element: Element) =>
    isNearNavigation(
      element,
      knownNavigations().filter((menu) => menu !== element),
    );
  const reached = new Set(stops);
  const all = deepElements(document, '*').filter((element) => isInMenu(element) && isVisible(element));
  const addresses = new Set(
    all.filter((element) => reached.has(numberOf(element))).map((element) => element.getAttribute('href')),
  );
  return all
    .filter((element) => !reached.has(numberOf(element)) && isExposed(element))
    .filter(
      (element) => element.closest(composite) === null && element.closest(':disabled, [aria-disabled="true"]') === null,
    )
    .flatMap((element) => {
      const address = element.getAttribute('href');
      // A picture beside its words may well be no stop of its own.
      if (address !== null && addresses.has(address)) return [];
      const isListening = isPressable(element) && (hearsPresses(element) || looksPressable(element));
      if (!isControl(element) && !isListening) return [];
      return [{ selector: selectorOf(element), html: tagOf(element), isControl: isControl(element), isListening }];
    });
}

function isControl(element: Element): boolean {
  if (!element.matches('a[href], button, summary, [role="button"], [role="link"]')) return false;
  // Within details that are closed, or a summary that is not the first, nothing is a control.
  return element.localName !== 'summary' || roleOf(element) === 'button';
}

/** Something small that is no control, holds none and is in none. */
function isPressable(element: Element): boolean {
  const control = 'a[href], button, summary, input, select, textarea, label, [tabindex], iframe';
  const isPlain = !element.matches(control) && element.querySelector(control) === null;
  const around = element.parentElement?.closest(control);
  return isPlain && !around && (element.textContent.trim() !== '' || element.querySelector('svg, img') !== null);
}
