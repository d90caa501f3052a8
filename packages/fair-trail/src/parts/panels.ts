import { isDevelopment } from '../core/development.ts';
import {
  closedDisclosures,
  nextDisclosures,
  type DisclosuresEffect,
  type DisclosuresEvent,
  type DisclosuresState,
} from '../core/interaction/disclosures.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { itemKey } from '../core/view/menu-view.ts';
import { remembering } from '../core/view/remember.ts';
import { carryOutPanels, heldPanel, listenWhileOpen } from '../dom/panels.ts';
import { placePanels } from '../dom/place-panels.ts';
import type { PartHost } from './navigation-part.ts';
import { startOnDemand } from './on-demand.ts';
import { Running } from './running.ts';
import type { Runs } from './runs.ts';

/** The panels under the items of a row. */
export class Panels {
  readonly #running: Running<DisclosuresState, DisclosuresEvent, DisclosuresEffect>;
  #keys = '';

  constructor(host: PartHost) {
    this.#running = new Running(host, nextDisclosures, closedDisclosures, (effect) => {
      if (host.root) carryOutPanels(host.root, effect, this.send);
    });
  }

  get state(): DisclosuresState {
    return this.#running.state;
  }

  send = (event: DisclosuresEvent): void => this.#running.send(event);

  /**
   * The document shows these panels.
   *
   * @param keys of the items that have panels
   */
  set(keys: readonly string[]): void {
    const joined = keys.join('\n');
    if (joined === this.#keys) return;
    this.#keys = joined;
    this.send({ type: 'left-over', ids: keys });
  }

  /** @param held the key of an item whose panel stays open. Default: in development, what the address says */
  run(root: HTMLElement, runs: Runs, held?: string): void {
    this.#hold(held ?? (isDevelopment ? heldPanel(root.ownerDocument.defaultView) : null));
    const { open } = this.state;
    runs.keep('leave the panels', open.length > 0 ? [root] : null, (row) => listenWhileOpen(row, this.send));
    const row = open.length > 0 ? root.querySelector<HTMLElement>('[data-ft-row]') : null;
    runs.keep('place the panels', [row, open], placePanels);
  }

  /** Opens panels for a mouse that rests on their items. */
  runHover(root: HTMLElement, runs: Runs, isOn: boolean): void {
    const hover = {
      show: (id: string) => this.send({ type: 'hover', id }),
      end: () => this.send({ type: 'hover-end' }),
    };
    runs.keep('hover', isOn ? [root] : null, (bar) =>
      startOnDemand(
        () => import('../dom/hover.ts'),
        ({ listenForHover }) => listenForHover(bar, hover),
      ),
    );
  }

  #hold(id: string | null): void {
    if (id !== this.state.held) this.send({ type: 'hold', id });
  }
}

/** The keys of the items that have panels. */
export const panelKeys = remembering(
  (items: readonly MenuItem[]) => items.filter((item) => item.items.length > 0).map(itemKey),
  () => [],
);
