import { isExposed } from './visible.ts';

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
 * The name that assistive technology is told (Accessible Name and Description Computation 1.2, section 4.3): what the
 * element is labelled by, else its label, else what HTML names it by, else what is in it, else its title.
 */
export function accessibleName(element: Element, role: string | null): string {
  return tidy(nameOf(element, role, new Set(), false));
}

function nameOf(element: Element, role: string | null, visited: Set<Element>, isReferenced: boolean): string {
  if (visited.has(element)) return '';
  visited.add(element);
  if (!isReferenced) {
    const labelled = element.getAttribute('aria-labelledby');
    const named = labelled === null ? '' : tidy(referenced(element, labelled, visited));
    if (named !== '') return named;
  }
  const label = tidy(element.getAttribute('aria-label') ?? '');
  if (label !== '') return label;
  const own = htmlName(element, visited);
  if (own !== null && tidy(own) !== '') return own;
  if (isReferenced || role === null || namedByContent.has(role)) {
    const content = contentOf(element, visited);
    if (tidy(content) !== '') return content;
  }
  return element.getAttribute('title') ?? '';
}

function referenced(element: Element, ids: string, visited: Set<Element>): string {
  const root = element.getRootNode() as Document | ShadowRoot;
  return ids
    .split(/\s+/u)
    .map((id) => (id === '' ? null : root.getElementById(id)))
    .map((target) => (target ? nameOf(target, null, new Set(visited).add(element), true) : ''))
    .join(' ');
}

/** What HTML itself names an element by (HTML Accessibility API Mappings, section 4.1); null where that is its content. */
function htmlName(element: Element, visited: Set<Element>): string | null {
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
      return labelsOf(input, visited) ?? input.getAttribute('placeholder');
    }
    case 'select':
    case 'textarea':
      return labelsOf(element as HTMLSelectElement, visited);
    default:
      return null;
  }
}

function labelsOf(control: HTMLInputElement | HTMLSelectElement, visited: Set<Element>): string | null {
  const labels = [...(control.labels ?? [])];
  return labels.length === 0 ? null : labels.map((label) => contentOf(label, visited)).join(' ');
}

/** What is in an element, read in order, with what stylesheets put before and after it. */
function contentOf(element: Element, visited: Set<Element>): string {
  const { defaultView: window } = element.ownerDocument;
  const generated = (pseudo: string) => {
    const content = window?.getComputedStyle(element, pseudo).content ?? '';
    return /^"(.*)"$/su.exec(content)?.[1] ?? '';
  };
  const nodes = element.shadowRoot ? element.shadowRoot.childNodes : childrenOf(element);
  let text = generated('::before');
  for (const node of nodes) {
    if (node.nodeType === 3) text += node.nodeValue ?? '';
    else if (node.nodeType === 1) text += nameWithin(node as Element, visited);
  }
  return text + generated('::after');
}

function childrenOf(element: Element): Iterable<Node> {
  const assigned = element.localName === 'slot' ? (element as HTMLSlotElement).assignedNodes() : [];
  return assigned.length > 0 ? assigned : element.childNodes;
}

/** A block is a word of its own; what stands in a line runs on. */
function nameWithin(element: Element, visited: Set<Element>): string {
  if (['script', 'style', 'template', 'noscript'].includes(element.localName) || !isExposed(element)) return '';
  const { defaultView: window } = element.ownerDocument;
  const name = nameOf(element, null, visited, false);
  const display = window?.getComputedStyle(element).display ?? 'inline';
  return display.startsWith('inline') && element.localName !== 'br' ? name : ` ${name} `;
}

function tidy(text: string): string {
  return text.replaceAll(/\s+/gu, ' ').trim();
}
