import { expandedOf } from '../../reading/controls.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { inOneReading } from '../../reading/one-reading.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isOnPage, isSeen, isVisible } from '../../reading/visible.ts';
import { subjectAt } from './subject.ts';
import { numberOf } from '../../reading/element-at.ts';

/** What is to be seen and used now, to be compared with what is after something was done. */
export interface PageSnapshot {
  readonly url: string;
  readonly title: string;
  /** What the page is about, by its first heading, else by the beginning of its content. */
  readonly content: string;
  readonly expanded: string | null;
  /** The name and the state that a toggle may tell in another way. */
  readonly stated: string;
  /** The links and controls that can be seen, by their numbers. */
  readonly drawn: readonly number[];
  /** All text that is shown, in short. */
  readonly text: string;
  /** Where some of them stand. */
  readonly boxes: readonly PlacedElement[];
  /** Those that are drawn where no scrolling gets. */
  readonly beside: readonly number[];
  /** How often anything in the document has changed. */
  readonly changes: number;
  /** Whether a live region has said something. */
  readonly announced: boolean;
}

export interface PlacedElement {
  readonly number: number;
  readonly selector: string;
  /** Left, top, width and height, in whole CSS pixels. */
  readonly box: readonly number[];
}

let changes = 0;
let announced = false;
let observer: MutationObserver | null = null;

const live = '[aria-live]:not([aria-live="off"]), [role="status"], [role="alert"], [role="log"], output';

/** Begins to count what changes. */
export function watch(): void {
  changes = 0;
  announced = false;
  observer?.disconnect();
  observer = new MutationObserver((records) => {
    changes += records.length;
    announced ||= records.some(({ target, type }) => {
      const element = target.nodeType === 1 ? (target as Element) : target.parentElement;
      return type !== 'attributes' && (element?.closest(live)?.textContent.trim() ?? '') !== '';
    });
  });
  const all = { attributes: true, childList: true, characterData: true, subtree: true };
  observer.observe(document.documentElement, all);
}

/** More of one page are not compared. */
const mostElements = 3000;

export const usable =
  'a[href], button, summary, input, select, [role="button"], [role="link"], [role^="menuitem"], [role="tab"]';

export function snapshot(selector: string): PageSnapshot {
  return inOneReading(() => snapshotOf(selector));
}

function snapshotOf(selector: string): PageSnapshot {
  const toggle = subjectAt(selector);
  const all = deepElements(document, usable).slice(0, mostElements);
  return {
    url: location.href,
    title: document.title,
    content: contentOfPage(),
    expanded: toggle ? expandedText(toggle) : null,
    stated: toggle ? statedBy(toggle) : '',
    drawn: all.filter(isOnPage).map(numberOf),
    beside: all.filter((element) => isVisible(element) && !isOnPage(element)).map(numberOf),
    text: shortOf(document.body.innerText),
    boxes: boxesOf(),
    changes,
    announced,
  };
}

/** As it is written where the element says it, else as the browser knows it. */
function expandedText(toggle: Element): string | null {
  const expanded = expandedOf(toggle);
  return toggle.getAttribute('aria-expanded') ?? (expanded === null ? null : String(expanded));
}

function statedBy(toggle: HTMLElement): string {
  const states = ['aria-pressed', 'aria-checked', 'aria-selected', 'aria-label', 'title'];
  const checked = toggle instanceof HTMLInputElement ? String(toggle.checked) : '';
  return [...states.map((state) => toggle.getAttribute(state) ?? ''), toggle.textContent, checked].join('\n');
}

function contentOfPage(): string {
  const main = document.querySelector('main, [role="main"]') ?? document.body;
  const heading = main.querySelector('h1, h2') ?? document.querySelector('h1');
  return (heading?.textContent ?? main.textContent.slice(0, 300)).replaceAll(/\s+/gu, ' ').trim();
}

/** Where what can be seen of the links and controls stands, by their numbers; from the beginning of the page. */
export function boxesOf(): readonly PlacedElement[] {
  const seen = inOneReading(() => deepElements(document, usable).filter(isSeen));
  return seen.slice(0, 300).map((element) => {
    const { left, top, width, height } = element.getBoundingClientRect();
    const box = [left + scrollX, top + scrollY, width, height].map(Math.round);
    return { number: numberOf(element), selector: selectorOf(element), box };
  });
}

/** What an element is known again by, by its number. */
export function placeOf(number: number): { readonly selector: string; readonly html: string } | null {
  const element = deepElements(document, usable).find((one) => numberOf(one) === number);
  return element ? { selector: selectorOf(element), html: tagOf(element) } : null;
}

/** The same for the same text, and hardly ever for another. */
function shortOf(text: string): string {
  let hash = 0;
  for (let at = 0; at < text.length; at += 1) hash = (Math.imul(hash, 31) + text.charCodeAt(at)) | 0;
  return `${text.length} ${hash}`;
}
