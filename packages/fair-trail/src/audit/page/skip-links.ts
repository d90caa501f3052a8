import { menusIn } from '../../reading/near.ts';
import { isSkipName } from '../../reading/words.ts';
import { decodeSegment } from '../../core/site/encoding.ts';
import { accessibleName } from '../../reading/accessible-name.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isExposed } from '../../reading/visible.ts';

/** A link that leads past something on the page. */
export interface SkipLink {
  readonly selector: string;
  readonly html: string;
  /** The selector of what it leads to. */
  readonly target: string;
}

/** Links that say they skip something, at the beginning of the page, and lead to a place that is there. */
export function skipLinks(document: Document): readonly SkipLink[] {
  const [first] = menusIn(document);
  return [...document.querySelectorAll<HTMLAnchorElement>('a[href^="#"]')].slice(0, 50).flatMap((link) => {
    const id = decodeSegment(link.getAttribute('href')?.slice(1) ?? '');
    const target = id === '' ? null : document.getElementById(id);
    const isEarly = !first || first.contains(link) || Boolean(link.compareDocumentPosition(first) & 4);
    const isAhead = target !== null && Boolean(link.compareDocumentPosition(target) & 4);
    if (!isEarly || !isAhead || !isExposed(link) || !isSkipName(accessibleName(link, 'link'))) return [];
    return [{ selector: selectorOf(link), html: tagOf(link), target: selectorOf(target) }];
  });
}
