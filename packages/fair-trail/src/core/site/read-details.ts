import { readFlex } from '../layout/flex.ts';
import type { Opens } from './definition.ts';
import type { Entry } from './entry.ts';
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

/** The fields that few entries have. */
export const detailFields = [
  'query',
  'audience',
  'planned',
  'opens',
  'summary',
  'badge',
  'icon',
  'currentIcon',
  'priority',
  'flex',
  'breadcrumb',
  'listed',
  'records',
] as const;

/** What an entry may have besides its name, its addresses and its place in the tree. */
export interface EntryDetails extends Pick<
  Entry,
  | 'query'
  | 'planned'
  | 'opens'
  | 'summaries'
  | 'badges'
  | 'icon'
  | 'currentIcon'
  | 'priority'
  | 'flex'
  | 'breadcrumb'
  | 'listed'
  | 'records'
> {
  readonly audience: readonly string[] | null;
}

/** Shared by the many entries that have nothing of a kind. */
export const none: readonly never[] = [];

const noDetails: EntryDetails = {
  query: none,
  audience: null,
  planned: false,
  opens: 'same-tab',
  summaries: null,
  badges: null,
  icon: null,
  currentIcon: null,
  priority: 0,
  flex: null,
  breadcrumb: true,
  listed: true,
  records: null,
};

/** Reads them; the many entries that have nothing of the kind share one value that says so. */
export function readDetails(
  object: Readonly<Record<string, unknown>>,
  pathNames: readonly string[],
  { languages, audiences }: EntryContext,
  place: FieldLocation,
): EntryDetails {
  if (!detailFields.some((field) => object[field] !== undefined)) return noDetails;
  const optional = <Value>(field: string, read: (value: unknown, at: FieldLocation) => Value | null) =>
    readOptional(object, field, read, place);
  const texts = (what: string) => (one: unknown, at: FieldLocation) => readTexts(one, what, languages, at);
  const named = (what: string) => (one: unknown, at: FieldLocation) => readName(one, what, at);
  return {
    query: optional('query', (one, at) => readQuery(one, pathNames, at)) ?? none,
    audience: optional('audience', (one, at) => readAudience(one, audiences, at)),
    planned: optional('planned', readBoolean) ?? false,
    opens: optional('opens', readOpens) ?? 'same-tab',
    summaries: optional('summary', texts('summary')),
    badges: optional('badge', texts('badge')),
    icon: optional('icon', named('the name of an icon')),
    currentIcon: optional('currentIcon', named('the name of an icon')),
    priority: optional('priority', readNumber) ?? 0,
    flex: optional('flex', readFlexField),
    breadcrumb: optional('breadcrumb', readBoolean) ?? true,
    listed: optional('listed', readBoolean) ?? true,
    records: optional('records', named('the name of records')),
  };
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

function readOpens(value: unknown, place: FieldLocation): Opens | null {
  return readChoice<Opens>(value, ['same-tab', 'new-tab'], place);
}

function readFlexField(value: unknown, place: FieldLocation): string | null {
  const text = readText(value, 'flex', place);
  if (text === null || readFlex(text)) return text;
  place.problems.push(problem('flex-syntax', place.pointer, { value: text }));
  return null;
}
