import type { Wording } from '../wording.ts';
import { element, type ViewElement } from './view.ts';

/** The id of the element that holds the page's main content. */
export const mainId = 'main';

/** A link past the navigation, the first on the page (WCAG 2.2, success criterion 2.4.1). Seen when it has focus. */
export function skipLinkView(wording: Wording, targetId = mainId): ViewElement {
  return element('a', { class: 'ft-skip-link', href: `#${targetId}` }, [wording.skipToContent]);
}

/** Another place on the page to skip to. */
export interface SkipTarget {
  /** The id of its element. */
  readonly id: string;
  readonly label: string;
}

/** Links to several places on the page, the first of which is usually the content. */
export function skipLinksView(targets: readonly SkipTarget[], wording: Wording): ViewElement {
  const links = targets.map(({ id, label }) =>
    element('a', { class: 'ft-skip-link', href: `#${id}` }, [label], { key: id }),
  );
  return element('div', { class: 'ft-skip-links' }, [skipLinkView(wording), ...links]);
}
