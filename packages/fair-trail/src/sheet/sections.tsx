import { memo, type ReactNode, useCallback, useState } from 'react';
import type { Conditions } from './conditions.ts';
import type { ComputedNames } from './notes.ts';
import { NotesSection } from './notes-section.tsx';
import type { OwnSpecimens } from './own-table.tsx';
import type { SheetContext } from './sheet-context.ts';
import type { SpecimenTable } from './specimen.ts';
import { StateTable } from './state-table.tsx';

interface DrawnTableProps {
  readonly table: SpecimenTable;
  readonly slots: SheetContext['slots'];
  readonly names: ComputedNames | null;
  readonly conditions: Conditions;
}

/** A table with its notes. */
export const DrawnTable = memo(function DrawnTable({ table, slots, names, conditions }: DrawnTableProps): ReactNode {
  const [drawn, setDrawn] = useState<{ readonly document: Document; readonly round: number } | null>(null);
  const look = useCallback(
    (document: Document) => setDrawn((last) => ({ document, round: (last?.round ?? 0) + 1 })),
    [],
  );
  return (
    <Section name={table.name} title={table.title}>
      {table.of > table.specimens.length && (
        <p className="ft-sheet-sampled">
          {table.specimens.length} of {table.of} rows are shown: the first, the longest and the shortest, and those of a
          kind of their own.
        </p>
      )}
      <StateTable table={table} conditions={conditions} slots={slots} onReady={look} />
      {drawn && <NotesSection table={table} document={drawn.document} names={names} round={drawn.round} />}
    </Section>
  );
});

interface SectionProps {
  readonly name: string;
  readonly title: string;
  readonly children: ReactNode;
}

export function Section({ name, title, children }: SectionProps): ReactNode {
  return (
    <section className="ft-sheet-section" id={`sheet-${name}`} aria-labelledby={`sheet-${name}-title`}>
      <h2 id={`sheet-${name}-title`} tabIndex={-1}>
        {title}
      </h2>
      {children}
    </section>
  );
}

interface ContentsProps {
  readonly tables: readonly SpecimenTable[];
  readonly own: readonly OwnSpecimens[];
}

export function Contents({ tables, own }: ContentsProps): ReactNode {
  const sections = [
    ['whole-page', 'The whole page'],
    ...tables.map(({ name, title }) => [name, title]),
    ...own.map(({ name, title }) => [`own-${name}`, title]),
    ['pages', 'Pages side by side'],
    ['icons', 'Icons'],
    ['room', 'Room'],
    ['motion', 'Motion'],
  ];
  return (
    <nav aria-label="Contents" className="ft-sheet-contents">
      <ul role="list">
        {sections.map(([name, title]) => (
          <li key={name}>
            <a href={`#sheet-${name ?? ''}`}>{title}</a>
          </li>
        ))}
      </ul>
    </nav>
  );
}
