import { memo, type ReactNode } from 'react';
import type { ViewSurroundings } from '../react/view.tsx';
import { bands } from './bands.ts';
import type { Conditions } from './conditions.ts';
import { Frame } from './frame.tsx';
import { SpecimenCell } from './specimen-cell.tsx';
import { columnsOf, type SpecimenTable } from './specimen.ts';

export interface StateTableProps {
  readonly table: SpecimenTable;
  readonly conditions: Conditions;
  readonly slots: ViewSurroundings['slots'];
  readonly onReady?: (document: Document) => void;
}

/** The column of row titles, in rem. */
const titleWidth = 10;

/** A component in all its states: a row for each of its parts, a column for each state. */
export const StateTable = memo(function StateTable({ table, conditions, slots, onReady }: StateTableProps): ReactNode {
  const columns = columnsOf(table.specimens);
  const room = (conditions.width / (16 * conditions.text)) * 100 - titleWidth - 1.5;
  const runs = bands(
    columns.map(() => table.columnWidth),
    room,
  );
  return (
    <Frame title={`${table.title}, in every state`} name={table.name} {...(onReady && { onReady })}>
      <div className="ft-sheet-tables" data-ft-table={table.name}>
        {runs.map((run) => (
          <StateBand
            key={run.join()}
            table={table}
            states={run.map((index) => columns[index] ?? '')}
            isWhole={runs.length === 1}
            slots={slots}
          />
        ))}
      </div>
    </Frame>
  );
});

interface StateBandProps {
  readonly table: SpecimenTable;
  readonly states: readonly string[];
  readonly isWhole: boolean;
  readonly slots: ViewSurroundings['slots'];
}

function StateBand({ table, states, isWhole, slots }: StateBandProps): ReactNode {
  const rows = table.specimens.filter((row) => states.some((state) => row.states.includes(state)));
  const width = { inlineSize: `${table.columnWidth}rem` };
  return (
    <table className="ft-sheet-table">
      <caption>{isWhole ? table.title : `${table.title}: ${states.join(', ')}`}</caption>
      <thead>
        <tr>
          <th scope="col">Part</th>
          {states.map((state) => (
            <th key={state} scope="col" style={width}>
              {state}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.key} data-ft-sheet-key={row.key} data-ft-find={row.find}>
            <th scope="row">
              <span className="ft-sheet-row-label">{row.label}</span>
              <span className="ft-sheet-row-part">{row.part}</span>
            </th>
            {states.map((state) => (
              <td key={state}>
                {row.states.includes(state) ? (
                  <SpecimenCell
                    specimen={row}
                    state={state}
                    slots={slots}
                    id={`${table.name}-${row.key}-${state}`.replaceAll(/[^\w-]/gu, '_')}
                  />
                ) : (
                  <span className="ft-sheet-none">–</span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
