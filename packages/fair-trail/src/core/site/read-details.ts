import { readFlex } from '../layout/flex.ts';
import { detailNames, noDetails, type entryDetails, type ReadDetails, type Opens } from './field-table.ts';
import {
  readBoolean,
  readChoice,
  readList,
  readName,
  readNumber,
  readOptional,
  readText,
  readTexts,
  type Languages,
  type FieldLocation,
} from './fields.ts';
import { nearest } from './nearest.ts';
import { problem } from './problems.ts';

/** What the site says before its entries, and they depend on. */
export interface EntryContext {
  readonly caseSensitive: boolean;
  readonly languages: Languages;
  /** The audiences that there are; null if the site does not list them. */
  readonly audiences: readonly string[] | null;
}

/** @param pathNames the names that are taken by the params of the path */
type Reader = (
  value: unknown,
  place: FieldLocation,
  what: string,
  context: EntryContext,
  pathNames: readonly string[],
) => unknown;

/** How a value of each type is read. Null, with a problem, where it is none of the type. */
const readers: Readonly<Record<(typeof entryDetails)[keyof typeof entryDetails]['type'], Reader>> = {
  boolean: readBoolean,
  number: readNumber,
  localized: (value, place, what, { languages }) => readTexts(value, what, languages, place),
  name: (value, place, what) => readName(value, `the name of ${what === 'records' ? 'records' : 'an icon'}`, place),
  query: (value, place, _, __, pathNames) => readQuery(value, pathNames, place),
  audience: (value, place, _, { audiences }) => readAudience(value, audiences, place),
  opens: (value, place) => readChoice<Opens>(value, ['same-tab', 'new-tab'], place),
  flex: readFlexField,
};

const detailsByName: ReadonlyMap<string, (typeof detailNames)[number]> = new Map(
  detailNames.map((detail) => [detail.name, detail]),
);

/** Reads the details of an entry; the many that have nothing of the kind share one value that says so. */
export function readDetails(
  object: Readonly<Record<string, unknown>>,
  pathNames: readonly string[],
  context: EntryContext,
  place: FieldLocation,
): ReadDetails {
  let details: Record<string, unknown> | undefined;
  for (const field of Object.keys(object)) {
    const detail = detailsByName.get(field);
    if (!detail || object[field] === undefined) continue;
    const { name, type, readAs } = detail;
    const read = readOptional(
      object,
      name,
      (value, at) => readers[type as keyof typeof readers](value, at, name, context, pathNames),
      place,
    );
    if (read !== null) (details ??= { ...noDetails } as Record<string, unknown>)[readAs] = read;
  }
  return (details as unknown as ReadDetails | undefined) ?? noDetails;
}

function readQuery(value: unknown, taken: readonly string[], place: FieldLocation): string[] | null {
  return readList(
    value,
    (member, at) => {
      const key = readName(member, 'a key of the query', at);
      if (key !== null && taken.includes(key)) {
        at.problems.push(problem('query-name-taken', at.pointer, { value: key }));
      }
      return key;
    },
    place,
  );
}

export function readAudience(value: unknown, known: readonly string[] | null, place: FieldLocation): string[] | null {
  const readOne = (member: unknown, at: FieldLocation) => {
    const name = readName(member, 'the name of an audience', at);
    if (name !== null && known?.includes(name) === false) {
      const other = nearest(name, known);
      at.problems.push(problem('unknown-audience', at.pointer, { value: name, ...(other && { other }) }));
    }
    return name;
  };
  const names = readList(value, readOne, place);
  if (Array.isArray(value) && value.length === 0) {
    place.problems.push(problem('empty-text', place.pointer, { value: 'list of audiences' }));
  }
  return names;
}

function readFlexField(value: unknown, place: FieldLocation): string | null {
  const text = readText(value, 'flex', place);
  if (text === null || readFlex(text)) return text;
  place.problems.push(problem('flex-syntax', place.pointer, { value: text }));
  return null;
}
