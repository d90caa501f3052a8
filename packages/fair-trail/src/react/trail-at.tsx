import { useCallback, useMemo, useRef, useState, type ReactNode } from 'react';
import type { CompiledSite } from '../core/site/compiled.ts';
import { locate, samePosition } from '../core/site/locate.ts';
import type { Site } from '../core/site/site.ts';
import { englishWording } from '../core/wording.ts';
import type { Arrival } from '../dom/arrivals.ts';
import type { NavigateOptions } from '../dom/router-interface.ts';
import type { GivenAddress } from '../dom/given-address.ts';
import { pageHead, loadAddress, openGivenTrail, sayScripted } from '../parts/given-trail.ts';
import { fixedLocation } from '../parts/surroundings.ts';
import { useGivenSite } from './given-site.ts';
import { Provide, type SharedProps } from './provide.tsx';
import { useBrowserLayoutEffect } from './trail-context.ts';

/** What a trail is given, whichever router is in charge. */
export interface TrailAtOptions extends Omit<SharedProps, 'site'> {
  /** What `defineSite` or `loadSite` returns, or a site that is compiled and not loaded yet. */
  readonly site: Site | CompiledSite;
  /** How the reader is taken to a new page. Default: `focus`. */
  readonly arrival?: Arrival;
  /** With `url`: goes to an address, by the router that the app has. Default: loads it. */
  readonly onNavigate?: (url: string, options: NavigateOptions) => void;
}

/**
 * The properties of a `TrailAt`.
 */
export interface TrailAtProps extends TrailAtOptions {
  /** The current address, as the app's router or the server says it. */
  readonly url: string;
}

/**
 * Provides the site, the position and the audience to the components within it, for an address that another router or a
 * server decides. It loads no router.
 *
 * @example
 * function Shell() {
 *   const { path, go } = useYourRouter();
 *   return (
 *     <TrailAt site={site} url={path} onNavigate={go} link={YourLink}>
 *       <Navbar />
 *     </TrailAt>
 *   );
 * }
 */
export function TrailAt({ url, site: given, ...props }: TrailAtProps): ReactNode {
  const { records = {}, wording, arrival = 'focus', onNavigate } = props;
  const site = useGivenSite(given);
  useScripted();
  const found = useMemo(() => locate(site, url), [site, url]);
  const [position, setPosition] = useState(found);
  // The same place keeps its identity, so that a change of query renders nothing that depends on the place alone.
  if (!samePosition(position, found)) setPosition(found);

  const { title, language } = pageHead({ site, records, wording: { ...englishWording, ...wording } }, { position });
  const address = useRef<GivenAddress | null>(null);
  useBrowserLayoutEffect(() => {
    const given = (address.current = openGivenTrail(arrival));
    return () => {
      address.current = null;
      given.end();
    };
  }, [arrival]);
  useBrowserLayoutEffect(() => address.current?.show(url, { title, language }), [url, title, language]);

  const navigate = useCallback(
    (to: string, options: NavigateOptions = {}) => (onNavigate ?? loadAddress)(to, options),
    [onNavigate],
  );
  // A new source for each place: whatever else the other router draws for it knows of the place in the same breath.
  const location = useMemo(() => fixedLocation({ position, url }), [position, url]);
  return <Provide {...props} site={site} location={location} router={null} navigate={navigate} />;
}

/** Says in the document that scripts are at work. */
export function useScripted(): void {
  useBrowserLayoutEffect(() => sayScripted(), []);
}
