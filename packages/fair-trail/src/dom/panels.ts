import type { DisclosuresEffect, DisclosuresEvent } from '../core/interaction/disclosures.ts';
import { whenAnimated } from './animations.ts';
import { listenForLeaving } from './leaving.ts';
import { isElement } from './nodes.ts';

/** The parts of a document that a panel is made of. */
export interface PanelParts {
  readonly item: HTMLElement;
  readonly trigger: HTMLElement;
  readonly panel: HTMLElement;
}

/** The panel of a bar's item, by the item's key. */
export function findPanel(root: ParentNode, id: string): PanelParts | null {
  const item = root.querySelector<HTMLElement>(`[data-ft-item="${CSS.escape(id)}"]`);
  const trigger = item?.querySelector<HTMLElement>(':scope > .ft-panel-trigger');
  const panel = item?.querySelector<HTMLElement>(':scope > .ft-panel');
  return item && trigger && panel ? { item, trigger, panel } : null;
}

/** Carries out what a set of panels asks for, once the document shows their new state. */
export function carryOutPanels(
  root: HTMLElement,
  effect: DisclosuresEffect,
  send: (event: DisclosuresEvent) => void,
): void {
  const parts = findPanel(root, effect.id);
  if (effect.type === 'focus-trigger') parts?.trigger.focus();
  else whenAnimated(parts?.panel ?? null, () => send({ type: 'closed', id: effect.id }));
}

/** The item with a panel that a target lies in: its link, its trigger, its panel. */
export function itemWithPanel(root: HTMLElement, target: EventTarget | null): HTMLElement | null {
  const item = isElement(target) ? target.closest<HTMLElement>('[data-ft-item]') : null;
  return item && root.contains(item) ? item : null;
}

/** Sends what happens around a set of panels to its machine. Returns a function that stops listening. */
export function listenWhileOpen(root: HTMLElement, send: (event: DisclosuresEvent) => void): () => void {
  return listenForLeaving({ root, partOf: (target) => itemWithPanel(root, target), inner: true }, send);
}

/** Names the panel to hold open, in the address of a page that is being made: `?ft-held=visit`. */
const parameter = 'ft-held';

/** The panel that the page's address holds open, while it is being styled. For development builds. */
export function heldPanel(window: Window | null): string | null {
  return window && new URLSearchParams(window.location.search).get(parameter);
}
