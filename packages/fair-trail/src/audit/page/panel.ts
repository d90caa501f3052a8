import { deepElements } from '../../reading/deep-elements.ts';
import { holds } from '../../reading/navigations.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isOnPage, isPinned, isSeen, parentOf, type ElementBox } from '../../reading/visible.ts';
import { elementOn, numberOf } from '../../reading/element-at.ts';
import { subjectAt } from './subject.ts';
import { usable } from './snapshot.ts';

/** What a toggle has opened. */
export interface OpenPanel {
  readonly selector: string;
  readonly html: string;
  readonly box: ElementBox;
  /** Whether it takes nearly all of the window, or says that nothing else is there. */
  readonly isOverlay: boolean;
  readonly isDialog: boolean;
  /** Whether it says that nothing else is there while it is open. */
  readonly isModal: boolean;
  /** Whether it is no panel, but more of a list of which a part was to be seen before. */
  readonly isPartOfList: boolean;
  /** Whether it lies over the page instead of pushing it away. */
  readonly isFloating: boolean;
  /** Whether text or controls lie under it. */
  readonly hidesContent: boolean;
  /** The links in it, by address. */
  readonly addresses: readonly string[];
  readonly links: readonly { readonly selector: string; readonly html: string; readonly href: string }[];
  /** Links in it that stand outside of the window, where no scrolling gets. */
  readonly lost: readonly { readonly selector: string; readonly html: string }[];
  /** Whether focus is in it. */
  readonly hasFocus: boolean;
  /** Something within that takes a pointer, in the middle of it. */
  readonly target: readonly [number, number] | null;
}

/** How much of the window an overlay takes. */
const overlayShare = 0.7;

/** The element that holds all that has come into sight; null if nothing has. */
export function panelOf(selector: string, shown: readonly number[]): OpenPanel | null {
  const toggle = subjectAt(selector);
  const wanted = new Set(shown);
  const elements = deepElements(document, usable).filter((element) => wanted.has(numberOf(element)));
  const panel = commonAncestor(elements, toggle);
  if (!panel) return null;
  const { left, top, right, bottom } = panel.getBoundingClientRect();
  const dialog =
    panel.closest('dialog[open], [role="dialog"], [aria-modal="true"]') ?? panel.querySelector('[aria-modal="true"]');
  const share = (Math.min(right, innerWidth) - Math.max(left, 0)) * (Math.min(bottom, innerHeight) - Math.max(top, 0));
  const isFloating = placedAround(panel);
  const links = elements.filter((element) => element.matches('a[href]')) as HTMLAnchorElement[];
  return {
    selector: selectorOf(panel),
    html: tagOf(panel),
    box: { left, top, right, bottom },
    isOverlay:
      dialog?.getAttribute('aria-modal') === 'true' || (isFloating && share > overlayShare * innerWidth * innerHeight),
    isDialog: dialog !== null,
    isModal: dialog?.getAttribute('aria-modal') === 'true' || (dialog?.matches(':modal') ?? false),
    isPartOfList: elements.every((element) => isOfSeenList(element, wanted)),
    isFloating,
    hidesContent: isFloating && liesOnContent(panel),
    addresses: links.map((link) => link.href),
    links: links.slice(0, 20).map((link) => ({ selector: selectorOf(link), html: tagOf(link), href: link.href })),
    lost: elements
      .filter((element) => isLost(element, panel))
      .map((element) => ({ selector: selectorOf(element), html: tagOf(element) })),
    hasFocus: holds(panel, document.activeElement ?? document.body) && document.activeElement !== document.body,
    target: middleOf(elements[Math.floor(elements.length / 2)]),
  };
}

/** Whether other items of its own list were there before it. */
function isOfSeenList(element: Element, shown: ReadonlySet<number>): boolean {
  const list = element.closest('ul, ol, menu, [role="list"], [role="menubar"]');
  if (!list) return false;
  return deepElements(list, usable).some(
    (other) =>
      !shown.has(numberOf(other)) && other.closest('ul, ol, menu, [role="list"]') === list && isLinkLike(other),
  );
}

function isLinkLike(element: Element): boolean {
  return element.matches('a[href]') && element.getClientRects().length > 0;
}

function middleOf(element: Element | undefined): readonly [number, number] | null {
  if (!element) return null;
  const { left, top, width, height } = element.getBoundingClientRect();
  return [left + width / 2, top + height / 2];
}

function commonAncestor(elements: readonly Element[], toggle: Element | null): Element | null {
  const [first] = elements;
  let common: Element | null = first ?? null;
  while (common && !elements.every((element) => common && holds(common, element))) common = parentOf(common);
  // Wider, as long as it is of this panel alone.
  for (let at = common && parentOf(common); at && common; at = parentOf(at)) {
    const holdsToggle = toggle !== null && holds(at, toggle);
    const isMore = holdsToggle || at === document.body || at.matches('main, header, footer');
    const others = deepElements(at, usable).filter((element) => isSeen(element) && !elements.includes(element));
    if (isMore || others.length > 0) break;
    common = at;
  }
  return common;
}

function placedAround(panel: Element): boolean {
  for (let at: Element | null = panel; at && at !== document.body; at = parentOf(at)) {
    if (['fixed', 'absolute'].includes(getComputedStyle(at).position)) return true;
    if (at.matches('header, nav, [role="navigation"]') && at !== panel) return false;
  }
  return false;
}

/** Whether there is something to read or to press under it, found by taking it away for a moment. */
function liesOnContent(panel: Element): boolean {
  if (!(panel instanceof HTMLElement)) return false;
  const { left, top, right, bottom } = panel.getBoundingClientRect();
  const before = panel.style.cssText;
  panel.style.setProperty('visibility', 'hidden', 'important');
  panel.style.setProperty('transition', 'none', 'important');
  const shares = [0.1, 0.3, 0.5, 0.7, 0.9];
  const isOver = shares.some((across) =>
    shares.some((down) => {
      const found = elementOn(left + (right - left) * across, top + (bottom - top) * down);
      const isContent = found?.matches('a, button, p, h1, h2, h3, li, img, td, label, span') ?? false;
      return isContent && found !== null && !holds(panel, found) && !holds(found, panel);
    }),
  );
  panel.style.cssText = before;
  return isOver;
}

/** Whether an element stands outside of the window, and neither the page nor what is around it scrolls there. */
function isLost(element: Element, panel: Element): boolean {
  const { left, right, top, bottom } = element.getBoundingClientRect();
  const [x, y] = [(left + right) / 2, (top + bottom) / 2];
  let isFixed = false;
  for (let at: Element | null = element; at; at = parentOf(at)) {
    const style = getComputedStyle(at);
    const scrolls = (overflow: string) => overflow === 'auto' || overflow === 'scroll';
    if (
      at !== document.documentElement &&
      at !== document.body &&
      (scrolls(style.overflowY) || scrolls(style.overflowX))
    )
      return false;
    isFixed ||= style.position === 'fixed';
    if (at === panel) break;
  }
  isFixed ||= isPinned(panel);
  const page = document.scrollingElement ?? document.documentElement;
  const [across, down] = isFixed ? [innerWidth, innerHeight] : [page.scrollWidth, page.scrollHeight];
  const [fromX, fromY] = isFixed ? [x, y] : [x + scrollX, y + scrollY];
  return fromX < 0 || fromY < 0 || fromX > Math.max(across, innerWidth) || fromY > Math.max(down, innerHeight);
}

/** Whether any of these can still be seen. */
export function isStillOpen(shown: readonly number[]): boolean {
  const wanted = new Set(shown);
  return deepElements(document, usable).some((element) => wanted.has(numberOf(element)) && isOnPage(element));
}
