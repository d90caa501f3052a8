import { isElement, isHtmlElement } from './nodes.ts';

/**
 * While a view transition runs, presses land on the root element, whatever is seen below the pointer (CSS View
 * Transitions 1, section 6.2: captured content takes no hits, and neither does anything while rendering is suppressed).
 * The first press ends the transition, and its click goes to what is there.
 *
 * @returns a function that stops listening for presses; a click that is under way still arrives
 */
export function letPressesThrough(document: Document, transition: ViewTransition): () => void {
  const root = document.documentElement;
  const listening = new AbortController();
  const onPress = ({ target }: Event) => {
    if (target !== root) return;
    transition.skipTransition();
    const pressing = new AbortController();
    const { signal } = pressing;
    const options = { capture: true, signal } as const;
    document.addEventListener(
      'click',
      (event) => {
        pressing.abort();
        if (event.target === root) void passOn(document, transition, event);
      },
      options,
    );
    // The press went another way: it was dragged, or became a scroll.
    document.addEventListener('pointerdown', () => pressing.abort(), options);
  };
  document.addEventListener('pointerdown', onPress, { capture: true, signal: listening.signal });
  return () => listening.abort();
}

/** Gives the click to what stands where it was made, as soon as that can be known. */
async function passOn(document: Document, transition: ViewTransition, event: MouseEvent): Promise<void> {
  event.stopImmediatePropagation();
  await transition.finished.catch(() => undefined);
  const target = document.elementFromPoint(event.clientX, event.clientY);
  if (!isElement(target)) return;
  // What the press would have done before the click.
  const focused = target.closest('a[href], button, input, select, textarea, [tabindex]');
  if (isHtmlElement(focused)) focused.focus({ preventScroll: true });
  const { MouseEvent } = document.defaultView ?? globalThis;
  target.dispatchEvent(new MouseEvent('click', eventInit(event)));
}

function eventInit(event: MouseEvent): MouseEventInit {
  const { clientX, clientY, screenX, screenY, button, ctrlKey, shiftKey, altKey, metaKey, detail, view } = event;
  const keys = { ctrlKey, shiftKey, altKey, metaKey };
  const at = { clientX, clientY, screenX, screenY };
  return { bubbles: true, cancelable: true, composed: true, ...at, ...keys, button, detail, view };
}
