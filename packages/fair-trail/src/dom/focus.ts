/** Where a reader begins on a new page: the main content's first heading, or the main content itself. */
export function contentStart(document: Document): HTMLElement | null {
  const main = document.querySelector<HTMLElement>('main, [role="main"]');
  return main?.querySelector<HTMLElement>('h1') ?? main;
}

/** Moves focus to an element that takes none by itself, and leaves it as it was once focus has gone on. */
export function focusOnce(element: HTMLElement): void {
  if (!element.hasAttribute('tabindex')) {
    element.setAttribute('tabindex', '-1');
    element.addEventListener('blur', () => element.removeAttribute('tabindex'), { once: true });
  }
  element.focus({ preventScroll: true });
}
