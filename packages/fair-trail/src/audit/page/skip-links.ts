import { decodeSegment } from '../../core/site/encoding.ts';
import { accessibleName } from '../accessible-name.ts';
import { navigationsOf } from '../navigations.ts';
import { selectorOf, tagOf } from '../selector.ts';
import { isExposed } from '../visible.ts';

/** A link that leads past something on the page. */
export interface SkipLink {
  readonly selector: string;
  readonly html: string;
  /** The selector of what it leads to. */
  readonly target: string;
}

/** What they are called, in the languages we know. */
const names =
  /\b(?:skip|jump|go) (?:to|over|past|navigation)|skip\b|zum inhalt|springen|aller au contenu|saltar|ir al contenido/iu;

/** Links that say they skip something, at the beginning of the page, and lead to a place that is there. */
export function skipLinks(document: Document): readonly SkipLink[] {
  const { landmarks, runs } = navigationsOf(document);
  const [first] = [...landmarks, ...runs];
  return [...document.querySelectorAll<HTMLAnchorElement>('a[href^="#"]')].slice(0, 50).flatMap((link) => {
    const id = decodeSegment(link.getAttribute('href')?.slice(1) ?? '');
    const target = id === '' ? null : document.getElementById(id);
    const isEarly = !first || first.contains(link) || Boolean(link.compareDocumentPosition(first) & 4);
    const isAhead = target !== null && Boolean(link.compareDocumentPosition(target) & 4);
    if (!isEarly || !isAhead || !isExposed(link) || !names.test(accessibleName(link, 'link'))) return [];
    return [{ selector: selectorOf(link), html: tagOf(link), target: selectorOf(target) }];
  });
}
