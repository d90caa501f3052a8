import { linksIn } from '../../reading/deep-elements.ts';
import { isDrawn, parentOf } from '../../reading/visible.ts';
import { mostLinks } from './fingerprint.ts';

/**
 * Where the links lead that are hidden behind controls which say so: in a closed group, within a closed menu, or in closed
 * details. A visitor gets at them, though no one pressed those controls on this page.
 */
export function foldedLinks(navigations: readonly Element[]): readonly string[] {
  return navigations.flatMap((navigation) =>
    linksIn(navigation)
      .slice(0, mostLinks)
      .filter((link) => !isDrawn(link) && isFolded(link))
      .map(({ href }) => href),
  );
}

/** Whether whatever hides an element is something that a control opens. */
function isFolded(element: Element): boolean {
  let isHidden = false;
  for (let at: Element | null = element; at; at = parentOf(at)) {
    if (!hidesByItself(at)) continue;
    if (!hasControl(at)) return false;
    isHidden = true;
  }
  return isHidden;
}

function hidesByItself(element: Element): boolean {
  if (element instanceof HTMLDetailsElement) return !element.open;
  const style = getComputedStyle(element);
  if (style.display === 'none') return true;
  const around = parentOf(element);
  // Visibility is inherited: it is hidden where it begins to be.
  return style.visibility !== 'visible' && (!around || getComputedStyle(around).visibility === 'visible');
}

function hasControl(part: Element): boolean {
  if (part instanceof HTMLDetailsElement) return true;
  const root = part.getRootNode() as ParentNode;
  const named = part.id ? root.querySelector(`[aria-controls~="${CSS.escape(part.id)}"]`) : null;
  const beside = part.previousElementSibling?.matches('[aria-expanded="false"]') ? part.previousElementSibling : null;
  const control = named ?? beside;
  // Within a closed part it is hidden with it, and not by itself.
  return control !== null && getComputedStyle(control).display !== 'none';
}
