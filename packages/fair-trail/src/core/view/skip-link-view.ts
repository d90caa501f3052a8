import type { Wording } from '../wording.ts';
import { element, type ViewElement } from './view.ts';

/** The id of the element that holds the page's main content. */
export const mainId = 'main';

/** A link past the navigation, the first on the page (WCAG 2.2, success criterion 2.4.1). Seen when it has focus. */
export function skipLinkView(wording: Wording, targetId = mainId): ViewElement {
  return element('a', { class: 'ft-skip-link', href: `#${targetId}` }, [wording.skipToContent]);
}
