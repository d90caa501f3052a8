import type { PressEvent } from '../core/view/panel-view.ts';
import { shareView } from '../core/view/share.ts';
import { tablistView, tabpanelView, tabsView, type TablistViewOptions } from '../core/view/tabs-view.ts';
import { slot, type ViewElement } from '../core/view/view.ts';
import type { NavigationPart } from './navigation-part.ts';
import { TabRowPart, TabsPart, type TabsPartOptions, type TabsPartState } from './tabs.ts';

/**
 * Tabs with the tablist and all panels that are in the document, for where the app does not arrange them itself. The slot
 * of a panel is `content`, about the id of its tab.
 */
export class WholeTabsPart implements NavigationPart<TabsPartOptions, TabsPartState, PressEvent> {
  readonly #tabs: TabsPart;
  readonly #row: TabRowPart;
  #connectedRow: { readonly list: HTMLElement; readonly stop: () => void } | null = null;
  #root: HTMLElement | null = null;
  #lastView: ViewElement<PressEvent> | null = null;

  readonly read: () => TabsPartState;
  readonly readRendered: () => TabsPartState;
  readonly subscribe: (listener: () => void) => () => void;
  readonly send: (event: PressEvent) => void;

  constructor(options: TabsPartOptions) {
    this.#tabs = new TabsPart(options);
    this.#row = new TabRowPart({ shown: this.#tabs.shown(options), send: this.#tabs.send });
    const { read, readRendered, subscribe, send } = this.#tabs;
    this.read = read;
    this.readRendered = readRendered;
    this.subscribe = subscribe;
    this.send = send;
  }

  view(options: TabsPartOptions, state: TabsPartState = this.read()): ViewElement<PressEvent> {
    this.#lastView = shareView(this.#lastView, wholeView(this.#tabs.shown(options, state)));
    return this.#lastView;
  }

  connect(root: HTMLElement): () => void {
    this.#root = root;
    const stop = this.#tabs.connect(root);
    return () => {
      this.#root = null;
      this.#connectedRow?.stop();
      this.#connectedRow = null;
      stop();
    };
  }

  drawn(options: TabsPartOptions, state: TabsPartState = this.read()): void {
    this.#tabs.drawn(options, state);
    const list = this.#root?.querySelector<HTMLElement>('[role="tablist"]') ?? null;
    if (this.#connectedRow?.list !== list) {
      this.#connectedRow?.stop();
      this.#connectedRow = list && { list, stop: this.#row.connect(list) };
    }
    this.#row.drawn({ shown: this.#tabs.shown(options, state), send: this.#tabs.send });
  }
}

function wholeView(shown: TablistViewOptions): ViewElement<PressEvent> {
  const { tabs, state, idPrefix, panels, orientation } = shown;
  const contents = tabs
    .filter(({ id }) => panels.includes(id))
    .map(({ id, label }) => {
      const panel = tabpanelView({ id, label, selected: state.selected === id, idPrefix });
      return { ...panel, key: `panel/${id}`, children: [slot('content', id)] };
    });
  return { ...tabsView(orientation), children: [tablistView(shown), ...contents] };
}
