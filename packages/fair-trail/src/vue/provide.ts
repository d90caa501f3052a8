import { computed, onMounted, onUnmounted, provide, shallowRef, toRaw, watch, type Ref, type Slots } from 'vue';
import type { CompiledSite } from '../core/site/compiled.ts';
import type { Audience } from '../core/site/entry.ts';
import { siteOf } from '../core/site/load.ts';
import { currentSite, onSiteReplaced } from '../core/site/replace-site.ts';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import type { Warning } from '../core/warnings.ts';
import type { Wording } from '../core/wording.ts';
import type { Arrival } from '../dom/arrivals.ts';
import type { NavigateOptions, Presenter, Router } from '../dom/router-interface.ts';
import { checkNames, checkRecords, namesIn } from '../parts/name-checks.ts';
import { actionReporter, surroundingsOf, type Surroundings, type TrailLocation } from '../parts/surroundings.ts';
import { optional, plain, report, required, type Listener } from './given.ts';
import { linksKey, type LinkSlotProps } from './links.ts';
import { locationKey, presenterKey, surroundingsKey } from './trail-context.ts';

/** The properties that every trail has. */
export const sharedProps = {
  /** What `defineSite` or `loadSite` returns, or a site that is compiled and not loaded yet. */
  site: required<Site | CompiledSite>(),
  /** The audiences that the visitor is in, or `unknown` while the app does not know yet. Default: none. */
  audience: optional<Audience>(),
  /** The records as they are known now. Default: none. */
  records: optional<SiteRecords>(),
  /** What is shown beside labels, by the entry's id, as it is known now. Default: what the site file says. */
  badges: optional<Badges>(),
  /** Words to say instead of the English ones. */
  wording: optional<Partial<Wording>>(),
  /** How the reader is taken to a new page. Default: `focus`. */
  arrival: optional<Arrival>(),
  /** The event `warning`: something went wrong without stopping anything. Default: it is logged to the console. */
  onWarning: optional<Listener<[warning: Warning]>>(),
  /** The event `action`: the button of a menu's action was activated. It has the `action` of the site file. */
  onAction: optional<Listener<[action: string]>>(),
  /** The event `navigate`, with `url`: go to an address, by the router that the app has. Default: it is loaded. */
  onNavigate: optional<Listener<[url: string, options: NavigateOptions]>>(),
};

/** The properties that every trail has, as its setup gets them. */
export interface SharedProps {
  readonly site: Site | CompiledSite;
  readonly audience: Audience | undefined;
  readonly records: SiteRecords | undefined;
  readonly badges: Badges | undefined;
  readonly wording: Partial<Wording> | undefined;
  readonly arrival: Arrival | undefined;
  readonly onWarning: Listener<[warning: Warning]> | undefined;
  readonly onAction: Listener<[action: string]> | undefined;
  readonly onNavigate: Listener<[url: string, options: NavigateOptions]> | undefined;
}

/** Finds what stands for a site now. It is another function after each change of a site file, so that Vue asks it again. */
const find = shallowRef(currentSite);

/** The site that the app gives, loaded where it is compiled; in development, as its file is now. */
export function siteIn(props: Pick<SharedProps, 'site'>): Site {
  return find.value(siteOf(toRaw(props.site)));
}

interface Provided {
  readonly location: Readonly<Ref<TrailLocation>>;
  readonly router: Readonly<Ref<(Router & Presenter) | null>>;
  readonly navigate: Surroundings['navigate'];
}

/**
 * Gives it all to the components within, and does nothing to the page.
 *
 * @returns what it gives of the site and of who the visitor is
 */
export function provideTrail(
  props: SharedProps,
  slots: Slots,
  { location, router, navigate }: Provided,
): Readonly<Ref<Surroundings>> {
  const onWarning = (given: Warning) => report(props.onWarning, given);
  const warn = () => (props.onWarning === undefined ? undefined : onWarning);
  const onAction = (action: string) => report(props.onAction, action);
  const act = (action: string) => actionReporter(props.onAction && onAction, warn())(action);
  const surroundings = computed(() =>
    surroundingsOf(
      {
        site: siteIn(props),
        audience: plain(props.audience),
        records: plain(props.records),
        badges: plain(props.badges),
        wording: plain(props.wording),
        onWarning: warn(),
        onAction: act,
      },
      router.value,
      navigate,
    ),
  );
  const links = computed(() => {
    const own = router.value ? undefined : slots['link'];
    return {
      draw: own ? (given: LinkSlotProps) => own(given) : null,
      href: (address: string) => router.value?.href(address) ?? address,
    };
  });
  provide(surroundingsKey, surroundings);
  provide(locationKey, location);
  provide(presenterKey, router);
  provide(linksKey, links);
  let stopFollowing: (() => void) | undefined;
  onUnmounted(() => stopFollowing?.());
  onMounted(() => {
    stopFollowing = onSiteReplaced(() => {
      find.value = (site) => currentSite(site);
    });
    watch(
      () => [siteIn(props), props.audience, props.records, props.badges] as const,
      ([site, audience, records, badges]) => {
        checkNames('Trail', { site, warn: warn() }, () => [
          ...namesIn('audience', 'audience', audience === 'unknown' ? null : audience),
          ...namesIn('records', 'records', records),
          ...namesIn('entry', 'badges', badges),
        ]);
        checkRecords({ site, warn: warn() }, records);
      },
      { immediate: true },
    );
  });
  return surroundings;
}
