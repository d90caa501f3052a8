import { accessibleNameWhenShown } from './accessible-name.ts';
import { roleOf } from './role.ts';
import type { Elements } from './elements.ts';
import { isInReach, isPopoverOpen } from './reach.ts';
import type { ControlReading } from './page-reading.ts';

const openers: ReadonlySet<string | null> = new Set(['button', 'link', 'menuitem']);

/** Whether pressing it opens something, as far as it says: for assistive technology a box that can be clicked is no button. */
export function isOpener(element: Element): boolean {
  const role = roleOf(element);
  if (!openers.has(role)) return false;
  if (element.localName === 'summary') return true;
  const says = '[aria-expanded], [popovertarget], [commandfor], [aria-haspopup]:not([aria-haspopup="false"])';
  return element.matches(says) || (role === 'button' && element.matches('[aria-controls]'));
}

export function controlOf(element: Element, elements: Elements): ControlReading {
  return {
    element: elements.numberOf(element),
    name: accessibleNameWhenShown(element, roleOf(element) ?? 'button'),
    isExpanded: expandedOf(element),
    isShown: isInReach(element),
    isDisabled: element.matches(':disabled, [aria-disabled="true"]'),
  };
}

/** Whether what a control opens is open, as far as it says or the browser knows: `aria-expanded`, details, popovers. */
export function expandedOf(element: Element): boolean | null {
  const said = element.getAttribute('aria-expanded');
  if (said === 'true' || said === 'false') return said === 'true';
  if (element.localName === 'summary') return element.parentElement?.hasAttribute('open') ?? null;
  const popover = element.hasAttribute('popovertarget') ? targetOf(element) : null;
  return popover ? isPopoverOpen(popover) : null;
}

/** What a control says that it opens; null if it says nothing that can be found. */
export function targetOf(control: Element): Element | null {
  if (control.localName === 'summary') return control.parentElement;
  const id = ['aria-controls', 'popovertarget', 'commandfor']
    .map((name) => control.getAttribute(name)?.trim().split(/\s+/u)[0])
    .find(Boolean);
  const root = control.getRootNode() as Document | ShadowRoot;
  return id === undefined ? null : (root.getElementById(id) ?? control.ownerDocument.getElementById(id));
}

/** Everything that an element names in its aria-controls and that is there. */
export function controlled(toggle: Element): readonly Element[] {
  const root = toggle.getRootNode() as Document | ShadowRoot;
  return (toggle.getAttribute('aria-controls') ?? '')
    .split(/\s+/u)
    .map((id) => (id === '' ? null : root.getElementById(id)))
    .filter((element) => element !== null);
}
