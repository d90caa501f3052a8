import { isNearNavigation } from '../../reading/near.ts';
import { accessibleName } from '../../reading/accessible-name.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { holds } from '../../reading/navigations.ts';
import { roleOf } from '../../reading/role.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isOnPage, isSeen } from '../../reading/visible.ts';
import { isMenuName } from '../../reading/words.ts';
import { fingerprintOf, likenessOf } from './fingerprint.ts';
import { hearsPresses, looksPressable } from './listeners.ts';
import { expandedOf } from '../../reading/controls.ts';

export interface FoundToggle {
  readonly selector: string;
  readonly html: string;
  /** The same for a toggle of the same menu on another page. */
  readonly fingerprint: string;
  /** The same for others of the same menu that are drawn alike. */
  readonly likeness: string;
  /**
   * `stated`: it says that it opens something. `named`: its name says so, and there are links that are not shown. `plain`: a
   * button that may do anything. `bare`: no control at all, but it can be pressed.
   */
  readonly kind: 'stated' | 'named' | 'plain' | 'bare';
  readonly isOpen: boolean;
}

const reported = '[aria-expanded], summary, [popovertarget], [aria-haspopup]:not([aria-haspopup="false"])';

const kinds = ['stated', 'named', 'plain', 'bare'] as const;

/** What may open something, those that say so first. */
export function togglesIn(navigations: readonly Element[]): readonly FoundToggle[] {
  const around = (element: Element) => navigations.find((navigation) => holds(navigation, element));
  const isNear = (element: Element) => isNearNavigation(element, navigations);
  const hasUnseen = navigations.some((navigation) => linksIn(navigation).some((link) => !isOnPage(link)));
  const kindOf = (element: HTMLElement): FoundToggle['kind'] | null => {
    if (element.matches(reported)) return 'stated';
    const isButton = roleOf(element) === 'button' || /^(?:#|javascript:.*)$/iu.test(element.getAttribute('href') ?? '');
    const isSubmit = element instanceof HTMLButtonElement && element.type === 'submit' && element.form !== null;
    if (isButton && !isSubmit && (isNear(element) || isNamed(element))) {
      const isMeant = element.hasAttribute('aria-controls') || isNamed(element);
      return isMeant && hasUnseen ? 'named' : 'plain';
    }
    // A label of a box that takes no focus can be pressed by mouse alone; one of any other is a name.
    if (element instanceof HTMLLabelElement) return isNear(element) && isForUnreachableBox(element) ? 'bare' : null;
    const isBare = !element.matches('a[href], button, input, select, textarea, label, option');
    return isBare && isNear(element) && (hearsPresses(element) || looksPressable(element)) && !holdsControls(element)
      ? 'bare'
      : null;
  };
  return deepElements(document, '*')
    .flatMap((element) => {
      // What it is costs less to tell than whether it is to be seen.
      const kind = kindOf(element);
      if (kind === null || !isSeen(element) || element.matches(':disabled, [aria-disabled="true"]')) return [];
      const isOther = ['combobox', 'tab', 'treeitem', 'row', 'gridcell'].includes(roleOf(element) ?? '');
      if (isOther) return [];
      const menu = around(element) ?? element;
      return [
        {
          selector: selectorOf(element),
          html: tagOf(element),
          fingerprint: `${fingerprintOf(menu)}\n${fingerprintOf(element)}`,
          likeness: [likenessOf(menu), element.localName, element.className, kind].join('\n'),
          kind,
          isOpen: expandedOf(element) === true,
        },
      ];
    })
    .toSorted((one, other) => kinds.indexOf(one.kind) - kinds.indexOf(other.kind));
}

function isNamed(element: Element): boolean {
  return isMenuName(accessibleName(element, 'button'));
}

function isForUnreachableBox({ control }: HTMLLabelElement): boolean {
  const isBox = control instanceof HTMLInputElement && ['checkbox', 'radio'].includes(control.type);
  return isBox && (control.getClientRects().length === 0 || getComputedStyle(control).visibility !== 'visible');
}

function holdsControls(element: Element): boolean {
  const controls = 'a[href], button, summary, input, select, [tabindex]';
  return element.querySelector(controls) !== null || element.parentElement?.closest(controls) !== null;
}
