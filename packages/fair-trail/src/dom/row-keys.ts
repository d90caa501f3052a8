import { keyTarget } from '../core/interaction/keys.ts';
import { seenControls } from './focusables.ts';
import { isHtmlElement } from './nodes.ts';

/**
 * Arrow keys, Home and End along the links and triggers of a bar, and down into an open panel and up out of it. They
 * come on top of Tab, which goes everywhere by itself (ARIA Authoring Practices, disclosure navigation).
 *
 * @returns ends it
 */
export function listenForRowKeys(menu: HTMLElement): () => void {
  const listening = new AbortController();
  menu.addEventListener(
    'keydown',
    (event) => {
      if (event.defaultPrevented || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
      const { target } = event;
      if (!isHtmlElement(target) || target.matches('input, textarea, select, [contenteditable]')) return;
      const next = targetOf(menu, target, event.key);
      if (!next) return;
      event.preventDefault();
      next.focus();
    },
    { signal: listening.signal },
  );
  return () => listening.abort();
}

function targetOf(menu: HTMLElement, from: HTMLElement, key: string): HTMLElement | null {
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
