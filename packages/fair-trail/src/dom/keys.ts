import { keyTarget } from '../core/interaction/keys.ts';
import { seenControls } from './focus.ts';
import { isHtmlElement } from './nodes.ts';

/**
 * Arrow keys, Home and End along the links and triggers of a bar, and down into an open panel and up out of it. They
 * come on top of Tab, which goes everywhere by itself (ARIA Authoring Practices, disclosure navigation).
 *
 * @returns a function that stops listening
 */
export function listenForRowKeys(menu: HTMLElement): () => void {
  const listening = new AbortController();
  menu.addEventListener(
    'keydown',
    (event) => {
      if (event.defaultPrevented || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
      const { target } = event;
      if (!isHtmlElement(target) || target.matches('input, textarea, select, [contenteditable]')) return;
      const next = targetInRow(menu, target, event.key);
      if (!next) return;
      event.preventDefault();
      next.focus();
    },
    { signal: listening.signal },
  );
  return () => listening.abort();
}

function targetInRow(menu: HTMLElement, from: HTMLElement, key: string): HTMLElement | null {
  const panel = from.closest<HTMLElement>('.ft-panel');
  const style = getComputedStyle(menu);
  const direction = style.direction === 'rtl' ? 'rtl' : 'ltr';
  if (!panel) {
    const own = from.parentElement?.querySelector<HTMLElement>(':scope > .ft-panel');
    const isOpen = from.getAttribute('aria-expanded') === 'true';
    if (key === 'ArrowDown' && own && isOpen) return seenControls(own)[0] ?? null;
  }
  const column = panel !== null || style.flexDirection === 'column';
  const among = seenControls(panel ?? menu).filter((element) => panel !== null || !element.closest('.ft-panel'));
  const orientation = column ? 'vertical' : 'horizontal';
  const index = among.indexOf(from);
  const next = keyTarget({ key, index, count: among.length, orientation, direction });
  if (next !== null) return among[next] ?? null;
  // Up from the first is back to the trigger.
  if (panel && key === 'ArrowUp' && index === 0) {
    return panel.parentElement?.querySelector<HTMLElement>(':scope > .ft-panel-trigger') ?? null;
  }
  return null;
}

/**
 * Up, Down, Home and End along the links and buttons of a column that can be seen, and from the field above it into them.
 * They come on top of Tab, which goes everywhere by itself.
 *
 * @param root holds the list, and the field if there is one
 * @returns a function that stops listening
 */
export function listenForColumnKeys(root: HTMLElement, listSelector: string): () => void {
  const listening = new AbortController();
  root.addEventListener(
    'keydown',
    (event) => {
      if (event.defaultPrevented || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
      const { target, key } = event;
      if (!isHtmlElement(target)) return;
      const next = targetInColumn(root, listSelector, target, key);
      if (!next) return;
      event.preventDefault();
      next.focus();
    },
    { signal: listening.signal },
  );
  return () => listening.abort();
}

function targetInColumn(root: HTMLElement, listSelector: string, from: HTMLElement, key: string): HTMLElement | null {
  const field = root.querySelector<HTMLElement>('input[type="search"]');
  const list = root.querySelector<HTMLElement>(listSelector);
  if (!list) return null;
  const isField = from === field;
  // In a field, Home and End are the text's.
  if (!isField && (!list.contains(from) || from.matches('input, textarea, select, [contenteditable]'))) return null;
  if (isField && key !== 'ArrowDown') return null;
  const among = seenControls(list);
  const index = among.indexOf(from);
  const next = keyTarget({ key, index, count: among.length, orientation: 'vertical' });
  if (next !== null) return among[next] ?? null;
  return key === 'ArrowUp' && index === 0 ? field : null;
}

/**
 * Space activates what is a link for those without scripts and a button for all others, as it does any button.
 *
 * @returns a function that stops listening
 */
export function listenForSpace(root: HTMLElement): () => void {
  const listening = new AbortController();
  root.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== ' ' || event.defaultPrevented || !isHtmlElement(event.target)) return;
      if (!event.target.matches('a[role="button"]')) return;
      // The page must not scroll by it.
      event.preventDefault();
      event.target.click();
    },
    { signal: listening.signal },
  );
  return () => listening.abort();
}
