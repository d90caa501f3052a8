import { warning } from '../core/warnings.ts';
import type { TabsOptions } from '../core/view/component-options.ts';
import type { ActionEvent } from '../core/view/menu-view.ts';
import { attributeName, tabsAttributes } from '../core/view/option-attributes.ts';
import type { PressEvent } from '../core/view/panel-view.ts';
import type { TabDescription } from '../core/view/tabs-view.ts';
import type { NavigationPart } from '../parts/navigation-part.ts';
import { TabLinksPart, type TabLinksOptions } from '../parts/tab-links.ts';
import type { TabsPartOptions } from '../parts/tabs.ts';
import { WholeTabsPart } from '../parts/whole-tabs.ts';
import { defineOptions, type Settable } from './options.ts';
import { PartElement, type ElementSurroundings } from './part-element.ts';

/** The options of a `trail-tabs`: as attributes, or as properties. */
interface TrailTabsOptions extends Omit<TabsOptions, 'tabs'> {
  /** The name of the tablist, or of the landmark. */
  readonly label?: string;
  /** The menu whose items it shows, as links that look like tabs. Default: it shows tabs with panels. */
  readonly menu?: string;
}

/** Of tabs, or of links that look like them. */
type EitherOptions = TabsPartOptions | TabLinksOptions;

const dataNames = ['tabs', 'selected'];

/**
 * Tabs with panels: each element in it is a panel. Its tab has the label in `data-label`, or else its first heading, and the id
 * in `data-tab`, or else a number. It needs no site.
 *
 * With the attribute `menu`, it shows the items of that menu instead, as links that look like tabs: for pages beside each
 * other.
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
export class TrailTabs extends PartElement<TrailTabsOptions, EitherOptions, unknown, PressEvent | ActionEvent> {
  static readonly observedAttributes = Object.keys(tabsAttributes).map(attributeName);

  protected readonly table = tabsAttributes;
  protected readonly dataNames = dataNames;
  #read: readonly TabDescription[] = [];
  /** The ids that were reported as repeated. */
  readonly #repeated = new Set<string>();

  protected override needsSite(): boolean {
    return this.optionOf('menu') !== undefined;
  }

  protected createPart(options: EitherOptions): NavigationPart<EitherOptions, unknown, PressEvent | ActionEvent> {
    const part = 'menu' in options ? new TabLinksPart(options) : new WholeTabsPart(options);
    // It is given the options that it was made for: they are of one kind as long as the element is.
    return part as NavigationPart<EitherOptions, unknown, PressEvent | ActionEvent>;
  }

  protected optionsOf(
    { label = '', menu, ...given }: Partial<TrailTabsOptions>,
    around: ElementSurroundings,
  ): EitherOptions {
    const slots = { icon: this.content.has('icon') };
    if (menu !== undefined) return { ...around, menu, label, widths: given.widths, slots };
    return {
      ...given,
      ...around,
      label,
      tabs: (this.dataOf('tabs') as readonly TabDescription[] | undefined) ?? this.#tabsNow(),
      selected: this.dataOf('selected') as string | undefined,
      onSelect: (selected) => this.report('select', { id: selected }),
      slots,
    };
  }

  protected override contentFor(tab: string): readonly ChildNode[] {
    const panels = this.content.elements('content');
    const ids = differentIds(panels.map(tabOf));
    return panels.filter((_, index) => ids[index]?.id === tab);
  }

  /** The tabs as the panels say them: what a server has written, or what the author has. */
  #tabsNow(): readonly TabDescription[] {
    const written = [...this.querySelectorAll(':scope > .ft-tabs > [role="tablist"] > [role="tab"]')];
    const tabs =
      this.content.elements('content').length > 0
        ? this.#differentTabs(this.content.elements('content').map(tabOf))
        : this.#read.length > 0
          ? this.#read
          : written.map(tabIn);
    const isSame = JSON.stringify(tabs) === JSON.stringify(this.#read);
    if (!isSame) this.#read = tabs;
    return this.#read;
  }

  /** Of two tabs with one id, the second gets another: its panel is its own, and an address can name it. */
  #differentTabs(tabs: readonly TabDescription[]): readonly TabDescription[] {
    const different = differentIds(tabs);
    for (const [index, { id }] of tabs.entries()) {
      if (different[index]?.id === id || this.#repeated.has(id)) continue;
      this.#repeated.add(id);
      this.warn(warning('tab-repeated', id));
    }
    return different;
  }
}

/** The same tabs, with a number after each id that one before has. */
function differentIds(tabs: readonly TabDescription[]): readonly TabDescription[] {
  const all = new Set(tabs.map(({ id }) => id));
  const taken = new Set<string>();
  return tabs.map((tab) => {
    let { id } = tab;
    for (let number = 2; taken.has(id) || (id !== tab.id && all.has(id)); number += 1) id = `${tab.id}-${number}`;
    taken.add(id);
    return id === tab.id ? tab : { ...tab, id };
  });
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
