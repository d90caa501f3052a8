import type { RuleDescription } from 'fair-trail/audit';

/** A thing that can be wrong with navigation and that is found only by using it. */
export type Probe = RuleDescription;
