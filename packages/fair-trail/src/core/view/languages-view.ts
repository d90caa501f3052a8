import type { LanguageLink } from '../site/language-links.ts';
import type { Wording } from '../wording.ts';
import { element, type ViewElement } from './view.ts';

/** Links to the same page in other languages. Each is in its own language, and says so (WCAG 2.2, 3.1.2). */
export function languagesView(links: readonly LanguageLink[], wording: Wording): ViewElement {
  const items = links.map(({ language, label, href, current }) => {
    const attributes = {
      class: 'ft-language',
      href,
      lang: language,
      hreflang: language,
      'aria-current': current ? 'true' : null,
    };
    return element('li', { class: 'ft-menu-item' }, [element('a', attributes, [label])], { key: language });
  });
  const list = element('ul', { class: 'ft-menu', role: 'list' }, items);
  return element('nav', { class: 'ft-languages', 'aria-label': wording.languages }, [list]);
}
