import type { FoldOptions } from '../site/breadcrumbs.ts';
import type { NarrowForm } from './bar-view.ts';
import type { PanelForm } from './panel-view.ts';
import type { SidebarNarrowForm } from './sidebar-view.ts';
import type { TabDescription, TabsOrientation } from './tabs-view.ts';

/**
 * The options of components that are the same in every framework. A framework's component adds its slots and events to
 * them, and a contract asks for a component by them.
 */

/** The options of a bar, in any framework. */
export interface BarOptions {
  /** Default: `header`. A second bar on a page should be a `div`. */
  readonly element?: 'header' | 'div';
  /** What becomes of the menu where room is short. Default: `panel`. */
  readonly whenNarrow?: NarrowForm;
  /**
   * Where the end slot is once the toggle stands in for the menu: in the `row`, which wraps if it must; in the menu's
   * `panel`; or, by `auto`, in the row where it fits and in the panel where it does not. Default: `auto`.
   */
  readonly endPlace?: 'auto' | 'row' | 'panel';
  /** Whether the menu is behind the toggle at every width; for `panel` and `screen`. Default: false. */
  readonly alwaysToggle?: boolean;
  /** How the panels under items are laid out: all, or each by its entry's id. Default: as suits their content. */
  readonly panels?: PanelForm | Readonly<Record<string, PanelForm>>;
  /** Whether panels also open for a mouse that rests on their items. Default: false. */
  readonly hoverOpens?: boolean;
  /** The id of an entry whose panel stays open, while it is being styled. */
  readonly held?: string;
  /** What is behind open panels, or the open menu, is dimmed. Default: neither. */
  readonly backdrop?: 'panels' | 'menu' | 'both';
  /** Whether the bar stays in view as the page scrolls: within what holds it, or always. Default: it does not. */
  readonly pinned?: 'sticky' | 'fixed';
  /** For a pinned bar: what it does on the way down the page. On the way up it is whole again. Default: nothing. */
  readonly givesWay?: 'shrink' | 'hide';
  /** Whether the row is as wide as the content (`--ft-bar-width`) or as the window. Default: `content`. */
  readonly extent?: 'content' | 'window';
  /** How the items share the room that they do not need (CSS Box Alignment). Default: `end`. */
  readonly justify?: 'start' | 'center' | 'end' | 'space-between' | 'stretch';
}

/** The options of a sidebar, in any framework. */
export interface SidebarOptions {
  /** Colors of markers before labels, as CSS writes them, by entry id; of a record, with its params: `species-page/curlew`. */
  readonly markers?: Readonly<Record<string, string>>;
  /** Whether several groups beside each other may be open. Default: `many`. */
  readonly groups?: 'one' | 'many';
  /** Whether there is a field that filters. Default: false. */
  readonly search?: boolean;
  /** Whether it can be narrowed to its icons. Default: false. */
  readonly rail?: boolean;
  /** Where it stands when room is short: over the page, or above the content. Default: `cover`. */
  readonly whenNarrow?: SidebarNarrowForm;
  /** Whether it is behind its toggle at every width. Default: false. */
  readonly alwaysToggle?: boolean;
  /** The ids of entries whose items open in a second panel, and not in place. They are pages. Default: none. */
  readonly annex?: readonly string[];
  /** The key of the address's query that says which annex is open. Default: `annex`. */
  readonly annexParameter?: string;
  /** The level of the titles of sections and annexes. Default: 2. */
  readonly headingLevel?: 2 | 3 | 4;
}

/** The options of tabs, in any framework. */
export interface TabsOptions {
  /** The tabs, in their order. They may change: where the selected one goes, the next takes its place. */
  readonly tabs: readonly TabDescription[];
  /** The id of the tab to begin with. Default: the first that is enabled. */
  readonly initial?: string;
  /** Whether walking to a tab by arrow keys selects it. Default: `automatic`. */
  readonly activation?: 'automatic' | 'manual';
  /** Default: `horizontal`. */
  readonly orientation?: TabsOrientation;
  /** Whether the tabs share the whole room. Default: `natural`. */
  readonly widths?: 'natural' | 'filling';
  /**
   * Where the address says which tab is selected, so that it can be sent to someone: in its hash, or under a key of its
   * query. Default: nowhere.
   */
  readonly linkedTo?: 'hash' | { readonly query: string };
  /**
   * Which panels are in the document: `all`, which people without scripts need; the `selected` one; or those that have
   * been `visited`, which keep what was done in them. Default: `all`.
   */
  readonly panels?: 'all' | 'selected' | 'visited';
}

/** The options of breadcrumbs, in any framework. */
export interface BreadcrumbsOptions extends FoldOptions {
  /**
   * Whether steps are folded away behind a button: as many as must, for the rest to `fit` in one line; `always` all but the
   * first and last few; or `never`, and then they take as many lines as they need. Default: `fit`.
   */
  readonly fold?: 'fit' | 'always' | 'never';
  /** What the step of the page itself is. Default: `text`. */
  readonly current?: 'text' | 'link';
  /** What is shown where room is short: as much as fits, or the `parent` alone. Default: `fold`. */
  readonly whenNarrow?: 'fold' | 'parent';
  /** Whether each step has a button that shows what stands beside it in the site. Default: false. */
  readonly siblings?: boolean;
  /**
   * Whether the way is also in the document as schema.org's `BreadcrumbList`. Not for a site
   * without an `origin`: the addresses have to be absolute. Default: false.
   */
  readonly structuredData?: boolean;
}

type Names<Options> = readonly (keyof Options)[];

/** The names of these options, for who has to tell them from what else a component is given. */
export const barOptionNames = [
  'element',
  'whenNarrow',
  'endPlace',
  'alwaysToggle',
  'panels',
  'hoverOpens',
  'held',
  'backdrop',
  'pinned',
  'givesWay',
  'extent',
  'justify',
] as const satisfies Names<BarOptions>;

export const sidebarOptionNames = [
  'markers',
  'groups',
  'search',
  'rail',
  'whenNarrow',
  'alwaysToggle',
  'annex',
  'annexParameter',
  'headingLevel',
] as const satisfies Names<SidebarOptions>;

export const tabsOptionNames = [
  'tabs',
  'initial',
  'activation',
  'orientation',
  'widths',
  'linkedTo',
  'panels',
] as const satisfies Names<TabsOptions>;

export const breadcrumbsOptionNames = [
  'fold',
  'keepFirst',
  'keepLast',
  'current',
  'whenNarrow',
  'siblings',
  'structuredData',
] as const satisfies Names<BreadcrumbsOptions>;
