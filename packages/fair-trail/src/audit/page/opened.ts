import { nearElements, menusIn } from '../../reading/near.ts';
import { accessibleName } from '../../reading/accessible-name.ts';
import { controlled, expandedOf } from '../../reading/controls.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { elementAt, elementOf, elementOn, numberOf } from '../../reading/element-at.ts';
import { holds, navigationsOf } from '../../reading/navigations.ts';
import { inOneReading } from '../../reading/one-reading.ts';
import { roleOf } from '../../reading/role.ts';
import { placeOf, type ElementPlace } from '../../reading/selector.ts';
import { isDrawn, isExposed, isSeen, isVisible, parentOf, seenBox } from '../../reading/visible.ts';
import { hears, hearsPresses } from './listeners.ts';
import { subjectAt } from './subject.ts';

/** Whether what a control says that it controls has to do with what it has shown; true where it says nothing. */
export function controlsShown(selector: string, shown: readonly number[]): boolean {
  const toggle = subjectAt(selector);
  const targets = toggle ? controlled(toggle) : [];
  const elements = shown.map(elementOf).filter((element) => element !== null);
  if (targets.length === 0 || elements.length === 0) return true;
  return targets.some((target) => elements.some((element) => holds(target, element) || holds(element, target)));
}

/** What opens something more within a panel, and is closed. */
export function nestedToggles(selector: string): readonly ElementPlace[] {
  const panel = elementAt(selector);
  if (!panel) return [];
  return deepElements(panel, '[aria-expanded="false"], summary, [popovertarget]')
    .filter((element) => isSeen(element) && isExposed(element) && expandedOf(element) !== true)
    .map(placeOf);
}

/** The first element that is hidden from assistive technology now and was not, and that people see. */
export function leftHidden(before: readonly number[], shown: readonly number[]): ElementPlace | null {
  const known = new Set(before);
  const panels = shown.map(elementOf).filter((element) => element !== null);
  const found = inOneReading(() =>
    deepElements(document, '[inert], [aria-hidden="true"]').find((element) => {
      if (known.has(numberOf(element)) || element.textContent.trim().length < 20) return false;
      // A panel that is closed is hidden rightly, whatever hides it.
      if (panels.some((one) => holds(element, one) || holds(one, element))) return false;
      const texts = [element, ...deepElements(element, 'a, p, h1, h2, button, li')];
      return texts.some((one) => isVisible(one) && seenBox(one).right > 0);
    }),
  );
  return found ? placeOf(found) : null;
}

/** What buttons are called that close what they stand in, in the languages we know. */
const closingWords = /^(?:×|✕|✖|x|close|hide|back|done|schließen|fermer|cerrar)\b|^[×✕✖]$|\bclose\b/iu;

export function closeButtonIn(selector: string): ElementPlace | null {
  const panel = elementAt(selector);
  const around = panel?.closest('dialog, [role="dialog"], aside, nav') ?? panel;
  const buttons = around ? deepElements(around, 'button, [role="button"]') : [];
  const found = buttons.find((button) => isSeen(button) && closingWords.test(accessibleName(button, 'button').trim()));
  return found ? placeOf(found) : null;
}

/** A link in a panel that leads to a place on this page, which is there. */
export function placeLinkIn(selector: string): ElementPlace | null {
  const panel = elementAt(selector);
  const links = panel ? deepElements(panel, 'a[href^="#"]') : [];
  const found = links.find((link) => {
    const id = (link.getAttribute('href') ?? '').slice(1);
    return id !== '' && !id.startsWith('/') && document.getElementById(id) !== null && isSeen(link);
  });
  return found ? placeOf(found) : null;
}

/** Which panels of a list of tabs are shown, once a tab was pressed; null if it says of no panel that it is its own. */
export function panelsOf(selector: string): { readonly isOwnShown: boolean; readonly isOtherShown: boolean } | null {
  const tab = elementAt(selector);
  const own = tab ? controlled(tab) : [];
  const tabs = tab?.closest('[role="tablist"]')
    ? deepElements(tab.closest('[role="tablist"]') ?? document, '[role~="tab"]')
    : [];
  const others = tabs.filter((other) => other !== tab).flatMap((other) => controlled(other));
  if (own.length === 0 || others.length === 0) return null;
  const isShown = (panel: Element) => isVisible(panel) && isExposed(panel);
  return {
    isOwnShown: own.some(isShown),
    isOtherShown: others.some((panel) => !own.includes(panel) && isShown(panel)),
  };
}

export function isSelected(selector: string): boolean {
  return elementAt(selector)?.getAttribute('aria-selected') === 'true';
}

/** Whether a field announces what it finds by its own role (WAI-ARIA 1.2, combobox). */
export function announcesByRole(selector: string): boolean {
  const field = elementAt(selector);
  return field?.matches('[role="combobox"], [aria-autocomplete], [list]') ?? false;
}

/** A menu that is closed, and that a finger alone pulls into the window. */
export function swipedMenu(): ElementPlace | null {
  const { landmarks } = navigationsOf(document);
  const moves = ['touchmove', 'touchend', 'pointermove'];
  const isHeard = [document, window, document.body, document.documentElement, ...landmarks].some((target) =>
    hears(target, moves),
  );
  if (!isHeard) return null;
  const closed = landmarks.find((menu) => {
    const links = linksIn(menu);
    return links.length >= 3 && links.every((link) => !isSeen(link));
  });
  const openers = 'button, summary, label, [role="button"], [aria-expanded], [popovertarget]';
  const hasOpener = deepElements(document, openers).some((element) => isSeen(element));
  return closed && !hasOpener ? placeOf(closed) : null;
}

/** A point of the window at which there is nothing to press, beside a panel; null if there is none. */
export function emptyPoint(selector: string | null): readonly [x: number, y: number] | null {
  const panel = selector === null ? null : elementAt(selector);
  const control = 'a, button, summary, input, select, textarea, label, iframe, [role="button"], [tabindex]:not(main)';
  for (const down of [0.97, 0.7, 0.5, 0.3, 0.1]) {
    for (const across of [0.01, 0.5, 0.99]) {
      const [x, y] = [Math.round(innerWidth * across), Math.round(innerHeight * down)];
      const found = elementOn(x, y);
      const isEmpty = found?.closest(control) === null && !(panel && holds(panel, found));
      if (isEmpty) return [x, y];
    }
  }
  return null;
}

const downs = ['mousedown', 'pointerdown', 'touchstart'];

/** How many links and buttons hear the pointer go down, whether they can be seen now or not. */
export function countDownListeners(): number {
  return nearElements(document, 'a[href], button, summary').filter((element) => hears(element, downs)).length;
}

/** What may act while a button of the mouse goes down: in the menus, or anywhere where a listener further out hears of it. */
export function downListeners(): readonly ElementPlace[] {
  const controls = nearElements(document, 'a[href], button, summary, [role]');
  const hearsDown = (element: Element): boolean => {
    for (let at: Element | null = element; at; at = parentOf(at)) if (hears(at, downs)) return true;
    return hears(document, downs) || hears(window, downs);
  };
  const all = controls.filter((element) => isSeen(element) && hearsDown(element));
  // Of those that hear it themselves first, and one of each kind.
  const kinds = new Map<string, Element>();
  for (const element of all.toSorted((one, other) => Number(hears(other, downs)) - Number(hears(one, downs)))) {
    const kind = `${element.localName} ${element.className} ${String(element.hasAttribute('aria-expanded'))}`;
    if (!kinds.has(kind)) kinds.set(kind, element);
  }
  return [...kinds.values()].map(placeOf);
}

/** Controls that are made of other elements: they take focus, and hear presses of the mouse. */
export function madeControls(): readonly (ElementPlace & { readonly isLink: boolean; readonly href: string | null })[] {
  const native = 'a[href], area[href], button, summary, input, select, textarea, label, iframe, [aria-expanded]';
  const composite =
    '[role="tablist"], [role="menu"], [role="menubar"], [role="tree"], [role="toolbar"], [role="listbox"]';
  const found = nearElements(document, '[tabindex], [role="link"], [role="button"]').filter(
    (element) =>
      !element.matches(native) &&
      element.closest(composite) === null &&
      element.tabIndex >= 0 &&
      isSeen(element) &&
      isExposed(element) &&
      (hearsPresses(element) || ['link', 'button'].includes(roleOf(element) ?? '')) &&
      element.querySelector('a[href], button') === null,
  );
  return found.map((element) => ({
    ...placeOf(element),
    isLink: roleOf(element) === 'link',
    href: element.getAttribute('data-href'),
  }));
}

const moves = ['pointermove', 'mousemove', 'touchmove', 'touchstart', 'dragstart', 'pointerdown', 'mousedown'];

/** A strip of links that a script moves under the pointer, and nothing else does: links are beyond its end. */
export function draggedStrip(): ElementPlace | null {
  for (const menu of menusIn(document)) {
    const strips = [menu, ...deepElements(menu, '*')].filter((element) => hears(element, moves));
    for (const strip of strips) {
      const links = linksIn(strip).filter((link) => isDrawn(link) && isExposed(link));
      const seen = links.filter((link) => isVisible(link) && link.getBoundingClientRect().left < innerWidth);
      // Beyond the end of the same row: what is in a closed panel stands elsewhere.
      const beyond = links.filter((link) => !seen.includes(link) && seen.some((other) => isInRow(link, other)));
      if (links.length < 3 || beyond.length === 0 || seen.length === 0) continue;
      if (scrollsByItself(strip, menu)) continue;
      const around = menu.parentElement ?? menu;
      const buttons = deepElements(around, 'button, [role="button"], summary').filter(isSeen);
      if (buttons.length === 0) return placeOf(strip);
    }
  }
  return null;
}

function isInRow(one: Element, other: Element): boolean {
  const [a, b] = [one.getBoundingClientRect(), other.getBoundingClientRect()];
  return (
    Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > a.height / 2 &&
    one.closest('ul, ol') === other.closest('ul, ol')
  );
}

function scrollsByItself(strip: Element, menu: Element): boolean {
  const scrolls = (element: Element) => /auto|scroll/u.test(getComputedStyle(element).overflowX);
  for (let at: Element | null = strip; at; at = at === menu ? null : parentOf(at)) if (scrolls(at)) return true;
  return deepElements(strip, 'ul, ol, div').some(scrolls);
}
