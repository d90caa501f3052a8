import { isHtmlElement } from './nodes.ts';

/**
 * Focuses a link, or the control nearest around it that shows it: the trigger of a closed panel, or the item of a list
 * that holds its list.
 *
 * @returns whether anything took focus
 */
export function focusOnLink(link: HTMLElement): boolean {
  if (takesFocus(link)) return true;
  for (let part = link.parentElement; part; part = part.parentElement) {
    if (controlsAround(part).some((control) => !control.contains(link) && takesFocus(control))) return true;
  }
  return false;
}

/** What opens this part of the document, as its own markup says. */
function controlsAround(part: HTMLElement): readonly HTMLElement[] {
  const named = part.id ? `[aria-controls~="${CSS.escape(part.id)}"]` : null;
  const controls = named === null ? [] : [...part.ownerDocument.querySelectorAll(named)];
  // Of a menu that is written by hand, often only a style rule says that the item shows its list.
  const beside = part.matches('li, details') ? part.querySelectorAll(':scope > :is(a[href], button, summary)') : [];
  return [...controls, ...beside].filter(isHtmlElement);
}

/** What is hidden or inert takes no focus. */
function takesFocus(element: HTMLElement): boolean {
  element.focus({ preventScroll: true });
  return element.ownerDocument.activeElement === element;
}
