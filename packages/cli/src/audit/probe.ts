import type { RuleDescription } from 'fair-trail/audit';
import type { UsedPage } from './used-page.ts';

/** A thing that can be wrong with navigation and that is found only by using it. */
export type Probe = RuleDescription;

/** Something that is tried on a page, for what it may show. */
export interface Attempt {
  readonly name: string;
  readonly probes: readonly Probe[];
  readonly attempt: (used: UsedPage) => Promise<void>;
}
