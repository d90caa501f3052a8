import { ownerOf } from '../../reading/aria.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { roleOf } from '../../reading/role.ts';
import { isExposed, isVisible } from '../../reading/visible.ts';
import type { PageContext, Rule, Violation } from '../rule.ts';

const references = [
  'aria-labelledby',
  'aria-controls',
  'aria-owns',
  'aria-describedby',
  'popovertarget',
  'for',
] as const;

export const idTwice: Rule = {
  id: 'id-twice',
  title: 'An id that is referred to occurs more than once.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users: the name or panel is that of the first element, which may belong to another menu.',
  remedy: 'Give each element its own id. Copies of a menu need different ids.',
  standard: 'DOM standard and HTML standard, section 3.2.6 (id); WCAG 2.2, failure F77',
  check: function* ({ document, isNear }: PageContext): Iterable<Violation> {
    const counted = new Map<string, number>();
    for (const { id } of document.querySelectorAll('[id]')) counted.set(id, (counted.get(id) ?? 0) + 1);
    const reported = new Set<string>();
    for (const attribute of references) {
      for (const element of document.querySelectorAll(`[${attribute}]`)) {
        const ids = (element.getAttribute(attribute) ?? '').split(/\s+/u).filter((id) => (counted.get(id) ?? 0) > 1);
        const [id] = ids;
        if (id === undefined || reported.has(id) || !isNear(element)) continue;
        reported.add(id);
        yield { element, message: `Its ${attribute} is “${id}”, which ${counted.get(id) ?? 2} elements have.` };
      }
    }
  },
};

export const ownedTwice: Rule = {
  id: 'owned-twice',
  title: 'An element is owned by two others, or by its own descendant.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.1'],
  affects: 'Screen reader users: the element is lost, or appears in the wrong menu.',
  remedy: 'Name each id in only one aria-owns; or move the element to its place and remove aria-owns.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-owns): an element must have one owner, and no circles',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    const owners = new Map<string, Element>();
    for (const owner of document.querySelectorAll('[aria-owns]')) {
      for (const id of (owner.getAttribute('aria-owns') ?? '').split(/\s+/u).filter(Boolean)) {
        const target = document.getElementById(id);
        if (!target) continue;
        if (owners.has(id) || target.contains(owner)) yield { element: owner, message: `It is about “${id}”.` };
        owners.set(id, owner);
      }
    }
  },
};

export const setSizeWrong: Rule = {
  id: 'set-size-wrong',
  title: 'The announced position of an item in its group is wrong.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.1'],
  affects: 'Screen reader users hear "3 of 2", or a wrong number of items.',
  remedy: 'Remove aria-posinset and aria-setsize if all items are in the document.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-posinset, aria-setsize)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    const sets = new SetsOfItems();
    const places = new Map<readonly Element[], Set<number>>();
    for (const element of deepElements(document, '[aria-posinset], [aria-setsize]')) {
      if (!isExposed(element)) continue;
      const place = Number(element.getAttribute('aria-posinset') ?? 'NaN');
      const size = Number(element.getAttribute('aria-setsize') ?? 'NaN');
      const items = sets.of(element);
      const taken = items ? (places.get(items) ?? new Set<number>()) : null;
      if (size > 0 && place > size) yield { element, message: `It is ${place} of ${size}.` };
      else if (place < 1) yield { element, message: `Its place is ${place}.` };
      else if (taken?.has(place) === true) yield { element, message: `Two items are number ${place}.` };
      else if (size > 0 && items && items.length > size) {
        yield { element, message: `It is one of ${size}, and ${items.length} are there.` };
      }
      if (items && taken && place > 0) places.set(items, taken.add(place));
    }
  },
};

/** The items that a position counts: those of one owner and, in a flat list, those of one level below one item. */
class SetsOfItems {
  readonly #known = new Map<Element, ReadonlyMap<Element, readonly Element[]>>();

  of(element: Element): readonly Element[] | null {
    const owner = ownerOf(element);
    if (!owner) return null;
    const known = this.#known.get(owner) ?? new Map<Element, readonly Element[]>();
    if (known.has(element)) return known.get(element) ?? null;
    const role = roleOf(element);
    const items = deepElements(owner, '*').filter((one) => roleOf(one) === role && ownerOf(one) === owner);
    const open: { readonly level: number; readonly items: Element[] }[] = [];
    const sets = new Map(known);
    for (const item of items) {
      const level = Number(item.getAttribute('aria-level') ?? '0');
      while ((open.at(-1)?.level ?? -1) > level) open.pop();
      let set = open.at(-1);
      if (set?.level !== level) open.push((set = { level, items: [] }));
      set.items.push(item);
      sets.set(item, set.items);
    }
    this.#known.set(owner, sets);
    return sets.get(element) ?? null;
  }
}

export const levelWrong: Rule = {
  id: 'level-wrong',
  title: 'The announced level of an item does not match its nesting.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.1'],
  affects: 'Screen reader users hear that an item is below another one, and it is not.',
  remedy: 'Remove aria-level if the items are nested in the document.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-level)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const tree of deepElements(document, '[role~="tree"]')) {
      const items = deepElements(tree, '[role~="treeitem"]').filter(isExposed);
      const depthOf = (item: Element) => {
        let depth = 1;
        for (let at = ownerOf(item); at && at !== tree; at = ownerOf(at)) if (roleOf(at) === 'group') depth += 1;
        return depth;
      };
      // Where nothing is nested, the levels are all that says it.
      if (items.every((item) => depthOf(item) === 1)) continue;
      for (const item of items) {
        const level = Number(item.getAttribute('aria-level') ?? 'NaN');
        if (level > 0 && level !== depthOf(item)) {
          yield { element: item, message: `It says ${level}, and stands at ${depthOf(item)}.` };
        }
      }
    }
  },
};

export const landmarkTwice: Rule = {
  id: 'landmark-twice',
  title: 'A page has two landmarks of a kind that may occur once.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['1.3.1'],
  affects: 'People who navigate by landmarks cannot tell which is the content, or the header of the page.',
  remedy: 'Keep one visible main, one banner and one contentinfo. A header within a section is not a banner.',
  standard: 'HTML standard, section 4.4.14 (main); WAI-ARIA 1.2, section 5.4 (banner, contentinfo)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const role of ['main', 'banner', 'contentinfo']) {
      const found = deepElements(document, 'main, header, footer, [role]').filter(
        (element) => roleOf(element) === role && isExposed(element) && isVisible(element),
      );
      for (const element of found.slice(1)) yield { element, message: `It is a second ${role}.` };
    }
  },
};

export const popoverOfNothing: Rule = {
  id: 'popover-missing',
  title: 'A button refers to a popover that does not exist.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone: the button does nothing.',
  remedy: 'Set the attribute popover on the element that the button names, and popovertarget on the button.',
  standard: 'HTML standard, section 6.12 (the popover attribute)',
  check: function* ({ document }: PageContext): Iterable<Violation> {
    for (const element of deepElements(document, '[popovertarget]')) {
      if (!isExposed(element)) continue;
      const root = element.getRootNode() as Document | ShadowRoot;
      const target = root.getElementById(element.getAttribute('popovertarget') ?? '');
      if (!element.matches('button, input')) {
        yield { element, message: `popovertarget does nothing on ${element.localName}.` };
      } else if (target && !target.hasAttribute('popover')) yield { element, message: 'What it names is no popover.' };
    }
  },
};

export const detailsWithoutSummary: Rule = {
  id: 'details-without-summary',
  title: 'A details element has no summary of its own.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['2.4.6'],
  affects: 'Everyone: browsers show the word "Details", which says nothing.',
  remedy: 'Make a summary the first child of details.',
  standard: 'HTML standard, section 4.11.1 (details): first child element is summary',
  check: function* ({ document, isNear }: PageContext): Iterable<Violation> {
    for (const details of deepElements(document, 'details')) {
      if (!isNear(details) || !isExposed(details)) continue;
      const hasSummary = [...details.children].some(({ localName }) => localName === 'summary');
      if (!hasSummary && details.shadowRoot === null) yield { element: details };
    }
  },
};
