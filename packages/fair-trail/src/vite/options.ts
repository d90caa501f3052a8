import type { SiteRecords } from '../core/site/records.ts';

/**
 * The options of the plugin. All paths are relative to the root of the project.
 */
export interface FairTrailOptions {
  /** The site file. Default: the only file below the root whose name ends in `.site.json`. */
  readonly site?: string;
  /** A file of design tokens for the theme of the components. Default: the library's own theme. */
  readonly tokens?: string;
  /** Whether `/Hides` and `/hides` are different addresses. Default: true. */
  readonly caseSensitive?: boolean;
  /**
   * Where the declarations of site files are written: `beside` each file, below a folder, or nowhere (false). A folder has to be in
   * the `rootDirs` of the TypeScript configuration. Default: `beside`.
   */
  readonly types?: 'beside' | false | { readonly folder: string };
  /**
   * Whether pages load the styles of the library, of the tokens and of the site file, as one stylesheet in their head. Default: true.
   * Without it, import what you need: see the page on publishing.
   */
  readonly styles?: boolean;
  /** Whether pages load the early script in their head. Default: true. */
  readonly earlyScript?: boolean;
  /** What the state sheet of the development server shows besides the site and the tokens. */
  readonly sheet?: SheetSettings;
  /** Writes each page as HTML when the app is built. A text is its `entry`. Default: no page is written. */
  readonly prerender?: string | PrerenderOptions;
}

/** What the state sheet shows besides the site and the tokens. */
export interface SheetSettings {
  /** A JSON file with the records. */
  readonly records?: string;
  /** An SVG sprite whose symbols have the names of the icons. */
  readonly icons?: string;
}

/** How pages are written when the app is built. */
export interface PrerenderOptions {
  /** The module that renders the app on a server: it exports `render`, and may export `records` and `pages`. */
  readonly entry: string;
  /** The records that give entries with params their pages: a JSON file, or a function. Default: the `records` of the entry. */
  readonly records?: string | (() => SiteRecords | Promise<SiteRecords>);
  /**
   * The file that a server sends for an address that was not written, when more pages come with data later. The app draws such a page in
   * the browser. Default: none, and a server sends `404.html`.
   */
  readonly fallback?: string;
  /**
   * Whether pages that only visitors of some audience may see are written too, as they are while the audience is not known.
   * Default: false, and the build says which were left out.
   */
  readonly restricted?: boolean;
  /** How long one page may take, in seconds. Default: 30. */
  readonly timeout?: number;
}

/** A page as the app's `render` returns it. */
export interface RenderedPage {
  /** The app's markup. It takes the place of `<!--app-->` in `index.html`. */
  readonly html: string;
  /** Default: the title that the site file says. */
  readonly title?: string;
  /** Markup for the end of the head. Default: none. */
  readonly head?: string;
}

/**
 * What the module that renders the app on a server exports.
 *
 * @example
 * export const render: ServerEntry['render'] = (url) => ({ html: renderToString(<App url={url} />) });
 */
export interface ServerEntry {
  /** Renders the page at an address below the base path. A text is the page's `html`. */
  readonly render: (url: string) => RenderedPage | string | Promise<RenderedPage | string>;
  /** The records that give entries with params their pages. Default: none. */
  readonly records?: SiteRecords | (() => SiteRecords | Promise<SiteRecords>);
  /** The pages of the app's stage: their scripts are then preloaded, and entries without a page are reported. */
  readonly pages?: Readonly<Record<string, unknown>>;
}
