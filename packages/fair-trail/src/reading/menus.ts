import { accessibleNameWhenShown } from './accessible-name.ts';
import { breadcrumbTrails } from './breadcrumb-trails.ts';
import { deepElements } from './deep-elements.ts';
import { holds, navigationsOf } from './navigations.ts';
import { roleOf } from './role.ts';
import { isMenuName } from './words.ts';
import { controlOf, isOpener, targetOf } from './controls.ts';
import type { Elements } from './elements.ts';
import { itemsIn, type FoundItem } from './items.ts';
import { lastStop } from './focusable.ts';
import type { BreadcrumbReading, ControlReading, ItemReading, MenuReading } from './page-reading.ts';

/** The menus of a page, and the controls that are in none of them. */
export function menusAndControls(
  document: Document,
  elements: Elements,
): { readonly menus: readonly MenuReading[]; readonly controls: readonly ControlReading[] } {
  const { landmarks, runs } = navigationsOf(document);
  const trails = breadcrumbTrails(document, new URL(document.URL)).map(({ element }) => element);
  const navigations = [...landmarks, ...runs];
  const outside = deepElements(document, 'button, summary, [role~="button"], [aria-expanded]').filter(
    (element) =>
      !navigations.some((navigation) => holds(navigation, element)) &&
      (isOpener(element) || isMenuName(accessibleNameWhenShown(element, 'button'))),
  );
  const last = lastStop(document);
  const menus = navigations.map((navigation): MenuReading => {
    const isTrail = trails.some(
      (trail) => trail === navigation || holds(navigation, trail) || holds(trail, navigation),
    );
    const { toggle, items } = apartFromToggle(itemsIn(navigation, elements));
    const around = outside.find((control) => {
      const target = targetOf(control);
      return target !== null && (holds(target, navigation) || holds(navigation, target));
    });
    return {
      element: elements.numberOf(navigation),
      name: roleOf(navigation) === 'navigation' ? accessibleNameWhenShown(navigation, 'navigation') : '',
      kind: isTrail ? 'breadcrumbs' : landmarks.includes(navigation) ? 'navigation' : 'list',
      toggle: toggle ?? (around ? controlOf(around, elements) : null),
      items: items.map(toReading),
      isLast: last === null || holds(navigation, last) || (last.compareDocumentPosition(navigation) & 4) !== 0,
    };
  });
  return { menus, controls: outside.map((control) => controlOf(control, elements)) };
}

/** What opens the whole menu is no item of it. */
function apartFromToggle(items: readonly FoundItem[]): {
  readonly toggle: ControlReading | null;
  readonly items: readonly FoundItem[];
} {
  const isPlain = ({ link, control, isListed }: FoundItem) => control !== null && link === null && !isListed;
  const toggle =
    items.find((item) => isPlain(item) && item.items.length > 0 && items.every((one) => one === item || !one.link)) ??
    items.find((item) => isPlain(item) && item.items.length === 0 && isToggle(item)) ??
    null;
  if (!toggle) return { toggle: null, items };
  return { toggle: toggle.control, items: items.flatMap((item) => (item === toggle ? item.items : [item])) };
}

function isToggle({ control, name }: FoundItem): boolean {
  return control?.isExpanded !== null || isMenuName(name);
}

/** What goes through a wire. */
function toReading({ name, link, control, current, isShown, items }: FoundItem): ItemReading {
  return { name, link, control, current, isShown, items: items.map(toReading) };
}

/** The steps of the way to the page; null if it shows none. */
export function breadcrumbsOf(document: Document): readonly BreadcrumbReading[] | null {
  const [trail] = breadcrumbTrails(document, new URL(document.URL));
  if (!trail) return null;
  return trail.items
    .filter(({ label }) => label !== '…')
    .map(({ label, link, isCurrent }) => ({ name: label, href: link?.href ?? null, isCurrent }));
}
