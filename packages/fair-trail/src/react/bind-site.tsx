import type { ComponentProps, ElementType, ReactNode, RefAttributes } from 'react';
import type {
  ActionName,
  AudienceName,
  Badges,
  EntryId,
  EntryParams,
  IconName,
  MenuName,
  PanelForm,
  RecordList,
  RecordsName,
  Site,
  SiteShape,
} from '../core/index.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { useCurrentEntry, type CurrentEntry } from './current-entry.ts';
import { FooterNav } from './footer-nav.tsx';
import { Navbar } from './navbar.tsx';
import type { StageLayout } from './page.ts';
import { Sidebar } from './sidebar.tsx';
import type { StagePages } from './stage-content.ts';
import { Stage } from './stage.tsx';
import { TabLinks } from './tab-links.tsx';
import { TrailLink, type TrailLinkProps } from './trail-link.tsx';
import { Trail, type TrailProps } from './trail.tsx';

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

/** The components, knowing the names of one site: a name that it does not have is a type error. */
export interface SiteComponents<Definition extends SiteShape> {
  /** Without the property `site`: that is the one the components are bound to. */
  readonly Trail: Component<
    Omit<TrailProps, 'site' | 'audience' | 'records' | 'badges' | 'onAction'> & {
      readonly audience?: readonly AudienceName<Definition>[] | 'unknown';
      readonly records?: Readonly<Partial<Record<RecordsName<Definition>, RecordList>>>;
      readonly badges?: ByEntry<Definition, Badges[string]>;
      readonly onAction?: (action: ActionName<Definition>) => void;
    }
  >;
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

/**
 * Binds the components to a site, once for the whole app: `Trail` needs no `site` any more, and the compiler knows the
 * site's menus, entries, params, audiences, icons and actions.
 *
 * @param site as `defineSite` returns it for a definition in TypeScript, or for a JSON file with declarations
 * @example
 * export const { Trail, Navbar, Stage, TrailLink } = bindSite(site);
 */
export function bindSite<Definition extends SiteShape>(site: Site<Definition>): SiteComponents<Definition> {
  const BoundTrail = (props: Omit<TrailProps, 'site'>) => <Trail {...props} site={site} />;
  const components = {
    Trail: BoundTrail,
    Navbar,
    Sidebar,
    FooterNav,
    TabLinks,
    Breadcrumbs,
    Stage,
    TrailLink,
    useCurrentEntry,
  };
  // They are the same components: only what the compiler knows of their properties is more.
  return components as unknown as SiteComponents<Definition>;
}
