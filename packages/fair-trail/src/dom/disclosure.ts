import type { DisclosureEffect, DisclosureEvent } from '../core/interaction/disclosure.ts';
import { listenForLeaving } from './leaving.ts';
import { isNode } from './nodes.ts';

/** The parts of a disclosure in a document. */
export interface DisclosureParts {
  readonly trigger: HTMLElement;
  readonly panel: HTMLElement;
}

/** Sends what happens around an open disclosure to its machine. Returns a function that stops listening. */
export function listenWhileExpanded(root: HTMLElement, send: (event: DisclosureEvent) => void): () => void {
  const partOf = (target: EventTarget | null) => (isNode(target) && root.contains(target) ? root : null);
  return listenForLeaving({ root, partOf, inner: false }, send);
}

export function carryOutDisclosure({ trigger, panel }: DisclosureParts, effect: DisclosureEffect): void {
  const target = effect.target === 'trigger' ? trigger : panel.querySelector<HTMLElement>('a[href], button');
  target?.focus();
}
