import { CopyText } from 'fair-trail/internal/sheet';
import type { ReactNode } from 'react';
import type { SessionChange } from '../model/session-changes.ts';

export interface NotesPanelProps {
  readonly changes: readonly SessionChange[];
  readonly markdown: string;
}

/** What was changed since the session began, for whoever builds it. */
export function NotesPanel({ changes, markdown }: NotesPanelProps): ReactNode {
  return (
    <div className="ft-workbench-body">
      {changes.length === 0 ? (
        <p>Nothing was changed in this session.</p>
      ) : (
        <>
          <div className="ft-sheet-wide" tabIndex={0} role="region" aria-label="Changes of this session">
            <table className="ft-sheet-figures">
              <caption>Changed in this session</caption>
              <thead>
                <tr>
                  <th scope="col">What</th>
                  <th scope="col">Was</th>
                  <th scope="col">Is</th>
                </tr>
              </thead>
              <tbody>
                {changes.map(({ file, what, was, is }) => (
                  <tr key={`${file} ${what}`}>
                    <th scope="row">{what}</th>
                    <td>{was ?? '–'}</td>
                    <td>{is ?? '–'}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <CopyText label="As Markdown" text={markdown} rows={12} />
        </>
      )}
      <p className="ft-workbench-hint">The hand-over notes below each table of the sheet end with this list.</p>
    </div>
  );
}
