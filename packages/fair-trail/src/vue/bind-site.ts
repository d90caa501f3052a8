import { h, type FunctionalComponent } from 'vue';
import type { CompiledSite } from '../core/site/compiled.ts';
import type { SiteShape } from '../core/site/definition.ts';
import type {
  ActionName,
  AudienceName,
  EntryId,
  EntryParams,
  MenuName,
  RecordsName,
} from '../core/site/identifiers.ts';
import type { Badges } from '../core/site/menus.ts';
import type { RecordList } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import type { PanelForm } from '../core/view/panel-view.ts';
import type { Listener } from './given.ts';
import type { Navbar } from './navbar.ts';
import type { FooterNav, TabLinks } from './page-parts.ts';
import type { StageLayout, StagePages } from './page.ts';
import type { Sidebar } from './sidebar.ts';
import type { Stage } from './stage.ts';
import type { TrailAt } from './trail-at.ts';
import type { TrailLink } from './trail-link.ts';
import type { Trail } from './trail.ts';

type AnyComponent = new (...given: never[]) => { readonly $props: object };

/** A component, some of whose properties have narrower types; `Without` are those that it has no more. */
type Narrowed<Component extends AnyComponent, Own, Without extends string = never> = new (...given: never[]) => Omit<
  InstanceType<Component>,
  '$props'
> & {
  readonly $props: Omit<InstanceType<Component>['$props'], keyof Own | Without> & Own;
};

/** A menu has to be named where the site has none of the name that is the default. */
type MenuProps<Definition extends SiteShape, Usual extends string> =
  Usual extends MenuName<Definition>
    ? { readonly menu?: MenuName<Definition> | undefined }
    : { readonly menu: MenuName<Definition> };

type ByEntry<Definition extends SiteShape, Value> = Readonly<Partial<Record<EntryId<Definition>, Value>>>;

// An entry without params has the empty object type, and means it.
/* eslint-disable @typescript-eslint/no-generated-empty-object-type */
type ParamsProps<Params> =
  Record<never, never> extends Params ? { readonly params?: Params | undefined } : { readonly params: Params };
/* eslint-enable @typescript-eslint/no-generated-empty-object-type */

interface TrailProps<Definition extends SiteShape> {
  readonly audience?: readonly AudienceName<Definition>[] | 'unknown' | undefined;
  readonly records?: Readonly<Partial<Record<RecordsName<Definition>, RecordList>>> | undefined;
  readonly badges?: ByEntry<Definition, Badges[string]> | undefined;
  readonly onAction?: Listener<[action: ActionName<Definition>]> | undefined;
}

type LinkProps<Definition extends SiteShape> = {
  readonly [Id in EntryId<Definition>]: { readonly entry: Id } & ParamsProps<EntryParams<Definition, Id>>;
}[EntryId<Definition>];

/** The components, knowing the names of one site: a name that it does not have is a type error. */
export interface SiteComponents<Definition extends SiteShape> {
  /** Without the property `site`: that is the one the components are bound to. */
  readonly Trail: Narrowed<typeof Trail, TrailProps<Definition>, 'site'>;
  /** Without the property `site`, as `Trail`. */
  readonly TrailAt: Narrowed<typeof TrailAt, TrailProps<Definition>, 'site'>;
  readonly Navbar: Narrowed<
    typeof Navbar,
    MenuProps<Definition, 'main'> & {
      readonly panels?: PanelForm | ByEntry<Definition, PanelForm> | undefined;
      readonly held?: EntryId<Definition> | undefined;
    }
  >;
  readonly Sidebar: Narrowed<
    typeof Sidebar,
    MenuProps<Definition, 'main'> & { readonly annex?: readonly EntryId<Definition>[] | undefined }
  >;
  readonly FooterNav: Narrowed<typeof FooterNav, MenuProps<Definition, 'footer'>>;
  readonly TabLinks: Narrowed<typeof TabLinks, { readonly menu: MenuName<Definition> }>;
  readonly Stage: Narrowed<
    typeof Stage,
    {
      readonly pages?: ByEntry<Definition, StagePages[string]> | undefined;
      readonly layouts?: ByEntry<Definition, StageLayout> | undefined;
    }
  >;
  readonly TrailLink: Narrowed<typeof TrailLink, LinkProps<Definition>>;
}

/** The components that can be bound. */
export interface BindableComponents {
  readonly Trail: typeof Trail;
  readonly TrailAt: typeof TrailAt;
  readonly Navbar: typeof Navbar;
  readonly Sidebar: typeof Sidebar;
  readonly FooterNav: typeof FooterNav;
  readonly TabLinks: typeof TabLinks;
  readonly Stage: typeof Stage;
  readonly TrailLink: typeof TrailLink;
}

/**
 * Binds components to a site, once for the whole app: `Trail` and `TrailAt` need no `site` any more, and the compiler knows
 * the site's menus, entries, params, audiences and actions.
 *
 * @param site as `defineSite` or `loadSite` returns it, or compiled: all names are known of a definition in TypeScript, or
 *   of a JSON file with declarations; of an imported JSON file without them, the names of menus
 * @param components those that the app uses; what is not among them is no part of the app
 * @returns the same components, with narrower types
 * @example
 * export const navigation = bindSite(site, { Trail, Navbar, Stage, TrailLink });
 */
export function bindSite<Definition extends SiteShape, Components extends Partial<BindableComponents>>(
  site: Site<Definition> | CompiledSite<Definition>,
  components: Components,
): Pick<SiteComponents<Definition>, keyof Components & keyof BindableComponents> {
  const withSite = (component: typeof Trail | typeof TrailAt | undefined): FunctionalComponent | undefined =>
    component && ((props, { slots }) => h(component as typeof Trail, { ...props, site }, slots));
  const bound = {
    ...components,
    ...(components.Trail && { Trail: withSite(components.Trail) }),
    ...(components.TrailAt && { TrailAt: withSite(components.TrailAt) }),
  };
  // They are the same components: only what the compiler knows of their properties is more.
  return bound as unknown as Pick<SiteComponents<Definition>, keyof Components & keyof BindableComponents>;
}
