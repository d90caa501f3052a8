import { useMemo, type ReactNode } from 'react';
import { CopyText } from './copy-text.tsx';
import { notesMarkdown, notesOf, type ComputedNames } from './notes.ts';
import type { SpecimenTable } from './specimen.ts';

export interface NotesSectionProps {
  readonly table: SpecimenTable;
  /** Where the table is drawn. */
  readonly document: Document;
  readonly names: ComputedNames | null;
  /** Changes whenever the table is drawn otherwise. */
  readonly round: number;
}

/** What whoever builds or tests a component has to know of it, read from how it is drawn. */
export function NotesSection({ table, document, names, round }: NotesSectionProps): ReactNode {
  // eslint-disable-next-line react-hooks/exhaustive-deps -- What is drawn is no value: its round stands for it.
  const tables = useMemo(() => notesOf(document, table, names), [document, table, names, round]);
  return (
    <details className="ft-sheet-notes" data-ft-notes={table.name}>
      <summary>Notes for hand-over: {table.title}</summary>
      {tables.map(({ title, columns, rows }) => (
        <div key={title} className="ft-sheet-wide" tabIndex={0} role="region" aria-label={`${table.title}: ${title}`}>
          <table className="ft-sheet-figures">
            <caption>{title}</caption>
            <thead>
              <tr>
                {columns.map((column) => (
                  <th key={column} scope="col">
                    {column}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((cells) => (
                <tr key={cells.join('\n')}>
                  {cells.map((cell, index) => (
                    <td key={columns[index]}>{index > 1 && title.startsWith('How') ? <code>{cell}</code> : cell}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ))}
      {names === null && (
        <p>Roles and names are computed by a browser: the command asks one for them where it finds one.</p>
      )}
      <CopyText label="As Markdown" text={notesMarkdown(table.title, tables)} rows={6} />
    </details>
  );
}
