import type { ReactNode } from 'react';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { DefinedSite } from '../core/site/site.ts';
import type { Wording } from '../core/wording.ts';
import type { Conditions } from './conditions.ts';
import type { ComputedNames } from './notes.ts';
import type { OwnSpecimens } from './own-table.tsx';
import type { SheetProblem } from './problem-list.tsx';
import type { SheetMenus } from './sheet-context.ts';
import type { SheetStyles } from './sheet-styles.ts';

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
