import type { Audience } from '../core/site/entry.ts';
import type { Position } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { markedItems } from '../core/site/marks.ts';
import { menuItems, type Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import { warning, type Warning } from '../core/warnings.ts';
import { englishWording, type Wording } from '../core/wording.ts';
import { logWarning } from '../dom/log-warning.ts';
import type { NavigateOptions, Router } from '../dom/router-interface.ts';

/** What stays as it is while the visitor goes from page to page. */
export interface Surroundings {
  readonly site: Site;
  readonly audience: Audience;
  readonly records: SiteRecords;
  readonly badges: Badges;
  readonly wording: Wording;
  /** Null if the address is given from outside: there another router is in charge. */
  readonly router: Router | null;
  /** Goes to an address, whichever router is in charge. */
  readonly navigate: (url: string, options?: NavigateOptions) => void;
  /** Reports the action of a menu to the app. */
  readonly act: (action: string) => void;
  /** Called with what went wrong without stopping anything. Undefined: it is logged to the console. */
  readonly warn: ((warning: Warning) => void) | undefined;
}

/** Where the visitor is. */
export interface TrailLocation {
  readonly position: Position;
  /** The current address: path, query and hash. */
  readonly url: string;
}

/** Says where the visitor is, so that a page change draws nothing but what depends on it. */
export interface LocationSource {
  /** The same object while the location is the same. */
  readonly read: () => TrailLocation;
  readonly subscribe: (listener: () => void) => () => void;
}

const noListening = () => () => undefined;

/** A location that does not change: another one needs another source. */
export function fixedLocation(location: TrailLocation): LocationSource {
  return { read: () => location, subscribe: noListening };
}

/** What an app says of its site and of who the visitor is. */
export interface GivenSurroundings {
  readonly site: Site;
  readonly audience?: Audience | undefined;
  readonly records?: SiteRecords | undefined;
  readonly badges?: Badges | undefined;
  readonly wording?: Partial<Wording> | undefined;
  readonly onWarning?: ((warning: Warning) => void) | undefined;
  readonly onAction?: ((action: string) => void) | undefined;
}

const noAudience: readonly string[] = [];
const noRecords: SiteRecords = {};
const noBadges: Badges = {};

/** What reports the action of a menu to the app, or warns where the app does not listen. */
export function actionReporter(
  onAction: ((action: string) => void) | undefined,
  warn: ((warning: Warning) => void) | undefined,
): (action: string) => void {
  return onAction ?? ((action) => (warn ?? logWarning)(warning('action-without-handler', action)));
}

/** The same with what is usual where the app says nothing. */
export function surroundingsOf(
  { site, audience, records, badges, wording, onWarning, onAction }: GivenSurroundings,
  router: Router | null,
  navigate: Surroundings['navigate'],
): Surroundings {
  return {
    site,
    audience: audience ?? noAudience,
    records: records ?? noRecords,
    badges: badges ?? noBadges,
    wording: wording ? { ...englishWording, ...wording } : englishWording,
    router,
    navigate,
    act: actionReporter(onAction, onWarning),
    warn: onWarning,
  };
}

/** The options that every part with a menu has. */
export interface MenuOptions {
  readonly trail: Surroundings;
  readonly position: Position;
  /** Begins every id in the part. No other part of the document has the same. */
  readonly id: string;
  /** Draws an icon. In development, the part reports the names that nothing is drawn for. */
  readonly icon?: ((name: string) => unknown) | undefined;
}

interface MenuNow {
  /** The items without a position: they are the same at every address. */
  readonly atRest: readonly MenuItem[];
  /** The items with their marks. */
  readonly items: readonly MenuItem[];
}

/** The items of a menu for this visitor, in the language of the page. */
export function menuNow({ trail, position }: Pick<MenuOptions, 'trail' | 'position'>, menu: string): MenuNow {
  const { site, audience, records, badges } = trail;
  const atRest = menuItems(site, menu, { audience, records, badges, language: position.language });
  return { atRest, items: markedItems(atRest, position) };
}
