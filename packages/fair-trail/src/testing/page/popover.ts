/** A simulated document may not know of popovers: then they are taken for closed. */
export function isPopoverOpen(element: Element): boolean {
  try {
    return element.matches(':popover-open');
  } catch {
    return false;
  }
}
