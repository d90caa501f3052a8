import { deepElements } from '../../reading/deep-elements.ts';
import { subjectAt } from './subject.ts';
import { activeElement, elementOf, elementOn, numberOf } from '../../reading/element-at.ts';
import { holds } from '../../reading/navigations.ts';
import { inOneReading } from '../../reading/one-reading.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { boxOf, isExposed, isVisible } from '../../reading/visible.ts';
import { usable } from './snapshot.ts';

/** What a component may have changed of the page around it, and should undo when it closes. */
export interface PageState {
  /** Elements that are hidden from assistive technology or from focus, by their numbers. */
  readonly hidden: readonly number[];
  /** Whether the page is kept from scrolling. */
  readonly isLocked: boolean;
  /** Elements that lie over most of the window and take presses, by their numbers. */
  readonly covers: readonly number[];
  /** Whether presses go through everything. */
  readonly isDeaf: boolean;
}

/** How much of the window something takes that covers it. */
const coverShare = 0.4;

export function pageState(): PageState {
  return inOneReading(() => {
    const { body, documentElement: html } = document;
    const [ofHtml, ofBody] = [getComputedStyle(html), getComputedStyle(body)];
    const stops = (style: CSSStyleDeclaration) => style.overflowY === 'hidden' || style.overflowY === 'clip';
    return {
      hidden: deepElements(document, '[inert], [aria-hidden="true"]').filter(holdsText).map(numberOf),
      isLocked: stops(ofHtml) || stops(ofBody) || ofBody.position === 'fixed',
      covers: deepElements(document, 'body *').filter(isCover).map(numberOf),
      isDeaf: ofHtml.pointerEvents === 'none' || ofBody.pointerEvents === 'none',
    };
  });
}

function holdsText(element: Element): boolean {
  return element.getClientRects().length > 0 && element.textContent.trim().length > 20;
}

function isCover(element: Element): boolean {
  const { position, pointerEvents, visibility } = getComputedStyle(element);
  if (position !== 'fixed' || pointerEvents === 'none' || visibility !== 'visible') return false;
  const { left, top, right, bottom } = boxOf(element);
  const [across, down] = [
    Math.min(right, innerWidth) - Math.max(left, 0),
    Math.min(bottom, innerHeight) - Math.max(top, 0),
  ];
  if (across <= 0 || down <= 0 || across * down < coverShare * innerWidth * innerHeight) return false;
  const found = elementOn(Math.max(left, 0) + across / 2, Math.max(top, 0) + down / 2);
  return found !== null && holds(element, found);
}

/** What an element is known again by, by its number. */
export function elementNamed(number: number): { readonly selector: string; readonly html: string } | null {
  const element = elementOf(number);
  return element && { selector: selectorOf(element), html: tagOf(element) };
}

/** Which of some elements take focus by Tab although they cannot be seen. */
export function unseenStops(
  numbers: readonly number[],
): readonly { readonly selector: string; readonly html: string }[] {
  return inOneReading(() =>
    numbers
      .map(elementOf)
      .filter((element) => element !== null)
      .filter((element) => element.matches(usable) && element.tabIndex >= 0 && !element.matches(':disabled'))
      .filter((element) => isExposed(element) && !isVisible(element) && element.getClientRects().length > 0)
      .map((element) => ({ selector: selectorOf(element), html: tagOf(element) })),
  );
}

/** Whether any of some elements has focus, or something within the element of a selector. */
export function hasFocusIn(selector: string, numbers: readonly number[]): boolean {
  const active = activeElement();
  if (!active) return false;
  const element = subjectAt(selector);
  return numbers.includes(numberOf(active)) || (element !== null && holds(element, active));
}
