import { type Color, contrast, readComputedColor } from '../../core/color/color.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isDrawn, parentOf } from '../visible.ts';

/** WCAG 2.2, 2.5.8: in CSS pixels. */
const leastTarget = 24;

export const smallTarget: Rule = {
  id: 'small-target',
  title: 'A target is small, and another one is close by.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.5.8'],
  hurts: 'People whose hands tremble, and everybody on a bus: they hit what is beside it.',
  remedy:
    'Make it 24 by 24 CSS pixels at least, with padding; or keep that much room around its middle free of others.',
  standard: 'WCAG 2.2, 2.5.8 Target Size (Minimum), with its exceptions',
  check: function* ({ links, controls }: PageContext): Iterable<Violation> {
    const targets = [...links, ...controls].filter((element) => isDrawn(element) && !isDisabled(element));
    const boxes = targets.map((element) => ({
      element,
      box: element.getBoundingClientRect(),
      // A link that goes on in the next line is not in all of the room around its parts.
      parts: [...element.getClientRects()],
    }));
    for (const { element, box } of boxes) {
      const isSmall = box.width < leastTarget || box.height < leastTarget;
      // In a sentence the size is that of the text; and a control that the browser draws is the browser's.
      if (!isSmall || isInLine(element) || element.matches('input[type="checkbox"], input[type="radio"]')) continue;
      const near = boxes.find(
        (other) => other.element !== element && isClose(box, other) && !contains(other.element, element),
      );
      if (near) {
        const size = `${Math.round(box.width)} by ${Math.round(box.height)}`;
        yield { element, message: `It is ${size} CSS pixels, and another target is less than 24 from its middle.` };
      }
    }
  },
};

function isDisabled(element: Element): boolean {
  return element.matches(':disabled') || element.closest('[inert]') !== null;
}

function contains(one: Element, other: Element): boolean {
  return one.contains(other) || other.contains(one);
}

/**
 * Whether the size is that of a line of text: other text stands in its own block; or nobody has said how high a line is, and
 * the browser decides (the exceptions "Inline" and "User agent control").
 */
function isInLine(element: Element): boolean {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  if (!style?.display.startsWith('inline')) return false;
  if (style.display === 'inline' && style.lineHeight === 'normal') return true;
  const { parentElement } = element;
  return [...(parentElement?.childNodes ?? [])].some(
    (node) => node.nodeType === 3 && /[\p{Letter}\p{Number}]/u.test(node.nodeValue ?? ''),
  );
}

/** A circle of 24 px around the middle of the small one meets the other target, or the circle of another small one. */
function isClose(
  small: DOMRect,
  { box: other, parts }: { readonly box: DOMRect; readonly parts: readonly DOMRect[] },
): boolean {
  const [x, y] = [small.left + small.width / 2, small.top + small.height / 2];
  if (other.width < leastTarget || other.height < leastTarget) {
    const [otherX, otherY] = [other.left + other.width / 2, other.top + other.height / 2];
    return Math.hypot(x - otherX, y - otherY) < leastTarget;
  }
  return parts.some((part) => {
    const across = Math.max(part.left - x, 0, x - part.right);
    const down = Math.max(part.top - y, 0, y - part.bottom);
    return Math.hypot(across, down) < leastTarget / 2;
  });
}

export const lowContrast: Rule = {
  id: 'low-contrast',
  title: 'A label has too little contrast with what it stands on.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.3'],
  hurts: 'People with low vision, and everybody in the sun.',
  remedy: 'Make the label darker or what it stands on lighter, or the other way round.',
  standard: 'WCAG 2.2, 1.4.3 Contrast (Minimum)',
  check: function* ({ links, controls }: PageContext): Iterable<Violation> {
    for (const element of [...links, ...controls]) {
      const found = contrastOfLabel(element);
      if (found && found.ratio < found.least) yield { element, message: contrastMessage(found) };
    }
  },
};

export interface LabelContrast {
  readonly ratio: number;
  /** What WCAG asks of text of this size. */
  readonly least: number;
  /** Whether it is the color that browsers give to a link while it is pressed (HTML standard, section 15.3.2). */
  readonly isBrowsersRed: boolean;
}

export function contrastMessage({ ratio, least }: Pick<LabelContrast, 'ratio' | 'least'>): string {
  return `Its contrast is ${(Math.floor(ratio * 100) / 100).toFixed(2)} : 1; ${least} is needed.`;
}

/** The contrast of an element's own label with what it stands on; null where there is none, or where it cannot be told. */
export function contrastOfLabel(element: Element): LabelContrast | null {
  const isOff = isDisabled(element) || element.getAttribute('aria-disabled') === 'true';
  if (!isDrawn(element) || isOff || !hasLabel(element)) return null;
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  const text = style && readComputedColor(style.color);
  const board = text && boardBehind(element);
  if (!style || !text || !board) return null;
  const size = Number.parseFloat(style.fontSize);
  const isLarge = size >= 24 || (size >= 18.66 && Number(style.fontWeight) >= 700);
  return { ratio: contrast(text, board), least: isLarge ? 3 : 4.5, isBrowsersRed: style.color === 'rgb(255, 0, 0)' };
}

/** Text of its own, drawn in its own color: what stands deeper may be drawn otherwise. */
function hasLabel(element: Element): boolean {
  return [...element.childNodes].some((node) => node.nodeType === 3 && (node.nodeValue ?? '').trim() !== '');
}

/** What a label is painted on; null where that is not known for sure: pictures, filters, layers, what is see-through. */
function boardBehind(element: Element): Color | null {
  const { defaultView: window } = element.ownerDocument;
  for (let at: Element | null = element; at && window; at = parentOf(at)) {
    const style = window.getComputedStyle(at);
    const isPlain =
      style.backgroundImage === 'none' &&
      style.opacity === '1' &&
      style.filter === 'none' &&
      style.mixBlendMode === 'normal' &&
      ['::before', '::after'].every((pseudo) => window.getComputedStyle(at, pseudo).content === 'none');
    if (!isPlain) return null;
    // What has a place of its own may lie on anything.
    const isPlaced = style.position !== 'static' && style.position !== 'relative';
    const color = readComputedColor(style.backgroundColor);
    if (color) return color;
    if (style.backgroundColor !== 'rgba(0, 0, 0, 0)' || isPlaced) return null;
  }
  return { red: 1, green: 1, blue: 1 };
}
