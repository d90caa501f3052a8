import { useMemo, useRef, type ReactNode } from 'react';
import { useBrowserLayoutEffect } from '../react/trail-context.ts';
import { Frame } from './frame.tsx';
import { showState } from './specimen-cell.tsx';

/** Components of the app's own, to be shown beside the library's. */
export interface OwnSpecimens {
  /** A word for addresses and file names. */
  readonly name: string;
  readonly title: string;
  readonly rows: readonly OwnSpecimen[];
}

/**
 * One component of the app's own, in one state.
 */
export interface OwnSpecimen {
  readonly label: string;
  /** `rest`, `hover`, `focus` and `pressed` are shown by the app's own stylesheets; any other is the app's to draw. */
  readonly states: readonly string[];
  readonly draw: (state: string) => ReactNode;
  /** Finds what is hovered, pressed or has focus. Default: the first link, button or field. */
  readonly find?: string;
}

export interface OwnTableProps {
  readonly specimens: OwnSpecimens;
}

const controls = 'a, button, input, select, textarea, summary, [tabindex]';

export function OwnTable({ specimens }: OwnTableProps): ReactNode {
  const { name, title, rows } = specimens;
  const states = useMemo(() => [...new Set(rows.flatMap((row) => row.states))], [rows]);
  return (
    <Frame title={`${title}, in every state`} name={name}>
      <div className="ft-sheet-tables" data-ft-table={name}>
        <table className="ft-sheet-table">
          <caption>{title}</caption>
          <thead>
            <tr>
              <th scope="col">Part</th>
              {states.map((state) => (
                <th key={state} scope="col" data-ft-column={state}>
                  {state}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.label}>
                <th scope="row">{row.label}</th>
                {states.map((state) => (
                  <td key={state} data-ft-column={state}>
                    {row.states.includes(state) ? (
                      <OwnCell row={row} state={state} />
                    ) : (
                      <span className="ft-sheet-none">–</span>
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Frame>
  );
}

function OwnCell({ row, state }: { readonly row: OwnSpecimen; readonly state: string }): ReactNode {
  const cell = useRef<HTMLDivElement>(null);
  useBrowserLayoutEffect(() => {
    if (cell.current) showState(cell.current, row.find ?? controls, state);
  });
  return (
    <div
      ref={cell}
      className="ft-sheet-specimen"
      role="img"
      aria-label={`${row.label}: ${state}`}
      data-ft-part={row.label}
      data-ft-state={state}
    >
      {row.draw(state)}
    </div>
  );
}
