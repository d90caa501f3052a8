/** What a person sees of a link: its text, and the colors and shapes of its box and of its mark. */
export interface LinkPaint {
  readonly text: string;
  readonly paint: string;
}

const painted = [
  'color',
  'background-color',
  'border-top-color',
  'border-bottom-color',
  'border-bottom-width',
  'box-shadow',
  'font-weight',
  'text-decoration-line',
] as const;

/** The paint of every link and button in an element that can be seen, in the order of the document. */
export function linkPaint(within: Element): readonly LinkPaint[] {
  return [...within.querySelectorAll('a, button')]
    .filter((link) => link.getClientRects().length > 0)
    .map((link) => ({
      text: link.textContent,
      paint: ([null, '::before', '::after'] as const)
        .flatMap((pseudo) => {
          const style = getComputedStyle(link, pseudo);
          return painted.map((name) => style.getPropertyValue(name));
        })
        .join(' | '),
    }));
}
