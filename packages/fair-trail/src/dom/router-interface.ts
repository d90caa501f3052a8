import type { PageHead } from './page-head.ts';
import type { WarningCode } from '../core/warning-codes.ts';
import type { SessionHistory } from '../core/router/history.ts';
import type { HistoryBehavior, RouterState } from '../core/router/router.ts';
import type { Position } from '../core/site/locate.ts';
import type { Site } from '../core/site/site.ts';
import type { Warning } from '../core/warnings.ts';
import type { Arrival } from './arrivals.ts';
import type { MayLeave } from './guards.ts';
import type { Eagerness } from './speculation.ts';

/**
 * How the router goes to an address.
 */
export interface NavigateOptions {
  /** Default: `auto`. */
  readonly history?: HistoryBehavior;
  /** Kept with the history entry, across Back and a reload; anything that can be cloned. Default: nothing. */
  readonly state?: unknown;
}

/** A router in a browser. Frameworks read its state; the app calls its methods. */
export interface Router {
  readonly state: RouterState;
  readonly subscribe: (listener: () => void) => () => void;
  /**
   * Goes to an address of this website. What cannot be gone to is reported as a warning, and the visitor stays.
   *
   * @param url a URL reference, resolved against the current address
   */
  navigate(url: string, options?: NavigateOptions): void;
  back(): void;
  forward(): void;
  /** Keeps something with the current history entry, instead of what was kept there. */
  keepState(state: unknown): void;
  /** Asks this function before the page is left, until the answer is called. */
  guard(mayLeave: MayLeave): () => void;
  /** How a link writes an address of the site. */
  href(url: string): string;
  /** Loads the page of an address ahead. */
  prepare(url: string): void;
  connect(): () => void;
}

/** What a framework's parts tell the router about what they show. */
export interface Presenter {
  /** What the document is to say of the page of the current state. */
  describe(head: PageHead): void;
  /** The document now shows the current state, or what there is of it. */
  drawn(): void;
  /** Content of the page is on its way: the answer is called once it is there, or is not available. */
  expect(): () => void;
  /** New content is in the document. `arrival` says how the reader is taken to it, if not as everywhere. */
  present(content: Element, arrival?: Arrival): void;
  /** Makes a change of the content, as a view transition where that may be. */
  change(change: () => void): void;
  /** Adds something that loads the page of a position ahead. */
  preparing(prepare: (position: Position) => void): () => void;
  warn(code: WarningCode, cause?: unknown): void;
}

/** The options of `openRouter`. */
export interface RouterSettings {
  readonly site: Site;
  readonly history: SessionHistory;
  readonly window: Window;
  /** Default: `focus`. */
  readonly arrival?: Arrival;
  /** How early pages are loaded ahead; null for never. Default: `moderate`. */
  readonly eagerness?: Eagerness | null;
  /** Whether a page change is a view transition where the browser has them and motion is wanted. Default: true. */
  readonly viewTransitions?: boolean;
  /** Default: to the console. */
  readonly onWarning?: (warning: Warning) => void;
}
