import { titleOf } from '../core/site/locate.ts';
import type { NavigateOptions } from '../dom/router-interface.ts';
import type { Surroundings, TrailLocation } from './surroundings.ts';

/** Goes to an address where no router is at work: the browser loads it. */
export function loadAddress(url: string, { history }: NavigateOptions = {}): void {
  if (history === 'replace') window.location.replace(url);
  else window.location.assign(url);
}

/** The title of the document at a position. */
export function documentTitle(
  { site, records, wording }: Pick<Surroundings, 'site' | 'records' | 'wording'>,
  { position }: Pick<TrailLocation, 'position'>,
): string {
  return titleOf(site, position, wording.notFound, records);
}
