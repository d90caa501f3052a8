import type { Entry } from './entry.ts';
import { recordOf, type SiteRecords } from './records.ts';

const placeholder = /\{([\p{ID_Start}_][\p{ID_Continue}]*)\}/gu;

/** The names in braces that a text holds. */
export function placeholdersIn(text: string): string[] {
  return [...text.matchAll(placeholder)].map((found) => found[1] ?? '');
}

/** Replaces `{name}` by the value of that name; a name without a value stays as it is written. */
export function fill(text: string, values: Readonly<Record<string, string>>): string {
  return text.replace(placeholder, (written, name: string) =>
    Object.hasOwn(values, name) ? (values[name] ?? written) : written,
  );
}

/** The params that the entry's own address has, out of those given. */
export function ownParams(entry: Entry, params: Readonly<Record<string, string>>): Readonly<Record<string, string>> {
  if (entry.paramNames.length === 0) return {};
  return Object.fromEntries(Object.entries(params).filter(([name]) => entry.paramNames.includes(name)));
}

/** The entry's label for these params: that of the record they name, else the label as written with params filled in. */
export function labelOf(
  entry: Entry,
  params: Readonly<Record<string, string>> = {},
  records: SiteRecords = {},
): string {
  const own = ownParams(entry, params);
  return recordOf(entry, own, records)?.label ?? fill(entry.label, own);
}
