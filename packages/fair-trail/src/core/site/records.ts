import type { Entry } from './entry.ts';

/** One page that comes from data: the params of its address, and its label where that is not made from the params. */
export interface SiteRecord {
  readonly params: Readonly<Record<string, string>>;
  readonly label?: string;
}

/** The lists that entries name in `records`, as they are known now. */
export type SiteRecords = Readonly<Record<string, readonly SiteRecord[]>>;

export function recordsOf(entry: Entry, records: SiteRecords): readonly SiteRecord[] {
  return entry.records !== null && Object.hasOwn(records, entry.records) ? (records[entry.records] ?? []) : [];
}

/** The record with exactly these params. */
export function recordOf(
  entry: Entry,
  params: Readonly<Record<string, string>>,
  records: SiteRecords,
): SiteRecord | undefined {
  return recordsOf(entry, records).find((record) => sameParams(record.params, params));
}

export function sameParams(one: Readonly<Record<string, string>>, other: Readonly<Record<string, string>>): boolean {
  const names = Object.keys(one);
  return names.length === Object.keys(other).length && names.every((name) => one[name] === other[name]);
}
