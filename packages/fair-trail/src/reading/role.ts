/** Roles that this audit knows of; any other that a page writes is as if it had not. */
const roles: ReadonlySet<string> = new Set(
  (
    'alert alertdialog application article banner blockquote button caption cell checkbox code columnheader combobox ' +
    'complementary contentinfo definition deletion dialog directory document emphasis feed figure form generic grid ' +
    'gridcell group heading img insertion link list listbox listitem log main marquee math menu menubar menuitem ' +
    'menuitemcheckbox menuitemradio meter navigation none note option paragraph presentation progressbar radio ' +
    'radiogroup region row rowgroup rowheader scrollbar search searchbox separator slider spinbutton status strong ' +
    'subscript superscript switch tab table tablist tabpanel term textbox time timer toolbar tooltip tree treegrid ' +
    'treeitem comment image mark suggestion'
  ).split(' '),
);

/** What HTML makes of an element (ARIA in HTML, section 4); null if that is nothing that navigation asks for. */
const implicit: Readonly<Record<string, (element: Element) => string | null>> = {
  a: (element) => (element.hasAttribute('href') ? 'link' : null),
  area: (element) => (element.hasAttribute('href') ? 'link' : null),
  aside: () => 'complementary',
  button: () => 'button',
  dialog: () => 'dialog',
  footer: (element) => (isSectioned(element) ? null : 'contentinfo'),
  form: () => 'form',
  h1: () => 'heading',
  h2: () => 'heading',
  h3: () => 'heading',
  h4: () => 'heading',
  h5: () => 'heading',
  h6: () => 'heading',
  header: (element) => (isSectioned(element) ? null : 'banner'),
  img: (element) => (element.getAttribute('alt') === '' ? 'none' : 'img'),
  input: (element) => inputRole(element as HTMLInputElement),
  li: () => 'listitem',
  main: () => 'main',
  menu: () => 'list',
  nav: () => 'navigation',
  ol: () => 'list',
  search: () => 'search',
  select: () => 'combobox',
  summary: (element) => (element.parentElement?.localName === 'details' ? 'button' : null),
  textarea: () => 'textbox',
  ul: () => 'list',
};

/** The role that assistive technology is given; null for an element that is nothing to it. */
export function roleOf(element: Element): string | null {
  const written = (element.getAttribute('role') ?? '').toLowerCase().split(/\s+/u).filter(Boolean);
  const first = written.find((role) => roles.has(role));
  // What takes focus stays what it is, whatever a page says of it (WAI-ARIA 1.2, section 7.2, conflict resolution).
  const isIgnored = (first === 'none' || first === 'presentation') && takesFocus(element);
  if (first !== undefined && !isIgnored) return first;
  return implicit[element.localName]?.(element) ?? null;
}

function takesFocus(element: Element): boolean {
  return element.matches('a[href], button:enabled, input:enabled, select:enabled, summary, [tabindex]');
}

/** Whether WAI-ARIA 1.2 has a role of this name. */
export function isRole(name: string): boolean {
  return roles.has(name) || name.startsWith('doc-') || name.startsWith('graphics-');
}

function isSectioned(element: Element): boolean {
  const sections = 'article, aside, main, nav, section, [role="article"], [role="main"], [role="region"]';
  return element.parentElement?.closest(sections) !== null && element.parentElement !== null;
}

function inputRole({ type }: HTMLInputElement): string | null {
  if (['button', 'submit', 'reset', 'image'].includes(type)) return 'button';
  if (type === 'checkbox' || type === 'radio') return type;
  return type === 'hidden' ? null : type === 'search' ? 'searchbox' : 'textbox';
}
