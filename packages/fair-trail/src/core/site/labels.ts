import { textIn } from './texts.ts';
import type { Entry } from './entry.ts';
import { recordOf, type SiteRecords } from './records.ts';
import type { Site } from './site.ts';

const placeholder = /\{([\p{ID_Start}_][\p{ID_Continue}]*)\}/gu;

/** The names in braces that a text holds. */
export function placeholdersIn(text: string): string[] {
  return [...text.matchAll(placeholder)].map((found) => found[1] ?? '');
}

/** Replaces `{name}` by the value of that name; a name without a value stays as it is written. */
export function fill(text: string, values: Readonly<Record<string, string>>): string {
  // A large menu has tens of thousands of labels, and hardly one with a name in it.
  if (!text.includes('{')) return text;
  return text.replace(placeholder, (written, name: string) =>
    Object.hasOwn(values, name) ? (values[name] ?? written) : written,
  );
}

const noParams: Readonly<Record<string, string>> = {};
const noRecords: SiteRecords = {};

/** The params that the entry's own address has, out of those given. */
export function ownParams(entry: Entry, params: Readonly<Record<string, string>>): Readonly<Record<string, string>> {
  if (entry.paramNames.length === 0) return noParams;
  return Object.fromEntries(Object.entries(params).filter(([name]) => entry.paramNames.includes(name)));
}

/** What a label depends on besides the entry. */
export interface LabelOptions {
  /** Default: none. */
  readonly params?: Readonly<Record<string, string>>;
  /** Default: none. */
  readonly records?: SiteRecords;
  /** Default: the site's own. */
  readonly language?: string;
}

/**
 * Returns the label of an entry: the label of the record that its params name, or else the written label with the
 * params filled in.
 *
 * @example
 * labelOf(site, entry, { params: { slug: 'avocet' }, records }); // 'Avocet'
 */
export function labelOf(site: Site, entry: Entry, options: LabelOptions = {}): string {
  const { params = noParams, records = noRecords, language = site.language } = options;
  const own = ownParams(entry, params);
  return recordOf(entry, own, records)?.label ?? fill(textIn(entry.labels, language, site.language), own);
}
