import { askedOnce } from './one-reading.ts';
import { shadowOf } from './shadow-roots.ts';

/**
 * Every element that a selector finds, also within shadow roots, in the order of the document. Those of SVG are
 * taken for elements of HTML: what is asked of them, both have.
 */
export function deepElements(root: ParentNode, selector: string): readonly HTMLElement[] {
  if (!hasShadows(root)) return [...root.querySelectorAll<HTMLElement>(selector)];
  const found: HTMLElement[] = [];
  const walk = (at: ParentNode) => {
    for (const element of at.children) {
      if (element.matches(selector)) found.push(element as HTMLElement);
      const shadow = shadowOf(element);
      if (shadow) walk(shadow);
      walk(element);
    }
  };
  walk(root);
  return found;
}

/** Whether it is one that has a shadow root, or there is one in it. */
const hasShadows = askedOnce((root: ParentNode): boolean => {
  const isHost = 'shadowRoot' in root && shadowOf(root as Element) !== null;
  return isHost || [...root.querySelectorAll('*')].some((element) => shadowOf(element) !== null);
});

/** More of one menu, or of one page, are not looked at: no one uses them. */
export const mostLinks = 5000;

/** The links of HTML in it that have an address, also areas of image maps, in the order of the document: the first 5000. */
export function linksIn(root: ParentNode): readonly HTMLAnchorElement[] {
  const links = deepElements(root, 'a[href], area[href]').filter((link) => link.namespaceURI === html);
  return links.slice(0, mostLinks) as HTMLAnchorElement[];
}

const html = 'http://www.w3.org/1999/xhtml';
