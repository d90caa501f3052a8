import type { ContractPart } from './contracts/contract.ts';
import { NotJudged } from './failures.ts';

/** Which promises a subject keeps, and which it breaks. What is not judged is neither. */
export async function promisesOf<Subject>(
  parts: readonly ContractPart<Subject>[],
  subject: Subject,
): Promise<{ readonly kept: readonly string[]; readonly broken: readonly string[] }> {
  const kept: string[] = [];
  const broken: string[] = [];
  for (const { name, run } of parts.flatMap(({ clauses }) => clauses)) {
    await run(subject).then(
      () => kept.push(name),
      (error: unknown) => error instanceof NotJudged || broken.push(name),
    );
  }
  return { kept, broken };
}

/** The text with something in it replaced, which must be there. */
export function replaced(text: string, from: string, to: string): string {
  if (!text.includes(from)) throw new TypeError(`The subject has no "${from}" any more.`);
  return text.replace(from, to);
}
