import { describe, test } from 'vitest';
import { judged } from '../judged.ts';

/** What the tests of a part stand for, so that a report says what was shown. */
export interface StandsFor {
  /** Success criteria of WCAG 2.2, such as `2.1.1`. */
  readonly wcag?: readonly string[];
  /** A pattern of the ARIA Authoring Practices, or a feature of WAI-ARIA, such as `disclosure` or `aria-current`. */
  readonly aria?: string;
}

/** Registers tests that belong together, and that an implementation may have no use for. */
export type DefinePart = (name: string, standsFor: StandsFor, tests: () => void) => void;

/** Parts that do not apply to an implementation, by their names, each with the reason: they are reported as skipped. */
export type SkippedParts = Readonly<Record<string, string>>;

/**
 * Registers the tests of a contract. Each test's name begins with the contract, its part, and in brackets what it stands for.
 *
 * @throws TypeError where a part is left out that there is not, or without a reason
 */
export function registerContract(name: string, skipped: SkippedParts, define: (part: DefinePart) => void): void {
  const names: string[] = [];
  describe(name, () => {
    define((part, standsFor, tests) => {
      names.push(part);
      const reason = Object.hasOwn(skipped, part) ? skipped[part] : undefined;
      describe(titleOf(part, standsFor), () => {
        if (reason === undefined) tests();
        else test('is left out', ({ skip }) => skip(reason));
      });
    });
    for (const [part, reason] of Object.entries(skipped)) {
      if (!names.includes(part)) {
        const known = names.map((one) => `"${one}"`).join(', ');
        throw new TypeError(`The contract "${name}" has no part "${part}" that could be left out. It has ${known}.`);
      }
      if (reason.trim() === '') throw new TypeError(`Say why "${part}" of the contract "${name}" does not apply.`);
    }
  });
}

function titleOf(name: string, { wcag = [], aria }: StandsFor): string {
  const stands = [
    ...(wcag.length > 0 ? [`WCAG ${wcag.join(', ')}`] : []),
    ...(aria === undefined ? [] : [`ARIA ${aria}`]),
  ];
  return stands.length === 0 ? name : `${name} [${stands.join('; ')}]`;
}

/** One promise of a contract. */
export interface ContractClause<Subject> {
  readonly name: string;
  /** Fails where the subject does not keep it. */
  readonly run: (subject: Subject) => Promise<void>;
  /**
   * What it asks of many pages is a test for each of them: a test is short then, and a late one names its page. Without
   * any, the promise is one test.
   */
  readonly cases?: (subject: Subject) => readonly ContractCase<Subject>[];
}

/** The subject with as many of its pages as one test needs. */
export interface ContractCase<Subject> {
  readonly name: string;
  readonly subject: Subject;
}

/**
 * Makes a test for each page of a subject.
 *
 * @param nameOf names the page in the title of its test
 */
export function eachPage<Page>(nameOf: (page: Page) => string) {
  return <Subject extends { readonly pages: readonly Page[] }>(subject: Subject): readonly ContractCase<Subject>[] =>
    subject.pages.map((page) => ({ name: nameOf(page), subject: { ...subject, pages: [page] } }));
}

/** Promises that belong together, and that a subject may have no use for. */
export interface ContractPart<Subject> extends StandsFor {
  readonly name: string;
  readonly clauses: readonly ContractClause<Subject>[];
}

/** Registers each promise as a test. What the host of the subject cannot judge is reported as skipped. */
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
          const cases = clause.cases?.(subject) ?? [];
          if (cases.length === 0) {
            test(
              clause.name,
              judged(() => clause.run(subject)),
            );
          } else {
            describe(clause.name, () => {
              for (const each of cases) {
                test(
                  each.name,
                  judged(() => clause.run(each.subject)),
                );
              }
            });
          }
        }
      });
    }
  });
}
