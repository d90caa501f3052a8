import type { ComponentProps, ElementType, ReactNode, RefAttributes } from 'react';
import type { CompiledSite } from '../core/site/compiled.ts';
import type { SiteShape } from '../core/site/definition.ts';
import type {
  ActionName,
  AudienceName,
  EntryId,
  EntryParams,
  IconName,
  MenuName,
  RecordsName,
} from '../core/site/identifiers.ts';
import type { Badges } from '../core/site/menus.ts';
import type { RecordList } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import type { PanelForm } from '../core/view/panel-view.ts';
import type { Breadcrumbs } from './breadcrumbs.tsx';
import type { CurrentEntry } from '../parts/current-entry.ts';
import type { useCurrentEntry } from './current-entry.ts';
import type { FooterNav } from './footer-nav.tsx';
import type { Navbar } from './navbar.tsx';
import type { StageLayout } from './page.ts';
import type { Sidebar } from './sidebar.tsx';
import type { StagePages } from './stage-content.ts';
import type { Stage } from './stage.tsx';
import type { TabLinks } from './tab-links.tsx';
import type { TrailLink, TrailLinkProps } from './trail-link.tsx';
import type { TrailAt, TrailAtOptions, TrailAtProps } from './trail-at.tsx';
import type { Trail, TrailProps } from './trail.tsx';

/** The properties of a component, some of them with narrower types. */
type Bound<Component extends ElementType, Own> = Omit<ComponentProps<Component>, keyof Own> & Own;

/** A menu has to be named where the site has none of the name that is the default. */
type MenuProps<Definition extends SiteShape, Usual extends string> =
  Usual extends MenuName<Definition>
    ? { readonly menu?: MenuName<Definition> }
    : { readonly menu: MenuName<Definition> };

type ByEntry<Definition extends SiteShape, Value> = Readonly<Partial<Record<EntryId<Definition>, Value>>>;

interface IconProps<Definition extends SiteShape> {
  readonly icon?: (name: IconName<Definition>) => ReactNode;
}

// An entry without params has the empty object type, and means it.
/* eslint-disable @typescript-eslint/no-generated-empty-object-type */
type ParamsProps<Params> =
  Record<never, never> extends Params ? { readonly params?: Params } : { readonly params: Params };

/* eslint-enable @typescript-eslint/no-generated-empty-object-type */

type Component<Props> = (props: Props) => ReactNode;

type BoundTrailProps<Props extends TrailAtOptions, Definition extends SiteShape> = Omit<
  Props,
  'site' | 'audience' | 'records' | 'badges' | 'onAction'
> & {
  readonly audience?: readonly AudienceName<Definition>[] | 'unknown';
  readonly records?: Readonly<Partial<Record<RecordsName<Definition>, RecordList>>>;
  readonly badges?: ByEntry<Definition, Badges[string]>;
  readonly onAction?: (action: ActionName<Definition>) => void;
};

/** The components, knowing the names of one site: a name that it does not have is a type error. */
export interface SiteComponents<Definition extends SiteShape> {
  /** Without the property `site`: that is the one the components are bound to. */
  readonly Trail: Component<BoundTrailProps<TrailProps, Definition>>;
  /** Without the property `site`, as `Trail`. */
  readonly TrailAt: Component<BoundTrailProps<TrailAtProps, Definition>>;
  readonly Navbar: Component<
    Bound<
      typeof Navbar,
      MenuProps<Definition, 'main'> &
        IconProps<Definition> & {
          readonly panels?: PanelForm | ByEntry<Definition, PanelForm>;
          readonly held?: EntryId<Definition>;
        }
    >
  >;
  readonly Sidebar: Component<
    Bound<
      typeof Sidebar,
      MenuProps<Definition, 'main'> & IconProps<Definition> & { readonly annex?: readonly EntryId<Definition>[] }
    >
  >;
  readonly FooterNav: Component<Bound<typeof FooterNav, MenuProps<Definition, 'footer'> & IconProps<Definition>>>;
  readonly TabLinks: Component<Bound<typeof TabLinks, { readonly menu: MenuName<Definition> } & IconProps<Definition>>>;
  readonly Breadcrumbs: Component<Bound<typeof Breadcrumbs, IconProps<Definition>>>;
  readonly Stage: Component<
    Bound<
      typeof Stage,
      {
        readonly pages?: ByEntry<Definition, StagePages[string]>;
        readonly layouts?: ByEntry<Definition, StageLayout>;
      }
    >
  >;
  readonly TrailLink: <Id extends EntryId<Definition>>(
    props: Omit<TrailLinkProps, 'entry' | 'params'> & { readonly entry: Id } & ParamsProps<
        EntryParams<Definition, Id>
      > &
      RefAttributes<HTMLAnchorElement>,
  ) => ReactNode;
  readonly useCurrentEntry: <Id extends EntryId<Definition>>(
    id?: Id,
  ) => CurrentEntry<EntryParams<Definition, Id>> | null;
}

/** The components and hooks that can be bound. */
export interface BindableComponents {
  readonly Trail: typeof Trail;
  readonly TrailAt: typeof TrailAt;
  readonly Navbar: typeof Navbar;
  readonly Sidebar: typeof Sidebar;
  readonly FooterNav: typeof FooterNav;
  readonly TabLinks: typeof TabLinks;
  readonly Breadcrumbs: typeof Breadcrumbs;
  readonly Stage: typeof Stage;
  readonly TrailLink: typeof TrailLink;
  readonly useCurrentEntry: typeof useCurrentEntry;
}

/**
 * Binds components to a site, once for the whole app. `Trail` and `TrailAt` then need no `site`, and TypeScript checks
 * the names of menus, entries, params, audiences, icons and actions.
 *
 * @param site as `defineSite` or `loadSite` returns it, or compiled: all names are known of a definition in TypeScript, or of a JSON file with
 *   declarations; of an imported JSON file without them, the names of menus
 * @param components those that the app uses; what is not among them is no part of the app
 * @returns the same components, with narrower types
 * @example
 * export const navigation = bindSite(site, { Trail, Navbar, Stage, TrailLink });
 */
export function bindSite<Definition extends SiteShape, Components extends Partial<BindableComponents>>(
  site: Site<Definition> | CompiledSite<Definition>,
  components: Components,
): Pick<SiteComponents<Definition>, keyof Components & keyof BindableComponents> {
  const { Trail: OwnTrail, TrailAt: OwnTrailAt } = components;
  const bound = {
    ...components,
    ...(OwnTrail && { Trail: (props: Omit<TrailProps, 'site'>) => <OwnTrail {...props} site={site} /> }),
    ...(OwnTrailAt && { TrailAt: (props: Omit<TrailAtProps, 'site'>) => <OwnTrailAt {...props} site={site} /> }),
  };
  // They are the same components: only what the compiler knows of their properties is more.
  return bound as unknown as Pick<SiteComponents<Definition>, keyof Components & keyof BindableComponents>;
}
