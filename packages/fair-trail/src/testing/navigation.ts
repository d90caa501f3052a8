import { NavigationFailure } from './failures.ts';
import { bestMatches, findMenu, describeName, type MenuChoice, type Name } from './find.ts';
import type { Ability, Host, Input, WindowSize } from './host.ts';
import { Menu } from './menu.ts';
import type { FoundReading, PageReading } from '../reading/page-reading.ts';
import { Tablist } from './tablist.ts';
import { quoted, treesOf } from './tree.ts';
import { Use, type NavigationOptions } from './use.ts';
import { waitUntil } from './waiting.ts';

/** Where the visitor is. */
export interface PageLocation {
  /** Path, query and hash. */
  readonly address: string;
  readonly title: string;
  readonly heading: string | null;
}

interface TextSize {
  /** In percent of the usual size. */
  readonly textSize: number;
}

/**
 * The navigation of a page, in the words of those who use it.
 *
 * @example
 * const page: Navigation = await open('/hides');
 * await page.back();
 */
export class Navigation {
  readonly #use: Use;

  constructor(use: Use) {
    this.#use = use;
  }

  /** The same page, used with a mouse, a keyboard, or a finger. */
  by(input: Input): Navigation {
    return new Navigation(this.#use.by(input));
  }

  /** How long is waited for what must come, in milliseconds. */
  get patience(): number {
    return this.#use.patience;
  }

  /** What the host cannot judge, in a sentence each. */
  get notJudged(): Readonly<Partial<Record<Ability, string>>> {
    return this.#use.host.cannot;
  }

  /**
   * In a window of this size; with text of so many percent of its usual size.
   *
   * @throws NotJudged where the host has no layout
   */
  async at(conditions: (WindowSize & Partial<TextSize>) | TextSize): Promise<void> {
    this.#use.must('layout');
    if ('width' in conditions) {
      const { width, height = 800 } = conditions;
      await this.#use.host.resize({ width, height });
    }
    if (conditions.textSize !== undefined) await this.#use.host.ask('setTextSize', conditions.textSize);
    await this.#use.settle();
  }

  async place(): Promise<PageLocation> {
    const { url, title, heading } = await this.#use.host.ask('place');
    const { pathname, search, hash } = new URL(url);
    return { address: pathname + search + hash, title, heading };
  }

  /** Everything that there is to navigate by. */
  read(): Promise<PageReading> {
    return this.#use.host.ask('read');
  }

  /** The names of the menus, breadcrumbs left out. */
  async menus(): Promise<readonly string[]> {
    const { menus } = await this.read();
    return menus.filter(({ kind }) => kind !== 'breadcrumbs').map(({ name }) => name);
  }

  /** The menu of a name, or of which something is true; without either, the only one there is. It is looked for at each use. */
  menu(choice?: MenuChoice): Menu {
    return new Menu(this.#use, (page) => findMenu(page, choice));
  }

  /** The tabs of a name; without one, the only ones there are. */
  tabs(name?: Name): Tablist {
    return new Tablist(this.#use, name);
  }

  /** The names of the steps to the page, this one among them where it is shown; none where the page shows no way. */
  async breadcrumbs(): Promise<readonly string[]> {
    const { breadcrumbs } = await this.read();
    return breadcrumbs?.map(({ name }) => name) ?? [];
  }

  /**
   * Presses a button, wherever it stands, such as the toggle of a menu that is made only when it is opened.
   *
   * @throws NavigationFailure `no-control`
   */
  async press(name: Name): Promise<void> {
    const found = await this.#find('button', name);
    await this.#use.activate(found.element, found.name);
    await this.#use.settle();
  }

  /**
   * Follows a link, wherever it stands, and waits until the visitor is there. What is in a menu is chosen there.
   *
   * @throws NavigationFailure `no-link`, `leads-elsewhere`, `never-arrived`
   */
  async follow(name: Name): Promise<void> {
    const { link, name: found } = await this.#find('link', name);
    if (link) await this.#use.follow(link, found);
  }

  /** Presses a key where focus is, such as `Escape` or `Shift+Tab`. */
  async key(key: string): Promise<void> {
    if (key.endsWith('Tab')) this.#use.must('focus order');
    await this.#use.host.key(key);
    await this.#use.settle();
  }

  /** The name of what has focus; null if that is nothing, or the page. */
  async focus(): Promise<string | null> {
    return (await this.#use.host.ask('focus'))?.name ?? null;
  }

  /** How far the page is scrolled down, in CSS pixels. */
  async scrolled(): Promise<number> {
    this.#use.must('layout');
    return (await this.#use.host.ask('extent')).scrolled;
  }

  /** How far the page reaches beyond the window sideways, in CSS pixels (WCAG 2.2, 1.4.10 wants it to be nothing). */
  async beyondWindow(): Promise<number> {
    this.#use.must('layout');
    return (await this.#use.host.ask('extent')).beyond;
  }

  async visit(address: string): Promise<PageLocation> {
    await this.#use.host.visit(address);
    await this.#use.settle();
    return this.place();
  }

  async reload(): Promise<PageLocation> {
    this.#use.must('loading');
    await this.#use.host.reload();
    await this.#use.settle();
    return this.place();
  }

  /** As the Back button of the browser does. */
  async back(): Promise<PageLocation> {
    return this.#traverse(-1);
  }

  async forward(): Promise<PageLocation> {
    return this.#traverse(1);
  }

  async #find(role: 'button' | 'link', name: Name): Promise<FoundReading> {
    const text = typeof name === 'string' ? name : name.source;
    const { answer } = await waitUntil(
      async () =>
        bestMatches(await this.#use.host.ask('find', role, text, typeof name !== 'string'), name, (one) => [one.name]),
      (found) => found.some(({ isShown }) => isShown),
      this.patience,
    );
    const found = answer.find(({ isShown }) => isShown);
    if (found) return found;
    const others = await this.#use.host.ask('find', role, '', false);
    throw new NavigationFailure(role === 'button' ? 'no-control' : 'no-link', {
      wanted: `The ${role} ${describeName(name)} was looked for on the page for ${this.patience} ms.`,
      found:
        answer.length > 0
          ? 'it is there, and hidden'
          : quoted(others.filter(({ isShown }) => isShown).map((one) => one.name)),
      likely:
        role === 'button'
          ? 'it is no button for assistive technology (a <div>, say), has another name, or is not there at this width.'
          : 'it is no link with an address, has another name, or its page is not there yet.',
    });
  }

  async #traverse(delta: -1 | 1): Promise<PageLocation> {
    const before = (await this.#use.host.ask('place')).url;
    await this.#use.host.traverse(delta);
    const where = delta < 0 ? 'Back' : 'Forward';
    await this.#use.wait(
      async () => (await this.#use.host.ask('place')).url,
      (url) => url !== before,
      (url, within) => ({
        code: 'never-arrived',
        wanted: `${where} was pressed, and the address did not change ${within}.`,
        found: `still ${url}`,
        likely: 'there was nothing to go to, the page asks before it is left, or a redirect leads straight back here.',
      }),
    );
    await this.#use.settle();
    return this.place();
  }

  /** Waits until what was begun has come to an end, as every act does by itself. */
  async settle(): Promise<void> {
    await this.#use.settle();
  }

  /** All menus as small trees. */
  async tree(): Promise<string> {
    return treesOf(await this.read());
  }
}

/**
 * The navigation of the page in a host.
 *
 * @param options how long to wait for expected changes
 * @example
 * const page = navigation(browserHost({ page: vitestPage, userEvent }));
 * await page.menu('Main').choose('Hides');
 * (await page.place()).heading; // 'Hides'
 */
export function navigation(host: Host, options: NavigationOptions = {}): Navigation {
  return new Navigation(new Use(host, options.by ?? 'mouse', options.patience ?? 3000));
}
