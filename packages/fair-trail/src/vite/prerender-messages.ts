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
  /** The records that the configuration gives; null where those of the module count. */
  readonly records: SiteRecords | null;
  /** The page that the app was built with, and where all pages go. */
  readonly template: string;
  readonly outDir: string;
  readonly tags: PageTags;
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
  /** The ids of the pages of the app's stage; null where the module does not export them. */
  readonly stage: readonly string[] | null;
  /** Addresses that could not be made into the path of a file. */
  readonly leftOut: readonly string[];
}

export type PrerenderRequest = { readonly type: 'list' } | { readonly type: 'page'; readonly page: PageTask };

export type PrerenderAnswer =
  | { readonly type: 'list'; readonly list: PageList }
  | { readonly type: 'page'; readonly failure: string | null }
  | { readonly type: 'failed'; readonly failure: string };
