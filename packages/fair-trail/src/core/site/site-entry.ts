import type { Entry } from './entry.ts';
import { detailNames, type ReadDetails } from './field-table.ts';

/** What every entry has. */
type EntryBase = Omit<Entry, keyof ReadDetails>;

/**
 * An entry as it is kept. What few entries have is in one object, which all that have none of it share: a large site has
 * many entries, and each is half as large.
 */
export class SiteEntry implements EntryBase {
  readonly id: string;
  readonly label: string;
  readonly labels: Entry['labels'];
  readonly href: string | null;
  readonly hrefs: Entry['hrefs'];
  readonly outside: boolean;
  readonly templates: Entry['templates'];
  readonly isRoot: boolean;
  readonly paramNames: readonly string[];
  readonly audiences: Entry['audiences'];
  readonly parent: Entry | null;
  readonly entries: readonly Entry[];
  readonly index: number;
  readonly details: ReadDetails;

  private constructor(base: EntryBase, details: ReadDetails) {
    this.id = base.id;
    this.label = base.label;
    this.labels = base.labels;
    this.href = base.href;
    this.hrefs = base.hrefs;
    this.outside = base.outside;
    this.templates = base.templates;
    this.isRoot = base.isRoot;
    this.paramNames = base.paramNames;
    this.audiences = base.audiences;
    this.parent = base.parent;
    this.entries = base.entries;
    this.index = base.index;
    this.details = details;
  }

  static create(base: EntryBase, details: ReadDetails): Entry {
    // The getters of the details are defined below, where the compiler does not look.
    return new SiteEntry(base, details) as EntryBase as Entry;
  }
}

for (const { readAs } of detailNames) {
  Object.defineProperty(SiteEntry.prototype, readAs, {
    get(this: SiteEntry) {
      return this.details[readAs];
    },
  });
}
