import { element, slot, type ViewElement, type ViewNode } from './view.ts';

/** The parts of a layout that the app fills, in the order of the document. */
export const layoutParts = ['notice', 'bar', 'sidebar', 'content', 'footer'] as const;

export type LayoutPart = (typeof layoutParts)[number];

/** What all pages share: their parts stand above and beside each other, and the content takes the room that is left. */
export function layoutView(filled: readonly LayoutPart[]): ViewElement {
  const parts: readonly ViewNode[] = layoutParts
    .filter((part) => filled.includes(part))
    .map((part) => element('div', { class: `ft-layout-${part}` }, [slot(part)], { key: part }));
  return element('div', { class: 'ft-layout' }, parts);
}
