import { letPressesThrough } from './press-through.ts';

/** Longer than this, a page that is not drawn yet is not waited for. In milliseconds. */
const longestWait = 500;

/** Whether a change may be animated: where the browser can, and the reader did not ask for less motion. */
function mayAnimate(window: Window): boolean {
  return (
    'startViewTransition' in window.document &&
    window.document.visibilityState === 'visible' &&
    !window.matchMedia('(prefers-reduced-motion: reduce)').matches
  );
}

/**
 * Makes a change of the document, as a view transition where that may be (CSS View Transitions, section 5).
 *
 * @param change makes it
 * @param drawn resolves once it is in the document, which may be later
 */
export function changeView(window: Window, change: () => void, drawn: Promise<void>): void {
  if (!mayAnimate(window)) {
    change();
    return;
  }
  const transition = window.document.startViewTransition(async () => {
    change();
    await Promise.race([drawn, new Promise((resolve) => window.setTimeout(resolve, longestWait))]);
  });
  const stopListening = letPressesThrough(window.document, transition);
  // A newer transition ends this one, and a hidden document has none: the change itself is made all the same.
  transition.finished.catch(() => undefined).finally(stopListening);
  transition.ready.catch(() => undefined);
}

/** Changes of what is shown, as view transitions; each waits until its page is in the document. */
export class ViewChanges {
  readonly #whenDrawn = new Set<() => void>();

  change(window: Window, change: () => void): void {
    // From now on: what is drawn before the transition begins, for another reason, is drawn all the same.
    changeView(window, change, new Promise((resolve) => this.#whenDrawn.add(() => resolve())));
  }

  /** What a view transition waited for is in the document. */
  drawn(): void {
    for (const resolve of this.#whenDrawn) resolve();
    this.#whenDrawn.clear();
  }
}
