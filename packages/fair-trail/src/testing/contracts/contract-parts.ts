import { test } from 'vitest';
import { judged } from '../judged.ts';
import { registerContract, type SkippedParts, type StandsFor } from './contract.ts';

/** One promise of a contract. */
export interface ContractClause<Subject> {
  readonly name: string;
  /** Fails where the subject does not keep it. */
  readonly run: (subject: Subject) => Promise<void>;
}

/** Promises that belong together, and that a subject may have no use for. */
export interface ContractPart<Subject> extends StandsFor {
  readonly name: string;
  readonly clauses: readonly ContractClause<Subject>[];
}

/** Registers each promise as a test. What the host of the subject cannot judge is told as skipped. */
export function registerParts<Subject>(
  name: string,
  parts: readonly ContractPart<Subject>[],
  subject: Subject,
  skipped: SkippedParts,
): void {
  registerContract(name, skipped, (part) => {
    for (const { name: partName, clauses, ...standsFor } of parts) {
      part(partName, standsFor, () => {
        for (const clause of clauses) {
          test(
            clause.name,
            judged(() => clause.run(subject)),
          );
        }
      });
    }
  });
}
