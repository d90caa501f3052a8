import {
  closedOverlay,
  nextOverlay,
  type OverlayEffect,
  type OverlayEvent,
  type OverlayState,
} from '../core/interaction/overlay.ts';
import { coverPage } from '../dom/overlay.ts';
import { carryOutOverlay, listenWhileCovering, watchStanding } from '../dom/sidebar.ts';
import type { ToggleOptions } from './bar-toggle.ts';
import type { PartHost } from './navigation-part.ts';
import { Running } from './running.ts';
import type { Runs } from './runs.ts';

/** A sidebar behind its toggle: controlled by the app, or by itself. */
export class SidebarToggle {
  readonly #running: Running<OverlayState, OverlayEvent, OverlayEffect>;
  /** Gives the page back that is covered now. */
  #uncover: (() => void) | null = null;
  #options: ToggleOptions;
  /** What the app has been asked for: when it agrees, that is what happens. */
  #asked: OverlayEvent | null = null;

  constructor(host: PartHost, options: ToggleOptions) {
    this.#options = options;
    const initial = { ...closedOverlay, expanded: options.expanded ?? false };
    this.#running = new Running(host, nextOverlay, initial, (effect) => {
      if (effect.type === 'uncover') this.#giveBack();
      else if (host.root) this.#carryOut(host.root, effect);
    });
  }

  get state(): OverlayState {
    return this.#running.state;
  }

  send = (event: OverlayEvent): void => {
    const { expanded: decided, onToggle } = this.#options;
    const before = this.state.expanded;
    const after = nextOverlay(this.state, event).state.expanded;
    if (after !== before) onToggle?.(after);
    if (decided !== undefined && after !== before) this.#asked = event;
    else this.#running.send(event);
  };

  /** The document shows these options. */
  set(options: ToggleOptions): void {
    const { expanded } = options;
    const isDecidedAnew = expanded !== this.#options.expanded;
    this.#options = options;
    if (!isDecidedAnew || expanded === undefined || expanded === this.state.expanded) return;
    const wanted = this.#asked ?? { type: 'toggle' };
    const agrees = nextOverlay(this.state, wanted).state.expanded === expanded;
    this.#asked = null;
    this.#running.send(agrees ? wanted : { type: 'toggle' });
  }

  /** @param covers whether it covers the page where it is behind its toggle */
  run(root: HTMLElement, runs: Runs, covers: boolean): void {
    const { state } = this;
    // Also where it was covered before the part was taken out of the document for a while.
    if (state.expanded && state.covers) this.#uncover ??= coverPage(root);
    runs.keep('page cover', [root], () => () => this.#giveBack());
    runs.keep('standing', [root, covers], (sidebar) =>
      watchStanding(sidebar, (isNarrow) => this.#makeRoom(isNarrow && covers)),
    );
    runs.keep('leave the sidebar', state.expanded && state.covers ? [root] : null, (sidebar) =>
      listenWhileCovering(sidebar, this.send),
    );
  }

  #carryOut(root: HTMLElement, effect: Exclude<OverlayEffect, { readonly type: 'uncover' }>): void {
    if (effect.type === 'cover') this.#uncover ??= coverPage(root);
    else carryOutOverlay(root, effect, this.send);
  }

  #giveBack(): void {
    this.#uncover?.();
    this.#uncover = null;
  }

  #makeRoom(covers: boolean): void {
    const event: OverlayEvent = { type: 'room', covers };
    const before = this.state;
    this.#running.send(event);
    // With room the page must be given back, whoever decides.
    if (!before.expanded || nextOverlay(before, event).state.expanded) return;
    const { expanded: decided, onToggle } = this.#options;
    if (decided === true) {
      // The app may keep it open, for when room is short again. If it agrees to close it, focus stays where it is.
      this.#running.send({ type: 'toggle' });
      this.#asked = { type: 'chosen' };
    }
    onToggle?.(false);
  }
}
