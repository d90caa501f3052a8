import type { DefinedSite } from 'fair-trail';
import type { AuditReport } from './audit-report.ts';
import type { Shard } from './shard.ts';

export interface AuditSettings {
  /** Where the audit begins. */
  readonly start: string;
  /** As it was asked for. */
  readonly target: string;
  readonly widths: readonly number[];
  /** How many pages at most. */
  readonly pages: number;
  readonly only?: readonly string[] | null;
  readonly skip?: readonly string[];
  readonly tool: AuditReport['tool'];
  /** What the reader has set for all pages. Default: light. */
  readonly colorScheme?: 'light' | 'dark';
  /** The site file that the pages are compared with. */
  readonly site?: DefinedSite | null;
  /** This machine's part of the pages: the first of three is `{ index: 1, count: 3 }`. */
  readonly shard?: Shard | null;
  /** How long a page may take to load, and to answer, in milliseconds. Default: 15 000, longer than one that works takes. */
  readonly patience?: number;
  /** Whether pictures are taken of what is found. */
  readonly hasPictures?: boolean;
  /** Called before each page. Once it returns true, the audit stops and reports what it has found. */
  readonly isStopped?: () => boolean;
  /** Called before something is tried on a page, at a width. */
  readonly onTrying?: ((name: string, width: number) => void) | undefined;
  readonly onProgress?: (done: number, known: number) => void;
}

/** Whether a rule was asked for. */
export function isWanted({ only, skip = [] }: AuditSettings, rule: string): boolean {
  return (!only || only.includes(rule)) && !skip.includes(rule);
}
