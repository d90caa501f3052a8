import { memo, type ReactNode } from 'react';
import type { SlotContents } from '../react/printer.ts';
import { bands } from './bands.ts';
import type { Conditions } from './conditions.ts';
import { Frame } from './frame.tsx';
import { SpecimenCell } from './specimen-cell.tsx';
import { columnsOf, type Specimen, type SpecimenTable } from './specimen.ts';

export interface StateTableProps {
  readonly table: SpecimenTable;
  readonly conditions: Conditions;
  readonly slots: SlotContents;
  readonly onReady?: (document: Document) => void;
}

/** The column of row titles, and what lies around the table, in rem. */
const titleWidth = 9;
const around = 1.25;

/** A component in all its states: a row for each of its parts, a column for each state. */
export const StateTable = memo(function StateTable({ table, conditions, slots, onReady }: StateTableProps): ReactNode {
  const columns = columnsOf(table.specimens);
  const room = (conditions.width / (16 * conditions.text)) * 100 - around;
  // Beside a title there must be room for one state at least; else it stands above them.
  const stacked = room < titleWidth + table.columnWidth;
  const columnWidth = Math.min(table.columnWidth, room);
  const runs = bands(
    columns.map(() => columnWidth),
    stacked ? room : room - titleWidth,
  );
  return (
    <Frame title={`${table.title}, in every state`} name={table.name} {...(onReady && { onReady })}>
      <div className="ft-sheet-tables" data-ft-table={table.name}>
        {runs.map((run) => (
          <StateBand
            key={run.join()}
            table={table}
            states={run.map((index) => columns[index] ?? '')}
            columnWidth={columnWidth}
            isWhole={runs.length === 1}
            stacked={stacked}
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
  /** In rem. */
  readonly columnWidth: number;
  readonly isWhole: boolean;
  readonly stacked: boolean;
  readonly slots: SlotContents;
}

function StateBand({ table, states, columnWidth, isWhole, stacked, slots }: StateBandProps): ReactNode {
  const rows = table.specimens.filter((row) => states.some((state) => row.states.includes(state)));
  const width = { inlineSize: `${columnWidth}rem` };
  return (
    <table className={stacked ? 'ft-sheet-table ft-sheet-stacked' : 'ft-sheet-table'}>
      <caption>{isWhole ? table.title : `${table.title}: ${states.join(', ')}`}</caption>
      <thead>
        <tr>
          {!stacked && <th scope="col">Part</th>}
          {states.map((state) => (
            <th key={state} scope="col" style={width} data-ft-column={state}>
              {state}
            </th>
          ))}
        </tr>
      </thead>
      {rows.map((row) => (
        <tbody key={row.key}>
          {stacked && (
            <tr>
              <th scope="rowgroup" colSpan={states.length}>
                <RowTitle row={row} />
              </th>
            </tr>
          )}
          <tr data-ft-sheet-key={row.key} data-ft-find={row.find}>
            {!stacked && (
              <th scope="row">
                <RowTitle row={row} />
              </th>
            )}
            {states.map((state) => (
              <td key={state} data-ft-column={state}>
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
        </tbody>
      ))}
    </table>
  );
}

function RowTitle({ row }: { readonly row: Specimen }): ReactNode {
  return (
    <>
      <span className="ft-sheet-row-label">{row.label}</span>
      <span className="ft-sheet-row-part">{row.part}</span>
    </>
  );
}
