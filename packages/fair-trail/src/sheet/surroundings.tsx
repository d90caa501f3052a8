import { useMemo, type ReactNode } from 'react';
import { locate, type Audience, type Badges, type Site, type SiteRecords, type Wording } from '../core/index.ts';
import { LinksContext } from '../react/links.tsx';
import { fixedPlace, PlaceContext, PresenterContext, SurroundingsContext } from '../react/trail-context.ts';

export interface SheetTrailProps {
  readonly site: Site;
  readonly url: string;
  readonly audience: Audience;
  readonly records: SiteRecords;
  readonly badges: Badges;
  readonly wording: Wording;
  readonly onNavigate: (url: string) => void;
  readonly children: ReactNode;
}

const plainLinks = { link: null, href: (url: string) => url };

/**
 * What a `Trail` gives to the components within it, and nothing of what it does to the page: a specimen neither sets the
 * sheet's title nor takes its focus.
 */
export function SheetTrail(props: SheetTrailProps): ReactNode {
  const { site, url, audience, records, badges, wording, onNavigate, children } = props;
  const surroundings = useMemo(
    () => ({ site, audience, records, badges, wording, router: null, navigate: onNavigate, warn: () => undefined }),
    [site, audience, records, badges, wording, onNavigate],
  );
  const place = useMemo(() => fixedPlace({ position: locate(site, url), url }), [site, url]);
  return (
    <SurroundingsContext.Provider value={surroundings}>
      <PlaceContext.Provider value={place}>
        <PresenterContext.Provider value={null}>
          <LinksContext.Provider value={plainLinks}>{children}</LinksContext.Provider>
        </PresenterContext.Provider>
      </PlaceContext.Provider>
    </SurroundingsContext.Provider>
  );
}
