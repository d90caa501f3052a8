import type { Site } from 'fair-trail';
import {
  everyItem,
  navigation,
  NavigationFailure,
  quoted,
  type MenuReading,
  type Navigation,
  type PageReading,
} from 'fair-trail/testing';
import { playwrightHost } from 'fair-trail/testing/playwright';
import type { Page } from 'playwright-core';
import { checkPage, essence, kindsOfFaults, type Held } from './check-page.ts';
import { markedAsPage } from './seen-pages.ts';
import { keyOf, pathOf, type Stop } from './stops.ts';
import { inOneLine, isCalled, marksIn, offersOf, wayIn } from './ways.ts';

export type WalkInput = 'mouse' | 'keyboard';

/** One window that walks: it goes to pages, looks at them, and uses their menus. */
export class Walker {
  readonly #held: Held;
  readonly #site: Site;
  readonly #page: Page;
  readonly #origin: string;
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
    page.on('response', (response) => {
      const isDocument = response.request().isNavigationRequest() && response.frame() === page.mainFrame();
      if (isDocument) this.#status = response.status();
    });
  }

  /** Goes to an address by itself; answers with what it shows, or null where nothing was answered. */
  async visit(address: string): Promise<{ readonly status: number | null; readonly reading: PageReading | null }> {
    this.#status = null;
    try {
      await this.#page.goto(new URL(address, this.#origin).href);
    } catch (error) {
      // What has answered and does not become a page is another matter than what is not there.
      if (this.#page.isClosed() || this.#hasAnswered()) throw error;
      return { status: null, reading: null };
    }
    await this.nav.settle();
    return { status: this.#status, reading: await this.nav.read() };
  }

  /** What a page shows, once it shows what it should: a page that loads late has its time, and then is as it is. */
  async #readUntil(isRight: (reading: PageReading) => boolean): Promise<PageReading> {
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
  async #readPage(stop: Stop): Promise<PageReading> {
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
    const { menus } = this.#held;
    if (!this.#isAt(stop, reading)) return ['elsewhere'];
    // A page without any menu is no fault, and most often not drawn yet.
    const hasMenu = reading.menus.some((menu) => menus.nameOf(menu) !== null);
    return [...(hasMenu ? [] : ['no menu']), ...kindsOfFaults(this.#held, stop, reading)];
  }

  /** Goes to an address, which has its time to show what it should where it is not refused. */
  async #visitUntil(
    address: string,
    isRight: (reading: PageReading) => boolean,
  ): Promise<{ readonly refusal: number | null; readonly reading: PageReading | null; readonly isRight: boolean }> {
    const { status, reading: first } = await this.visit(address);
    const refusal = status !== null && status >= 400 ? status : null;
    if (!first || refusal !== null) return { refusal, reading: first, isRight: false };
    const reading = await this.#readUntil(isRight);
    return { refusal, reading, isRight: isRight(reading) };
  }

  /** Whether a page is shown by its own address, whatever it says of itself. */
  #isAt(stop: Stop, { url }: PageReading): boolean {
    return keyOf(this.#site, new URL(url)) === stop.key;
  }

  #hasAnswered(): boolean {
    return this.#status !== null;
  }

  /** Where a window has got into something, another one goes on. */
  async close(): Promise<void> {
    await this.#page.close({ runBeforeUnload: false }).catch(() => undefined);
  }

  /** Looks at a page by its address: is it there, is it right, does a reload keep it, do its other addresses lead to it. */
  async look(stop: Stop): Promise<PageReading | null> {
    const { notes } = this.#held;
    const { status, reading: first } = await this.visit(stop.address);
    notes.tried(stop, 'there');
    if (!first || (status !== null && status >= 400)) {
      const message = first ? `It answers with status ${status ?? 0}.` : 'Nothing was answered in time.';
      notes.fault(stop, { code: 'page-missing', blame: 'unclear', message });
      return null;
    }
    const reading = await this.#readPage(stop);
    if (!this.#isAt(stop, reading)) {
      const message = `It leads on to ${pathOf(reading.url)}.`;
      notes.fault(stop, { code: 'page-missing', blame: 'unclear', message });
      return null;
    }
    checkPage(this.#held, stop, reading);
    await this.#checkReload(stop, reading);
    for (const address of stop.moved) await this.#checkMoved(stop, address);
    for (const address of stop.aliases) await this.#checkAlias(stop, address, reading);
    return reading;
  }

  async #checkReload(stop: Stop, before: PageReading): Promise<void> {
    const { notes } = this.#held;
    notes.tried(stop, 'kept by a reload');
    await this.nav.reload();
    const was = essence(this.#site, before);
    const after = await this.#readUntil((reading) => essence(this.#site, reading) === was);
    if (essence(this.#site, after) === was) return;
    const message = `After it the page is ${pathOf(after.url)}, “${after.title}”, and was ${pathOf(before.url)}, “${before.title}”.`;
    notes.fault(stop, { code: 'not-kept', blame: 'page', message });
  }

  async #checkMoved(stop: Stop, address: string): Promise<void> {
    const { notes } = this.#held;
    notes.tried(stop, 'other addresses');
    const { refusal, reading, isRight } = await this.#visitUntil(
      address,
      (shown) => this.#isAt(stop, shown) && pathOf(shown.url) !== address,
    );
    if (isRight) return;
    const shown = reading ? `${pathOf(reading.url)}, “${reading.title}”` : 'nothing';
    const found = refusal === null ? shown : `status ${refusal}`;
    notes.fault(stop, { code: 'old-address-dead', blame: 'page', message: `${address} leads to ${found}.` });
  }

  async #checkAlias(stop: Stop, address: string, own: PageReading): Promise<void> {
    const { notes } = this.#held;
    notes.tried(stop, 'other addresses');
    const { refusal, reading, isRight } = await this.#visitUntil(
      address,
      ({ title, heading }) => title === own.title && heading === own.heading,
    );
    if (isRight) return;
    const found = refusal === null ? `shows “${reading?.title ?? 'nothing'}”` : `answers with status ${refusal}`;
    notes.fault(stop, { code: 'alias-differs', blame: 'page', message: `${address} ${found}.` });
  }

  /** Goes to a page through a menu, from another page that shows the menu, and back again. */
  async reach(stop: Stop, menu: string, from: Stop, input: WalkInput): Promise<void> {
    const { notes } = this.#held;
    const check = input === 'mouse' ? 'by mouse' : 'by keyboard';
    const code = input === 'mouse' ? 'not-by-mouse' : 'not-by-keyboard';
    const start = await this.#begin(from);
    const way = await this.#wayTo(stop, menu, start);
    notes.tried(stop, 'in its menus');
    if (!way) return;
    const used = this.nav.by(input).menu((reading) => way.isIn(reading));
    let before: PageReading;
    try {
      await used.reveal(...way.names);
      // What was opened on the way may have an address of its own, to which Back leads.
      before = await this.nav.read();
      await used.choose(...way.names);
      notes.tried(stop, check);
    } catch (error) {
      if (!(error instanceof NavigationFailure)) throw error;
      notes.fault(stop, { code, blame: 'page', menu, message: inOneLine(error) });
      await this.visit(from.address);
      return;
    }
    const arrived = await this.#readPage(stop);
    if (!this.#isAt(stop, arrived)) {
      const message = `“${way.names.at(-1) ?? ''}” leads to ${pathOf(arrived.url)}.`;
      notes.fault(stop, { code: 'leads-elsewhere', blame: 'unclear', menu, message });
      await this.visit(from.address);
      return;
    }
    checkPage(this.#held, stop, arrived, 'after it was reached through a menu');
    if (!this.#isAt(stop, before)) await this.#checkBack(stop, before);
  }

  async #begin(from: Stop): Promise<PageReading> {
    const { address } = await this.nav.place().catch(() => ({ address: '' }));
    if (address !== from.address || !this.#page.url().startsWith(this.#origin)) await this.visit(from.address);
    const reading = await this.#readPage(from);
    // A visitor who looks for the menu goes up to it: bars may have gone as the page was scrolled.
    await this.#page.evaluate('scrollTo(0, 0)');
    return reading;
  }

  async #checkBack(stop: Stop, start: PageReading): Promise<void> {
    const { notes } = this.#held;
    notes.tried(stop, 'back');
    try {
      await this.nav.back();
    } catch (error) {
      if (!(error instanceof NavigationFailure)) throw error;
      notes.fault(stop, { code: 'back-elsewhere', blame: 'page', message: inOneLine(error) });
      return;
    }
    const was = essence(this.#site, start);
    const after = await this.#readUntil((reading) => essence(this.#site, reading) === was);
    if (essence(this.#site, after) === was) return;
    const message = `It leads to ${pathOf(after.url)}, “${after.title}”, with ${marksIn(after)}, and ${pathOf(start.url)}, “${start.title}”, with ${marksIn(start)} was left.`;
    notes.fault(stop, { code: 'back-elsewhere', blame: 'page', message });
    await this.visit(pathOf(start.url));
  }

  /** Where a page stands in a menu: what is made only when it is opened is opened by the labels of the site file. */
  async #wayTo(
    stop: Stop,
    menu: string,
    start: PageReading,
  ): Promise<{ readonly names: readonly string[]; readonly isIn: (reading: MenuReading) => boolean } | null> {
    const { menus, notes } = this.#held;
    const isMenu = (reading: MenuReading) => menus.nameOf(reading) === menu;
    const shown = start.menus.filter(isMenu);
    const found = shown.flatMap(({ items }) => wayIn(this.#site, items, stop) ?? []);
    const labels = stop.ways.get(menu) ?? [];
    if (found.length > 0) {
      this.#checkLabel(stop, menu, found.at(-1) ?? '');
      return { names: found, isIn: isMenu };
    }
    // The page itself may be a button in the menu, with its link in what that opens.
    for (let depth = labels.length; depth > 0; depth -= 1) {
      const above = labels.slice(0, depth);
      try {
        await this.nav.menu(isMenu).open(...above);
      } catch (error) {
        if (!(error instanceof NavigationFailure)) throw error;
        continue;
      }
      const reading = await this.nav.read();
      // It may have opened beside the menu, in one of its own; what has been there before has nothing to do with it.
      const isNew = (one: MenuReading) => !start.menus.some((before) => before.element === one.element) || isMenu(one);
      const other = reading.menus.find((one) => isNew(one) && wayIn(this.#site, one.items, stop) !== null);
      const names = other ? wayIn(this.#site, other.items, stop) : null;
      if (other && names) return { names, isIn: (one) => one.element === other.element };
    }
    const label = labels.at(-1) ?? stop.label;
    const others = shown.flatMap(({ items }) => everyItem(items)).filter((item) => item.name === label && item.link);
    const [other] = others;
    if (other?.link) {
      const message = `“${label}” leads to ${pathOf(other.link.href)}, and to ${stop.address} in the site file.`;
      notes.fault(stop, { code: 'leads-elsewhere', blame: 'unclear', menu, message });
    } else {
      const message = `“${label}” is not in it; it offers ${offersOf(shown)}.`;
      notes.fault(stop, { code: 'not-in-menu', blame: 'page', menu, message });
    }
    return null;
  }

  #checkLabel(stop: Stop, menu: string, name: string): void {
    const label = stop.ways.get(menu)?.at(-1) ?? stop.label;
    if (isCalled(name, label)) return;
    const message = `It is “${name}” in the menu, and “${label}” in the site file.`;
    this.#held.notes.fault(stop, { code: 'other-label', blame: 'unclear', menu, message });
  }

  /**
   * An address that nobody made must not be answered as if it were a page.
   *
   * @param prefix what stands before the path of each page
   * @param home the heading of the home page
   * @param below a page without any below it
   */
  async checkUnknown(prefix: string, home: string | null, below: Stop | null): Promise<void> {
    const { notes } = this.#held;
    for (const address of [`${prefix}/no-such-page-7d1f`, ...(below ? [`${below.address}/no-such-page-7d1f`] : [])]) {
      if (keyOf(this.#site, address) !== address) continue;
      const { status, reading } = await this.visit(address);
      if (!reading || (status !== null && status >= 400 && reading.menus.length === 0)) continue;
      const marked = markedAsPage(reading);
      const isHome = home !== null && reading.heading === home && (status ?? 200) < 400;
      const wrong = [
        ...(isHome ? [`shows the home page, “${home}”, with status ${status ?? 200}`] : []),
        ...(marked.length > 0 ? [`marks ${quoted(marked)} as the page`] : []),
      ];
      if (wrong.length === 0) continue;
      notes.fault(null, { code: 'unknown-not-handled', blame: 'page', message: `${address} ${wrong.join(' and ')}.` });
    }
  }
}
