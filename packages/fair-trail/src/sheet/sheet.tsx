import type { ReactNode } from 'react';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { DefinedSite } from '../core/site/site.ts';
import type { Wording } from '../core/wording.ts';
import { BothSchemes } from './both-schemes.tsx';
import { Comparison } from './comparison.tsx';
import { ConditionFields, FoldedConditions } from './condition-fields.tsx';
import { usualConditions, type Conditions } from './conditions.ts';
import { IconsTable } from './icons-table.tsx';
import { Motion } from './motion.tsx';
import type { ComputedNames } from './notes.ts';
import { OwnTable, type OwnSpecimens } from './own-table.tsx';
import { PagesTable } from './pages-table.tsx';
import { ProblemList, type SheetProblem } from './problem-list.tsx';
import { Room } from './room.tsx';
import { Contents, DrawnTable, Section } from './sections.tsx';
import type { SheetMenus } from './sheet-context.ts';
import { useSheetExtras } from './sheet-extras.ts';
import type { SheetStyles } from './sheet-styles.ts';
import { useConditions } from './use-conditions.ts';
import { SheetProvider, useSheetParts } from './use-sheet-parts.tsx';
import { WholePage } from './whole-page.tsx';

/**
 * The properties of a `Sheet`.
 */
export interface SheetProps {
  readonly site: DefinedSite;
  /** Default: none. */
  readonly records?: SiteRecords;
  /** Default: what the site file says. */
  readonly badges?: Badges;
  /** Words to say instead of the English ones. */
  readonly wording?: Partial<Wording>;
  /** Which menu is shown in which component. Default: what the menus' names and shapes suggest. */
  readonly menus?: Partial<SheetMenus>;
  /** Draws an icon by its name in the site file, as in the components. */
  readonly icon?: (name: string) => ReactNode;
  /** Stands in the bar, as in `Navbar`. Default: the site's name. */
  readonly brand?: ReactNode;
  /** Stands at the end of the bar, as in `Navbar`. */
  readonly end?: ReactNode;
  /** The ids of entries whose items open in the sidebar's annex. Default: the last page of its menu that holds others. */
  readonly annex?: readonly string[];
  /** The names of the themes that there are, the usual one first. Default: `default` and `estuary`, the library's own. */
  readonly themes?: readonly string[];
  /** The specimens' stylesheets. Default: `document`, which is all that the page around the sheet has. */
  readonly styles?: SheetStyles;
  /** Components of the app's own, in their states. Default: none. */
  readonly own?: readonly OwnSpecimens[];
  /** What is wrong with the site file or the theme. Default: what the site itself knows. */
  readonly problems?: readonly SheetProblem[];
  /** What browsers expose of the parts to assistive technology. Default: it is not shown. */
  readonly names?: ComputedNames | null;
  /** Where the conditions are kept. Default: the query of the document's address. */
  readonly initialConditions?: Conditions;
  /** Called with new conditions. */
  readonly onConditions?: (conditions: Conditions) => void;
}

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
