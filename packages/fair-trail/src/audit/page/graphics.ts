import { isNearNavigation, nearElements, menusIn } from '../../reading/near.ts';
import { contrast, type Color } from '../../core/color/color.ts';
import { differencesOf } from '../../reading/appearance.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { elementAt } from '../../reading/element-at.ts';
import { groundOf } from '../../reading/ground.ts';
import { navigationsOf } from '../../reading/navigations.ts';
import { inOneReading } from '../../reading/one-reading.ts';
import { mixed, paintedColor } from '../../reading/painted-color.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isExposed, isSeen, isVisible, parentOf } from '../../reading/visible.ts';

/** Something without words that has to be seen. */
export interface DrawnGraphic {
  readonly kind: 'icon' | 'mark' | 'field';
  readonly selector: string;
  readonly html: string;
  /** The same for others that are drawn by the same rules. */
  readonly likeness: string;
  /** Its contrast, where the stylesheet says it; null if it has to be looked at. */
  readonly ratio: number | null;
}

function likenessOf(element: Element): string {
  return [element.parentElement?.className ?? '', element.localName, element.className].join(' ');
}

/** The icons, marks and fields of the menus and of the header that can be seen now. */
export function graphics(): readonly DrawnGraphic[] {
  return inOneReading(() => [...icons(), ...marks(), ...fields()]);
}

function icons(): readonly DrawnGraphic[] {
  return deepElements(document, 'a[href], button, summary, [role="button"]')
    .filter((element) => isSeen(element) && isExposed(element) && !element.matches(':disabled, [aria-disabled="true"]'))
    .filter(
      (element) => !hasSeenWords(element) && isNearNavigation(element) && isDrawnByCode(element) && !isLogo(element),
    )
    .map((element) => {
      const drawing = element.querySelector('svg') ?? element;
      return {
        kind: 'icon' as const,
        selector: selectorOf(drawing),
        html: tagOf(element),
        likeness: `${likenessOf(element)} ${getComputedStyle(drawing).color}`,
        ratio: null,
      };
    });
}

/** Words beside an icon say the same; one sign alone is an icon. */
function hasSeenWords(element: Element): boolean {
  const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const around = node.parentElement;
    if (around && /[\p{Letter}\p{Number}]{2}/u.test(node.nodeValue ?? '') && isVisible(around)) return true;
  }
  return false;
}

/** A sign of the site itself, which may have any colors (WCAG 2.2, 1.4.11: logotypes): it leads home, or is wide. */
function isLogo(element: Element): boolean {
  const drawing = element.querySelector('svg');
  if (!drawing || !(element instanceof HTMLAnchorElement)) return false;
  return element.pathname === '/' || drawing.getBoundingClientRect().width > 64;
}

/** Photos may have any colors. */
function isDrawnByCode(element: Element): boolean {
  if (element.querySelector('img, picture, video, canvas') !== null) return false;
  if (element.querySelector('svg') !== null) return true;
  const bars = [...element.querySelectorAll('span, i, div')].some((bar) => {
    const { backgroundColor, width, height } = getComputedStyle(bar);
    return backgroundColor !== 'rgba(0, 0, 0, 0)' && Number.parseFloat(width) > 2 && Number.parseFloat(height) >= 1;
  });
  return bars || element.textContent.trim() !== '';
}

/** The one item that is marked, where what marks it is drawn by colors alone and none of them stands out. */
function marks(): readonly DrawnGraphic[] {
  const { landmarks, runs } = navigationsOf(document);
  const lists = [...landmarks, ...runs, ...deepElements(document, '[role="tablist"]')];
  return lists.flatMap((list): readonly DrawnGraphic[] => {
    const tabs = deepElements(list, '[role="tab"]');
    const items: readonly Element[] = (tabs.length > 0 ? tabs : linksIn(list)).filter(isVisible);
    const isMarked = (item: Element) =>
      item.matches('[aria-current]:not([aria-current="false"]), [aria-selected="true"]') ||
      item.parentElement?.matches('li[aria-current]') === true;
    const marked = items.filter(isMarked);
    const others = items.filter((item) => !isMarked(item));
    const [mark] = marked;
    if (!mark || marked.length > 1 || others.length < 2) return [];
    const differences = differencesOf(mark, others);
    const isColor = ({ property }: { readonly property: string }) =>
      property.endsWith('color') || property === 'box-shadow' || /^border-\w+-(?:style|width)$/u.test(property);
    if (differences.length === 0 || !differences.every(isColor)) return [];
    const ratio = strongest(mark, others[0] ?? mark);
    if (ratio === null) return [];
    return [{ kind: 'mark', selector: selectorOf(mark), html: tagOf(mark), likeness: likenessOf(mark), ratio }];
  });
}

const sides = ['top', 'right', 'bottom', 'left'] as const;

/** The highest contrast of anything that is otherwise of one than of the other. */
function strongest(mark: Element, other: Element): number | null {
  const [mine, theirs] = [groundOf(mark), groundOf(other)];
  if (!mine || !theirs) return null;
  const around = parentOf(mark);
  const outside = around ? groundOf(around)?.ground : undefined;
  if (!outside) return null;
  const [style, otherStyle] = [getComputedStyle(mark), getComputedStyle(other)];
  const ratios = [contrast(mine.ground, theirs.ground)];
  const [text, otherText] = [mine.seen(style.color), theirs.seen(otherStyle.color)];
  if (text && otherText) ratios.push(contrast(text, otherText));
  for (const side of sides) {
    const width = Number.parseFloat(style.getPropertyValue(`border-${side}-width`));
    const color = style.getPropertyValue(`border-${side}-color`);
    const isOther =
      color !== otherStyle.getPropertyValue(`border-${side}-color`) ||
      style.getPropertyValue(`border-${side}-style`) !== otherStyle.getPropertyValue(`border-${side}-style`) ||
      style.getPropertyValue(`border-${side}-width`) !== otherStyle.getPropertyValue(`border-${side}-width`);
    const seen = isOther && width > 0 ? colorOver(color, outside) : null;
    if (seen) ratios.push(Math.max(contrast(seen, outside), contrast(seen, mine.ground)));
  }
  if (style.boxShadow !== otherStyle.boxShadow) {
    const color = /^(?:rgba?|oklch|oklab|lab|lch|color)\([^)]*\)/u.exec(style.boxShadow)?.[0];
    const seen = color === undefined ? null : colorOver(color, outside);
    if (seen) ratios.push(contrast(seen, outside));
  }
  for (const pseudo of ['::before', '::after']) {
    const drawn = getComputedStyle(mark, pseudo);
    if (drawn.content !== 'none' && drawn.content !== getComputedStyle(other, pseudo).content) return null;
    if (drawn.backgroundColor !== getComputedStyle(other, pseudo).backgroundColor) return null;
  }
  return Math.max(...ratios);
}

function colorOver(text: string, ground: Color): Color | null {
  const painted = paintedColor(text, document);
  return painted && mixed(painted.color, ground, painted.alpha);
}

function fields(): readonly DrawnGraphic[] {
  const kinds = 'input[type="text"], input[type="search"], input:not([type]), input[type="email"], select';
  return deepElements(document, kinds)
    .filter((field) => isVisible(field) && isExposed(field) && isNearNavigation(field) && !field.matches(':disabled'))
    .flatMap((field): readonly DrawnGraphic[] => {
      const around = parentOf(field);
      const [inside, outside] = [groundOf(field)?.ground, around ? groundOf(around)?.ground : undefined];
      if (!inside || !outside) return [];
      const style = getComputedStyle(field);
      // The browser's own look is the browser's.
      if (style.appearance !== 'none' && style.borderTopStyle === 'inset') return [];
      const ratios = [contrast(inside, outside)];
      for (const side of sides) {
        if (Number.parseFloat(style.getPropertyValue(`border-${side}-width`)) === 0) continue;
        if (style.getPropertyValue(`border-${side}-style`) === 'none') continue;
        const seen = colorOver(style.getPropertyValue(`border-${side}-color`), outside);
        if (seen) ratios.push(contrast(seen, outside), contrast(seen, inside));
      }
      // What is around it may draw its edge; then nothing is known here.
      if (around && getComputedStyle(around).borderTopStyle !== 'none') return [];
      if (style.boxShadow !== 'none' || style.outlineStyle !== 'none') return [];
      const ratio = Math.max(...ratios);
      return [{ kind: 'field', selector: selectorOf(field), html: tagOf(field), likeness: likenessOf(field), ratio }];
    });
}

/** Where something stands in the window, in whole CSS pixels; null if it is not to be seen. */
export function boxInWindow(selector: string): {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
} | null {
  const element = elementAt(selector);
  if (!element) return null;
  element.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
  const { left, top, right, bottom } = element.getBoundingClientRect();
  const [x, y] = [Math.max(0, Math.floor(left)), Math.max(0, Math.floor(top))];
  const [width, height] = [Math.min(innerWidth, Math.ceil(right)) - x, Math.min(innerHeight, Math.ceil(bottom)) - y];
  return width > 0 && height > 0 ? { x, y, width, height } : null;
}

/** A label whose ground no stylesheet tells. */
export interface TextOnPicture {
  readonly selector: string;
  readonly html: string;
  readonly likeness: string;
  readonly color: Color;
  /** What WCAG asks of text of this size. */
  readonly least: number;
  readonly clip: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

export function textsOnPictures(): readonly TextOnPicture[] {
  const labels = [
    ...menusIn(document).flatMap((menu) => deepElements(menu, 'a[href], button, a[href] span')),
    ...nearElements(document, 'a[href], button'),
  ];
  return [...new Set(labels)].flatMap((label): readonly TextOnPicture[] => {
    const hasText = [...label.childNodes].some(
      (node) => node.nodeType === 3 && /\p{Letter}/u.test(node.nodeValue ?? ''),
    );
    if (!hasText || !isSeen(label) || groundOf(label)) return [];
    const style = getComputedStyle(label);
    const painted = paintedColor(style.color, document);
    if (painted?.alpha !== 1 || style.textShadow !== 'none') return [];
    const range = document.createRange();
    range.selectNodeContents(label);
    const [box] = range.getClientRects();
    if (!box || box.left < 0 || box.top < 0 || box.right > innerWidth || box.bottom > innerHeight) return [];
    const size = Number.parseFloat(style.fontSize);
    const isLarge = size >= 24 || (size >= 18.66 && Number(style.fontWeight) >= 700);
    const [x, y] = [Math.ceil(box.left), Math.ceil(box.top)];
    const [width, height] = [Math.floor(box.right) - x, Math.floor(box.bottom) - y];
    if (width < 4 || height < 4) return [];
    const likeness = `${likenessOf(label)} ${style.color}`;
    const clip = { x, y, width, height };
    return [
      {
        selector: selectorOf(label),
        html: tagOf(label),
        likeness,
        color: painted.color,
        least: isLarge ? 3 : 4.5,
        clip,
      },
    ];
  });
}

/** Takes the text of an element out of sight, and leaves everything else as it is; or puts it back. */
export function hideText(selector: string, isHidden: boolean): void {
  const element = elementAt(selector);
  if (!element) return;
  if (isHidden) {
    element.style.setProperty('transition', 'none', 'important');
    element.style.setProperty('-webkit-text-fill-color', 'transparent', 'important');
    element.style.setProperty('text-decoration-color', 'transparent', 'important');
  } else {
    for (const name of ['transition', '-webkit-text-fill-color', 'text-decoration-color'])
      element.style.removeProperty(name);
  }
}
