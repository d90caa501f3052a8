import type { Probe } from '../probe.ts';

export const toggleStateFrozen: Probe = {
  id: 'toggle-state-frozen',
  title: 'The announced state of a button does not change when it opens or closes something.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users hear that nothing has happened.',
  remedy: 'Set aria-expanded="true" when it opens and "false" when it closes, however it closes.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded); WCAG 2.2, 4.1.2',
};
