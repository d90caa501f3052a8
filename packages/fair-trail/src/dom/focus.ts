import { contentSelector, isHtmlElement } from './nodes.ts';

/** Where a reader begins in new content: its first heading of the first level, or else the content itself. */
export function contentStart(document: Document, content: Element | null = null): HTMLElement | null {
  const whole = content ?? document.querySelector<HTMLElement>(contentSelector);
  const heading = whole?.querySelector<HTMLElement>('h1') ?? (content ? whole?.querySelector<HTMLElement>('h2') : null);
  return heading ?? (isHtmlElement(whole) ? whole : null);
}

/** Moves focus to an element that takes none by itself, and leaves it as it was once focus has gone on. */
export function focusOnce(element: HTMLElement): void {
  element.focus({ preventScroll: true });
  if (element.ownerDocument.activeElement === element) return;
  element.setAttribute('tabindex', '-1');
  element.addEventListener('blur', () => element.removeAttribute('tabindex'), { once: true });
  element.focus({ preventScroll: true });
}
