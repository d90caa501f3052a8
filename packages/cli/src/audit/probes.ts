import type { RuleDescription } from 'fair-trail/audit';

/** A thing that can be wrong with navigation and that is found only by using it. */
export type Probe = RuleDescription;

export const deadLink: Probe = {
  id: 'dead-link',
  title: 'A link of the navigation leads to a page that is not there.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  hurts: 'Everybody who follows it.',
  fix: 'Mend the address, or take the link out of the menu.',
  standard: 'HTTP Semantics (RFC 9110), sections 15.5.5 and 15.5.11',
};

export const focusOnUnseen: Probe = {
  id: 'focus-on-unseen',
  title: 'The keyboard comes to something that cannot be seen.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.7'],
  hurts:
    'People who use the keyboard and look: focus is gone, and comes back who knows where. It is often a closed menu whose links still take it.',
  fix: 'Hide what is closed with visibility: hidden, display: none or inert, and not by its opacity or size alone.',
  standard: 'WCAG 2.2, 2.4.7 Focus Visible',
};

export const toggleDoesNothing: Probe = {
  id: 'toggle-does-nothing',
  title: 'A button that says it opens something does nothing.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  hurts: 'Everybody: what it would open cannot be reached at this width.',
  fix: 'Let a press show what it names, and set aria-expanded. Where scripts are late or fail, do not show it.',
  standard: 'ARIA Authoring Practices, disclosure pattern',
};

export const toggleStateFrozen: Probe = {
  id: 'toggle-state-frozen',
  title: 'A button opens something and goes on saying that it is closed.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  hurts: 'People who listen to the page are told that nothing has happened.',
  fix: 'Set aria-expanded="true" when it opens, and "false" when it closes.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded); WCAG 2.2, 4.1.2',
};

export const toggleMouseOnly: Probe = {
  id: 'toggle-mouse-only',
  title: 'A button opens by mouse, and not by keyboard.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  hurts: 'People who use the keyboard, a switch or their voice: they cannot reach what is behind it.',
  fix: 'Make it a button element: Enter and Space then press it.',
  standard: 'WCAG 2.2, 2.1.1 Keyboard',
};

/** Every probe of the command. */
export const probes: readonly Probe[] = [
  deadLink,
  focusOnUnseen,
  toggleDoesNothing,
  toggleStateFrozen,
  toggleMouseOnly,
];
