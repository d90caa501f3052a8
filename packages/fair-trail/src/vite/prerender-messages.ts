import type { SiteDefinition } from '../core/site/definition.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { PageTags } from './page-scripts.ts';

/** What a thread that writes pages is given when it starts. */
export interface PrerenderJob {
  /** The path of the module that renders the app. */
  readonly module: string;
  readonly definition: SiteDefinition;
  readonly base: string;
  readonly caseSensitive: boolean;
  /** The records, where they are known; null if those of the module count. */
  readonly records: SiteRecords | null;
  /** The page that the app was built with, and where all pages go. */
  readonly template: string;
  readonly outDir: string;
  /** Whether the addresses in the pages are relative to their files. */
  readonly isRelative: boolean;
  readonly tags: PageTags;
  /** What each page of the stage loads besides the app, by its id; null if that has to be found out. */
  readonly stageTags: Readonly<Record<string, string>> | null;
  /** Whether pages that only an audience may see are written too. */
  readonly restricted: boolean;
}

/** A page to write. */
export interface PageTask {
  readonly address: string;
  /** Relative to the folder of the build. */
  readonly file: string;
}

/** An old address, and the page that it leads to. */
export interface Redirect {
  readonly from: string;
  readonly to: string;
  readonly status: 301;
}

/** All that there is to write. */
export interface PageList {
  readonly pages: readonly PageTask[];
  readonly redirects: readonly Redirect[];
  readonly sitemap: readonly { readonly name: string; readonly text: string }[];
  /** The ids of the pages of the app's stage; null if the module does not export them. */
  readonly stage: readonly string[] | null;
  /** For the threads that come later, which need not find these out again. */
  readonly stageTags: Readonly<Record<string, string>>;
  readonly records: SiteRecords;
  /** What could not be made into the path of a file: a line for each, with the reason. */
  readonly leftOut: readonly string[];
  /** Addresses that only visitors of some audience may see, and that no file is written for. */
  readonly restricted: readonly string[];
}

export type PrerenderRequest = { readonly type: 'list' } | { readonly type: 'page'; readonly page: PageTask };

export type PrerenderAnswer =
  /** The module and all that it needs are loaded. */
  | { readonly type: 'ready' }
  | { readonly type: 'list'; readonly list: PageList }
  | { readonly type: 'page'; readonly failure: string | null }
  | { readonly type: 'failed'; readonly failure: string };
