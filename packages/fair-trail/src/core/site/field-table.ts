/** Where an outside link opens. The default is the same tab. */
import type { Localized, Texts } from './texts.ts';
export type Opens = 'same-tab' | 'new-tab';

/**
 * Every field of the site file, once. The reader, the types of what is written and read, the compiled format, the JSON
 * Schema (`site.schema.json`) and the tables of `docs/site-file.md` are made of these tables; the comment above a field is
 * what the last two say of it. A field of its own in `entryDetails` needs no other line of code.
 */

/** What each type of a field is written as. */
export interface WrittenTypes {
  readonly text: string;
  readonly localized: Localized;
  readonly name: string;
  readonly names: readonly string[];
  readonly audience: readonly string[];
  readonly query: readonly string[];
  readonly paths: readonly string[];
  readonly href: Localized;
  readonly language: string;
  readonly languages: readonly string[];
  readonly origin: string;
  readonly title: Localized;
  readonly boolean: boolean;
  readonly number: number;
  readonly opens: Opens;
  readonly flex: string;
}

export type FieldType = keyof WrittenTypes;

/** What is read of a value: text by language always is an object. */
type ReadType<Type extends FieldType> = Type extends 'localized' ? Texts : WrittenTypes[Type];

/** A field whose value is of a type of its own, such as a list of entries: what it holds is read elsewhere. */
interface NestedField {
  readonly type: 'entries' | 'menus' | 'menuItems' | 'entryId' | 'depth' | 'params' | 'divider';
}

interface PlainField {
  readonly type: FieldType;
}

export type Field = (PlainField | NestedField) & {
  readonly required?: true;
  readonly default?: unknown;
  /** What the documentation says is the default, where it is not the value that is read. */
  readonly usually?: string;
};

export type FieldTable = Readonly<Record<string, Field>>;

/** A field of an entry that is read by its type alone. */
interface DetailField extends PlainField {
  /** What an entry has that does not say it. */
  readonly default: unknown;
  /** The name of the field in an entry that was read, where it is another one. */
  readonly readAs?: string;
  readonly usually?: string;
}

/** Shared by the many entries that have nothing of a kind. */
export const none: readonly never[] = [];

/** What an entry may have besides its name, its addresses and its place in the tree. */
export const entryDetails = {
  /** The keys of the query that make a different place. They are params like those of the path, but optional. */
  query: { type: 'query', default: none },
  /** Who may see the entry and all below it: a visitor in any one of these audiences. */
  audience: { type: 'audience', default: null, usually: 'everyone' },
  /** The page does not exist yet. */
  planned: { type: 'boolean', default: false },
  /** Where the link opens: `new-tab` opens a new tab, and says so. */
  opens: { type: 'opens', default: 'same-tab' },
  /** A line that says more than the label. Text, or text by language. */
  summary: { type: 'localized', default: null, readAs: 'summaries' },
  /** A word or figure beside the label. What is known only at run time is given to the menu instead. */
  badge: { type: 'localized', default: null, readAs: 'badges' },
  /** The name of an icon; the app says how a name becomes a drawing. */
  icon: { type: 'name', default: null },
  /** The name of the icon while the entry is marked. */
  currentIcon: { type: 'name', default: null, usually: '`icon`' },
  /** The higher, the longer the entry stays in a bar that runs out of room. */
  priority: { type: 'number', default: 0 },
  /** How spare and missing room is shared, as the CSS `flex` shorthand. */
  flex: { type: 'flex', default: null },
  /** False leaves the entry out of the breadcrumbs of what is below it. */
  breadcrumb: { type: 'boolean', default: true },
  /** False says that the entry is in no menu on purpose: pages link to it. */
  listed: { type: 'boolean', default: true },
  /** The name of the list that gives this entry its pages at run time. The `href` must have params. */
  records: { type: 'name', default: null },
} as const satisfies Readonly<Record<string, DetailField>>;

export const entryFields = {
  /** Unique in the file. A letter, then letters, digits, `-`, `_` or `.`. */
  id: { type: 'name', required: true },
  /** Text, never HTML, or text by language. `{name}` is replaced by the param of that name. */
  label: { type: 'localized', required: true },
  /**
   * A path of this site in the pathname syntax of the URL Pattern standard, or an `http`, `https`, `mailto` or `tel`
   * address; or one by language. Without one, the entry is an unlinked group.
   */
  href: { type: 'href' },
  /** Other paths of the same place, in every language. They count as exact; links use `href`. */
  aliases: { type: 'paths' },
  /** Old paths, which lead on to `href`. */
  movedFrom: { type: 'paths' },
  ...entryDetails,
  /** The entries below this one. */
  entries: { type: 'entries' },
} as const satisfies FieldTable;

export const siteFields = {
  /** Where the schema is, for editors. */
  $schema: { type: 'text' },
  /** The name of the website. Text, or text by language. */
  name: { type: 'localized', required: true },
  /** The scheme, host and port under which the site is published, such as `https://marram.example`. */
  origin: { type: 'origin' },
  /** The language of the site, as a BCP 47 tag. Its pages have no prefix. */
  language: { type: 'language', default: 'en' },
  /** The other languages; the pages of each lie below a prefix that is its tag. */
  languages: { type: 'languages' },
  /** The audiences that there are. Where they are listed, a name that is not among them is a problem. */
  audiences: { type: 'names' },
  /** The id of the entry that breadcrumbs begin with. */
  home: { type: 'name', usually: 'the entry at `/`' },
  /** The document title: `{label}` and `{site}` are replaced. Text, or text by language. */
  title: { type: 'title', default: '{label} · {site}' },
  /** The pages, sections, outside links and groups, nested. */
  entries: { type: 'entries', required: true },
  /** Named, ordered choices of entries. */
  menus: { type: 'menus' },
} as const satisfies FieldTable;

/** The kinds of menu items that are objects, by the field that distinguishs them. */
export const menuItemFields = {
  entry: {
    /** The id of an entry. */
    entry: { type: 'entryId', required: true },
    /** How many levels to show: 1 is the entry alone. */
    depth: { type: 'depth', default: 1 },
    /** Values for the entry's params, for a link to one place of many. */
    params: { type: 'params' },
  },
  label: {
    /** The title of a group that exists only in this menu. */
    label: { type: 'localized', required: true },
    /** The items of the group. */
    entries: { type: 'menuItems', required: true },
  },
  action: {
    /** The name that the app gets when the button is activated. */
    action: { type: 'name', required: true },
    /** What the button says. */
    label: { type: 'localized', required: true },
    /** The name of an icon; the app says how a name becomes a drawing. */
    icon: { type: 'name' },
    /** Who may see it: a visitor in any one of these audiences. */
    audience: { type: 'audience', usually: 'everyone' },
  },
  either: {
    /** The first of these that the visitor may see. While the audience is not known yet, one cell is kept for all. */
    either: { type: 'menuItems', required: true },
  },
  divider: {
    /** A line between what is before and what is after. */
    divider: { type: 'divider', required: true },
  },
} as const satisfies Readonly<Record<string, FieldTable>>;

type Details = typeof entryDetails;

/** The details of an entry as they are written. */
export type WrittenDetails = { readonly [Name in keyof Details]?: WrittenTypes[Details[Name]['type']] };

type ReadName<Name extends keyof Details> = Details[Name] extends { readonly readAs: infer Other extends string }
  ? Other
  : Name;

/** The details of an entry as they are read; null, or the default, where it does not say them. */
export type ReadDetails = {
  readonly [Name in keyof Details as ReadName<Name>]:
    ReadType<Details[Name]['type']> | Extract<Details[Name]['default'], null>;
};

type DetailName = keyof Details;

/** The fields of the table, each with the name that it has once it is read. */
export const detailNames = Object.entries<DetailField>(entryDetails).map(
  ([name, { type, default: usual, readAs = name }]) => ({
    name: name as DetailName,
    type,
    usual,
    readAs: readAs as keyof ReadDetails,
  }),
);

/** What an entry has that says nothing of its details. */
export const noDetails = Object.fromEntries(detailNames.map(({ readAs, usual }) => [readAs, usual])) as ReadDetails;
