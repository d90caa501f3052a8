import { useEffect, useRef, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { useStable } from '../react/use-stable.ts';
import { CopyText } from './copy-text.tsx';
import { notesMarkdown, notesOf, type ComputedNames, type NoteTable } from './notes.ts';
import { useSheetExtras } from './sheet-extras.ts';
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
  const { changes = '' } = useSheetExtras();
  const [isOpen, setOpen] = useState(false);
  const [tables, setTables] = useState<readonly NoteTable[]>([]);
  const details = useRef<HTMLDetailsElement>(null);
  const read = useStable(() => {
    for (const animation of document.getAnimations()) animation.finish();
    setTables(notesOf(document, table, names));
  });
  // Once the table is in the document as it is now: what is drawn is no value, and its round stands for it.
  useEffect(() => {
    if (!isOpen) return undefined;
    const waiting = requestAnimationFrame(read);
    return () => cancelAnimationFrame(waiting);
  }, [isOpen, document, table, names, round, read]);
  useEffect(() => (details.current ? openForPrint(details.current, () => flushSync(read)) : undefined), [read]);
  return (
    <details
      ref={details}
      className="ft-sheet-notes"
      data-ft-notes={table.name}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary>Notes for hand-over: {table.title}</summary>
      {tables.length > 0 && (
        <>
          {tables.map(({ title, columns, rows }) => (
            <div
              key={title}
              className="ft-sheet-wide"
              tabIndex={0}
              role="region"
              aria-label={`${table.title}: ${title}`}
            >
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
                        <td key={columns[index]}>
                          {index > 1 && title.startsWith('How') ? <code>{cell}</code> : cell}
                        </td>
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
          <CopyText
            label="As Markdown"
            text={[notesMarkdown(table.title, tables), changes].filter(Boolean).join('\n')}
            rows={6}
          />
        </>
      )}
    </details>
  );
}

/** On paper no one can open what is closed. */
function openForPrint(details: HTMLDetailsElement, read: () => void): () => void {
  let wasOpen = details.open;
  const open = () => {
    wasOpen = details.open;
    details.open = true;
    read();
  };
  const close = () => {
    details.open = wasOpen;
  };
  window.addEventListener('beforeprint', open);
  window.addEventListener('afterprint', close);
  return () => {
    window.removeEventListener('beforeprint', open);
    window.removeEventListener('afterprint', close);
  };
}
