import type { ReactNode } from 'react';

interface TableProps {
  readonly caption: string;
  readonly head: readonly string[];
  /** The first cell of each row names it. */
  readonly rows: readonly (readonly ReactNode[])[];
}

/** A table that scrolls sideways by itself where the screen is narrow, so that the page never does. */
export function Table({ caption, head, rows }: TableProps): ReactNode {
  return (
    <div className="table-scroller" role="region" aria-label={caption} tabIndex={0}>
      <table>
        <caption>{caption}</caption>
        <thead>
          <tr>
            {head.map((title) => (
              <th key={title} scope="col">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([first, ...others], row) => (
            <tr key={row}>
              <th scope="row">{first}</th>
              {others.map((cell, column) => (
                <td key={column}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
