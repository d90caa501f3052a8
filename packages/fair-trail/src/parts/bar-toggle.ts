import { nextDisclosure, type DisclosureEffect, type DisclosureEvent } from '../core/interaction/disclosure.ts';
import { whenAnimated } from '../dom/animations.ts';
import { carryOutDisclosure, listenWhileExpanded } from '../dom/disclosure.ts';
import { coverScreen } from '../dom/overlay.ts';
import type { PartHost } from './navigation-part.ts';
import type { Runs } from './runs.ts';

/** Whether the menu of a bar is open behind its toggle. */
export interface ToggleState {
  readonly expanded: boolean;
  /** Whether the menu is on its way out, and to be seen still. */
  readonly closing: boolean;
}

/** What the app says about the toggle. */
export interface ToggleOptions {
  /** Undefined: the bar decides by itself. */
  readonly expanded?: boolean | undefined;
  readonly onToggle?: ((expanded: boolean) => void) | undefined;
}

/** The state to draw: that of the app where it decides, and closing from the same drawing on. */
export function shownToggle({ expanded: decided }: ToggleOptions, state: ToggleState): ToggleState {
  const expanded = decided ?? state.expanded;
  return { expanded, closing: !expanded && (state.expanded || state.closing) };
}

/** The toggle of a bar and its menu: controlled by the app, or by itself. */
export class BarToggle {
  state: ToggleState;
  readonly #host: PartHost;
  #options: ToggleOptions;
  /** What is to be done once the app agrees to what it was asked for. */
  #asked: readonly DisclosureEffect[] = [];

  constructor(host: PartHost, options: ToggleOptions) {
    this.#host = host;
    this.#options = options;
    this.state = { expanded: options.expanded ?? false, closing: false };
  }

  send = (event: DisclosureEvent): void => {
    const { expanded: decided, onToggle } = this.#options;
    const isControlled = decided !== undefined;
    const was = decided ?? this.state.expanded;
    const { state, effects } = nextDisclosure({ expanded: was }, event);
    const isChange = state.expanded !== was;
    if (isChange && !isControlled) this.#change(state.expanded);
    if (isChange) onToggle?.(state.expanded);
    // A trigger that vanishes takes focus with it, whatever the app answers.
    const mustWait = isChange && isControlled && event.type !== 'room-enough';
    if (mustWait) this.#asked = effects;
    else this.#carryOut(effects);
  };

  /** The document shows these options. */
  set(options: ToggleOptions): void {
    this.#options = options;
    const { expanded } = options;
    if (expanded === undefined || expanded === this.state.expanded) return;
    this.#change(expanded);
    const asked = this.#asked;
    this.#asked = [];
    this.#carryOut(asked);
  }

  /** @param covers whether the open menu lies over the whole page */
  run(root: HTMLElement, runs: Runs, covers: boolean): void {
    const { expanded } = this.state;
    runs.keep('cover the page', expanded && covers ? [root] : null, coverScreen);
    runs.keep('leave the menu', expanded ? [root] : null, (bar) => listenWhileExpanded(bar, this.send));
  }

  #change(expanded: boolean): void {
    this.state = { expanded, closing: !expanded };
    this.#host.changed();
    if (expanded) return;
    this.#host.whenDrawn(() => {
      whenAnimated(this.#elements()?.panel ?? null, () => {
        if (!this.state.closing) return;
        this.state = { expanded: false, closing: false };
        this.#host.changed();
      });
    });
  }

  #carryOut(effects: readonly DisclosureEffect[]): void {
    const elements = effects.length > 0 ? this.#elements() : null;
    for (const effect of effects) if (elements) carryOutDisclosure(elements, effect);
  }

  #elements(): { readonly trigger: HTMLElement; readonly panel: HTMLElement } | null {
    const trigger = this.#host.root?.querySelector<HTMLElement>('.ft-toggle');
    const panel = this.#host.root?.querySelector<HTMLElement>('.ft-bar-panel');
    return trigger && panel ? { trigger, panel } : null;
  }
}
