/** What a page's loader is given. */
export interface LoadRequest {
  /** Aborted when no one waits for the page any longer. */
  readonly signal: AbortSignal;
}

/** What a loader answers: the page, or a module that has it as its default export. */
export type Loaded<Page> = Page | { readonly default: Page };

/** A page that is loaded when it is first needed, and once. */
export class LazyPage<Page> {
  readonly #load: (request: LoadRequest) => Promise<Loaded<Page>>;
  #page: Page | null = null;
  #loading: { readonly promise: Promise<Page>; readonly abort: AbortController } | null = null;
  #waiting = 0;

  constructor(load: (request: LoadRequest) => Promise<Loaded<Page>>) {
    this.#load = load;
  }

  /** Null until it has been loaded. */
  get page(): Page | null {
    return this.#page;
  }

  /**
   * Loads the page, unless that has happened or is under way. After a failure, it is tried again.
   *
   * @param signal ends the waiting; the load itself is aborted when no one is left who waits for it
   */
  load(signal?: AbortSignal): Promise<Page> {
    if (this.#page !== null) return Promise.resolve(this.#page);
    const { promise, abort } = (this.#loading ??= this.#begin());
    this.#waiting += 1;
    signal?.addEventListener(
      'abort',
      () => {
        this.#waiting -= 1;
        if (this.#waiting > 0 || this.#loading?.abort !== abort) return;
        this.#loading = null;
        abort.abort();
      },
      { once: true },
    );
    return promise;
  }

  #begin(): { promise: Promise<Page>; abort: AbortController } {
    const abort = new AbortController();
    const end = () => {
      if (this.#loading?.abort !== abort) return;
      this.#loading = null;
      this.#waiting = 0;
    };
    // Not at once: what fails at once must still find this load noted down, to take it back.
    const promise = Promise.resolve()
      .then(() => this.#load({ signal: abort.signal }))
      .then((loaded) => {
        // What comes after all although it was given up is good for the next time.
        this.#page = isModule(loaded) ? loaded.default : loaded;
        return this.#page;
      })
      .finally(end);
    return { promise, abort };
  }
}

function isModule<Page>(loaded: Loaded<Page>): loaded is { readonly default: Page } {
  return typeof loaded === 'object' && loaded !== null && 'default' in loaded;
}
