import type { AnnexEffect, AnnexEvent } from '../core/interaction/annex.ts';
import type { GroupsEvent } from '../core/interaction/groups.ts';
import type { OverlayEffect, OverlayEvent } from '../core/interaction/overlay.ts';
import type { MoreEvent } from '../core/view/pieces.ts';
import { whenAnimated } from './animations.ts';
import { focusedAround, seenControls, watchFocusWithin } from './focus.ts';
import { listenForLeaving } from './leaving.ts';
import { isElement, isNode } from './nodes.ts';

const find = (root: HTMLElement, selector: string) => root.querySelector<HTMLElement>(selector);

/** Carries out what a sidebar's overlay asks of the document, beside covering the page. */
export function carryOutOverlay(
  root: HTMLElement,
  effect: Exclude<OverlayEffect, { readonly type: 'cover' | 'uncover' }>,
  send: (event: OverlayEvent) => void,
): void {
  const panel = find(root, '.ft-sidebar-panel');
  if (effect.type === 'await-close') whenAnimated(panel, () => send({ type: 'closed' }));
  else if (effect.target === 'trigger') find(root, '.ft-sidebar-toggle')?.focus();
  else if (!focusAnnex(root)) focusFirst(panel);
}

/** An annex that lies over the sidebar is where a reader begins; beside it, it is not. */
function focusAnnex(root: HTMLElement): boolean {
  const annex = find(root, '.ft-annex:not([inert])');
  if (!annex || getComputedStyle(annex).position !== 'fixed') return false;
  find(annex, '.ft-annex-title')?.focus();
  return true;
}

/** What is marked is where a reader begins, else the first thing that takes focus. */
function focusFirst(panel: HTMLElement | null): void {
  const seen = panel ? seenControls(panel, 'input') : [];
  (seen.find((element) => element.getAttribute('aria-current') === 'page') ?? seen[0])?.focus();
}

/** Sends what happens around an open overlay to its machine. Returns a function that stops listening. */
export function listenWhileCovering(root: HTMLElement, send: (event: OverlayEvent) => void): () => void {
  const partOf = (target: EventTarget | null) => (isNode(target) && root.contains(target) ? root : null);
  return listenForLeaving({ root, partOf, inner: false }, send);
}

/**
 * Watches whether a sidebar stands behind its toggle, as the stylesheet decides it. Where that hides what has focus, focus
 * goes to what stands in its place.
 *
 * @returns a function that stops listening
 */
export function watchStanding(root: HTMLElement, report: (isNarrow: boolean) => void): () => void {
  const { ownerDocument: document } = root;
  const focus = watchFocusWithin(root);
  let wasNarrow: boolean | null = null;
  const look = () => {
    const toggle = find(root, '.ft-sidebar-toggle');
    const isNarrow = toggle !== null && getComputedStyle(toggle).display !== 'none';
    if (isNarrow === wasNarrow) return;
    const panel = find(root, '.ft-sidebar-panel');
    const activeElement = focusedAround(root);
    const isInPanel = panel?.contains(activeElement) === true;
    // Or on nothing by now, since the browser takes it from what it hides.
    const hadFocus = focus.isWithin();
    // At the first look nothing has gone that focus would have to be brought back from.
    const hasWidened = wasNarrow === true;
    wasNarrow = isNarrow;
    report(isNarrow);
    if (!hadFocus || !panel) return;
    if (isNarrow && getComputedStyle(panel).visibility === 'hidden') toggle.focus();
    else if (hasWidened && !isInPanel && !activeElement?.closest('.ft-annex')) focusFirst(panel);
  };
  // It tells of the first size too, once the page has been laid out: asking at once would lay it out once more.
  const observer = new ResizeObserver(look);
  observer.observe(document.documentElement);
  return () => {
    observer.disconnect();
    focus.end();
  };
}

/**
 * Remembers where a gap of a list begins.
 *
 * @returns what moves focus to the first item that came into its place; null if the gap had no focus
 */
export function followGap(root: HTMLElement, { list, piece }: MoreEvent): (() => void) | null {
  const button = find(root, `[data-ft-more="${CSS.escape(`${list}/${piece}`)}"]`);
  if (!button || button !== focusedAround(root)) return null;
  const before = button.closest('li')?.previousElementSibling;
  return () => before?.nextElementSibling?.querySelector<HTMLElement>('a, button')?.focus();
}

/** Tells when a group that is closing has come to rest. */
export function awaitGroup(root: HTMLElement, id: string, send: (event: GroupsEvent) => void): void {
  const panel = find(root, `[data-ft-item="${CSS.escape(id)}"] > .ft-panel`);
  whenAnimated(panel, () => send({ type: 'closed', id }));
}

/**
 * Carries out what an annex asks of the document. Going to an address is the router's.
 *
 * @param isFocused whether focus is in the annex, or was when that began to leave
 */
export function carryOutAnnex(
  root: HTMLElement,
  effect: Exclude<AnnexEffect, { readonly type: 'navigate' }>,
  send: (event: AnnexEvent) => void,
  isFocused: () => boolean,
): void {
  if (effect.type === 'keep-focus' && !isFocused()) return;
  if (effect.type === 'await-leave') whenAnimated(find(root, '.ft-annex'), () => send({ type: 'left' }));
  else if (effect.type === 'focus-heading') find(root, '.ft-annex-title')?.focus();
  else find(root, `[data-ft-item="${CSS.escape(effect.id)}"] > .ft-annex-trigger`)?.focus();
}

/** Calls back when Escape is pressed in an annex, or on its item. Returns a function that stops listening. */
export function listenForAnnexEscape(root: HTMLElement, send: (event: AnnexEvent) => void): () => void {
  const listening = new AbortController();
  root.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Escape' || event.defaultPrevented || event.isComposing) return;
      if (!isElement(event.target) || !event.target.closest('.ft-annex, .ft-annex-trigger')) return;
      // What lies around it, such as an overlay, stays open.
      event.preventDefault();
      send({ type: 'escape' });
    },
    { signal: listening.signal },
  );
  return () => listening.abort();
}
