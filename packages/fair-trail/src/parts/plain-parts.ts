import { isDevelopment } from '../core/development.ts';
import { languageLinks } from '../core/site/language-links.ts';
import type { Position } from '../core/site/locate.ts';
import { languagesView } from '../core/view/languages-view.ts';
import { layoutView, type LayoutPart } from '../core/view/layout-view.ts';
import { skipLinksView, skipLinkView, type SkipTarget } from '../core/view/skip-link-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import { warning } from '../core/warnings.ts';
import { logWarning } from '../dom/log-warning.ts';
import { contentSelector } from '../dom/nodes.ts';
import { stayOnPage } from '../dom/skip.ts';
import { BasePart } from './navigation-part.ts';
import type { Runs } from './runs.ts';
import type { LocationSource, Surroundings } from './surroundings.ts';

/** A part without state that reports nothing. */
abstract class PlainPart<Options extends object> extends BasePart<Options, null, never> {
  send = (): void => undefined;

  protected stateNow(): null {
    return null;
  }
}

/** The options of links to the page's other languages. */
export interface LanguagesOptions {
  readonly trail: Surroundings;
  readonly position: Position;
  /** Names to show instead of those that the browser knows, by language. */
  readonly names?: Readonly<Record<string, string>> | undefined;
}

/** Links to the same page in each of the site's languages. */
export class LanguagesPart extends PlainPart<LanguagesOptions> {
  protected draw({ trail, position, names }: LanguagesOptions): ViewElement {
    return languagesView(languageLinks(trail.site, position, names), trail.wording);
  }
}

/** The options of a link past the navigation. */
export interface SkipLinkOptions {
  readonly trail: Surroundings;
  /** The id of the element to skip to. Default: that of the main content. */
  readonly targetId?: string | undefined;
  /** Further places to skip to, after the content. */
  readonly targets?: readonly SkipTarget[] | undefined;
}

/** A link past the navigation, or several. */
export class SkipLinkPart extends PlainPart<SkipLinkOptions> {
  protected draw({ trail, targetId, targets }: SkipLinkOptions): ViewElement {
    return targets ? skipLinksView(targets, trail.wording) : skipLinkView(trail.wording, targetId);
  }

  protected override run(root: HTMLElement, runs: Runs): void {
    runs.keep('stay on the page', [root], stayOnPage);
  }
}

/** The options of a layout. */
export interface LayoutOptions {
  readonly trail: Surroundings;
  readonly location: LocationSource;
  /** The parts that the app fills. */
  readonly filled: readonly LayoutPart[];
}

/** The layout that all pages share: notice, bar, sidebar, content and footer. */
export class PageLayoutPart extends PlainPart<LayoutOptions> {
  protected draw({ filled }: LayoutOptions): ViewElement {
    return layoutView(filled);
  }

  protected override run(root: HTMLElement, runs: Runs): void {
    const { trail, location } = this.options;
    if (!isDevelopment) return;
    runs.keep('look for the content', [root], (layout) => {
      // A layout of a stage stands within the main content itself.
      if (layout.closest(contentSelector) ?? layout.querySelector(contentSelector)) return undefined;
      (trail.warn ?? logWarning)(warning('layout-without-content', location.read().url));
      return undefined;
    });
  }
}
