import { NavigationFailure } from './failures.ts';
import { everyItem, findItem, type Name } from './find.ts';
import type { ControlReading, ItemReading, MenuReading, PageReading } from '../reading/page-reading.ts';
import { quoted, treeOf } from './tree.ts';
import type { Use } from './use.ts';
import { waitUntil } from './waiting.ts';

/** A mark of a menu: where the item stands, and what it says. */
export interface MarkReading {
  /** The names from the top of the menu down to the item. */
  readonly path: readonly string[];
  /** `page`: this is the page. `section`: the page is below it. Anything else is another value of `aria-current`. */
  readonly mark: string;
}

/** Something of a menu, the way from the top down to it, and the menu as it was then. */
interface LocatedItem<Item> {
  readonly item: Item;
  readonly path: readonly ItemReading[];
  readonly menu: MenuReading;
}

/**
 * A menu of a page. Each call reads the page again.
 *
 * @example
 * const menu = page.menu('Main');
 * await menu.open('Hides');
 * await menu.choose('Hides', 'Causeway Hide');
 */
export class Menu {
  readonly #use: Use;
  readonly #find: (page: PageReading) => MenuReading;

  constructor(use: Use, find: (page: PageReading) => MenuReading) {
    this.#use = use;
    this.#find = find;
  }

  /** How long is waited for what must come, in milliseconds. */
  get patience(): number {
    return this.#use.patience;
  }

  /** The menu as it is now, with what is hidden in it. It is waited for. */
  async read(): Promise<MenuReading> {
    return this.#use.findSoon(this.#find);
  }

  /** The whole address of the page that the menu is on. */
  async url(): Promise<string> {
    return (await this.#use.host.ask('place')).url;
  }

  async name(): Promise<string> {
    return (await this.read()).name;
  }

  /** The names of what can be seen in it now, in their order. */
  async offers(): Promise<readonly string[]> {
    return everyItem((await this.read()).items)
      .filter(({ isShown, link, control }) => isShown && (link ?? control) !== null)
      .map(({ name }) => name);
  }

  async marks(): Promise<readonly MarkReading[]> {
    return marksOf((await this.read()).items, []);
  }

  /** The whole address that an item leads to; null if it leads nowhere. */
  async address(...way: Name[]): Promise<string | null> {
    return (await this.#item(way)).item.link?.href ?? null;
  }

  /** Whether what an item opens is open; without a name, the menu itself. */
  async isOpen(...way: Name[]): Promise<boolean> {
    const { item, menu } = await this.#itemOrMenu(way);
    return isOpen(item, menu);
  }

  /**
   * Opens what is below an item, and what leads there; without a name, the menu itself. What is open stays so.
   *
   * @throws NavigationFailure `no-control`, `never-opened`, and those of finding, reaching and pressing
   */
  async open(...way: Name[]): Promise<void> {
    const { path, menu } = await this.#itemOrMenu(way);
    await this.#openToggle(menu);
    for (const [depth, item] of path.entries()) {
      const isLast = depth === path.length - 1;
      if (isLast || item.control !== null) await this.#openItem(path.slice(0, depth + 1));
    }
  }

  /**
   * Closes what an item opens; without a name, the menu itself. What is closed stays so.
   *
   * @throws NavigationFailure `no-control`, `never-closed`
   */
  async close(...way: Name[]): Promise<void> {
    const { item, menu } = await this.#itemOrMenu(way);
    const control = item ? item.control : menu.toggle;
    if (!control) throw noControl(menu, item);
    if (!isOpen(item, menu)) return;
    await this.#use.activate(control.element, control.name);
    await this.#use.wait(
      () => this.isOpen(...way),
      (open) => !open,
      async (_, within) => ({
        code: 'never-closed',
        wanted: `“${control.name}” was pressed to close what it opens, and it did not close ${within}.`,
        found: 'it is open still',
        likely: 'a second press only opens it again, or aria-expanded is not kept up to date.',
        tree: await this.tree(),
      }),
    );
  }

  /**
   * Follows an item's link, opening whatever it is behind, and waits until the visitor is there.
   *
   * @throws NavigationFailure `no-link`, `leads-elsewhere`, `not-shown`, `never-arrived`, and those of opening
   */
  async choose(...way: Name[]): Promise<void> {
    const { link, name } = await this.#reveal(way);
    await this.#use.follow(link, name);
  }

  /**
   * Opens whatever an item is behind, until it can be seen, and follows nothing.
   *
   * @throws NavigationFailure `no-link`, `not-shown`, and those of opening
   */
  async reveal(...way: Name[]): Promise<void> {
    await this.#reveal(way);
  }

  /**
   * Rests the pointer on an item.
   *
   * @throws NotJudged where the host has no pointer
   */
  async hover(...way: Name[]): Promise<void> {
    this.#use.must('hover');
    const { item, menu } = await this.#item(way);
    const element = item.control && !item.link ? item.control.element : (item.link?.element ?? item.control?.element);
    if (element === undefined) throw noControl(menu, item);
    await this.#use.host.hover(element);
    await this.#use.settle();
  }

  /** Takes the pointer away from everything. */
  async unhover(): Promise<void> {
    this.#use.must('hover');
    await this.#use.host.unhover();
    await this.#use.settle();
  }

  /**
   * Puts focus on an item, with keys alone, opening nothing.
   *
   * @throws NavigationFailure `not-reached`
   */
  async focus(...way: Name[]): Promise<void> {
    const { item, menu } = await this.#itemOrMenu(way);
    const target = item ? (item.link ?? item.control) : menu.toggle;
    if (!target) throw noControl(menu, item);
    await this.#use.reach(target.element, item?.name ?? menu.toggle?.name ?? '');
  }

  /** As a small tree. */
  async tree(): Promise<string> {
    return treeOf(await this.read());
  }

  /** An item with all that leads to it, out of one reading. */
  async #item(way: readonly Name[]): Promise<LocatedItem<ItemReading>> {
    return this.#use.findSoon((page) => {
      const menu = this.#find(page);
      const path = findItem(menu, way);
      return { item: path.at(-1) ?? path[0], path, menu };
    });
  }

  async #itemOrMenu(way: readonly Name[]): Promise<LocatedItem<ItemReading | null>> {
    return way.length === 0 ? { item: null, path: [], menu: await this.read() } : this.#item(way);
  }

  async #openToggle(menu: MenuReading): Promise<void> {
    const { toggle } = menu;
    if (!toggle?.isShown || isOpen(null, menu)) return;
    await this.#pressToOpen(toggle, async () => isOpen(null, await this.read()));
  }

  async #openItem(path: readonly ItemReading[]): Promise<void> {
    const menu = await this.read();
    const names = path.map(({ name }) => name);
    // What was opened before it may have made it again.
    const item = findItem(menu, names).at(-1) ?? null;
    if (!item?.control) throw noControl(menu, item);
    if (isOpen(item, menu)) return;
    await this.#pressToOpen(item.control, () => this.isOpen(...names));
  }

  async #pressToOpen(control: ControlReading, look: () => Promise<boolean>): Promise<void> {
    const before = (await this.#use.host.ask('place')).url;
    await this.#use.activate(control.element, control.name);
    await this.#use.wait(look, Boolean, async (_, within) => {
      const { url } = await this.#use.host.ask('place');
      return {
        code: 'never-opened',
        wanted: `“${control.name}” was pressed, and nothing opened ${within}.`,
        found: url === before ? await this.#stateOf(control) : `the page was left for ${url}`,
        likely:
          control.isExpanded === null
            ? 'nothing listens for the press, or it says by no aria-expanded that it has opened, and nothing came to be seen.'
            : 'nothing listens for the press, or what it opens stays hidden by a style.',
        tree: await this.tree(),
      };
    });
    await this.#use.settle();
  }

  async #stateOf(control: ControlReading): Promise<string> {
    const { menus, controls } = await this.#use.host.ask('read');
    const all = [
      ...controls,
      ...menus.flatMap(({ toggle, items }) => [toggle, ...everyItem(items).map((item) => item.control)]),
    ];
    const now = all.find((one) => one?.element === control.element);
    if (!now) return 'the button has gone';
    const says = now.isExpanded === null ? 'has no aria-expanded' : `says aria-expanded="${String(now.isExpanded)}"`;
    return `it ${says}, and no more can be seen than before`;
  }

  /** The link of an item, once it can be seen. */
  async #reveal(way: readonly Name[]) {
    const first = await this.#item(way);
    if (first.item.link && !first.item.isShown) {
      await this.#openToggle(first.menu);
      for (const [depth, above] of first.path.slice(0, -1).entries()) {
        if (above.control !== null) await this.#openItem(first.path.slice(0, depth + 1));
      }
    }
    const isSettled = ({ item: { link, isShown } }: LocatedItem<ItemReading>) => isShown || link === null;
    // What has opened may grow until it can be seen.
    const { item, menu } = isSettled(first)
      ? first
      : (await waitUntil(() => this.#item(way), isSettled, this.patience)).answer;
    if (!item.link) throw noLink(menu, item);
    if (!item.isShown) {
      throw new NavigationFailure('not-shown', {
        wanted: `“${item.name}” was to be followed.`,
        found: 'it is in the menu, and hidden',
        likely:
          menu.toggle === null
            ? 'what opens the menu does not say so: a <button> with aria-expanded and aria-controls does. Or press it by its name first.'
            : 'what it is in stays hidden by a style when it is opened.',
        tree: treeOf(menu),
      });
    }
    return { link: item.link, name: item.name };
  }
}

/** What an item shows of the position; null if it is not marked. */
export function markOf({ current }: Pick<ItemReading, 'current'>): string | null {
  return current === 'true' ? 'section' : current;
}

export function marksOf(items: readonly ItemReading[], above: readonly string[]): readonly MarkReading[] {
  return items.flatMap((item) => {
    const path = [...above, item.name];
    const mark = markOf(item);
    return [...(mark === null ? [] : [{ path, mark }]), ...marksOf(item.items, path)];
  });
}

/**
 * What says that it is closed is; anything else is open if something in it can be seen. A toggle that is not to be seen says
 * nothing of a menu for which there is room.
 */
function isOpen(item: ItemReading | null, menu: MenuReading): boolean {
  const { items } = item ?? menu;
  const control = item ? item.control : menu.toggle?.isShown === true ? menu.toggle : null;
  if (control?.isExpanded === false) return false;
  // What it opens may stand elsewhere on the page.
  if (control?.isExpanded === true && items.length === 0) return true;
  return items.some(({ isShown, items: below }) => isShown || below.some((one) => one.isShown));
}

function noControl(menu: MenuReading, item: ItemReading | null): NavigationFailure {
  const openers = everyItem(menu.items).flatMap(({ control }) => (control ? [control.name] : []));
  return new NavigationFailure('no-control', {
    wanted: item ? `What opens “${item.name}” was looked for.` : `What opens the menu “${menu.name}” was looked for.`,
    found: item
      ? `nothing that opens it; in this menu open something: ${quoted(openers)}`
      : 'no button that controls it',
    likely:
      'it is a plain link; or its button says neither aria-expanded nor aria-controls, and no one can hear what it is.',
    tree: treeOf(menu),
  });
}

function noLink(menu: MenuReading, item: ItemReading): NavigationFailure {
  return new NavigationFailure('no-link', {
    wanted: `“${item.name}” was to be followed.`,
    found: item.control ? 'a button that opens something, and no link' : 'a text that leads nowhere',
    likely: 'it is a group: choose something in it. Or it is an <a> without an address.',
    tree: treeOf(menu),
  });
}
