import { changeView } from './view-transition.ts';

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
