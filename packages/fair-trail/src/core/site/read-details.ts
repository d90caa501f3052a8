import { readFlex } from '../layout/flex.ts';
import type { Opens } from './definition.ts';
import { detailNames, noDetails, type entryDetails, type ReadDetails } from './field-table.ts';
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
  /** The audiences that there are; null where the site does not list them. */
  readonly audiences: readonly string[] | null;
}

/** What a detail is read with besides its value. */
interface DetailContext extends EntryContext {
  /** The names that are taken by the params of the path. */
  readonly pathNames: readonly string[];
}

type Reader = (value: unknown, place: FieldLocation, what: string, context: DetailContext) => unknown;

/** How a value of each type is read. Null, with a problem, where it is none of the type. */
const readers: Readonly<Record<(typeof entryDetails)[keyof typeof entryDetails]['type'], Reader>> = {
  boolean: readBoolean,
  number: readNumber,
  localized: (value, place, what, { languages }) => readTexts(value, what, languages, place),
  name: (value, place, what) => readName(value, `the name of ${what === 'records' ? 'records' : 'an icon'}`, place),
  query: (value, place, _, { pathNames }) => readQuery(value, pathNames, place),
  audience: (value, place, _, { audiences }) => readAudience(value, audiences, place),
  opens: (value, place) => readChoice<Opens>(value, ['same-tab', 'new-tab'], place),
  flex: readFlexField,
};

/** Reads the details of an entry; the many that have nothing of the kind share one value that says so. */
export function readDetails(
  object: Readonly<Record<string, unknown>>,
  context: DetailContext,
  place: FieldLocation,
): ReadDetails {
  let details: Record<string, unknown> | undefined;
  for (const { name, type, readAs } of detailNames) {
    if (object[name] === undefined) continue;
    const reader = readers[type as keyof typeof readers];
    const read = readOptional(object, name, (value, at) => reader(value, at, name, context), place);
    if (read !== null) (details ??= { ...noDetails })[readAs] = read;
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
