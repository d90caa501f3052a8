import type { DisclosuresState } from '../core/interaction/disclosures.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import type { ActionEvent } from '../core/view/menu-view.ts';
import type { PressEvent } from '../core/view/panel-view.ts';
import { tabLinksView } from '../core/view/tab-links-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import { watchEdges } from '../dom/edges.ts';
import { listenForRowKeys } from '../dom/keys.ts';
import { keepMarkedInView } from '../dom/strip.ts';
import { checkIcons, checkNames, namesIn } from './name-checks.ts';
import { BasePart } from './navigation-part.ts';
import { panelKeys, Panels } from './panels.ts';
import type { Runs } from './runs.ts';
import { menuNow, type MenuOptions } from './surroundings.ts';

/** The options of a strip of links that looks like tabs. */
export interface TabLinksOptions extends MenuOptions {
  readonly menu: string;
  /** The name of the navigation landmark. */
  readonly label: string;
  /** Whether the links share the whole room. Default: `natural`. */
  readonly widths?: 'natural' | 'filling' | undefined;
  /** The slots that the app fills. */
  readonly slots: { readonly icon: boolean };
}

/** A strip of links that looks like tabs. */
export class TabLinksPart extends BasePart<TabLinksOptions, DisclosuresState, PressEvent | ActionEvent> {
  readonly #panels = new Panels(this);

  send = (event: PressEvent | ActionEvent): void => {
    if (event.type === 'press') this.#panels.send(event);
    else this.options.trail.act(event.action);
  };

  protected stateNow(): DisclosuresState {
    return this.#panels.state;
  }

  protected draw(options: TabLinksOptions, panels: DisclosuresState): ViewElement<PressEvent | ActionEvent> {
    const { trail, menu, label, id: idPrefix, widths, slots } = options;
    const { items } = menuNow(options, menu);
    const fills = widths === 'filling';
    return tabLinksView({ items, label, idPrefix, fills, panels, icons: slots.icon, wording: trail.wording });
  }

  protected override update(options: TabLinksOptions): void {
    this.#panels.set(panelKeys(this.#atRest()));
    checkIcons('TabLinks', options.trail, options.icon, () => this.#atRest());
    checkNames('TabLinks', options.trail, () => namesIn('menu', 'menu', options.menu));
  }

  protected override run(root: HTMLElement, runs: Runs): void {
    this.#panels.run(root, runs);
    const list = root.querySelector<HTMLElement>('.ft-tab-row > .ft-menu');
    runs.keep('marked in view', [list], (items) => keepMarkedInView(items));
    runs.keep('edges', [list, this.#atRest()], watchEdges);
    runs.keep('keys', [list], listenForRowKeys);
  }

  #atRest(): readonly MenuItem[] {
    return menuNow(this.options, this.options.menu).atRest;
  }
}
