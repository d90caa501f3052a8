import { nextGroups, type GroupsEffect, type GroupsEvent, type GroupsState } from '../core/interaction/groups.ts';
import { markedItems } from '../core/site/marks.ts';
import type { Position } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { allGroups, markedGroups } from '../core/view/tree-view.ts';
import { openGroupName, readOpenGroup } from '../dom/memory.ts';
import { awaitGroup } from '../dom/sidebar.ts';
import { memoryHere } from './memory-here.ts';
import type { PartHost } from './navigation-part.ts';
import { Running } from './running.ts';

interface GroupsOptions {
  /** The items of the list, without marks. */
  readonly items: readonly MenuItem[];
  readonly position: Position;
  /** Under which open groups are remembered. */
  readonly name: string;
  readonly one: boolean;
}

/** The groups of a list: those that hold the page are open, and those that the reader has opened. */
export class SidebarGroups {
  /** The state that a server draws. */
  readonly rendered: GroupsState;
  readonly #running: Running<GroupsState, GroupsEvent, GroupsEffect>;
  #options: GroupsOptions;

  constructor(host: PartHost, options: GroupsOptions) {
    const { items, position, name, one } = options;
    this.#options = options;
    const begin: GroupsState = { one, open: [], closing: [] };
    const holding = markedGroups(items, markedItems(items, position));
    this.rendered = opened(begin, holding);
    const known = new Set(allGroups(items));
    const remembered = (memoryHere('open')?.names() ?? [])
      .map(readOpenGroup)
      .flatMap(({ sidebar, id }) => (sidebar === name && known.has(id) ? [id] : []));
    const initial = remembered.length === 0 ? this.rendered : opened(opened(begin, remembered), holding);
    this.#running = new Running(host, nextGroups, initial, (effect) => {
      if (effect.type === 'remember') this.#remember(effect.ids);
      else if (host.root) awaitGroup(host.root, effect.id, this.send);
    });
  }

  get state(): GroupsState {
    return this.#running.state;
  }

  send = (event: GroupsEvent): void => this.#running.send(event);

  /** The document shows these options. */
  set(options: GroupsOptions): void {
    const last = this.#options;
    this.#options = options;
    const { items, position, one } = options;
    if (items !== last.items) this.send({ type: 'left-over', ids: allGroups(items) });
    if (one !== last.one) this.send({ type: 'allow', one });
    if (position !== last.position)
      this.send({ type: 'reveal', ids: markedGroups(items, markedItems(items, position)) });
  }

  #remember(ids: readonly string[]): void {
    const { name } = this.#options;
    memoryHere('open')?.replace(
      (other) => readOpenGroup(other).sidebar === name,
      ids.map((id) => openGroupName(name, id)),
    );
  }
}

/** At first nothing is on its way out: what gives way to another group was never there. */
function opened(state: GroupsState, ids: readonly string[]): GroupsState {
  return { ...nextGroups(state, { type: 'reveal', ids }).state, closing: [] };
}
