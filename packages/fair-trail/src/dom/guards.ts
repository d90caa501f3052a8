/** Where the visitor is about to go. */
export interface Departure {
  /** Path, query and hash. */
  readonly url: string;
}

/** Returns whether a page may be left, or a promise of it while the visitor is asked. */
export type MayLeave = (departure: Departure) => boolean | Promise<boolean>;

/** The functions to ask before a page is left. While there are any, the browser asks before the tab is closed. */
export class Guards {
  readonly #window: Window;
  readonly #asked = new Set<MayLeave>();

  constructor(window: Window) {
    this.#window = window;
  }

  get held(): boolean {
    return this.#asked.size > 0;
  }

  add(mayLeave: MayLeave): () => void {
    this.#asked.add(mayLeave);
    this.#window.addEventListener('beforeunload', preventUnload);
    return () => {
      this.#asked.delete(mayLeave);
      if (!this.held) this.#window.removeEventListener('beforeunload', preventUnload);
    };
  }

  /** True if all of them agree. Whatever one of them throws is thrown here. */
  async ask(departure: Departure): Promise<boolean> {
    for (const mayLeave of this.#asked) if (!(await mayLeave(departure))) return false;
    return true;
  }
}

/** No page may choose the words of the browser's own question (HTML standard, section 7.4.4). */
function preventUnload(event: BeforeUnloadEvent): void {
  event.preventDefault();
}
