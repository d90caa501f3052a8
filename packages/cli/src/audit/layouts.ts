/** How each page is laid out at each width: where two widths draw the same, what can be tried at both is tried at one. */
export class Layouts {
  readonly #narrowest: number;
  readonly #widest: number;
  readonly #known = new Map<string, Promise<string | null>>();
  readonly #settle = new Map<string, (layout: string | null) => void>();

  constructor(widths: readonly number[]) {
    this.#narrowest = Math.min(...widths);
    this.#widest = Math.max(...widths);
  }

  /** Whether a width is the narrowest or the widest, or is laid out otherwise than both. */
  async isOther(url: string, width: number, layout: string): Promise<boolean> {
    this.note(url, width, layout);
    if (width === this.#narrowest || width === this.#widest) return true;
    const ends = await Promise.all([this.#at(url, this.#narrowest), this.#at(url, this.#widest)]);
    return !ends.includes(layout);
  }

  /** Takes note of a layout; null for a page that could not be read at that width. */
  note(url: string, width: number, layout: string | null): void {
    void this.#at(url, width);
    this.#settle.get(`${width} ${url}`)?.(layout);
  }

  #at(url: string, width: number): Promise<string | null> {
    const key = `${width} ${url}`;
    const known = this.#known.get(key);
    if (known) return known;
    const promise = new Promise<string | null>((resolve) => this.#settle.set(key, resolve));
    this.#known.set(key, promise);
    return promise;
  }
}
