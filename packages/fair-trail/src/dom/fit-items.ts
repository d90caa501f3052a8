import { fit } from '../core/layout/fit.ts';
import { markedSelector } from '../core/view/marked.ts';
import { isHtmlElement } from './nodes.ts';

export interface FittedItem {
  readonly key: string;
  readonly priority: number;
}

/**
 * Watches which items of a bar's list fit into the room that there is, and which are behind its toggle.
 *
 * @param items the list's items, in its order
 * @param report called with the keys of those that do not fit, whenever they are others
 * @returns a function that stops listening
 */
export function watchFit(
  list: HTMLElement,
  toggle: HTMLElement,
  items: readonly FittedItem[],
  report: (beyond: readonly string[]) => void,
): () => void {
  const navigation = list.parentElement?.parentElement;
  if (!navigation) return () => undefined;
  let last: string | null = null;
  const measure = () => {
    const { columnGap } = getComputedStyle(list);
    const gap = Number.parseFloat(columnGap) || 0;
    const children = [...list.children].filter(isHtmlElement);
    const widths = naturalWidths(list, children);
    const staying = fit(
      items.map(({ priority }, index) => ({
        width: widths[index] ?? 0,
        priority,
        current: children[index]?.querySelector(`:scope > ${markedSelector}`) !== null,
      })),
      { room: navigation.clientWidth, gap, more: toggleWidth(toggle) },
    );
    const beyond = items.filter((_, index) => !staying.includes(index)).map(({ key }) => key);
    const name = beyond.join('\n');
    if (name === last) return;
    last = name;
    report(beyond);
  };
  const observer = new ResizeObserver(measure);
  observer.observe(navigation);
  // A current item always stays, and another may have to go for it.
  const marks = new MutationObserver(measure);
  marks.observe(list, {
    attributes: true,
    attributeFilter: ['aria-current'],
    subtree: true,
    childList: true,
    characterData: true,
  });
  // Letters that arrive late have other widths. The promise of the standard is no better: to ask for it lays out the page.
  const { fonts } = list.ownerDocument;
  fonts.addEventListener('loadingdone', measure);
  const endKeys = listenForMoreKeys(list, toggle);
  return () => {
    endKeys();
    observer.disconnect();
    marks.disconnect();
    fonts.removeEventListener('loadingdone', measure);
  };
}

/** What the items take in one row. They are shown so for the moment of measuring, and nothing is drawn meanwhile. */
function naturalWidths(list: HTMLElement, children: readonly HTMLElement[]): readonly number[] {
  list.toggleAttribute('data-ft-measured', true);
  const widths = children.map((child) => child.getBoundingClientRect().width);
  list.toggleAttribute('data-ft-measured', false);
  return widths;
}

function toggleWidth(toggle: HTMLElement): number {
  toggle.toggleAttribute('data-ft-measured', true);
  const { width } = toggle.getBoundingClientRect();
  const { marginInlineStart } = getComputedStyle(toggle);
  toggle.toggleAttribute('data-ft-measured', false);
  return width + (Number.parseFloat(marginInlineStart) || 0);
}

/**
 * Tab goes from the toggle into what it shows, and on past the toggle from there, as the browser does it for what a
 * button pops up: in the document the items stand in their own order, before the toggle.
 *
 * @returns a function that stops listening
 */
function listenForMoreKeys(list: HTMLElement, toggle: HTMLElement): () => void {
  const listening = new AbortController();
  const { signal } = listening;
  const beyond = () =>
    [...list.querySelectorAll<HTMLElement>('[data-ft-beyond] :is(a[href], button)')].filter((element) => {
      return getComputedStyle(element).visibility === 'visible';
    });
  toggle.addEventListener(
    'keydown',
    (event) => {
      const [first] = beyond();
      if (event.key !== 'Tab' || !first) return;
      first.focus();
      // Backwards the browser goes on by itself, from the first of them to what stands before it.
      if (!event.shiftKey) event.preventDefault();
    },
    { signal },
  );
  list.addEventListener(
    'keydown',
    (event) => {
      const all = beyond();
      if (event.key !== 'Tab' || !isHtmlElement(event.target)) return;
      const index = all.indexOf(event.target);
      if (index === (event.shiftKey ? 0 : all.length - 1) && index !== -1) {
        toggle.focus();
        if (event.shiftKey) event.preventDefault();
      }
    },
    { signal },
  );
  return () => listening.abort();
}
