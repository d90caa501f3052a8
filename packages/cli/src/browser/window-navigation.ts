import type { Page, Request, Response } from 'playwright-core';

/** Goes from page to page in a window in which links are pressed too: what is on its way by a press is waited for. */
export class WindowNavigation {
  readonly #page: Page;
  readonly #underWay = new Set<Request>();

  constructor(page: Page) {
    this.#page = page;
    page.on('request', (request) => {
      if (request.isNavigationRequest() && request.frame() === page.mainFrame()) this.#underWay.add(request);
    });
    page.on('requestfinished', (request) => this.#underWay.delete(request));
    page.on('requestfailed', (request) => this.#underWay.delete(request));
  }

  /**
   * Until the page that a press leads to is there; false where it has not come in time.
   *
   * @param patience in milliseconds
   */
  async untilArrived(patience: number): Promise<boolean> {
    const end = Date.now() + patience;
    while (this.#underWay.size > 0 && Date.now() < end) await this.#page.waitForTimeout(20);
    return this.#underWay.size === 0;
  }

  /**
   * Loads an address. One that is asked for just as a press leads elsewhere is interrupted by that, and asked for again too
   * soon by its own first try: each has to come to its end before the next.
   *
   * @param patience in milliseconds
   */
  async goTo(url: string, patience: number): Promise<Response | null> {
    for (let attempt = 0; ; attempt += 1) {
      try {
        return await this.#page.goto(url, { timeout: patience, waitUntil: 'load' });
      } catch (error) {
        const isInterrupted =
          error instanceof Error && /interrupted by another navigation|net::ERR_ABORTED/u.test(error.message);
        if (!isInterrupted || attempt === 3) throw error;
        await this.untilArrived(patience);
        await this.#page.waitForLoadState('load').catch(() => undefined);
      }
    }
  }
}
