import { contentSelector, isHtmlElement, isNode } from './nodes.ts';

/** Where a reader begins in new content: its first heading of the first level, or else the content itself. */
export function contentStart(document: Document, content: Element | null = null): HTMLElement | null {
  const whole = content ?? document.querySelector<HTMLElement>(contentSelector);
  const heading = whole?.querySelector<HTMLElement>('h1') ?? (content ? whole?.querySelector<HTMLElement>('h2') : null);
  return heading ?? (isHtmlElement(whole) ? whole : null);
}

/** Moves focus to an element that takes none by itself, and leaves it as it was once focus has gone on. */
export function focusOnce(element: HTMLElement): void {
  // Asked before, and not tried: each try lays the page out.
  if (element.tabIndex < 0 && !element.hasAttribute('tabindex')) {
    element.setAttribute('tabindex', '-1');
    element.addEventListener('blur', () => element.removeAttribute('tabindex'), { once: true });
  }
  element.focus({ preventScroll: true });
}

/** Whether an element can be seen, as far as layout and `visibility` say it. */
export function isSeen(element: Element): boolean {
  return element.getClientRects().length > 0 && getComputedStyle(element).visibility === 'visible';
}

/**
 * The links and buttons in an element that can be seen, in the order of the document.
 *
 * @param besides selects what else counts. Default: nothing.
 */
export function seenControls(within: ParentNode, besides = ''): HTMLElement[] {
  const selector = `a[href], button:not([disabled])${besides === '' ? '' : `, ${besides}`}`;
  return [...within.querySelectorAll<HTMLElement>(selector)].filter(isSeen);
}

const focusables = 'a[href], button:not([disabled]), input, select, textarea, [tabindex]:not([tabindex="-1"])';

/** Moves focus to the first thing after an element that takes it, or to the page's main content. */
export function focusAfter(element: Element): void {
  const { ownerDocument: document } = element;
  const after = [...document.querySelectorAll<HTMLElement>(focusables)].find((other) => {
    const isAfter = element.compareDocumentPosition(other) & Node.DOCUMENT_POSITION_FOLLOWING;
    return isAfter && !element.contains(other) && other.getClientRects().length > 0;
  });
  (after ?? document.querySelector<HTMLElement>('main'))?.focus();
}

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

/** What has focus, as seen from an element: of what is in a shadow root, the document knows the host alone. */
export function focusedAround(element: Element): Element | null {
  const root = element.getRootNode() as Node & Partial<DocumentOrShadowRoot>;
  return root.activeElement === undefined ? element.ownerDocument.activeElement : root.activeElement;
}

/** What is hidden or inert takes no focus. */
function takesFocus(element: HTMLElement): boolean {
  element.focus({ preventScroll: true });
  return focusedAround(element) === element;
}

/** Knows whether focus is within an element, also when what had it has just been taken away or hidden. */
export interface FocusWatch {
  readonly isWithin: () => boolean;
  readonly end: () => void;
}

/** What is taken away takes its focus along, and not every browser says so: it is then on nothing, and was here last. */
export function watchFocusWithin(root: HTMLElement): FocusWatch {
  const { ownerDocument: document } = root;
  let wasHere = root.matches(':focus-within');
  const listening = new AbortController();
  const { signal } = listening;
  // The composed path begins within shadow roots, which the target hides.
  const isOfRoot = (event: Event) => {
    const [target] = event.composedPath();
    return isNode(target) && root.contains(target);
  };
  document.addEventListener('focusin', (event) => (wasHere = isOfRoot(event)), { signal });
  // A press on nothing takes focus away from where it was.
  document.addEventListener(
    'pointerdown',
    (event) => {
      if (!isOfRoot(event)) wasHere = false;
    },
    { signal },
  );
  return {
    isWithin: () => root.matches(':focus-within') || (wasHere && document.activeElement === document.body),
    end: () => listening.abort(),
  };
}
