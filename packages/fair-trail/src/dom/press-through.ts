import { isElement, isHtmlElement } from './nodes.ts';

/**
 * While a view transition runs, presses land on the root element, whatever is seen below the pointer (CSS View
 * Transitions 1, section 6.2: captured content takes no hits, and neither does anything while rendering is suppressed).
 * A press skips the rest of the transition, and its click goes to what is there; so does the click of a press that began
 * just before.
 *
 * @returns a function that stops listening, once a press that is under way has had its click
 */
export function letPressesThrough(document: Document, transition: ViewTransition): () => void {
  const root = document.documentElement;
  const listening = new AbortController();
  const options = { capture: true, signal: listening.signal } as const;
  let isPressed = false;
  let hasEnded = false;
  const endWhenDone = () => {
    if (hasEnded && !isPressed) listening.abort();
  };
  const onPress = ({ target }: Event) => {
    isPressed = target === root && !hasEnded;
    if (isPressed) transition.skipTransition();
    endWhenDone();
  };
  const onClick = (event: MouseEvent) => {
    if (event.target === root && event.isTrusted) void passOn(document, transition, event);
    isPressed = false;
    endWhenDone();
  };
  document.addEventListener('pointerdown', onPress, options);
  document.addEventListener('click', onClick, options);
  return () => {
    hasEnded = true;
    endWhenDone();
  };
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
