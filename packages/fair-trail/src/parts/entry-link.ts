import { addressOf } from '../core/router/history.ts';
import type { Entry } from '../core/site/entry.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import { labelOf } from '../core/site/labels.ts';
import { locate, samePosition, unknownPosition, type Position } from '../core/site/locate.ts';
import { ariaCurrent } from '../core/view/menu-view.ts';
import { checkLink, checkNames, namesIn } from './name-checks.ts';
import type { Surroundings } from './surroundings.ts';

/** A link to an entry, as the app writes it. */
export interface EntryLinkOptions {
  /** The id of the entry to link to. */
  readonly entry: string;
  /** A value for each param of the entry's address. */
  readonly params?: Readonly<Record<string, string>> | undefined;
  /** Added to the address as it is, beginning with `?`. */
  readonly search?: string | undefined;
  /** Added to the address as it is, beginning with `#`. */
  readonly hash?: string | undefined;
}

/** A link to an entry in one language. */
export interface EntryLink {
  readonly options: EntryLinkOptions;
  readonly entry: Entry | undefined;
  /** Null if the site has no such entry, its page is planned, or its address cannot be written with these params. */
  readonly path: string | null;
  /** What the link says where it has no content. */
  readonly label: string;
  /** Where it leads to. */
  readonly target: Position;
}

/** The link of an entry, in a language. */
export function entryLink(
  { site, records }: Pick<Surroundings, 'site' | 'records'>,
  options: EntryLinkOptions,
  language: string,
): EntryLink {
  const { entry: id, params } = options;
  const entry = site.entry(id);
  const path = entry && !entry.planned ? hrefOf(site, entry, params, language) : null;
  return {
    options,
    entry,
    path,
    label: entry ? labelOf(site, entry, { ...(params && { params }), records, language }) : id,
    target: path === null ? unknownPosition(site) : locate(site, addressOf(path)),
  };
}

/** Whether a link leads to the page that the visitor is on. */
export function leadsTo({ target }: EntryLink, position: Position): boolean {
  return position.status === 'exact' && samePosition(position, target);
}

/** The attributes of a link, under their HTML names; what is null is not there. */
export function entryLinkAttributes(
  { path, options: { search = '', hash = '' } }: EntryLink,
  isHere: boolean,
): Readonly<Record<'role' | 'aria-disabled' | 'aria-current' | 'href', string | null>> {
  return path === null
    ? // A link without an address, as HTML has it (section 4.6.1): it is said, and cannot be followed.
      { role: 'link', 'aria-disabled': 'true', 'aria-current': null, href: null }
    : {
        role: null,
        'aria-disabled': null,
        'aria-current': ariaCurrent(isHere ? 'page' : null),
        href: path + search + hash,
      };
}

/** In development, reports a link to an entry that the site does not have, or whose address cannot be written. */
export function checkEntryLink(
  { entry, path, options: { entry: id } }: EntryLink,
  { site, warn }: Pick<Surroundings, 'site' | 'warn'>,
): void {
  checkNames('TrailLink', { site, warn }, () => namesIn('entry', 'entry', id));
  checkLink(id, entry?.planned === false && path === null, { site, warn });
}
