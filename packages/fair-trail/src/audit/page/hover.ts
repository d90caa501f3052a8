import { linksIn } from '../../reading/deep-elements.ts';
import { holds } from '../../reading/navigations.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isSeen, parentOf } from '../../reading/visible.ts';
import { fingerprintOf } from './fingerprint.ts';

/** An item of a menu that holds links which are not to be seen: the pointer over it may show them. */
export interface HoverTrigger {
  /** What the pointer is moved over. */
  readonly selector: string;
  readonly html: string;
  readonly fingerprint: string;
  /** What may take focus of it; null if nothing does. */
  readonly focusable: string | null;
  /** Whether it leads to a page of its own, which may list the same. */
  readonly isLink: boolean;
  /** Whether a button of the same item says that it opens something. */
  readonly hasToggle: boolean;
}

/** More of one menu are drawn by the same rules. */
const mostOfMenu = 2;

export function hoverTriggers(navigations: readonly Element[]): readonly HoverTrigger[] {
  return navigations.flatMap((menu) => {
    const triggers = new Map<Element, Element>();
    for (const link of linksIn(menu)) {
      if (triggers.size >= mostOfMenu) break;
      if (isSeen(link)) continue;
      const item = itemAround(link, menu);
      const label = item && labelOf(item);
      if (item && label && !triggers.has(item)) triggers.set(item, label);
    }
    return [...triggers].map(([item, label]) => {
      const focusables = 'a[href], button, summary, [tabindex]:not([tabindex^="-"])';
      const within = label.matches(focusables) ? label : label.querySelector(focusables);
      const inItem = within ?? [...item.querySelectorAll(focusables)].find(isSeen) ?? null;
      return {
        selector: selectorOf(label),
        html: tagOf(label),
        fingerprint: `hover ${fingerprintOf(menu)} ${label.textContent}`,
        hasToggle: item.querySelector('[aria-expanded], summary, [popovertarget]') !== null,
        focusable: inItem && selectorOf(inItem),
        isLink: inItem?.matches('a[href]:not([href="#"]):not([href=""]):not([href^="javascript:"])') ?? false,
      };
    });
  });
}

/** The nearest element around that shows something of its own, within the menu. */
function itemAround(link: Element, menu: Element): Element | null {
  for (let at = parentOf(link); at && at !== menu && holds(menu, at); at = parentOf(at)) {
    if (at.matches('ul, ol, [role="menu"]')) continue;
    if (isSeen(at) && labelOf(at) !== null) return at;
  }
  return null;
}

/** The first thing in it with words or a picture that can be seen, and that does not hold the hidden links. */
function labelOf(item: Element): Element | null {
  const parts = [...item.children].filter((child) => !child.matches('ul, ol, script, style'));
  const own = parts.find(
    (child) =>
      isSeen(child) &&
      (child.textContent.trim() !== '' || child.querySelector('svg, img') !== null) &&
      linksIn(child).every((link) => isSeen(link)),
  );
  return own ?? null;
}
