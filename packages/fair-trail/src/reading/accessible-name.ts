import { shadowOf } from './shadow-roots.ts';
import { isExposed, isExposedWithin } from './visible.ts';

/** Roles that are named by what is in them (WAI-ARIA 1.2, section 5.2.8.5), of those that navigation is made of. */
const namedByContent: ReadonlySet<string> = new Set([
  'button',
  'cell',
  'checkbox',
  'gridcell',
  'heading',
  'link',
  'menuitem',
  'menuitemcheckbox',
  'menuitemradio',
  'option',
  'radio',
  'switch',
  'tab',
  'tooltip',
  'treeitem',
]);

/**
 * The name that assistive technology is given (Accessible Name and Description Computation 1.2, section 4.3): what the
 * element is labelled by, else its label, else what HTML names it by, else what is in it, else its title.
 *
 * @param isThere what of its content counts. Default: what is exposed
 */
export function accessibleName(element: Element, role: string | null, isThere: IsThere = isExposed): string {
  return tidy(nameOf(element, role, { visited: new Set(), isThere }, false));
}

/**
 * The name that something hidden will have when it is shown: what is hidden around it does not count, and what is hidden in
 * it does.
 */
export function accessibleNameWhenShown(element: Element, role: string | null): string {
  return accessibleName(element, role, (inner) => isExposedWithin(inner, element));
}

type IsThere = (element: Element) => boolean;

interface Reading {
  readonly visited: Set<Element>;
  readonly isThere: IsThere;
}

function nameOf(element: Element, role: string | null, reading: Reading, isReferenced: boolean): string {
  const { visited } = reading;
  if (visited.has(element)) return '';
  visited.add(element);
  if (!isReferenced) {
    const labelled = element.getAttribute('aria-labelledby');
    const named = labelled === null ? '' : tidy(referenced(element, labelled, reading));
    if (named !== '') return named;
  }
  const label = tidy(element.getAttribute('aria-label') ?? '');
  if (label !== '') return label;
  const own = htmlName(element, reading);
  if (own !== null && tidy(own) !== '') return own;
  if (isReferenced || role === null || namedByContent.has(role)) {
    const content = contentOf(element, reading);
    if (tidy(content) !== '') return content;
  }
  return element.getAttribute('title') ?? '';
}

function referenced(element: Element, ids: string, { visited, isThere }: Reading): string {
  const root = element.getRootNode() as Document | ShadowRoot;
  return ids
    .split(/\s+/u)
    .map((id) => (id === '' ? null : root.getElementById(id)))
    .map((target) => (target ? nameOf(target, null, { visited: new Set(visited).add(element), isThere }, true) : ''))
    .join(' ');
}

/** What HTML itself names an element by (HTML Accessibility API Mappings, section 4.1); null if that is its content. */
function htmlName(element: Element, reading: Reading): string | null {
  switch (element.localName) {
    case 'img':
    case 'area':
      return element.getAttribute('alt');
    case 'svg':
      return [...element.children].find((child) => child.localName === 'title')?.textContent ?? null;
    case 'input': {
      const input = element as HTMLInputElement;
      if (['submit', 'button', 'reset'].includes(input.type)) return input.value === '' ? null : input.value;
      if (input.type === 'image') return input.alt;
      return labelsOf(input, reading) ?? input.getAttribute('placeholder');
    }
    case 'select':
    case 'textarea':
      return labelsOf(element as HTMLSelectElement, reading);
    default:
      return null;
  }
}

function labelsOf(control: HTMLInputElement | HTMLSelectElement, reading: Reading): string | null {
  const labels = [...(control.labels ?? [])];
  return labels.length === 0 ? null : labels.map((label) => contentOf(label, reading)).join(' ');
}

/** What is in an element, read in order, with what stylesheets put before and after it. */
function contentOf(element: Element, reading: Reading): string {
  const { defaultView: window } = element.ownerDocument;
  // A simulated document has no such content, and complains when it is asked.
  const isDrawnFor = 'checkVisibility' in element;
  const generated = (pseudo: string) => {
    if (!isDrawnFor) return '';
    const content = window?.getComputedStyle(element, pseudo).content ?? '';
    return /^"(.*)"$/su.exec(content)?.[1] ?? '';
  };
  const nodes = shadowOf(element)?.childNodes ?? childrenOf(element);
  let text = generated('::before');
  for (const node of nodes) {
    if (node.nodeType === 3) text += node.nodeValue ?? '';
    else if (node.nodeType === 1) text += nameWithin(node as Element, reading);
  }
  return text + generated('::after');
}

function childrenOf(element: Element): Iterable<Node> {
  const assigned = element.localName === 'slot' ? (element as HTMLSlotElement).assignedNodes() : [];
  return assigned.length > 0 ? assigned : element.childNodes;
}

/** A block is a word of its own; what stands in a line runs on. */
function nameWithin(element: Element, reading: Reading): string {
  if (['script', 'style', 'template', 'noscript'].includes(element.localName) || !reading.isThere(element)) return '';
  const { defaultView: window } = element.ownerDocument;
  const name = nameOf(element, null, reading, false);
  const display = window?.getComputedStyle(element).display ?? 'inline';
  return display.startsWith('inline') && element.localName !== 'br' ? name : ` ${name} `;
}

function tidy(text: string): string {
  return text.replaceAll(/\s+/gu, ' ').trim();
}
