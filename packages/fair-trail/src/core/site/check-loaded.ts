import { readBase } from './address.ts';
import { detailNames } from './field-table.ts';
import type { Site } from './site.ts';

/*
 * What is loaded at run time may be anything, and is asked for its form alone: whether the site makes sense, the build that
 * wrote it has checked.
 */

type LoadedFields = Readonly<Record<string, unknown>>;
type FormCheck = (value: unknown) => boolean;

const isFields = (value: unknown): value is LoadedFields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isText: FormCheck = (value) => typeof value === 'string';
const isFlag: FormCheck = (value) => typeof value === 'boolean';
const listOf =
  (check: FormCheck): FormCheck =>
  (value) =>
    Array.isArray(value) && value.every(check);
const valuesOf =
  (check: FormCheck): FormCheck =>
  (value) =>
    isFields(value) && Object.values(value).every(check);
const isLocalized: FormCheck = (value) => isText(value) || valuesOf(isText)(value);
const areTexts = listOf(isText);

/** Whether an object has these fields, where it has them. */
const has =
  (fields: Readonly<Record<string, FormCheck>>, required: readonly string[]): FormCheck =>
  (value) =>
    isFields(value) &&
    required.every((name) => value[name] !== undefined) &&
    Object.entries(fields).every(([name, check]) => value[name] === undefined || check(value[name]));

const detailChecks: Readonly<Record<string, FormCheck>> = {
  localized: isLocalized,
  boolean: isFlag,
  number: (value) => typeof value === 'number',
  query: areTexts,
  audience: areTexts,
};

const hasEntryFields: FormCheck = has(
  {
    ...Object.fromEntries(detailNames.map(({ name, type }) => [name, detailChecks[type] ?? (() => true)])),
    id: isText,
    label: isLocalized,
    href: isLocalized,
    outside: isFlag,
    templates: (value) => areTexts(value) || valuesOf(areTexts)(value),
    aliases: areTexts,
    movedFrom: areTexts,
    audience: areTexts,
    entries: (value) => listOf(isEntry)(value),
  },
  ['id', 'label'],
);

/** An address that languages write differently has its templates beside it. */
const isEntry: FormCheck = (value) => {
  if (!hasEntryFields(value)) return false;
  const { href, outside, templates } = value as LoadedFields;
  return !isFields(href) || outside === true || templates !== undefined;
};

const isMenuItem: FormCheck = (value) =>
  isText(value) ||
  (['entry', 'label', 'either', 'divider'].some((name) => isFields(value) && name in value) &&
    has(
      {
        entry: isText,
        depth: (depth) => typeof depth === 'number',
        params: valuesOf(isText),
        label: isLocalized,
        entries: listOf(isMenuItem),
        either: listOf(isMenuItem),
        action: isText,
        icon: isText,
        audience: areTexts,
      },
      [],
    )(value));

/** Whether a value has the form of a compiled site. */
export const isCompiledForm: FormCheck = has(
  {
    name: isLocalized,
    title: isLocalized,
    language: isText,
    languages: areTexts,
    origin: isText,
    audiences: areTexts,
    base: (value) => isText(value) && readBase(value) === value,
    ignoresCase: isFlag,
    home: isText,
    entries: listOf(isEntry),
    menus: valuesOf(listOf(isMenuItem)),
  },
  ['name', 'title', 'language', 'entries'],
);

/** Whether a value is a site as the library makes them. */
export function isSite(value: unknown): value is Site {
  if (!isFields(value)) return false;
  const { menus, entries, languages, find, entry, base } = value as Partial<Record<keyof Site, unknown>>;
  return (
    menus instanceof Map &&
    Array.isArray(entries) &&
    areTexts(languages) &&
    typeof find === 'function' &&
    typeof entry === 'function' &&
    isText(base)
  );
}
