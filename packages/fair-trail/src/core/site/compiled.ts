import type { Localized } from './texts.ts';
import type { SiteShape } from './definition.ts';
import type { WrittenDetails } from './field-table.ts';
import type { PathTemplate } from './path-template.ts';
import type { known } from './site.ts';

/**
 * A checked site as a JSON value that is small and needs no checks. `compileSite` or the command `fair-trail compile`
 * writes it, and `loadSite` loads it. Its format is internal and versioned; `loadSite` refuses another version.
 *
 * @typeParam Definition what it was made of, so that the compiler knows its ids and params
 */
export interface CompiledSite<Definition extends SiteShape = SiteShape> {
  /** Never there: it holds what the compiler knows of the definition. */
  readonly [known]?: Definition;
  readonly compiled: number;
  readonly name: Localized;
  readonly title: Localized;
  readonly language: string;
  /** The other languages. */
  readonly languages?: readonly string[];
  readonly origin?: string;
  readonly audiences?: readonly string[];
  readonly base?: string;
  readonly ignoresCase?: boolean;
  /** The id of the entry that breadcrumbs begin with. */
  readonly home?: string;
  readonly entries: readonly CompiledEntry[];
  readonly menus?: Readonly<Record<string, readonly CompiledMenuItem[]>>;
}

/** The version of the format that this version of the library writes and reads. */
export const compiledVersion = 1;

/** What is not there is as the site file's default. */
export interface CompiledEntry extends WrittenDetails {
  readonly id: string;
  readonly label: Localized;
  readonly href?: Localized;
  /** True for an address of another site. */
  readonly outside?: boolean;
  /**
   * The ways to write the address; by language, where a language has its own. Not there where the address is the `href`
   * as it stands.
   */
  readonly templates?: readonly PathTemplate[] | Readonly<Record<string, readonly PathTemplate[]>>;
  readonly aliases?: readonly PathTemplate[];
  readonly movedFrom?: readonly PathTemplate[];
  readonly entries?: readonly CompiledEntry[];
}

/** As the site file writes a menu's items. */
export type CompiledMenuItem =
  | string
  | {
      readonly entry: string;
      readonly depth?: number;
      readonly params?: Readonly<Record<string, string>>;
    }
  | { readonly label: Localized; readonly entries: readonly CompiledMenuItem[] }
  | { readonly either: readonly CompiledMenuItem[] }
  | {
      readonly action: string;
      readonly label: Localized;
      readonly icon?: string;
      readonly audience?: readonly string[];
    }
  | { readonly divider: true };
