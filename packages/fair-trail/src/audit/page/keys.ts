import { deepElements } from '../../reading/deep-elements.ts';
import { nearElements } from '../../reading/near.ts';
import { roleOf } from '../../reading/role.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isDrawn, isExposed } from '../../reading/visible.ts';
import { hears } from './listeners.ts';

/** A group of items between which arrow keys go, as its role promises. */
export interface FoundComposite {
  readonly selector: string;
  readonly html: string;
  readonly role: string;
  readonly fingerprint: string;
  readonly isVertical: boolean;
  readonly isRightToLeft: boolean;
  /** Whether a key goes on at the last item with the first one, or is free to stay. */
  readonly items: readonly CompositeItem[];
}

export interface CompositeItem {
  readonly selector: string;
  readonly html: string;
  /** Whether Tab stops at it. */
  readonly isStop: boolean;
  /** Whether it says that it opens something, and that it is closed. */
  readonly isClosed: boolean;
}

/** The items of each role whose keyboard interface is known (ARIA Authoring Practices, patterns). */
const itemsOfRole: Readonly<Record<string, string>> = {
  menubar: 'menuitem menuitemcheckbox menuitemradio',
  menu: 'menuitem menuitemcheckbox menuitemradio',
  tree: 'treeitem',
  toolbar: 'button link checkbox radio',
  radiogroup: 'radio',
  listbox: 'option',
  tablist: 'tab',
};

/** The groups that can be used now: those of a menu that is closed are not there yet. */
export function compositesNow(): readonly FoundComposite[] {
  return deepElements(
    document,
    Object.keys(itemsOfRole)
      .map((role) => `[role~="${role}"]`)
      .join(', '),
  )
    .filter((group) => isExposed(group) && isDrawn(group) && itemsOfRole[roleOf(group) ?? ''] !== undefined)
    .flatMap((group): readonly FoundComposite[] => {
      const role = roleOf(group) ?? '';
      const roles = (itemsOfRole[role] ?? '').split(' ');
      // A group that a field or a button owns takes keys there.
      if (role === 'listbox' && isPopupOfField(group)) return [];
      const items = deepElements(group, '*').filter(
        (item) =>
          roles.includes(roleOf(item) ?? '') &&
          isExposed(item) &&
          isDrawn(item) &&
          !item.matches(':disabled, [aria-disabled="true"]') &&
          groupOf(item, group) === group,
      );
      if (items.length < 2) return [];
      const style = getComputedStyle(group);
      const orientation = group.getAttribute('aria-orientation');
      const isVertical =
        orientation === 'vertical' || (orientation !== 'horizontal' && ['menu', 'tree', 'listbox'].includes(role));
      return [
        {
          selector: selectorOf(group),
          html: tagOf(group),
          role,
          fingerprint: `${role} ${group.id} ${group.className} ${group.textContent}`.replaceAll(/\s+/gu, ' '),
          isVertical,
          isRightToLeft: style.direction === 'rtl',
          items: items.map((item) => ({
            selector: selectorOf(item),
            html: tagOf(item),
            isStop: item.tabIndex >= 0,
            isClosed: item.getAttribute('aria-expanded') === 'false',
          })),
        },
      ];
    });
}

function isPopupOfField(group: Element): boolean {
  return (
    group.id !== '' && document.querySelector(`[role="combobox"][aria-controls~="${CSS.escape(group.id)}"]`) !== null
  );
}

const groups = Object.keys(itemsOfRole);

/** The nearest group around an item. */
function groupOf(item: Element, outer: Element): Element {
  for (let at = item.parentElement; at && at !== outer; at = at.parentElement) {
    if (groups.includes(roleOf(at) ?? '')) return at;
  }
  return outer;
}

/** Whether anything of the page as a whole listens for keys. */
export function keyListening(): boolean {
  const keys = ['keydown', 'keypress', 'keyup'];
  return [document, window, document.body, document.documentElement].some((target) => hears(target, keys));
}

/** A button that says it opens a menu of commands. */
export function menuButtons(): readonly { readonly selector: string; readonly html: string }[] {
  return nearElements(document, '[aria-haspopup="menu"], [aria-haspopup="true"]')
    .filter((element) => roleOf(element) === 'button' && isExposed(element) && isDrawn(element))
    .map((element) => ({ selector: selectorOf(element), html: tagOf(element) }));
}
