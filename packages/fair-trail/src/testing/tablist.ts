import { NavigationFailure } from './failures.ts';
import { bestMatches, describeName, type Name } from './find.ts';
import type { PageReading, TablistReading, TabReading } from '../reading/page-reading.ts';
import { quoted } from './tree.ts';
import type { Use } from './use.ts';

/**
 * The tabs of a page, as they are used (ARIA Authoring Practices, tabs pattern).
 *
 * @example
 * const tabs = page.tabs('Causeway Hide');
 * await tabs.select('Log');
 */
export class Tablist {
  readonly #use: Use;
  readonly #name: Name | undefined;

  constructor(use: Use, name: Name | undefined) {
    this.#use = use;
    this.#name = name;
  }

  async read(): Promise<TablistReading> {
    return this.#use.findSoon((page) => this.#find(page));
  }

  async offers(): Promise<readonly string[]> {
    return (await this.read()).tabs.map(({ name }) => name);
  }

  /** The name of the selected one; null if none is. */
  async selected(): Promise<string | null> {
    return (await this.read()).tabs.find(({ isSelected }) => isSelected)?.name ?? null;
  }

  /**
   * Selects a tab, and waits until it says so.
   *
   * @throws NavigationFailure `no-item`, `never-opened`
   */
  async select(name: Name): Promise<void> {
    const tab = await this.#use.findSoon((page) => this.#tab(page, name));
    await this.#use.activate(tab.element, tab.name);
    await this.#use.wait(
      () => this.selected(),
      (selected) => selected === tab.name,
      (selected, within) => ({
        code: 'never-opened',
        wanted: `The tab “${tab.name}” was pressed, and was not selected ${within}.`,
        found: `selected is ${quoted(selected === null ? [] : [selected])}`,
        likely: tab.isDisabled
          ? 'it is disabled.'
          : 'nothing listens for the press, or aria-selected is not kept up to date.',
      }),
    );
    await this.#use.settle();
  }

  /**
   * Goes to a tab by keys alone: with Tab to the tabs, and with arrow keys within them.
   *
   * @throws NavigationFailure `no-item`, `not-reached`
   */
  async focus(name: Name): Promise<void> {
    const tab = await this.#use.findSoon((page) => this.#tab(page, name));
    await this.#use.reach(tab.element, tab.name);
    await this.#use.settle();
  }

  #find({ tablists }: PageReading): TablistReading {
    const found = this.#name === undefined ? tablists : bestMatches(tablists, this.#name, ({ name }) => [name]);
    const [first, second] = found;
    if (first && !second) return first;
    throw new NavigationFailure(first ? 'several-menus' : 'no-menu', {
      wanted:
        this.#name === undefined
          ? 'The tabs of the page were looked for.'
          : `The tabs ${describeName(this.#name)} were looked for.`,
      found: `tablists called ${quoted(tablists.map(({ name }) => name))}`,
      likely: first
        ? 'say which are meant, by their name.'
        : 'they have another name, or are links in a navigation: use `menu`.',
    });
  }

  #tab(page: PageReading, name: Name): TabReading {
    const { tabs } = this.#find(page);
    const [tab] = bestMatches(tabs, name, (one) => [one.name]);
    if (tab) return tab;
    throw new NavigationFailure('no-item', {
      wanted: `The tab ${describeName(name)} was looked for.`,
      found: quoted(tabs.map((one) => one.name)),
      likely: 'it has another name, or is not made yet.',
    });
  }
}
