/** How many of the places in two drawings of a part differ. */
export interface DifferenceCount {
  readonly differing: number;
  readonly of: number;
}

/** What of an element's style a reader sees. */
const seen = [
  'align-items',
  'animation-duration',
  'background-color',
  'border-block-end-color',
  'border-block-end-width',
  'border-block-start-color',
  'border-block-start-width',
  'border-inline-end-color',
  'border-inline-end-width',
  'border-inline-start-color',
  'border-inline-start-width',
  'border-start-start-radius',
  'box-shadow',
  'clip-path',
  'color',
  'content',
  'display',
  'font-family',
  'font-size',
  'font-style',
  'font-weight',
  'letter-spacing',
  'line-height',
  'opacity',
  'outline-color',
  'outline-style',
  'outline-width',
  'text-decoration-line',
  'text-transform',
  'transform',
  'transition-delay',
  'transition-duration',
  'transition-timing-function',
  'visibility',
] as const;

/** Attributes whose values are made anew in each drawing. */
const generated = /^(?:id|for|aria-(?:controls|labelledby|describedby|owns)|data-ft-differs)$/u;

/** A place whose drawings are compared: a state of a part, a page, or the whole of a page. */
function placesIn(document: Document): ReadonlyMap<string, HTMLElement> {
  const places = new Map<string, HTMLElement>();
  for (const cell of document.querySelectorAll<HTMLElement>('tr[data-ft-sheet-key] > td[data-ft-column]')) {
    const key = `${cell.parentElement?.getAttribute('data-ft-sheet-key') ?? ''} ${cell.getAttribute('data-ft-column') ?? ''}`;
    places.set(key, cell);
  }
  for (const page of document.querySelectorAll<HTMLElement>('li[data-ft-page]')) {
    places.set(`page ${page.getAttribute('data-ft-page') ?? ''}`, page);
  }
  const regions = ['.ft-bar', '.ft-sidebar', '.ft-breadcrumbs', '.ft-footer', 'main'];
  if (places.size > 0) return places;
  for (const region of regions) {
    const element = document.querySelector<HTMLElement>(region);
    if (element) places.set(region, element);
  }
  return places;
}

/**
 * Frames what differs between two drawings, in both.
 *
 * @param hasOtherStyles whether their stylesheets differ: computed styles are compared then, which takes long
 */
export function markDifferences(before: Document, after: Document, hasOtherStyles: boolean): DifferenceCount {
  const [old, now] = [placesIn(before), placesIn(after)];
  const keys = new Set([...old.keys(), ...now.keys()]);
  let differing = 0;
  for (const key of keys) {
    const [one, other] = [old.get(key), now.get(key)];
    const isSame = one !== undefined && other !== undefined && looksAlike(one, other, hasOtherStyles);
    if (!isSame) differing += 1;
    for (const place of [one, other]) place?.toggleAttribute('data-ft-differs', !isSame);
  }
  return { differing, of: keys.size };
}

function looksAlike(one: HTMLElement, other: HTMLElement, hasOtherStyles: boolean): boolean {
  if (contentOf(one) !== contentOf(other)) return false;
  return !hasOtherStyles || stylesOf(one) === stylesOf(other);
}

/** What is in a place, and where, as one text. */
function contentOf(place: HTMLElement): string {
  const origin = place.getBoundingClientRect();
  const lines = [place, ...place.querySelectorAll('*')].map((element) => {
    const { left, top, width, height } = element.getBoundingClientRect();
    const box = [left - origin.left, top - origin.top, width, height].map((length) => Math.round(length * 4) / 4);
    const attributes = [...element.attributes]
      .filter(({ name }) => !generated.test(name))
      .map(({ name, value }) => `${name}=${value}`);
    const text = [...element.childNodes].filter(({ nodeType }) => nodeType === 3).map(({ nodeValue }) => nodeValue);
    return `${element.localName} ${element === place ? '' : box.join()} ${attributes.join(' ')} ${text.join('')}`;
  });
  return lines.join('\n');
}

/** How it is drawn, as one text. */
function stylesOf(place: HTMLElement): string {
  const { defaultView: window } = place.ownerDocument;
  if (!window) return '';
  const lines: string[] = [];
  for (const element of [place, ...place.querySelectorAll('*')]) {
    for (const pseudo of [undefined, '::before', '::after']) {
      const style = window.getComputedStyle(element, pseudo);
      if (pseudo !== undefined && style.content === 'none') continue;
      lines.push(seen.map((name) => style.getPropertyValue(name)).join(';'));
    }
  }
  return lines.join('\n');
}
