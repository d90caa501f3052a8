/** One property in which an element is drawn otherwise than the others. */
export interface Look {
  readonly property: string;
  readonly mine: string;
  readonly theirs: string;
}

const properties = [
  'color',
  'background-color',
  'background-image',
  'font-weight',
  'font-style',
  'text-decoration-line',
  'border-top-style',
  'border-right-style',
  'border-bottom-style',
  'border-left-style',
  'border-top-color',
  'border-right-color',
  'border-bottom-color',
  'border-left-color',
  'border-bottom-width',
  'border-left-width',
  'outline-style',
  'box-shadow',
] as const;

/** How an element and its item are drawn otherwise than all of the others, by what is computed for them. */
export function differencesOf(element: Element, others: readonly Element[]): readonly Look[] {
  const mine = lookOf(element);
  const theirs = others.map(lookOf);
  return mine.flatMap(({ property, value }, index) => {
    const values = theirs.map((look) => look[index]?.value ?? '');
    return values.includes(value) ? [] : [{ property, mine: value, theirs: values[0] ?? '' }];
  });
}

function lookOf(element: Element): readonly { readonly property: string; readonly value: string }[] {
  const { defaultView: window } = element.ownerDocument;
  if (!window) return [];
  const item = element.closest('li');
  const parts: readonly (CSSStyleDeclaration | null)[] = [
    window.getComputedStyle(element),
    item?.querySelectorAll('a').length === 1 ? window.getComputedStyle(item) : null,
  ];
  const drawn = parts.flatMap((style) =>
    properties.map((property) => ({ property, value: style ? valueOf(style, property) : '' })),
  );
  const generated = ['::before', '::after'].map((pseudo) => {
    const style = window.getComputedStyle(element, pseudo);
    const isThere = style.content !== 'none' && style.content !== 'normal';
    return { property: 'content', value: isThere ? pictureOf(style) : 'none' };
  });
  return [...drawn, ...generated];
}

/** A border that is not drawn has a color too; it is that of the text. */
function valueOf(style: CSSStyleDeclaration, property: string): string {
  const side = /^border-(?:top|right|bottom|left)/u.exec(property)?.[0];
  const isUndrawn = side !== undefined && style.getPropertyValue(`${side}-style`) === 'none';
  return isUndrawn ? 'none' : style.getPropertyValue(property);
}

/** What a generated box shows, as far as it differs from item to item. */
function pictureOf(style: CSSStyleDeclaration): string {
  const { content, backgroundColor, borderTopStyle, opacity, visibility, transform } = style;
  return [content, backgroundColor, borderTopStyle, opacity, visibility, transform].join(' ');
}
