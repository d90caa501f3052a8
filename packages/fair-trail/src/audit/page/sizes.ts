import { menusIn } from '../../reading/near.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { numberOf } from '../../reading/element-at.ts';
import { navigationsOf } from '../../reading/navigations.ts';
import { inOneReading } from '../../reading/one-reading.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isExposed } from '../../reading/visible.ts';

/** The size of a label, to be compared with that at another width. */
export interface LabelSize {
  readonly number: number;
  readonly selector: string;
  readonly html: string;
  /** In CSS pixels. */
  readonly size: number;
}

/** More of one menu are drawn by the same rules. */
const mostOfMenu = 60;

/** How large the text of the menus is; what is hidden at this width has its size too. */
export function fontSizes(): readonly LabelSize[] {
  return inOneReading(() => {
    return menusIn(document).flatMap((menu) =>
      deepElements(menu, 'a[href], button, summary, a[href] *, button *, span, h2, h3')
        .slice(0, mostOfMenu)
        .filter((element) =>
          [...element.childNodes].some((node) => node.nodeType === 3 && /\p{Letter}/u.test(node.nodeValue ?? '')),
        )
        .map((element) => ({
          number: numberOf(element),
          selector: selectorOf(element),
          html: tagOf(element),
          size: Number.parseFloat(getComputedStyle(element).fontSize),
        })),
    );
  });
}

/** The addresses of the links of the menus that are drawn or can be opened here. */
export function shownAddresses(): readonly {
  readonly href: string;
  readonly selector: string;
  readonly html: string;
}[] {
  return inOneReading(() => {
    const { landmarks } = navigationsOf(document);
    return landmarks.flatMap((menu) =>
      (deepElements(menu, 'a[href]') as readonly HTMLAnchorElement[])
        .filter((link) => isExposed(link) && link.getClientRects().length > 0 && getComputedStyle(link).opacity !== '0')
        .map((link) => ({ href: link.href, selector: selectorOf(link), html: tagOf(link) })),
    );
  });
}

/** Whether the page is turned on its side, for people who cannot turn their device. */
export function isTurned(): boolean {
  return [document.documentElement, document.body, ...document.body.children].some((element) => {
    const { transform, rotate } = getComputedStyle(element);
    const [, a = '1', b = '0'] = /^matrix\(([^,]+), ([^,]+)/u.exec(transform) ?? [];
    const isQuarter = Math.abs(Number(a)) < 0.1 && Math.abs(Math.abs(Number(b)) - 1) < 0.1;
    const { width, height } = element.getBoundingClientRect();
    return (isQuarter || /^-?90deg$/u.test(rotate)) && width * height > 0.3 * innerWidth * innerHeight;
  });
}
