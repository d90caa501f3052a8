import { elementAt } from '../../reading/element-at.ts';

/** What acts are done to, by the selectors that they had before: a selector may find another element afterwards. */
const subjects = new Map<string, { readonly element: WeakRef<HTMLElement>; readonly kind: string }>();

const kindOf = ({ localName, className, id }: HTMLElement) => [localName, className, id].join(' ');

/** Takes note of the element that a selector finds now. */
export function noteSubject(selector: string): void {
  const element = subjectAt(selector);
  if (element) subjects.set(selector, { element: new WeakRef(element), kind: kindOf(element) });
}

/**
 * The element that a selector found before the last act. Where it is gone, the one that it finds now, if that is made alike:
 * a component may draw its button again; null if another element has taken its place.
 */
export function subjectAt(selector: string): HTMLElement | null {
  const found = elementAt(selector);
  const noted = subjects.get(selector);
  if (!noted) return found;
  const element = noted.element.deref();
  if (element?.isConnected === true) return element;
  return found && kindOf(found) === noted.kind ? found : null;
}
