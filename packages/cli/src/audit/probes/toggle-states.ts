import type { Probe } from '../probe.ts';

export const toggleStateFrozen: Probe = {
  id: 'toggle-state-frozen',
  title: 'A button opens or closes something, and goes on announcing what was so before.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  hurts: 'People who use a screen reader hear that nothing has happened.',
  remedy: 'Set aria-expanded="true" when it opens, and "false" when it closes, in whatever way it does.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded); WCAG 2.2, 4.1.2',
};
