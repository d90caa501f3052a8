import type { ProblemCode, Report } from 'fair-trail/internal/core';

export type Level = 'error' | 'warning' | 'note';

/** What a comparison of two site files reports; `docs/problems.md` explains each. */
export const comparisonCodes = [
  'address-lost',
  'language-changed',
  'page-added',
  'page-removed',
  'page-renamed',
  'page-moved',
] as const;

export type FindingCode = ProblemCode | (typeof comparisonCodes)[number];

/** What a command reports of a site file. The remedy is empty where there is nothing to do. */
export interface Finding extends Report<FindingCode, Level> {
  readonly file: string;
  readonly pointer: string;
  readonly line: number | null;
  readonly column: number | null;
}
