import type { ReactNode } from 'react';
import { BothSchemes } from './both-schemes.tsx';
import { Comparison } from './comparison.tsx';
import { ConditionFields, FoldedConditions } from './condition-fields.tsx';
import { usualConditions } from './conditions.ts';
import { IconsTable } from './icons-table.tsx';
import { Motion } from './motion.tsx';
import { OwnTable, type OwnSpecimens } from './own-table.tsx';
import { PagesTable } from './pages-table.tsx';
import { ProblemList } from './problem-list.tsx';
import { Room } from './room.tsx';
import { Contents, DrawnTable, Section } from './sections.tsx';
import { useSheetExtras } from './sheet-extras.ts';
import type { SheetProps } from './sheet-props.ts';
import { useConditions } from './use-conditions.ts';
import { SheetProvider, useSheetParts } from './use-sheet-parts.tsx';
import { WholePage } from './whole-page.tsx';

const noOwn: readonly OwnSpecimens[] = [];

/**
 * Every component in every state, made from the site and the stylesheets that the app itself uses.
 *
 * @example
 * createRoot(container).render(<Sheet site={site} />);
 */
export function Sheet(props: SheetProps): ReactNode {
  const { site, own = noOwn, problems = site.problems, names = null } = props;
  const [conditions, change] = useConditions(props.initialConditions, props.onConditions);
  const parts = useSheetParts(props, conditions, change);
  const { tables, options, shown, of, context } = parts;
  const { compared, isCompact = false, hasSchemes = false } = useSheetExtras();
  const fields = (
    <ConditionFields
      conditions={conditions}
      options={options}
      onChange={change}
      onReset={() => change(usualConditions)}
    />
  );
  return (
    <SheetProvider parts={parts}>
      <div
        className="ft-sheet"
        data-ft-scheme={conditions.scheme === 'system' ? undefined : conditions.scheme}
        data-ft-theme={conditions.theme === 'default' ? undefined : conditions.theme}
      >
        <header className="ft-sheet-head">
          <h1>{context.site.name}: state sheet</h1>
          {!isCompact && (
            <p>
              Every part of the navigation in every state, drawn by the components themselves. Links in the page preview
              change the sheet’s address.
            </p>
          )}
          <Contents tables={tables} own={own} />
        </header>
        {isCompact ? <FoldedConditions conditions={conditions}>{fields}</FoldedConditions> : fields}
        <main className="ft-sheet-body">
          {shown < of && (
            <p className="ft-sheet-sampled">
              {shown} of {of} entries are in this sheet: the first of each list, the longest and the shortest labels,
              and what they stand in.
            </p>
          )}
          <ProblemList problems={problems} />
          {compared && <Comparison compared={compared} parts={parts} />}
          <Section name="whole-page" title="The whole page">
            {hasSchemes ? <BothSchemes parts={parts} /> : <WholePage onForm={parts.setMeasured} />}
          </Section>
          {tables.map((table) => (
            <DrawnTable key={table.name} table={table} slots={context.slots} names={names} conditions={conditions} />
          ))}
          {own.map((specimens) => (
            <Section key={specimens.name} name={`own-${specimens.name}`} title={specimens.title}>
              <OwnTable specimens={specimens} />
            </Section>
          ))}
          <Section name="pages" title="Pages side by side">
            <PagesTable />
          </Section>
          <Section name="icons" title="Icons">
            <IconsTable />
          </Section>
          <Section name="room" title="Room">
            <Room />
          </Section>
          <Section name="motion" title="Motion">
            <Motion />
          </Section>
        </main>
      </div>
    </SheetProvider>
  );
}
