import type { SiteDefinition } from './definition.ts';

/** What the compiler knows of a definition written in TypeScript, or of a JSON file with declarations. */

/** All entries of a list, those below them too. */
type EntryIn<Entries> = Entries extends readonly (infer One)[]
  ? One | (One extends { readonly entries: infer Below } ? EntryIn<Below> : never)
  : never;

/** The ids of a definition's entries; any text, where they are not known. */
export type EntryId<Definition extends SiteDefinition> =
  EntryIn<Definition['entries']> extends { readonly id: infer Id extends string } ? Id : string;

type EntryWith<Definition extends SiteDefinition, Id> = Extract<EntryIn<Definition['entries']>, { readonly id: Id }>;

type Letter =
  | 'a'
  | 'b'
  | 'c'
  | 'd'
  | 'e'
  | 'f'
  | 'g'
  | 'h'
  | 'i'
  | 'j'
  | 'k'
  | 'l'
  | 'm'
  | 'n'
  | 'o'
  | 'p'
  | 'q'
  | 'r'
  | 's'
  | 't'
  | 'u'
  | 'v'
  | 'w'
  | 'x'
  | 'y'
  | 'z';
type NameCharacter = Letter | Uppercase<Letter> | '0' | '1' | '2' | '3' | '4' | '5' | '6' | '7' | '8' | '9' | '_';

/** The name that a text begins with. */
type Name<Text extends string, Taken extends string = ''> = Text extends `${infer First}${infer Rest}`
  ? First extends NameCharacter
    ? Name<Rest, `${Taken}${First}`>
    : Taken
  : Taken;

/** The names of the params in a path. */
type NameIn<Path extends string> = Path extends `${string}:${infer After}` ? Name<After> | NameIn<After> : never;

/** Whether a path has parts that may be left out, or that take whatever is given. */
type IsLoose<Path extends string> = Path extends `${string}${'?' | '*' | '+' | '{'}${string}` ? true : false;

type Values<Text> = Text extends string ? Text : Text extends Readonly<Record<string, infer Value>> ? Value : never;

type PathOf<One> = One extends { readonly href: infer Href } ? Extract<Values<Href>, string> : never;

type QueryOf<One> = One extends { readonly query: readonly (infer Key extends string)[] } ? Key : never;

// An entry without params has the empty object type, and means it.
/* eslint-disable @typescript-eslint/no-generated-empty-object-type */

/** The params of one entry: each named one is needed, unless the path has optional parts; the query's never are. */
export type EntryParams<Definition extends SiteDefinition, Id extends string> = [EntryWith<Definition, Id>] extends [
  never,
]
  ? Readonly<Record<string, string>>
  : string extends PathOf<EntryWith<Definition, Id>>
    ? Readonly<Record<string, string>>
    : IsLoose<PathOf<EntryWith<Definition, Id>>> extends true
      ? Readonly<Record<string, string>>
      : Readonly<Record<NameIn<PathOf<EntryWith<Definition, Id>>>, string>> &
          Readonly<Partial<Record<QueryOf<EntryWith<Definition, Id>>, string>>>;

/** The arguments after an id: params are left out where none is needed. */
export type ParamsArgument<Definition extends SiteDefinition, Id extends string> =
  Record<never, never> extends EntryParams<Definition, Id>
    ? [params?: EntryParams<Definition, Id>]
    : [params: EntryParams<Definition, Id>];

/* eslint-enable @typescript-eslint/no-generated-empty-object-type */

/** A definition whose menus and home name only entries that it has. */
export type CheckedDefinition<Definition extends SiteDefinition> = Definition &
  Pick<SiteDefinition<EntryId<Definition>>, 'home' | 'menus'>;
