import { elementOn } from '../../reading/element-at.ts';
import { subjectAt } from './subject.ts';
import { holds } from '../../reading/navigations.ts';

/** Where in an element it is pressed: its middle first. Shares of its width and height. */
const shares = [
  [0.5, 0.5],
  [0.2, 0.5],
  [0.8, 0.5],
  [0.5, 0.2],
  [0.5, 0.8],
] as const;

/**
 * A point of the window at which a press meets an element, which is scrolled into sight for it; null if it is not there,
 * or something else lies over it.
 */
export async function pointFor(selector: string): Promise<readonly [x: number, y: number] | null> {
  const element = subjectAt(selector);
  if (!element) return null;
  element.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
  let found = pointIn(element);
  // Something that moves over it, or that it moves from under, may have come to its end a moment later.
  for (let attempt = 0; attempt < 8 && !found; attempt += 1) {
    await (window.fairTrailActivity?.wait(50) ?? new Promise((resolve) => setTimeout(resolve, 50)));
    if (attempt === 3) element.scrollIntoView({ block: 'center', inline: 'nearest', behavior: 'instant' });
    found = pointIn(element);
  }
  return found;
}

function pointIn(element: Element): readonly [x: number, y: number] | null {
  // A link that goes on in the next line is not in all of the room around its parts.
  const [box] = element.getClientRects();
  if (!box || box.width === 0 || box.height === 0) return null;
  for (const [across, down] of shares) {
    const [x, y] = [box.left + box.width * across, box.top + box.height * down];
    const found = elementOn(x, y);
    if (!found) continue;
    if (holds(element, found) || found.closest('label')?.control === element) return [x, y];
  }
  return null;
}
