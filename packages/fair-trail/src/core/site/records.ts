import type { Entry } from './entry.ts';

/** A page that comes from data: the params of its address, and its label unless that is made from the params. */
export interface SiteRecord {
  readonly params: Readonly<Record<string, string>>;
  readonly label?: string;
}

/** A list of records as it is known now. */
export type RecordList = readonly SiteRecord[] | 'loading' | 'failed';

/** The lists that entries name in `records`. A missing list shows nothing. */
export type SiteRecords = Readonly<Record<string, RecordList>>;

/** The entry's list, or null where it has none. What comes from data may be anything: only sound records are in it. */
export function recordsOf(entry: Entry, records: SiteRecords): RecordList | null {
  const given: unknown = records;
  if (entry.records === null || typeof given !== 'object' || given === null || !Object.hasOwn(given, entry.records)) {
    return null;
  }
  const list: unknown = records[entry.records];
  if (list === 'loading' || list === 'failed') return list;
  return Array.isArray(list) ? soundRecords(list) : null;
}

const soundLists = new WeakMap<readonly unknown[], readonly SiteRecord[]>();

/** The list itself where all of it is sound, since what is made of it is kept by its identity. */
function soundRecords(list: readonly unknown[]): readonly SiteRecord[] {
  if (list.every(isRecord)) return list;
  const known = soundLists.get(list) ?? list.filter(isRecord);
  soundLists.set(list, known);
  return known;
}

/** Whether a value can be drawn as a record: texts for params, and a text for a label. */
export function isRecord(value: unknown): value is SiteRecord {
  if (typeof value !== 'object' || value === null) return false;
  const { params, label } = value as Partial<Record<keyof SiteRecord, unknown>>;
  const isText = (one: unknown) => typeof one === 'string' || typeof one === 'number';
  return (
    typeof params === 'object' &&
    params !== null &&
    !Array.isArray(params) &&
    Object.values(params).every(isText) &&
    (label === undefined || isText(label))
  );
}

/** The record with exactly these params. */
export function recordOf(
  entry: Entry,
  params: Readonly<Record<string, string>>,
  records: SiteRecords,
): SiteRecord | undefined {
  const list = recordsOf(entry, records);
  if (list === null || typeof list === 'string') return undefined;
  return indexOf(list).get(keyOf(params));
}

/** The records of a list by their params. There may be many thousands, and each of their labels is asked for. */
const indexes = new WeakMap<readonly SiteRecord[], ReadonlyMap<string, SiteRecord>>();

function indexOf(list: readonly SiteRecord[]): ReadonlyMap<string, SiteRecord> {
  const known = indexes.get(list);
  if (known) return known;
  const index = new Map<string, SiteRecord>();
  for (const record of list) {
    const key = keyOf(record.params);
    if (!index.has(key)) index.set(key, record);
  }
  indexes.set(list, index);
  return index;
}

function keyOf(params: Readonly<Record<string, string>>): string {
  return JSON.stringify(Object.entries(params).sort(([one], [other]) => (one < other ? -1 : 1)));
}

export function sameParams(one: Readonly<Record<string, string>>, other: Readonly<Record<string, string>>): boolean {
  const names = Object.keys(one);
  return names.length === Object.keys(other).length && names.every((name) => one[name] === other[name]);
}
