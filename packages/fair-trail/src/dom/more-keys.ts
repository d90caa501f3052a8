import { isHtmlElement } from './nodes.ts';

/**
 * Tab goes from the toggle into what it shows, and on past the toggle from there, as the browser does it for what a
 * button pops up: in the document the items stand in their own order, before the toggle.
 *
 * @returns ends it
 */
export function listenForMoreKeys(list: HTMLElement, toggle: HTMLElement): () => void {
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
