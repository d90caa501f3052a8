import type { DefinedSite } from 'fair-trail';
import { navigation, type Navigation, type PageReading } from 'fair-trail/testing';
import { playwrightHost } from 'fair-trail/testing/playwright';
import type { Page } from 'playwright-core';
import { WindowNavigation } from '../browser/window-navigation.ts';
import { kindsOfFaults, type WalkContext } from './check-page.ts';
import { keyOf, type ExpectedPage } from './expected-pages.ts';

/** How long a page may take to load, in milliseconds. */
const usualLoading = 30_000;

/** One window: how pages are gone to in it, and how long each is waited for to be read. */
export class WalkWindow {
  readonly #held: WalkContext;
  readonly #site: DefinedSite;
  readonly #page: Page;
  readonly #origin: string;
  readonly #navigation: WindowNavigation;
  readonly #loadsWithin: number;
  readonly nav: Navigation;
  /** How the last document was answered. */
  #status: number | null = null;

  constructor(page: Page, origin: string, held: WalkContext, answersWithin?: number) {
    this.#page = page;
    this.#origin = origin;
    this.#held = held;
    this.#site = held.site;
    this.nav = navigation(playwrightHost(page, { ...(answersWithin !== undefined && { answersWithin }) }), {
      patience: held.patience,
    });
    this.#navigation = new WindowNavigation(page);
    this.#loadsWithin = answersWithin ?? usualLoading;
    page.setDefaultNavigationTimeout(this.#loadsWithin);
    page.on('response', (response) => {
      const isDocument = response.request().isNavigationRequest() && response.frame() === page.mainFrame();
      if (isDocument) this.#status = response.status();
    });
  }

  /** Goes to an address by itself, and answers how that was answered; null if nothing was. */
  async visit(address: string): Promise<{ readonly status: number; readonly isRefused: boolean } | null> {
    this.#status = null;
    try {
      await this.#navigation.goTo(new URL(address, this.#origin).href, this.#loadsWithin);
    } catch (error) {
      // What has answered and does not become a page is another matter than what is not there.
      if (this.#page.isClosed() || this.#answered() !== null) throw error;
      return null;
    }
    await this.nav.settle();
    const status = this.#answered() ?? 200;
    return { status, isRefused: status >= 400 };
  }

  /** What a page shows, once it shows what it should: a page that loads late has its time, and then is as it is. */
  readUntil(isRight: (reading: PageReading) => boolean): Promise<PageReading> {
    return this.#read((reading, waited) => isRight(reading) || waited > this.#held.patience);
  }

  /**
   * What a page shows, once it is as the site file says: one that is drawn late has its time, and then is as it is. Where
   * faults of a kind have stayed so before, others of that kind are given less.
   */
  readPage(stop: ExpectedPage): Promise<PageReading> {
    const { patience, staying } = this.#held;
    return this.#read((reading, waited) => {
      const kinds = this.#kindsOfFaults(stop, reading);
      const isKnown = kinds.every((kind) => staying.has(kind));
      if (kinds.length > 0 && waited <= (isKnown ? patience / 4 : patience)) return false;
      for (const kind of kinds) staying.add(kind);
      return true;
    });
  }

  /** Reads again and again, until it is enough; `waited` is in milliseconds. */
  async #read(isEnough: (reading: PageReading, waited: number) => boolean): Promise<PageReading> {
    const start = performance.now();
    for (;;) {
      const reading = await this.nav.read();
      if (isEnough(reading, performance.now() - start)) return reading;
      await this.#page.waitForTimeout(50);
    }
  }

  #kindsOfFaults(stop: ExpectedPage, reading: PageReading): readonly string[] {
    if (!this.isAt(stop, reading)) return ['elsewhere'];
    // A page without any menu is no fault, and most often not drawn yet.
    return [...(this.hasMenu(reading) ? [] : ['no menu']), ...kindsOfFaults(this.#held, stop, reading)];
  }

  /** Whether a page shows one of the menus of the site file. */
  hasMenu({ menus }: PageReading): boolean {
    return menus.some((menu) => this.#held.menus.nameOf(menu) !== null);
  }

  /** Is on a page to begin there, at its top. */
  async begin(from: ExpectedPage): Promise<PageReading> {
    const { address } = await this.nav.place().catch(() => ({ address: '' }));
    if (address !== from.address || !this.#page.url().startsWith(this.#origin)) await this.visit(from.address);
    const reading = await this.readPage(from);
    // A visitor who looks for the menu goes up to it: bars may have gone as the page was scrolled.
    await this.#page.evaluate('scrollTo(0, 0)');
    return reading;
  }

  /** Whether a page is shown by its own address, whatever it says of itself. */
  isAt(stop: ExpectedPage, { url }: PageReading): boolean {
    return keyOf(this.#site, new URL(url)) === stop.key;
  }

  /** With what status, since it was last asked; null if nothing has answered, or no one had to. */
  #answered(): number | null {
    return this.#status;
  }

  async close(): Promise<void> {
    await this.#page.close({ runBeforeUnload: false }).catch(() => undefined);
  }
}
