import { useMemo, type ReactNode } from 'react';
import type { Audience } from '../core/site/entry.ts';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import { warning, type Warning } from '../core/warnings.ts';
import { englishWording, type Wording } from '../core/wording.ts';
import { logWarning } from '../dom/log-warning.ts';
import type { NavigateOptions, Presenter, Router } from '../dom/router-interface.ts';
import { isDevelopment } from '../core/development.ts';
import { LinksContext, type LinkSlot } from './links.tsx';
import { namesIn, useNameChecks } from './name-checks.ts';
import { LocationContext, PresenterContext, SurroundingsContext, type LocationSource } from './trail-context.ts';
import { useStable } from './use-stable.ts';

const noAudience: readonly string[] = [];
const noRecords: SiteRecords = {};
const noBadges: Badges = {};

/** What an app tells of its site and of who is looking. */
export interface SharedProps {
  readonly site: Site;
  /** The audiences that the visitor is in, or `unknown` while the app does not know yet. Default: none. */
  readonly audience?: Audience;
  /** The records as they are known now. Default: none. */
  readonly records?: SiteRecords;
  /** What is shown beside labels, by the entry's id, as it is known now. Default: what the site file says. */
  readonly badges?: Badges;
  /** Words to say instead of the English ones. */
  readonly wording?: Partial<Wording>;
  /** Called with what went wrong without stopping anything. Default: it is logged to the console. */
  readonly onWarning?: (warning: Warning) => void;
  /** Called when the button of a menu's action is activated, with the `action` of the site file. */
  readonly onAction?: (action: string) => void;
  /** With `url`: the link component of the router that the app has. */
  readonly link?: LinkSlot;
  readonly children?: ReactNode;
}

export interface ProvideProps extends SharedProps {
  readonly location: LocationSource;
  readonly router: (Router & Presenter) | null;
  readonly navigate: (url: string, options?: NavigateOptions) => void;
}

type SharedNamesProps = Pick<SharedProps, 'audience' | 'records' | 'badges'>;

/** Checks the names in the properties of a `Trail`, which only what is within it can hold against the site. */
function SharedNames({ audience, records, badges }: SharedNamesProps): ReactNode {
  useNameChecks('Trail', () => [
    ...namesIn('audience', 'audience', audience === 'unknown' ? null : audience),
    ...namesIn('records', 'records', records),
    ...namesIn('entry', 'badges', badges),
  ]);
  return null;
}

/** Gives it all to the components within, and does nothing to the page. */
export function Provide(props: ProvideProps): ReactNode {
  const { site, location: place, router, navigate, link = null, onAction, onWarning, children } = props;
  const { audience = noAudience, records = noRecords, badges = noBadges, wording: ownWording } = props;
  const wording = useMemo(() => (ownWording ? { ...englishWording, ...ownWording } : englishWording), [ownWording]);
  const act = useStable((action: string) => {
    if (onAction) onAction(action);
    else (onWarning ?? logWarning)(warning('action-without-handler', action));
  });
  const value = useMemo(
    () => ({ site, audience, records, badges, wording, router, navigate, act, warn: onWarning }),
    [site, audience, records, badges, wording, router, navigate, act, onWarning],
  );
  const links = useMemo(
    () => ({ link: router ? null : link, href: (address: string) => router?.href(address) ?? address }),
    [router, link],
  );
  return (
    <SurroundingsContext.Provider value={value}>
      <LocationContext.Provider value={place}>
        <PresenterContext.Provider value={router}>
          <LinksContext.Provider value={links}>
            {isDevelopment && <SharedNames audience={audience} records={records} badges={badges} />}
            {children}
          </LinksContext.Provider>
        </PresenterContext.Provider>
      </LocationContext.Provider>
    </SurroundingsContext.Provider>
  );
}
