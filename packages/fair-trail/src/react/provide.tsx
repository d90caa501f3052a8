import { useEffect, useMemo, type ReactNode } from 'react';
import type { Audience } from '../core/site/entry.ts';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import type { Warning } from '../core/warnings.ts';
import type { Wording } from '../core/wording.ts';
import type { Presenter, Router } from '../dom/router-interface.ts';
import { checkNames, checkRecords, namesIn } from '../parts/name-checks.ts';
import { actionReporter, surroundingsOf, type LocationSource, type Surroundings } from '../parts/surroundings.ts';
import { LinksContext, type LinkSlot } from './links.tsx';
import { LocationContext, PresenterContext, SurroundingsContext } from './trail-context.ts';
import { useStable } from './use-stable.ts';

/** What an app says of its site and of who the visitor is. */
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
  readonly navigate: Surroundings['navigate'];
  /** Drawn after all else. */
  readonly last?: ReactNode;
}

/** Checks the names in the properties of a `Trail`. */
function useNameChecks({ site, audience, records, badges, onWarning: warn }: SharedProps): void {
  useEffect(() => {
    checkNames('Trail', { site, warn }, () => [
      ...namesIn('audience', 'audience', audience === 'unknown' ? null : audience),
      ...namesIn('records', 'records', records),
      ...namesIn('entry', 'badges', badges),
    ]);
    checkRecords({ site, warn }, records);
  }, [site, audience, records, badges, warn]);
}

/** Gives it all to the components within, and does nothing to the page. */
export function Provide(props: ProvideProps): ReactNode {
  const { site, location, router, navigate, link = null, onAction, onWarning, children, last = null } = props;
  const { audience, records, badges, wording } = props;
  useNameChecks(props);
  const act = useStable((action: string) => actionReporter(onAction, onWarning)(action));
  const value = useMemo(
    () => surroundingsOf({ site, audience, records, badges, wording, onWarning, onAction: act }, router, navigate),
    [site, audience, records, badges, wording, onWarning, act, router, navigate],
  );
  const links = useMemo(
    () => ({ link: router ? null : link, href: (address: string) => router?.href(address) ?? address }),
    [router, link],
  );
  return (
    <SurroundingsContext.Provider value={value}>
      <LocationContext.Provider value={location}>
        <PresenterContext.Provider value={router}>
          <LinksContext.Provider value={links}>
            {children}
            {/* Always a place for it: React makes ids of places, and a server has nothing to draw here. */}
            {last}
          </LinksContext.Provider>
        </PresenterContext.Provider>
      </LocationContext.Provider>
    </SurroundingsContext.Provider>
  );
}
