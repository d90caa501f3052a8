import type { ReactNode } from 'react';

/** What is wrong with what the sheet was made of. */
export interface SheetProblem {
  readonly code: string;
  readonly severity: 'fatal' | 'advisory';
  /** Where: a JSON Pointer, or a file with line and column. */
  readonly pointer: string;
  readonly message: string;
  readonly remedy: string;
}

export function ProblemList({ problems }: { readonly problems: readonly SheetProblem[] }): ReactNode {
  if (problems.length === 0) return null;
  const fatal = problems.filter(({ severity }) => severity === 'fatal').length;
  return (
    <section className="ft-sheet-section ft-sheet-problems" aria-labelledby="sheet-problems-title">
      <h2 id="sheet-problems-title">
        {fatal > 0 ? `${fatal} of ${problems.length} problems must be fixed` : 'Advice'}
      </h2>
      <ol>
        {problems.map(({ code, severity, pointer, message, remedy }) => (
          <li key={`${pointer} ${code} ${message}`}>
            <code>{pointer === '' ? '/' : pointer}</code> <b>{severity === 'fatal' ? code : `advice ${code}`}</b>
            <br />
            {message} {remedy}
          </li>
        ))}
      </ol>
    </section>
  );
}
