import { checkSite } from '../core/site/define.ts';
import { type Entry, entryPointer } from '../core/site/entry.ts';
import type { Problem } from '../core/site/problems.ts';
import type { DefinedSite } from '../core/site/site.ts';

/** What is tried for an entry: null takes the field away. */
export interface RoomEdit {
  readonly flex?: string | null;
  readonly priority?: number | null;
}

export type RoomEdits = ReadonlyMap<string, RoomEdit>;

/** The site as it would be with the edits, and what is wrong with them; null if that is fatal. */
export function editedSite(
  site: DefinedSite,
  edits: RoomEdits,
): { readonly site: DefinedSite | null; readonly problems: readonly Problem[] } {
  if (edits.size === 0) return { site, problems: [] };
  const definition = structuredClone(site.definition) as unknown;
  for (const [id, edit] of edits) {
    const entry = site.entry(id);
    const written = entry && (valueAt(definition, entryPointer(entry)) as Record<string, unknown> | undefined);
    if (!written) continue;
    for (const [field, value] of Object.entries(edit) as [keyof RoomEdit, string | number | null][]) {
      if (value === null || value === '') Reflect.deleteProperty(written, field);
      else written[field] = value;
    }
  }
  const checked = checkSite(definition, { base: site.base, caseSensitive: site.caseSensitive });
  return { site: checked.site, problems: checked.problems.filter(({ severity }) => severity === 'fatal') };
}

/**
 * The edits as a patch of the site file (JSON Patch, RFC 6902), for those who apply it with a tool, and for those who look
 * up the places in it by hand.
 */
export function roomPatch(site: DefinedSite, edits: RoomEdits): string {
  const operations = [...edits].flatMap(([id, edit]) => {
    const entry = site.entry(id);
    if (!entry) return [];
    return (Object.entries(edit) as [keyof RoomEdit, string | number | null][]).flatMap(([field, value]) =>
      operationFor(entry, field, value),
    );
  });
  return `${JSON.stringify(operations, null, 2)}\n`;
}

function operationFor(entry: Entry, field: keyof RoomEdit, value: string | number | null): readonly object[] {
  const path = `${entryPointer(entry)}/${field}`;
  const isThere = field === 'flex' ? entry.flex !== null : entry.priority !== 0;
  if (value === null || value === '') return isThere ? [{ op: 'remove', path }] : [];
  if (value === entry[field]) return [];
  return [{ op: isThere ? 'replace' : 'add', path, value }];
}

function valueAt(document: unknown, pointer: string): unknown {
  let value = document;
  for (const step of pointer.split('/').slice(1)) {
    const key = step.replaceAll('~1', '/').replaceAll('~0', '~');
    value = (value as Record<string, unknown> | undefined)?.[key];
  }
  return value;
}
