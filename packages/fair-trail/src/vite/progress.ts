import type { Logger } from 'vite';

/** Less than this is done before anyone wonders. */
const fewest = 500;
const interval = 200;

/** Says how far a long run is: in one line of a terminal, or in a line for each tenth elsewhere. */
export class Progress {
  readonly #total: number;
  readonly #logger: Logger;
  #done = 0;
  #last = 0;
  readonly #isTerminal = process.stdout.isTTY;

  constructor(total: number, logger: Logger) {
    this.#total = total;
    this.#logger = logger;
  }

  step(): void {
    this.#done += 1;
    if (this.#total < fewest || this.#done === this.#total) return;
    const text = `fair-trail: ${this.#done} of ${this.#total} pages`;
    if (!this.#isTerminal) {
      if (this.#done % Math.ceil(this.#total / 10) === 0) this.#logger.info(text);
      return;
    }
    const now = Date.now();
    if (now - this.#last < interval) return;
    this.#last = now;
    process.stdout.write(`\r${text}`);
  }

  end(): void {
    if (this.#last > 0) process.stdout.write('\r\u001B[K');
  }
}
