import type { TabsOptions } from '../core/view/component-options.ts';
import { attributeName, tabsAttributes } from '../core/view/option-attributes.ts';
import type { PressEvent } from '../core/view/panel-view.ts';
import type { TabDescription } from '../core/view/tabs-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import { TabRowPart, TabsPart, wholeTabsView, type TabsPartOptions, type TabsPartState } from '../parts/tabs.ts';
import { defineOptions, type Settable } from './options.ts';
import { PartElement, type ElementSurroundings } from './part-element.ts';

/** The options of a `trail-tabs`: as attributes, or as properties. */
interface TrailTabsOptions extends Omit<TabsOptions, 'tabs'> {
  /** The name of the tablist. */
  readonly label?: string;
}

const dataNames = ['tabs', 'selected'];

/**
 * Tabs with panels: each element in it is a panel. Its tab has the label in `data-label`, or else its first heading, and the id
 * in `data-tab`, or else a number. It needs no site.
 *
 * Templates: `icon`, for a panel with `data-icon`. Properties: `selected`; `tabs`, where they are not to be read from the
 * panels. Event: `trail-select`, with `id`.
 *
 * @example
 * <trail-tabs label="About the avocet" linked-to="?part">
 *   <section data-tab="overview" data-label="Overview">…</section>
 *   <section data-tab="sounds" data-label="Sounds">…</section>
 * </trail-tabs>
 */
export class TrailTabs extends PartElement<TrailTabsOptions, TabsPartOptions, TabsPartState, PressEvent> {
  static readonly observedAttributes = Object.keys(tabsAttributes).map(attributeName);

  protected readonly table = tabsAttributes;
  protected readonly dataNames = dataNames;
  protected override readonly needsSite = false;
  #part: TabsPart | null = null;
  #row: { readonly part: TabRowPart; readonly root: HTMLElement; readonly end: () => void } | null = null;
  #read: readonly TabDescription[] = [];

  protected createPart(options: TabsPartOptions): TabsPart {
    return (this.#part = new TabsPart(options));
  }

  protected optionsOf(
    { label = '', ...given }: Partial<TrailTabsOptions>,
    { trail, url, id }: ElementSurroundings,
  ): TabsPartOptions {
    return {
      ...given,
      label,
      trail,
      url,
      id,
      tabs: (this.dataOf('tabs') as readonly TabDescription[] | undefined) ?? this.#tabsNow(),
      selected: this.dataOf('selected') as string | undefined,
      onSelect: (selected) => this.report('select', { id: selected }),
      slots: { icon: this.isIconDrawn },
    };
  }

  protected override viewOf(
    _: unknown,
    options: TabsPartOptions,
    state: TabsPartState,
  ): ViewElement<PressEvent> | null {
    return this.#part && wholeTabsView(this.#part.shown(options, state));
  }

  protected override drawn(root: HTMLElement | null, options: TabsPartOptions | null): void {
    const list = root?.querySelector<HTMLElement>('[role="tablist"]') ?? null;
    if (this.#row?.root !== list) {
      this.#row?.end();
      this.#row = null;
    }
    if (!list || !options || !this.#part) return;
    const rowOptions = { shown: this.#part.shown(options), send: this.#part.send };
    if (!this.#row) {
      const part = new TabRowPart(rowOptions);
      this.#row = { part, root: list, end: part.connect(list) };
    }
    this.#row.part.drawn(rowOptions);
  }

  protected override contentFor(tab: string): readonly ChildNode[] {
    return this.ownContent.filter((panel, index) => tabOf(panel, index).id === tab);
  }

  /** The tabs as the panels say them: what a server has written, or what the author has. */
  #tabsNow(): readonly TabDescription[] {
    const written = [...this.querySelectorAll(':scope > .ft-tabs > [role="tablist"] > [role="tab"]')];
    const tabs =
      this.ownContent.length > 0 ? this.ownContent.map(tabOf) : this.#read.length > 0 ? this.#read : written.map(tabIn);
    const isSame = JSON.stringify(tabs) === JSON.stringify(this.#read);
    if (!isSame) this.#read = tabs;
    return this.#read;
  }
}

/** The tab that a panel of the author's asks for. */
function tabOf(panel: Element, index: number): TabDescription {
  const { tab, label, icon, badge, disabled } = (panel as HTMLElement).dataset;
  return {
    id: tab ?? `${index + 1}`,
    label: label ?? panel.querySelector('h1, h2, h3, h4, h5, h6')?.textContent.trim() ?? tab ?? `${index + 1}`,
    ...(icon !== undefined && { icon }),
    ...(badge !== undefined && { badge }),
    ...(disabled !== undefined && { disabled: true }),
  };
}

/** The tab that a server has written. */
function tabIn(tab: Element): TabDescription {
  const badge = tab.querySelector('.ft-badge')?.textContent;
  const id = tab.getAttribute('data-ft-tab') ?? '';
  // What its icon is called is not written; it stays as it is, under any name.
  const hasIcon = tab.firstElementChild?.matches('.ft-label') === false;
  return {
    id,
    label: tab.querySelector('.ft-label')?.textContent ?? '',
    ...(hasIcon && { icon: id }),
    ...(badge !== undefined && { badge }),
    ...(tab.hasAttribute('aria-disabled') && { disabled: true }),
  };
}

/** The properties of a `trail-tabs`. */
export interface TrailTabs extends Settable<TrailTabsOptions> {
  /** The tabs, where they are not read from the panels. */
  tabs: readonly TabDescription[] | undefined;
  /** The id of the selected tab. Undefined: the tabs decide by themselves. */
  selected: string | undefined;
}

defineOptions(TrailTabs, [...Object.keys(tabsAttributes), ...dataNames]);
