import { keyTarget } from '../core/interaction/keys.ts';
import { seenControls } from './focusables.ts';
import { isHtmlElement } from './nodes.ts';

/**
 * Up, Down, Home and End along the links and buttons of a column that can be seen, and from the field above it into them.
 * They come on top of Tab, which goes everywhere by itself.
 *
 * @param root holds the list, and the field where there is one
 * @returns ends it
 */
export function listenForColumnKeys(root: HTMLElement, listSelector: string): () => void {
  const listening = new AbortController();
  root.addEventListener(
    'keydown',
    (event) => {
      if (event.defaultPrevented || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
      const { target, key } = event;
      if (!isHtmlElement(target)) return;
      const next = targetOf(root, listSelector, target, key);
      if (!next) return;
      event.preventDefault();
      next.focus();
    },
    { signal: listening.signal },
  );
  return () => listening.abort();
}

function targetOf(root: HTMLElement, listSelector: string, from: HTMLElement, key: string): HTMLElement | null {
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
