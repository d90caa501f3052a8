import { useMemo } from 'react';
import type { Entry } from '../core/site/entry.ts';
import { labelOf, ownParams } from '../core/site/labels.ts';
import { recordOf, type SiteRecord } from '../core/site/records.ts';
import { usePosition, useSurroundings } from './trail-context.ts';

/** What a page needs to know of the entry that it shows. */
export interface CurrentEntry<Params = Readonly<Record<string, string>>> {
  readonly entry: Entry;
  /** The label as menus and breadcrumbs show it: that of the record, or the entry's with its params filled in. */
  readonly label: string;
  /** The params of the entry's own address, percent-decoded. */
  readonly params: Params;
  /** The record that the params name; null where there is none, or none is known yet. */
  readonly record: SiteRecord | null;
}

/**
 * The entry that the current page belongs to, with its label and params.
 *
 * @param id of the entry itself, or of one that it is below: a layout may ask for the entry that it stands for
 * @returns null where the visitor is neither at that entry nor below it; without an id, at an address that is no page
 * @example
 * function SpeciesPage() {
 *   const species = useCurrentEntry('species-page');
 *   return <h1>{species?.label}</h1>;
 * }
 */
export function useCurrentEntry(id?: string): CurrentEntry | null {
  const { site, records } = useSurroundings();
  const position = usePosition();
  return useMemo(() => {
    const { status, path, language } = position;
    const here = status === 'exact' ? position.entry : null;
    const entry = id === undefined ? here : (path.find((one) => one.id === id) ?? null);
    if (!entry) return null;
    const params = ownParams(entry, position.params);
    return {
      entry,
      label: labelOf(site, entry, { params, records, language }),
      params,
      record: recordOf(entry, params, records) ?? null,
    };
  }, [site, records, position, id]);
}
