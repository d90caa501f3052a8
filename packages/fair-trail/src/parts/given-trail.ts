import { titleOf } from '../core/site/locate.ts';
import type { Arrival } from '../dom/arrivals.ts';
import { followGivenAddress, type GivenAddress } from '../dom/given-address.ts';
import type { NavigateOptions } from '../dom/router-interface.ts';
import type { PageHead } from '../dom/page-head.ts';
import { markScripted } from '../dom/scripted.ts';
import type { Surroundings, TrailLocation } from './surroundings.ts';

/** Goes to an address where no router is at work: the browser loads it. */
export function loadAddress(url: string, { history }: NavigateOptions = {}): void {
  if (history === 'replace') window.location.replace(url);
  else window.location.assign(url);
}

/** What the document says of the page at a position. */
export function pageHead(
  trail: Pick<Surroundings, 'site' | 'records' | 'wording'>,
  location: Pick<TrailLocation, 'position'>,
): PageHead {
  const language = trail.site.languages.length > 1 ? location.position.language : null;
  return { title: documentTitle(trail, location), language };
}

/** The title of the document at a position. */
export function documentTitle(
  { site, records, wording }: Pick<Surroundings, 'site' | 'records' | 'wording'>,
  { position }: Pick<TrailLocation, 'position'>,
): string {
  return titleOf(site, position, wording.notFound, records);
}

/** Takes the reader to each new page of this window, at addresses that something else decides. */
export function openGivenTrail(arrival: Arrival): GivenAddress {
  return followGivenAddress(window, arrival);
}

/**
 * Says in the document that scripts are at work: only then may anything be hidden that a script must bring back.
 *
 * @returns a function that takes it back
 */
export function sayScripted(): () => void {
  return markScripted(document);
}
