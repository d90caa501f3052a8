import type { SiteDefinition, SiteShape } from './definition.ts';

/** What the compiler knows of a definition written in TypeScript, or of a JSON file with declarations. */

/** All entries of a list, those below them too. */
type EntryIn<Entries> = Entries extends readonly (infer One)[]
  ? One | (One extends { readonly entries: infer Below } ? EntryIn<Below> : never)
  : never;

/** The ids of a definition's entries; any string if they are not known to the compiler. */
export type EntryId<Definition extends SiteShape> =
  EntryIn<Definition['entries']> extends { readonly id: infer Id extends string } ? Id : string;

type EntryWith<Definition extends SiteShape, Id> = Extract<EntryIn<Definition['entries']>, { readonly id: Id }>;

/** What is no part of a name: letters and digits are, those of all scripts. */
type Punctuation =
  | ' '
  | '!'
  | '"'
  | '#'
  | '$'
  | '%'
  | '&'
  | "'"
  | '('
  | ')'
  | '*'
  | '+'
  | ','
  | '-'
  | '.'
  | '/'
  | ':'
  | ';'
  | '<'
  | '='
  | '>'
  | '?'
  | '@'
  | '['
  | '\\'
  | ']'
  | '^'
  | '`'
  | '{'
  | '|'
  | '}'
  | '~';

/** The name that a text begins with. */
type ParamName<Text extends string, Taken extends string = ''> = Text extends `${infer First}${infer Rest}`
  ? First extends Punctuation
    ? Taken
    : ParamName<Rest, `${Taken}${First}`>
  : Taken;

/** A path with a space for each escaped character, which stands for itself. */
type Unescaped<Path extends string> = Path extends `${infer Before}\\${infer After}`
  ? After extends `${infer _}${infer Rest}`
    ? `${Before} ${Unescaped<Rest>}`
    : Before
  : Path;

/** The names of the params in an unescaped path. */
type NameIn<Path extends string> = Path extends `${string}:${infer After}` ? ParamName<After> | NameIn<After> : never;

/** Whether a path has parts that may be left out, or that take whatever is given. */
type IsLoose<Path extends string> = Path extends `${string}${'?' | '*' | '+' | '{'}${string}` ? true : false;

type Values<Text> = Text extends string ? Text : Text extends Readonly<Record<string, infer Value>> ? Value : never;

type PathOf<One> = One extends { readonly href: infer Href } ? Unescaped<Extract<Values<Href>, string>> : never;

type QueryOf<One> = One extends { readonly query: readonly (infer Key extends string)[] } ? Key : never;

// An entry without params has the empty object type, and means it.
/* eslint-disable @typescript-eslint/no-generated-empty-object-type */

/**
 * The params of one entry. Params of the path are required unless the path has optional parts. Query keys are optional.
 */
export type EntryParams<Definition extends SiteShape, Id extends string> = [EntryWith<Definition, Id>] extends [never]
  ? Readonly<Record<string, string>>
  : string extends PathOf<EntryWith<Definition, Id>>
    ? Readonly<Record<string, string>>
    : IsLoose<PathOf<EntryWith<Definition, Id>>> extends true
      ? Readonly<Record<string, string>>
      : Readonly<Record<NameIn<PathOf<EntryWith<Definition, Id>>>, string>> &
          Readonly<Partial<Record<QueryOf<EntryWith<Definition, Id>>, string>>>;

/** The arguments after an id: params are left out where none is needed. */
export type ParamsArgument<Definition extends SiteShape, Id extends string> =
  Record<never, never> extends EntryParams<Definition, Id>
    ? [params?: EntryParams<Definition, Id>]
    : [params: EntryParams<Definition, Id>];

/* eslint-enable @typescript-eslint/no-generated-empty-object-type */

/** An id as an argument: one that the site does not have is reported by itself, and not as a missing param. */
export type KnownId<Definition extends SiteShape, Id extends string> =
  Id extends EntryId<Definition> ? Id : EntryId<Definition>;

/** A definition whose menus and home name only entries that it has. */
export type CheckedDefinition<Definition extends SiteDefinition> = Definition &
  Pick<SiteDefinition<EntryId<Definition>>, 'home' | 'menus'>;

/** Any text, where the compiler knows no name. */
type KnownName<Name> = [Name] extends [never] ? string : Extract<Name, string>;

/** The names of a definition's menus. */
export type MenuName<Definition extends SiteShape> = Definition extends { readonly menus: infer Menus }
  ? KnownName<keyof Menus>
  : string;

type Member<List> = List extends readonly (infer One)[] ? One : never;

/** The names of the audiences that a definition lists, or that its entries are for. */
export type AudienceName<Definition extends SiteShape> = KnownName<
  | (Definition extends { readonly audiences: infer Names } ? Member<Names> : never)
  | (EntryIn<Definition['entries']> extends infer One
      ? One extends { readonly audience: infer Names }
        ? Member<Names>
        : never
      : never)
>;

/** The names of the icons of a definition's entries. */
export type IconName<Definition extends SiteShape> = KnownName<
  EntryIn<Definition['entries']> extends infer One
    ? | (One extends { readonly icon: infer Name } ? Name : never)
      | (One extends { readonly currentIcon: infer Name } ? Name : never)
    : never
>;

/** The names of the lists that give entries their pages at run time. */
export type RecordsName<Definition extends SiteShape> = KnownName<
  EntryIn<Definition['entries']> extends infer One
    ? One extends { readonly records: infer Name }
      ? Name
      : never
    : never
>;

type ItemIn<Items> = Items extends readonly (infer One)[]
  ? | One
    | (One extends { readonly entries: infer Below } ? ItemIn<Below> : never)
    | (One extends { readonly either: infer Below } ? ItemIn<Below> : never)
  : never;

/** The names of the actions in a definition's menus. */
export type ActionName<Definition extends SiteShape> = Definition extends { readonly menus: infer Menus }
  ? KnownName<
      ItemIn<Menus[keyof Menus]> extends infer One
        ? One extends { readonly action: infer Name }
          ? Name
          : never
        : never
    >
  : string;
