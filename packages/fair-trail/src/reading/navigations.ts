import { deepElements } from './deep-elements.ts';
import { roleOf } from './role.ts';
import { hostOf } from './visible.ts';

/** Fewer links are no menu. */
const fewestLinks = 3;

/** More links than that outside of landmarks are not looked at one by one. */
const mostLinks = 2000;

/** How much of the text of a menu without a landmark is in its links. */
const leastShare = 0.8;

/**
 * What is navigation on a page, outermost first: its navigation landmarks, and what looks like a menu outside of them, which
 * is a run of links with little else.
 */
export function navigationsOf(document: Document): {
  readonly landmarks: readonly Element[];
  readonly runs: readonly Element[];
} {
  const landmarks = outermost(
    deepElements(document, 'nav, [role]').filter((element) => roleOf(element) === 'navigation'),
  );
  const isTaken = (element: Element) => landmarks.some((landmark) => holds(landmark, element));
  const isInRun = (element: Element) => [...runs].some((run) => run.contains(element));
  const runs = new Set<Element>();
  for (const link of deepElements(document, 'a[href]').slice(0, mostLinks)) {
    // What is read is no menu, however many links it has.
    if (
      isTaken(link) ||
      isInRun(link) ||
      link.closest('p, pre, code, figure, article, main, [role="main"], [role="article"], td, dd, dt, blockquote') !==
        null
    )
      continue;
    const run = runAround(link, landmarks);
    if (run && !isTaken(run)) runs.add(run);
  }
  return { landmarks, runs: outermost([...runs]) };
}

/** The widest element around a link that is still nothing but links. */
function runAround(link: Element, landmarks: readonly Element[]): Element | null {
  let run: Element | null = null;
  for (let at = link.parentElement; at && at.localName !== 'body'; at = at.parentElement) {
    const around = at;
    // What holds a landmark is no menu itself.
    if (landmarks.some((landmark) => around.contains(landmark))) break;
    const links = at.querySelectorAll('a[href]');
    if (links.length < fewestLinks) continue;
    const inLinks = [...links].reduce((sum, one) => sum + textLength(one), 0);
    const inAll = textLength(at);
    if (inAll === 0 || inLinks / inAll < leastShare) break;
    run = at;
    if (at.matches('header, footer, [role="banner"], [role="contentinfo"]')) break;
  }
  return run;
}

function textLength(element: Element): number {
  return element.textContent.replaceAll(/\s+/gu, '').length;
}

function outermost(elements: readonly Element[]): readonly Element[] {
  return elements.filter((element) => !elements.some((other) => other !== element && holds(other, element)));
}

/** Also through the borders of shadow roots. */
export function holds(outer: Element, inner: Element): boolean {
  for (let at: Node | null = inner; at; at = hostOf(at) ?? at.parentNode) {
    if (at === outer) return true;
  }
  return false;
}
