import { menusIn } from '../../reading/near.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { holds } from '../../reading/navigations.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isSeen, isVisible, parentOf, type ElementBox } from '../../reading/visible.ts';

/** An element with a fault in how it is drawn. */
export interface Drawn {
  readonly selector: string;
  readonly html: string;
}

/** More of one menu are not compared with each other. */
const mostCompared = 150;

/** The links and buttons of the menus that can be seen, menu by menu, with where their words stand. */
function labelled(): readonly (readonly { readonly element: Element; readonly boxes: readonly ElementBox[] }[])[] {
  return menusIn(document).map((menu) =>
    deepElements(menu, 'a[href], button, summary')
      .slice(0, mostCompared)
      .filter((element) => isVisible(element) && element.textContent.trim() !== '')
      .map((element) => ({ element, boxes: wordsIn(element) }))
      .filter(({ boxes }) => boxes.length > 0),
  );
}

/** Where the visible words of an element are. */
function wordsIn(element: Element): readonly ElementBox[] {
  const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  const boxes: ElementBox[] = [];
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const around = node.parentElement;
    if ((node.nodeValue ?? '').trim() === '' || !around || !isVisible(around) || isForEars(around, element)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    boxes.push(...[...range.getClientRects()].filter(({ width, height }) => width > 1 && height > 1));
  }
  return boxes;
}

/** Cut down to nothing on purpose. */
function isForEars(element: Element, top: Element): boolean {
  for (let at: Element | null = element; at; at = at === top ? null : at.parentElement) {
    const style = getComputedStyle(at);
    // Old pages cut by `clip`, which no longer has a name of its own here.
    const isClipped = style.getPropertyValue('clip') !== 'auto' || style.clipPath !== 'none';
    const { width, height } = at.getBoundingClientRect();
    if ((style.position === 'absolute' && isClipped) || (width <= 1 && height <= 1)) return true;
  }
  return false;
}

/** Labels whose words are cut off where nothing scrolls and nothing says that there is more. */
export function cutLabels(): readonly Drawn[] {
  return labelled()
    .flat()
    .filter(({ element, boxes }) => boxes.some((box) => isCut(box, element)))
    .map(({ element }) => ({ selector: selectorOf(element), html: tagOf(element) }));
}

function isCut(words: ElementBox, element: Element): boolean {
  const height = words.bottom - words.top;
  for (let at: Element | null = element; at && at !== document.body; at = parentOf(at)) {
    const style = getComputedStyle(at);
    if (style.position === 'fixed' && at !== element) return false;
    const [across, down] = [style.overflowX, style.overflowY];
    if ([across, down].some((overflow) => overflow === 'auto' || overflow === 'scroll')) return false;
    // Three points, or a number of lines, say that there is more.
    const isStated = style.textOverflow === 'ellipsis' || style.getPropertyValue('-webkit-line-clamp') !== 'none';
    if (isStated) return false;
    const box = at.getBoundingClientRect();
    if (across !== 'visible' && (words.right - box.right > 4 || box.left - words.left > 4)) return true;
    // The room of a line is more than that of its letters.
    const most = height * 0.25;
    if (down !== 'visible' && (words.bottom - box.bottom > most || box.top - words.top > most)) return true;
  }
  return false;
}

/** Labels that lie over those of others. */
export function overlaps(): readonly (Drawn & { readonly other: string })[] {
  return labelled().flatMap((labels) =>
    labels.flatMap(({ element, boxes }, index) => {
      const other = labels
        .slice(0, index)
        .find((one) => !holds(one.element, element) && !holds(element, one.element) && meet(one.boxes, boxes));
      if (!other) return [];
      const [selector, html] = [selectorOf(element), tagOf(element)];
      return [{ selector, html, other: other.element.textContent.replaceAll(/\s+/gu, ' ').trim() }];
    }),
  );
}

function meet(some: readonly ElementBox[], others: readonly ElementBox[]): boolean {
  return some.some((one) =>
    others.some((other) => {
      const across = Math.min(one.right, other.right) - Math.max(one.left, other.left);
      const down = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top);
      const lower = Math.min(one.bottom - one.top, other.bottom - other.top);
      return across > 5 && down > lower * 0.4;
    }),
  );
}

/**
 * Labels that stand beside the window although others of their menu stand in it: `scrolls` where the whole page has to be
 * moved sideways for them, `lost` where nothing gets there.
 */
export function sticksOut(): readonly (Drawn & { readonly how: 'scrolls' | 'lost' })[] {
  const page = document.scrollingElement ?? document.documentElement;
  const scrolls = page.scrollWidth > innerWidth + 1 && [document.documentElement, document.body].every(canMove);
  return menusIn(document).flatMap((menu) => {
    const links = deepElements(menu, 'a[href], button, summary')
      .slice(0, mostCompared)
      .filter((link) => link.textContent.trim() !== '' && link.getClientRects().length > 0)
      .filter((link) => getComputedStyle(link).visibility === 'visible' && !isAside(link, menu));
    const isIn = (link: Element) => {
      const { left, right } = link.getBoundingClientRect();
      return right > 4 && left < innerWidth - 4;
    };
    if (!links.some((link) => isIn(link) && isSeen(link))) return [];
    return links.flatMap((link) => {
      const boxes = wordsIn(link);
      const { left, right } = link.getBoundingClientRect();
      const isCutAtEnd =
        right > innerWidth + 4 && (boxes.length === 0 || boxes.some((box) => box.right > innerWidth + 2));
      const isCutAtStart = left < -4 && (boxes.length === 0 || boxes.some((box) => box.left < -2));
      if (!isCutAtEnd && !isCutAtStart) return [];
      const how = isCutAtEnd && scrolls ? ('scrolls' as const) : ('lost' as const);
      return [{ selector: selectorOf(link), html: tagOf(link), how }];
    });
  });
}

function canMove(element: Element): boolean {
  return !['hidden', 'clip'].includes(getComputedStyle(element).overflowX);
}

/** In something that scrolls by itself, or in a panel that was put aside, which may be closed. */
function isAside(link: Element, menu: Element): boolean {
  for (let at: Element | null = link; at && at !== document.body; at = parentOf(at)) {
    const style = getComputedStyle(at);
    if (['auto', 'scroll', 'hidden', 'clip'].includes(style.overflowX)) return true;
    if (Number(style.opacity) < 0.05) return true;
    if (at !== link && ['absolute', 'fixed'].includes(style.position) && (holds(menu, at) || at === menu)) return true;
    if (style.transform !== 'none' && at !== link) return true;
  }
  return false;
}
