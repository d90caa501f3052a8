import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { markDifferences, type DifferenceCount } from './differences.ts';
import { PagesTable } from './pages-table.tsx';
import { Section } from './sections.tsx';
import type { ComparedSource } from './sheet-extras.ts';
import type { SheetStyles } from './sheet-styles.ts';
import { StateTable } from './state-table.tsx';
import { SheetProvider, useSheetParts, type SheetParts } from './use-sheet-parts.tsx';
import { WholePage } from './whole-page.tsx';

export interface ComparisonProps {
  readonly compared: ComparedSource;
  /** Of the version that the sheet itself shows. */
  readonly parts: SheetParts;
}

/** Two versions of the files side by side: the whole page, each table of states, and all pages. What differs is framed. */
export function Comparison({ compared, parts }: ComparisonProps): ReactNode {
  const { source, names, changes } = compared;
  const { conditions, change } = parts.context;
  const before = useSheetParts(source, conditions, change);
  const tables = parts.tables.map((table) => ({
    table,
    old: before.tables.find(({ name }) => name === table.name) ?? null,
  }));
  return (
    <Section name="compared" title={`Compare: ${names[0]} and ${names[1]}`}>
      {changes.length === 0 ? (
        <p>The files say the same.</p>
      ) : (
        <ul className="ft-sheet-changes">
          {changes.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <Pair name="whole-page" title="The whole page" names={names} before={before} after={parts}>
        {(_, onReady) => <WholePage onReady={onReady} />}
      </Pair>
      {tables.map(({ table, old }) => (
        <Pair key={table.name} name={table.name} title={table.title} names={names} before={before} after={parts}>
          {(isBefore, onReady) => {
            const drawn = isBefore ? old : table;
            const { slots } = isBefore ? before.context : parts.context;
            return drawn === null ? (
              <p>There was none.</p>
            ) : (
              <StateTable table={drawn} conditions={conditions} slots={slots} onReady={onReady} />
            );
          }}
        </Pair>
      ))}
      <Pair name="pages" title="Pages side by side" names={names} before={before} after={parts}>
        {(_, onReady) => <PagesTable onReady={onReady} />}
      </Pair>
    </Section>
  );
}

/** How long nothing is drawn before two versions are compared, in milliseconds. */
const settlingTime = 200;

interface PairProps {
  readonly name: string;
  readonly title: string;
  readonly names: readonly [before: string, after: string];
  readonly before: SheetParts;
  readonly after: SheetParts;
  readonly children: (isBefore: boolean, onReady: (document: Document) => void) => ReactNode;
}

/** One part of the sheet in both versions. */
function Pair({ name, title, names, before, after, children }: PairProps): ReactNode {
  const [count, setCount] = useState<DifferenceCount | null>(null);
  const documents = useRef<{ before: Document | null; after: Document | null }>({ before: null, after: null });
  const waiting = useRef(0);
  const hasOtherStyles = useRef(true);
  useEffect(() => {
    hasOtherStyles.current = !areEqual(before.frames.styles, after.frames.styles);
  }, [before, after]);
  const compare = useCallback(() => {
    clearTimeout(waiting.current);
    // Both are drawn and laid out by then, and whoever types is not kept waiting.
    waiting.current = window.setTimeout(() => {
      const { before: one, after: other } = documents.current;
      if (!one?.defaultView || !other?.defaultView) return;
      const found = markDifferences(one, other, hasOtherStyles.current);
      // The same figures draw nothing again: after each drawing the two are compared.
      setCount((last) => (last?.differing === found.differing && last.of === found.of ? last : found));
    }, settlingTime);
  }, []);
  useEffect(() => compare());
  useEffect(() => () => clearTimeout(waiting.current), []);
  const onBefore = useCallback(
    (document: Document) => {
      documents.current.before = document;
      compare();
    },
    [compare],
  );
  const onAfter = useCallback(
    (document: Document) => {
      documents.current.after = document;
      compare();
    },
    [compare],
  );
  return (
    <div className="ft-sheet-pair" data-ft-compared={name} role="group" aria-label={`${title}, compared`}>
      <h3>{title}</h3>
      <p data-ft-differing={count?.differing ?? ''}>{count ? said(count) : ''}</p>
      <div className="ft-sheet-versions">
        <Version parts={before} name={names[0]} onReady={onBefore} draw={(onReady) => children(true, onReady)} />
        <Version parts={after} name={names[1]} onReady={onAfter} draw={(onReady) => children(false, onReady)} />
      </div>
    </div>
  );
}

interface VersionProps {
  readonly parts: SheetParts;
  readonly name: string;
  readonly onReady: (document: Document) => void;
  readonly draw: (onReady: (document: Document) => void) => ReactNode;
}

function Version({ parts, name, onReady, draw }: VersionProps): ReactNode {
  return (
    <div className="ft-sheet-version">
      <p className="ft-sheet-version-name">{name}</p>
      <SheetProvider parts={parts} version={name}>
        {draw(onReady)}
      </SheetProvider>
    </div>
  );
}

function areEqual(one: SheetStyles, other: SheetStyles): boolean {
  if (typeof one === 'string' || typeof other === 'string') return one === other;
  return one.length === other.length && one.every((text, index) => text === other[index]);
}

function said({ differing, of }: DifferenceCount): string {
  if (differing === 0) return `No difference in ${of} ${of === 1 ? 'place' : 'places'}.`;
  return `${differing} of ${of} ${of === 1 ? 'place differs' : 'places differ'}: ${differing === 1 ? 'it is' : 'they are'} framed.`;
}
