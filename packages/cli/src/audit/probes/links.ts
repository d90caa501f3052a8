import type { Probe } from '../probe.ts';

export const deadLink: Probe = {
  id: 'dead-link',
  title: 'A link of the navigation leads to a page that is not there.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  hurts: 'Everybody who follows it.',
  remedy: 'Correct the address, or take the link out of the menu.',
  standard: 'HTTP Semantics (RFC 9110), sections 15.5.5 and 15.5.11',
};
