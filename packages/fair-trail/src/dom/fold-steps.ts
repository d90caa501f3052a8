import { type FoldRange, foldToFit } from '../core/layout/fold.ts';

export interface FoldKeep {
  readonly keepFirst: number;
  readonly keepLast: number;
}

/**
 * Watches which steps of a way have to be folded away for the rest to stand in one line.
 *
 * @param list of the steps
 * @param report called whenever others do
 * @returns a function that stops listening
 */
export function watchFold(list: HTMLElement, keep: FoldKeep, report: (fold: FoldRange | null) => void): () => void {
  let last: string | null = null;
  let room = -1;
  const measure = () => {
    const fold = foldToFit({ ...naturalWidths(list), ...keep, room: list.clientWidth });
    const name = JSON.stringify(fold);
    if (name === last) return;
    last = name;
    report(fold);
  };
  const observer = new ResizeObserver(() => {
    // Folding changes how high the list may be, and never how much room it has.
    if (list.clientWidth === room) return;
    room = list.clientWidth;
    measure();
  });
  observer.observe(list);
  // Another page has other steps; labels may come late, and letters too.
  const steps = new MutationObserver(measure);
  steps.observe(list, { childList: true, characterData: true, subtree: true });
  const { fonts } = list.ownerDocument;
  fonts.addEventListener('loadingdone', measure);
  return () => {
    observer.disconnect();
    steps.disconnect();
    fonts.removeEventListener('loadingdone', measure);
  };
}

/** About as wide as the button with its separator, if there is none to measure. In `em`. */
const buttonEstimate = 3;

/** What the steps take in one line. They are shown so for the moment of measuring, and nothing is drawn meanwhile. */
function naturalWidths(list: HTMLElement): { readonly widths: readonly number[]; readonly button: number } {
  list.toggleAttribute('data-ft-measured', true);
  const steps = [...list.querySelectorAll<HTMLElement>(':scope > .ft-breadcrumb:not(.ft-breadcrumb-fold)')];
  const widths = steps.map((step) => step.getBoundingClientRect().width);
  const fold = list.querySelector('.ft-breadcrumb-fold');
  const fontSize = Number.parseFloat(getComputedStyle(list).fontSize) || 16;
  const button = fold?.getBoundingClientRect().width ?? buttonEstimate * fontSize;
  list.toggleAttribute('data-ft-measured', false);
  return { widths, button };
}

/** Moves focus to the first step that was folded away, or to what follows where that takes none. */
export function focusRevealed(list: HTMLElement, index: number): void {
  const steps = [...list.querySelectorAll<HTMLElement>(':scope > .ft-breadcrumb:not(.ft-breadcrumb-fold)')].slice(
    index,
  );
  for (const step of steps) {
    const target = step.querySelector<HTMLElement>('a[href], button');
    if (target) {
      target.focus();
      return;
    }
  }
}
