import type { ProblemCode } from 'fair-trail/internal/core';

export type Level = 'error' | 'warning' | 'note';

/** One thing to tell, wherever it comes from. */
export interface Finding {
  readonly code:
    ProblemCode | 'address-lost' | 'language-changed' | 'page-added' | 'page-removed' | 'page-renamed' | 'page-moved';
  readonly level: Level;
  readonly message: string;
  /** What to do; empty where there is nothing to do. */
  readonly remedy: string;
  readonly file: string;
  readonly pointer: string;
  readonly line: number | null;
  readonly column: number | null;
}
