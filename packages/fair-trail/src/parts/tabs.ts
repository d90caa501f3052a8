import { initialTabs, nextTabs, type TabsEffect, type TabsEvent, type TabsState } from '../core/interaction/tabs.ts';
import type { TabsOptions } from '../core/view/component-options.ts';
import type { PressEvent } from '../core/view/panel-view.ts';
import { tablistView, tabsView, type TablistViewOptions } from '../core/view/tabs-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import { watchEdges } from '../dom/edges.ts';
import { watchFocusWithin, type FocusWatch } from '../dom/focus.ts';
import { queryValue, withQueryValue } from '../dom/query.ts';
import { keepMarkedInView } from '../dom/strip.ts';
import { carryOutTabs, listenForTabKeys } from '../dom/tabs.ts';
import { BasePart } from './navigation-part.ts';
import { Running } from './running.ts';
import type { Runs } from './runs.ts';
import type { Surroundings } from './surroundings.ts';

/** The options of a set of tabs. */
export interface TabsPartOptions extends TabsOptions {
  readonly trail: Surroundings;
  /** The current address: it may say which tab is selected. */
  readonly url: string;
  /** Begins every id in it. No other part of the document has the same. */
  readonly id: string;
  /** The name of the tablist. */
  readonly label: string;
  /** The id of the selected tab. Undefined: the tabs decide by themselves. */
  readonly selected?: string | undefined;
  readonly onSelect?: ((id: string) => void) | undefined;
  /** The slots that the app fills. */
  readonly slots: { readonly icon: boolean };
}

/** What tabs draw besides their options. */
export interface TabsPartState {
  readonly machine: TabsState;
  /** The ids of the tabs that have been selected so far. */
  readonly visited: readonly string[];
}

/** Tabs with panels. Its view holds what the app arranges; `shown` says what a tablist, a tab and a panel are to show. */
export class TabsPart extends BasePart<TabsPartOptions, TabsPartState, PressEvent> {
  readonly #running: Running<TabsState, TabsEvent, TabsEffect>;
  #visited: readonly string[] = [];
  #focus: FocusWatch | null = null;
  /** What the app has been asked for: when it agrees, that is what happens, with focus where the reader took it. */
  #asked: TabsEvent | null = null;
  #lastShown: {
    readonly options: TabsPartOptions;
    readonly state: TabsPartState;
    readonly shown: TablistViewOptions;
  } | null = null;

  constructor(options: TabsPartOptions) {
    super(options);
    const initial = initialTabs(options.tabs, wantedBy(options), options.activation ?? 'automatic');
    this.#running = new Running(this, nextTabs, initial, (effect) => {
      if (effect.type === 'selected') this.#onSelected(effect.id);
      else if (this.root) carryOutTabs(this.root, effect);
    });
  }

  send = (event: TabsEvent): void => {
    const change = nextTabs(this.#running.state, event).effects.find(({ type }) => type === 'selected');
    // Where the app decides, it is asked; what it answers comes back as an option.
    if (this.options.selected === undefined || !change) {
      this.#running.send(event);
      return;
    }
    this.#asked = event;
    this.options.onSelect?.(change.id);
  };

  /** What the tablist, its tabs and their panels show: the same object for as long as nothing in it changes. */
  shown(options: TabsPartOptions, state: TabsPartState = this.read()): TablistViewOptions {
    const last = this.#lastShown;
    if (last?.options === options && last.state === state) return last.shown;
    const { tabs, label, id: idPrefix, orientation = 'horizontal', widths, slots, panels = 'all' } = options;
    const now = machineOf(options, state);
    const isPresent = (id: string) =>
      panels === 'all' || id === now.selected || (panels === 'visited' && state.visited.includes(id));
    const shown: TablistViewOptions = {
      tabs,
      state: now,
      label,
      idPrefix,
      orientation,
      fills: widths === 'filling',
      icons: slots.icon,
      panels: tabs.map(({ id }) => id).filter(isPresent),
    };
    this.#lastShown = { options, state, shown };
    return shown;
  }

  protected stateNow(): TabsPartState {
    return { machine: this.#running.state, visited: this.#visited };
  }

  protected draw({ orientation = 'horizontal' }: TabsPartOptions): ViewElement {
    return tabsView(orientation);
  }

  protected override update(options: TabsPartOptions, last: TabsPartOptions): void {
    const { tabs, activation = 'automatic' } = options;
    const { state } = this.#running;
    if (state.activation !== activation) this.#running.state = { ...state, activation };
    this.#running.send({ type: 'tabs', tabs, focusWithin: this.#focus?.isWithin() === true });
    const wanted = wantedBy(options);
    if (isDecided(options) && (wanted !== wantedBy(last) || !isDecided(last))) this.#select(wanted);
    const { selected } = this.#running.state;
    if (options.panels !== 'visited' || selected === null || this.#visited.includes(selected)) return;
    this.#visited = [...this.#visited, selected];
    this.changed();
  }

  protected override run(root: HTMLElement, runs: Runs): void {
    runs.keep('focus', [root], (tabs) => {
      const focus = (this.#focus = watchFocusWithin(tabs));
      return () => {
        focus.end();
        this.#focus = null;
      };
    });
  }

  /** The app, or the address, says which tab is selected. */
  #select(id: string | null): void {
    const event = this.#asked;
    this.#asked = null;
    const agrees = event !== null && nextTabs(this.#running.state, event).state.selected === id;
    this.#running.send(agrees ? event : { type: 'select', id });
  }

  #onSelected(id: string): void {
    const { selected, linkedTo, trail, url, onSelect } = this.options;
    if (id === selected) return;
    if (typeof linkedTo === 'object') {
      trail.navigate(withQueryValue(url, linkedTo.query, id), { history: 'replace' });
    } else if (linkedTo === 'hash') {
      trail.navigate(`${url.split('#')[0] ?? ''}#${encodeURIComponent(id)}`, { history: 'replace' });
    }
    onSelect?.(id);
  }
}

/** The tabs that there are now are drawn at once; the machine is given them before anything is painted. */
function machineOf({ tabs, activation = 'automatic' }: TabsPartOptions, { machine }: TabsPartState): TabsState {
  return nextTabs({ ...machine, activation }, { type: 'tabs', tabs, focusWithin: false }).state;
}

/** The tab that the app or the address asks for; null if neither does. */
function wantedBy({ selected, linkedTo, initial, url }: TabsPartOptions): string | null {
  const linked = typeof linkedTo === 'object' ? queryValue(url, linkedTo.query) : linkedTo ? hashValue(url) : null;
  return selected ?? linked ?? initial ?? null;
}

function isDecided({ selected, linkedTo }: TabsPartOptions): boolean {
  return selected !== undefined || linkedTo !== undefined;
}

function hashValue(url: string): string | null {
  const [, hash] = url.split('#');
  if (hash === undefined) return null;
  try {
    return decodeURIComponent(hash);
  } catch {
    // It is no text, and so no tab's id.
    return null;
  }
}

/** The options of the row of tabs. */
export interface TablistOptions {
  readonly shown: TablistViewOptions;
  readonly send: (event: TabsEvent) => void;
}

/** The row of tabs. */
export class TabRowPart extends BasePart<TablistOptions, null, PressEvent> {
  send = (event: PressEvent): void => this.options.send(event);

  protected stateNow(): null {
    return null;
  }

  protected draw({ shown }: TablistOptions): ViewElement<PressEvent> {
    return tablistView(shown);
  }

  protected override run(root: HTMLElement, runs: Runs): void {
    const { shown } = this.options;
    runs.keep('keys', [root, shown.orientation], (list, orientation) =>
      listenForTabKeys(list, orientation, (event) => this.options.send(event)),
    );
    runs.keep('selected in view', [root], (list) => keepMarkedInView(list, '[aria-selected="true"]'));
    runs.keep('edges', [root, shown.tabs], watchEdges);
  }
}
