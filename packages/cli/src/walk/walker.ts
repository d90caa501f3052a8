import type { DefinedSite } from 'fair-trail';
import { type MenuReading, quoted } from 'fair-trail/internal/testing';
import { NavigationFailure, type PageReading } from 'fair-trail/testing';
import { everyItem } from 'fair-trail/internal/testing';
import { checkPage, essence, type WalkContext } from './check-page.ts';
import { markedAsPage } from './visited-pages.ts';
import { keyOf, pathOf, type ExpectedPage } from './expected-pages.ts';
import type { WalkWindow } from './walk-window.ts';
import { inOneLine, isCalled, marksIn, offersOf, wayIn } from './ways.ts';

export type WalkInput = 'mouse' | 'keyboard';

/** Walks in one window: goes to pages, looks at them, and uses their menus. */
export class Walker {
  readonly #held: WalkContext;
  readonly #site: DefinedSite;
  readonly #window: WalkWindow;

  constructor(window: WalkWindow, held: WalkContext) {
    this.#window = window;
    this.#held = held;
    this.#site = held.site;
  }

  /** Where a window has got into something, another one goes on. */
  close(): Promise<void> {
    return this.#window.close();
  }

  /** Looks at a page by its address: is it there, is it right, does a reload keep it, do its other addresses lead to it. */
  async look(stop: ExpectedPage): Promise<PageReading | null> {
    const { notes } = this.#held;
    const answer = await this.#window.visit(stop.address);
    notes.tried(stop, 'there');
    if (!answer || answer.isRefused) {
      const message = answer ? `It answers with status ${answer.status}.` : 'Nothing was answered in time.';
      notes.fault(stop, { code: 'page-missing', blame: 'unclear', message });
      return null;
    }
    const reading = await this.#window.readPage(stop);
    if (!this.#window.isAt(stop, reading)) {
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

  async #checkReload(stop: ExpectedPage, before: PageReading): Promise<void> {
    const { notes } = this.#held;
    notes.tried(stop, 'kept by a reload');
    const after = await this.#reloaded(before);
    if (essence(this.#site, after) === essence(this.#site, before)) return;
    // A page that was rendered before it was known who the visitor is gains menus late, and may have been read too early: then
    // it is what it has become that a reload must keep.
    if (this.#window.isAt(stop, after) && after.menus.length > before.menus.length) {
      const again = await this.#reloaded(after);
      if (essence(this.#site, again) === essence(this.#site, after)) return;
    }
    const message = `After it the page is ${pathOf(after.url)}, “${after.title}”, and was ${pathOf(before.url)}, “${before.title}”.`;
    notes.fault(stop, { code: 'not-kept', blame: 'page', message });
  }

  /** What the page shows after a reload, once that is what it was. */
  async #reloaded(before: PageReading): Promise<PageReading> {
    await this.#window.nav.reload();
    const was = essence(this.#site, before);
    return this.#window.readUntil((reading) => essence(this.#site, reading) === was);
  }

  async #checkMoved(stop: ExpectedPage, address: string): Promise<void> {
    const { notes } = this.#held;
    notes.tried(stop, 'other addresses');
    const isRight = (shown: PageReading) => this.#window.isAt(stop, shown) && pathOf(shown.url) !== address;
    const found = await this.#foundInstead(address, isRight, ({ url, title }) => `${pathOf(url)}, “${title}”`);
    if (found === null) return;
    notes.fault(stop, { code: 'old-address-dead', blame: 'page', message: `${address} leads to ${found}.` });
  }

  async #checkAlias(stop: ExpectedPage, address: string, own: PageReading): Promise<void> {
    const { notes } = this.#held;
    notes.tried(stop, 'other addresses');
    const isRight = ({ title, heading }: PageReading) => title === own.title && heading === own.heading;
    const found = await this.#foundInstead(address, isRight, ({ title }) => `“${title}”`);
    if (found === null) return;
    notes.fault(stop, { code: 'alias-differs', blame: 'page', message: `${address} shows ${found}.` });
  }

  /** What is at an address where it is not what should be, in words; null if it is. */
  async #foundInstead(
    address: string,
    isRight: (reading: PageReading) => boolean,
    inWords: (reading: PageReading) => string,
  ): Promise<string | null> {
    const answer = await this.#window.visit(address);
    if (!answer) return 'nothing';
    if (answer.isRefused) return `status ${answer.status}`;
    const reading = await this.#window.readUntil(isRight);
    return isRight(reading) ? null : inWords(reading);
  }

  /** Goes to a page through a menu, from another page that shows the menu, and back again. */
  async reach(stop: ExpectedPage, menu: string, from: ExpectedPage, input: WalkInput): Promise<void> {
    const { notes } = this.#held;
    const check = input === 'mouse' ? 'by mouse' : 'by keyboard';
    const code = input === 'mouse' ? 'not-by-mouse' : 'not-by-keyboard';
    const start = await this.#window.begin(from);
    const way = await this.#wayTo(stop, menu, start);
    notes.tried(stop, 'in its menus');
    if (!way) return;
    const used = this.#window.nav.by(input).menu((reading) => way.isIn(reading));
    let before: PageReading;
    try {
      await used.reveal(...way.names);
      // What was opened on the way may have an address of its own, to which Back leads.
      before = await this.#window.nav.read();
      await used.choose(...way.names);
      notes.tried(stop, check);
    } catch (error) {
      if (!(error instanceof NavigationFailure)) throw error;
      notes.fault(stop, { code, blame: 'page', menu, message: inOneLine(error) });
      await this.#window.visit(from.address);
      return;
    }
    const arrived = await this.#window.readPage(stop);
    if (!this.#window.isAt(stop, arrived)) {
      const message = `“${way.names.at(-1) ?? ''}” leads to ${pathOf(arrived.url)}.`;
      notes.fault(stop, { code: 'leads-elsewhere', blame: 'unclear', menu, message });
      await this.#window.visit(from.address);
      return;
    }
    checkPage(this.#held, stop, arrived, 'after it was reached through a menu');
    if (!this.#window.isAt(stop, before)) await this.#checkBack(stop, before);
  }

  async #checkBack(stop: ExpectedPage, start: PageReading): Promise<void> {
    const { notes } = this.#held;
    notes.tried(stop, 'back');
    try {
      await this.#window.nav.back();
    } catch (error) {
      if (!(error instanceof NavigationFailure)) throw error;
      notes.fault(stop, { code: 'back-elsewhere', blame: 'page', message: inOneLine(error) });
      return;
    }
    const was = essence(this.#site, start);
    const after = await this.#window.readUntil((reading) => essence(this.#site, reading) === was);
    if (essence(this.#site, after) === was) return;
    const message = `It leads to ${pathOf(after.url)}, “${after.title}”, with ${marksIn(after)}, and ${pathOf(start.url)}, “${start.title}”, with ${marksIn(start)} was left.`;
    notes.fault(stop, { code: 'back-elsewhere', blame: 'page', message });
    await this.#window.visit(pathOf(start.url));
  }

  /** Where a page stands in a menu: what is made only when it is opened is opened by the labels of the site file. */
  async #wayTo(
    stop: ExpectedPage,
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
        await this.#window.nav.menu(isMenu).open(...above);
      } catch (error) {
        if (!(error instanceof NavigationFailure)) throw error;
        continue;
      }
      const reading = await this.#window.nav.read();
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

  #checkLabel(stop: ExpectedPage, menu: string, name: string): void {
    const label = stop.ways.get(menu)?.at(-1) ?? stop.label;
    if (isCalled(name, label)) return;
    const message = `It is “${name}” in the menu, and “${label}” in the site file.`;
    this.#held.notes.fault(stop, { code: 'other-label', blame: 'unclear', menu, message });
  }

  /**
   * An address that no one made must not be answered as if it were a page.
   *
   * @param prefix what stands before the path of each page
   * @param home the heading of the home page
   * @param below a page without any below it
   */
  async checkUnknown(prefix: string, home: string | null, below: ExpectedPage | null): Promise<void> {
    const { notes } = this.#held;
    for (const address of [`${prefix}/no-such-page-7d1f`, ...(below ? [`${below.address}/no-such-page-7d1f`] : [])]) {
      if (keyOf(this.#site, address) !== address) continue;
      const answer = await this.#window.visit(address);
      if (!answer) continue;
      const { status, isRefused } = answer;
      const reading = await this.#window.readUntil((shown) => isRefused || this.#window.hasMenu(shown));
      const marked = markedAsPage(reading);
      const isHome = home !== null && reading.heading === home && !isRefused;
      const wrong = [
        ...(isHome ? [`shows the home page, “${home}”, with status ${status}`] : []),
        ...(marked.length > 0 ? [`marks ${quoted(marked)} as the page`] : []),
      ];
      if (wrong.length === 0) continue;
      notes.fault(null, { code: 'unknown-not-handled', blame: 'page', message: `${address} ${wrong.join(' and ')}.` });
    }
  }
}
