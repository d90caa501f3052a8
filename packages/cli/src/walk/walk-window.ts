import type { Site } from 'fair-trail';
import { navigation, type Navigation, type PageReading } from 'fair-trail/testing';
import { playwrightHost } from 'fair-trail/testing/playwright';
import type { Page } from 'playwright-core';
import { WindowNavigation } from '../browser/window-navigation.ts';
import { kindsOfFaults, type Held } from './check-page.ts';
import { keyOf, type Stop } from './stops.ts';

/** How long a page may take to load, in milliseconds. */
const usualLoading = 30_000;

/** One window: how pages are gone to in it, and how long each is waited for to be read. */
export class WalkWindow {
  readonly #held: Held;
  readonly #site: Site;
  readonly #page: Page;
  readonly #origin: string;
  readonly #navigation: WindowNavigation;
  readonly #loadsWithin: number;
  readonly nav: Navigation;
  /** How the last document was answered. */
  #status: number | null = null;

  constructor(page: Page, origin: string, held: Held, answersWithin?: number) {
    this.#page = page;
    this.#origin = origin;
    this.#held = held;
    this.#site = held.site;
    this.nav = navigation(playwrightHost(page, { ...(answersWithin !== undefined && { answersWithin }) }), {
      patience: held.patience,
    });
    if (answersWithin !== undefined) page.setDefaultNavigationTimeout(answersWithin);
    this.#navigation = new WindowNavigation(page);
    this.#loadsWithin = answersWithin ?? usualLoading;
    page.on('response', (response) => {
      const isDocument = response.request().isNavigationRequest() && response.frame() === page.mainFrame();
      if (isDocument) this.#status = response.status();
    });
  }

  /** Goes to an address by itself; answers with what it shows, or null where nothing was answered. */
  async visit(address: string): Promise<{ readonly status: number | null; readonly reading: PageReading | null }> {
    this.#status = null;
    try {
      await this.#navigation.goTo(new URL(address, this.#origin).href, this.#loadsWithin);
    } catch (error) {
      // What has answered and does not become a page is another matter than what is not there.
      if (this.#page.isClosed() || this.#hasAnswered()) throw error;
      return { status: null, reading: null };
    }
    await this.nav.settle();
    return { status: this.#status, reading: await this.nav.read() };
  }

  /** What a page shows, once it shows what it should: a page that loads late has its time, and then is as it is. */
  async readUntil(isRight: (reading: PageReading) => boolean): Promise<PageReading> {
    const end = performance.now() + this.#held.patience;
    for (;;) {
      const reading = await this.nav.read();
      if (isRight(reading) || performance.now() > end) return reading;
      await this.#page.waitForTimeout(50);
    }
  }

  /**
   * What a page shows, once it is as the site file says: one that is drawn late has its time, and then is as it is. Where
   * faults of a kind have stayed so before, others of that kind are given less.
   */
  async readPage(stop: Stop): Promise<PageReading> {
    const { patience, staying } = this.#held;
    const start = performance.now();
    for (;;) {
      const reading = await this.nav.read();
      const kinds = this.#kindsOfFaults(stop, reading);
      if (kinds.length === 0) return reading;
      const isKnown = kinds.every((kind) => staying.has(kind));
      if (performance.now() - start > (isKnown ? patience / 4 : patience)) {
        for (const kind of kinds) staying.add(kind);
        return reading;
      }
      await this.#page.waitForTimeout(50);
    }
  }

  #kindsOfFaults(stop: Stop, reading: PageReading): readonly string[] {
    if (!this.isAt(stop, reading)) return ['elsewhere'];
    // A page without any menu is no fault, and most often not drawn yet.
    return [...(this.hasMenu(reading) ? [] : ['no menu']), ...kindsOfFaults(this.#held, stop, reading)];
  }

  /** Whether a page shows one of the menus of the site file. */
  hasMenu({ menus }: PageReading): boolean {
    return menus.some((menu) => this.#held.menus.nameOf(menu) !== null);
  }

  /** Goes to an address, which has its time to show what it should where it is not refused. */
  async visitUntil(
    address: string,
    isRight: (reading: PageReading) => boolean,
  ): Promise<{ readonly refusal: number | null; readonly reading: PageReading | null; readonly isRight: boolean }> {
    const { status, reading: first } = await this.visit(address);
    const refusal = status !== null && status >= 400 ? status : null;
    if (!first || refusal !== null) return { refusal, reading: first, isRight: false };
    const reading = await this.readUntil(isRight);
    return { refusal, reading, isRight: isRight(reading) };
  }

  /** Is on a page to begin there, at its top. */
  async begin(from: Stop): Promise<PageReading> {
    const { address } = await this.nav.place().catch(() => ({ address: '' }));
    if (address !== from.address || !this.#page.url().startsWith(this.#origin)) await this.visit(from.address);
    const reading = await this.readPage(from);
    // A visitor who looks for the menu goes up to it: bars may have gone as the page was scrolled.
    await this.#page.evaluate('scrollTo(0, 0)');
    return reading;
  }

  /** Whether a page is shown by its own address, whatever it says of itself. */
  isAt(stop: Stop, { url }: PageReading): boolean {
    return keyOf(this.#site, new URL(url)) === stop.key;
  }

  #hasAnswered(): boolean {
    return this.#status !== null;
  }

  async close(): Promise<void> {
    await this.#page.close({ runBeforeUnload: false }).catch(() => undefined);
  }
}
