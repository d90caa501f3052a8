import { to, type Transition } from './machine.ts';

/** A trigger that shows and hides a panel, after the disclosure pattern of the ARIA Authoring Practices. */
export interface DisclosureState {
  readonly expanded: boolean;
}

export type DisclosureEvent =
  /** The trigger was activated. */
  | { readonly type: 'toggle' }
  /** Escape was pressed. */
  | { readonly type: 'escape'; readonly focusWithin: boolean }
  /** Something else on the page was pressed. */
  | { readonly type: 'outside' }
  /** Focus went on to something outside. */
  | { readonly type: 'focus-left' }
  /** A link in the panel was followed. Focus goes where the page change puts it. */
  | { readonly type: 'chosen' }
  /** Room is no longer short: the panel's content stands in the row. */
  | { readonly type: 'room-enough'; readonly focusOnTrigger: boolean };

export interface DisclosureEffect {
  readonly type: 'focus';
  readonly target: 'trigger' | 'first-link';
}

export const closedDisclosure: DisclosureState = { expanded: false };

export function nextDisclosure(
  state: DisclosureState,
  event: DisclosureEvent,
): Transition<DisclosureState, DisclosureEffect> {
  if (event.type === 'toggle') return to({ expanded: !state.expanded });
  if (event.type === 'room-enough' && event.focusOnTrigger) {
    // The trigger is about to vanish, and focus must not vanish with it.
    return { state: closedDisclosure, effects: [{ type: 'focus', target: 'first-link' }] };
  }
  if (!state.expanded) return to(state);
  if (event.type === 'escape' && event.focusWithin) {
    return { state: closedDisclosure, effects: [{ type: 'focus', target: 'trigger' }] };
  }
  return to(closedDisclosure);
}
