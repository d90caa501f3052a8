import { type HoverEvent, type HoverState, nextHover, noHover } from '../core/interaction/hover.ts';
import { isElement, isHtmlElement } from './nodes.ts';

/** What has a label that cannot be seen. */
const named = '.ft-link, .ft-rail-button';

/**
 * Shows the labels of what is narrowed to its icons, as WCAG 2.2 asks for content on hover or focus (1.4.13): the pointer
 * may go onto it, it stays until pointer or focus leave, and Escape sends it away. It is only visual: what it is beside
 * has the same text for its name.
 *
 * @param root holds the icons
 * @param tip shows the label
 * @returns a function that stops listening
 */
export function watchTooltips(root: HTMLElement, tip: HTMLElement): () => void {
  const { ownerDocument: document } = root;
  const { defaultView: window } = document;
  if (!window) return () => undefined;
  const listening = new AbortController();
  const { signal } = listening;
  let focused: HTMLElement | null = null;
  /** Sent away, and not shown again before the pointer has been elsewhere. */
  let dismissed: string | null = null;
  let state: HoverState = noHover;
  let timer = 0;

  const icons = () => [...root.querySelectorAll<HTMLElement>(named)];
  const update = () => {
    const shown = (state.shown === null ? undefined : icons()[Number(state.shown)]) ?? focused;
    tip.toggleAttribute('data-ft-shown', shown !== null);
    if (shown) place(tip, shown);
  };
  const send = (event: HoverEvent) => {
    const next = nextHover(state, event);
    state = next.state;
    for (const effect of next.effects) {
      if (effect.type === 'show' || effect.type === 'end') continue;
      window.clearTimeout(timer);
      if (effect.type === 'wait') timer = window.setTimeout(() => send({ type: 'waited' }), effect.milliseconds);
    }
    update();
  };
  root.addEventListener(
    'pointerover',
    ({ pointerType, target }) => {
      if (pointerType !== 'mouse' || !isElement(target)) return;
      const icon = target.closest<HTMLElement>(named);
      // The label itself belongs to what it is beside.
      const id = tip.contains(target) ? state.shown : icon && String(icons().indexOf(icon));
      if (id !== null && id === dismissed) return;
      dismissed = null;
      send(id === null ? { type: 'leave', onTheWay: true } : { type: 'enter', id, onTheWay: false });
    },
    { signal },
  );
  root.addEventListener(
    'pointerleave',
    () => {
      dismissed = null;
      send({ type: 'leave', onTheWay: false });
    },
    { signal },
  );
  root.addEventListener(
    'focusin',
    ({ target }) => {
      focused = isHtmlElement(target) && target.matches(`:is(${named}):focus-visible`) ? target : null;
      update();
    },
    { signal },
  );
  root.addEventListener(
    'focusout',
    () => {
      focused = null;
      update();
    },
    { signal },
  );
  const dismiss = () => {
    focused = null;
    dismissed = state.shown ?? dismissed;
    send({ type: 'cancel' });
  };
  document.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Escape' || !tip.hasAttribute('data-ft-shown')) return;
      // Before anything else that Escape would close: this lies on top of it.
      event.preventDefault();
      dismiss();
    },
    { signal, capture: true },
  );
  // Beside what has scrolled away it would say something of something else.
  root.addEventListener('scroll', dismiss, { signal, capture: true, passive: true });
  root.addEventListener('click', dismiss, { signal });
  return () => {
    listening.abort();
    window.clearTimeout(timer);
    tip.removeAttribute('data-ft-shown');
  };
}

function place(tip: HTMLElement, icon: HTMLElement): void {
  tip.textContent = labelOf(icon);
  const { left, right, top, height } = icon.getBoundingClientRect();
  const isReversed = getComputedStyle(icon).direction === 'rtl';
  const start = isReversed ? icon.ownerDocument.documentElement.clientWidth - left : right;
  tip.style.setProperty('--ft-tip-start', `${start}px`);
  tip.style.setProperty('--ft-tip-top', `${top + height / 2}px`);
}

function labelOf(element: HTMLElement): string {
  return element.querySelector('.ft-label')?.textContent ?? element.textContent;
}
