import type { Entry } from '../core/site/entry.ts';
import { labelOf, ownParams } from '../core/site/labels.ts';
import type { Position } from '../core/site/locate.ts';
import { recordOf, type SiteRecord } from '../core/site/records.ts';
import type { Surroundings } from './surroundings.ts';

/** The entry of a page, with its label and params. */
export interface CurrentEntry<Params = Readonly<Record<string, string>>> {
  readonly entry: Entry;
  /** The label as menus and breadcrumbs show it: that of the record, or the entry's with its params filled in. */
  readonly label: string;
  /** The params of the entry's own address, percent-decoded. */
  readonly params: Params;
  /** The record that the params name; null if there is none, or none is known yet. */
  readonly record: SiteRecord | null;
}

/**
 * The entry that the current page belongs to.
 *
 * @param id of the entry itself, or of one that it is below
 * @returns null if the visitor is neither at that entry nor below it; without an id, at an address that is no page
 */
export function currentEntryAt(
  { site, records }: Pick<Surroundings, 'site' | 'records'>,
  { status, path, language, params: all, entry: on }: Position,
  id: string | undefined,
): CurrentEntry | null {
  const here = status === 'exact' ? on : null;
  const entry = id === undefined ? here : (path.find((one) => one.id === id) ?? null);
  if (!entry) return null;
  const params = ownParams(entry, all);
  return {
    entry,
    label: labelOf(site, entry, { params, records, language }),
    params,
    record: recordOf(entry, params, records) ?? null,
  };
}
