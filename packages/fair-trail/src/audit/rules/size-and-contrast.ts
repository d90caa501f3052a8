import { contrast } from '../../core/color/color.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { groundOf } from '../../reading/ground.ts';
import { boxOf, isDrawn, isVisible } from '../../reading/visible.ts';

/** WCAG 2.2, 2.5.8: in CSS pixels. */
const leastTarget = 24;

export const smallTarget: Rule = {
  id: 'small-target',
  title: 'A target is smaller than 24 by 24 CSS pixels, and another one is too close.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.5.8'],
  affects: 'People with tremor, and everyone on a bus, hit the target next to it.',
  remedy:
    'Make it at least 24 by 24 CSS pixels with padding, or keep a circle of that size around its center free of other targets.',
  standard: 'WCAG 2.2, 2.5.8 Target Size (Minimum), with its exceptions',
  check: function* ({ links, controls }: PageContext): Iterable<Violation> {
    const targets = [...links, ...controls].filter((element) => isDrawn(element) && !isDisabled(element));
    const boxes = targets.map((element) => ({
      element,
      box: boxOf(element),
      // A link that goes on in the next line is not in all of the room around its parts.
      parts: element.localName === 'area' ? [boxOf(element)] : [...element.getClientRects()],
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
 * Whether the size is that of a line of text: other text stands in its own block; or no one has said how high a line is, and
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
  title: 'Text in the navigation has too little contrast with its background.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.3'],
  affects: 'People with low vision, and everyone in sunlight.',
  remedy: 'Make the text darker or the background lighter, or the reverse.',
  standard: 'WCAG 2.2, 1.4.3 Contrast (Minimum)',
  check: function* ({ navigations, links, controls, fields }: PageContext): Iterable<Violation> {
    const within = navigations.flatMap((navigation) => deepElements(navigation, '*').slice(0, mostTexts));
    const around = [...links, ...controls].flatMap((element) => [element, ...deepElements(element, '*')]);
    for (const element of new Set<Element>([...around, ...within])) {
      const found = contrastOfLabel(element);
      if (found && found.ratio < found.least) yield { element, message: contrastMessage(found) };
    }
    for (const field of fields) {
      const found = contrastOfField(field);
      if (found && found.ratio < found.least) yield { element: field, message: contrastMessage(found) };
    }
  },
};

/** More of one menu are drawn by the same rules. */
const mostTexts = 1000;

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

/** The contrast of an element's own text with what it stands on; null if there is none, or where it is not known. */
export function contrastOfLabel(element: Element): LabelContrast | null {
  const isOff = isDisabled(element) || element.closest('[aria-disabled="true"]') !== null;
  if (isOff || !hasLabel(element) || !isVisible(element)) return null;
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  return style ? contrastOn(element, style, style.color) : null;
}

/** The same of what is written in a field: its value, or what stands in for one. */
function contrastOfField(field: HTMLInputElement): LabelContrast | null {
  const { defaultView: window } = field.ownerDocument;
  if (!window || isDisabled(field) || !isVisible(field)) return null;
  if (field.value !== '')
    return contrastOn(field, window.getComputedStyle(field), window.getComputedStyle(field).color);
  const placeholder = window.getComputedStyle(field, '::placeholder');
  return field.placeholder === '' ? null : contrastOn(field, window.getComputedStyle(field), placeholder.color);
}

function contrastOn(element: Element, style: CSSStyleDeclaration, color: string): LabelContrast | null {
  const ground = groundOf(element);
  const text = ground?.seen(color);
  if (!ground || !text) return null;
  const size = Number.parseFloat(style.fontSize);
  const isLarge = size >= 24 || (size >= 18.66 && Number(style.fontWeight) >= 700);
  const isBrowsersRed = color === 'rgb(255, 0, 0)';
  return { ratio: contrast(text, ground.ground), least: isLarge ? 3 : 4.5, isBrowsersRed };
}

/** Text of its own, of letters or digits: signs between items say nothing. */
function hasLabel(element: Element): boolean {
  return [...element.childNodes].some(
    (node) => node.nodeType === 3 && /[\p{Letter}\p{Number}]/u.test(node.nodeValue ?? ''),
  );
}
