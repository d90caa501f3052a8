import type { Probe } from '../probe.ts';

export const deadLink: Probe = {
  id: 'dead-link',
  title: 'A link of the navigation leads to a missing page.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone who follows it.',
  remedy: 'Correct the address, or remove the link from the menu.',
  standard: 'HTTP Semantics (RFC 9110), sections 15.5.5 and 15.5.11',
};
