import type { Probe } from './probe.ts';
import type { AuditedPage } from './audited-page.ts';

/** Something that is tried on a page, for what it may show. */
export interface Attempt {
  readonly name: string;
  readonly probes: readonly Probe[];
  readonly attempt: (used: AuditedPage) => Promise<void>;
  /** Whether what was read of the page has anything to try it on. */
  readonly isPossible: (used: AuditedPage) => boolean;
}
