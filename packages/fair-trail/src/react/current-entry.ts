import { useMemo } from 'react';
import { currentEntryAt, type CurrentEntry } from '../parts/current-entry.ts';
import { usePosition, useSurroundings } from './trail-context.ts';

/**
 * Returns the entry of the current page, with its label and params.
 *
 * @param id of the entry itself, or of one that it is below: a layout may ask for the entry that it stands for
 * @returns null if the visitor is neither at that entry nor below it; without an id, at an address that is no page
 * @example
 * function SpeciesPage() {
 *   const species = useCurrentEntry('species-page');
 *   return <h1>{species?.label}</h1>;
 * }
 */
export function useCurrentEntry(id?: string): CurrentEntry | null {
  const trail = useSurroundings();
  const position = usePosition();
  return useMemo(() => currentEntryAt(trail, position, id), [trail, position, id]);
}
