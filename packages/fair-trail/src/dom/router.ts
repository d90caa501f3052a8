import type { WarningCode } from '../core/warning-codes.ts';
import { addressOf, createKey, hashOf } from '../core/router/history.ts';
import {
  initialRouter,
  nextRouter,
  type RouterEffect,
  type RouterEvent,
  type RouterState,
  waitsForPage,
} from '../core/router/router.ts';
import { locate, type Position } from '../core/site/locate.ts';
import { warning } from '../core/warnings.ts';
import { Arrivals, type Arrival } from './arrivals.ts';
import { checkAddress } from './check-address.ts';
import { followLinks } from './follow-links.ts';
import { Guards, type MayLeave } from './guards.ts';
import { logWarning } from './log-warning.ts';
import type { PageHead } from './page-head.ts';
import { PendingLink } from './pending-link.ts';
import type { NavigateOptions, Presenter, Router, RouterSettings } from './router-interface.ts';
import { ViewChanges } from './view-transition.ts';

/**
 * Opens a router in a window. It touches the page only between `connect` and the function that `connect` returns.
 *
 * @example
 * const router = openRouter({ site, window, history: browserHistory(window) });
 * const disconnect = router.connect();
 * router.subscribe(() => console.log(router.state.position.entry?.id));
 */
export function openRouter(settings: RouterSettings): Router & Presenter {
  return new BrowserRouter(settings);
}

class BrowserRouter implements Router, Presenter {
  state: RouterState;
  readonly #settings: RouterSettings;
  readonly #listeners = new Set<() => void>();
  readonly #preparing = new Set<(position: Position) => void>();
  readonly #pendingLink = new PendingLink();
  readonly #guards: Guards;
  #arrivals: Arrivals | null = null;
  /** Ends the wait of each part that waits for what it will show. */
  readonly #expected = new Set<() => void>();
  readonly #views = new ViewChanges();
  #timer = 0;
  /** What the reader activated to come to the current page; it shows that the page is on its way. */
  #link: Element | null = null;
  #waiting: RouterEffect[] = [];
  /** The arrivals that the document shows. */
  #drawn = 0;
  /** Takes the reader to where they were on the first page, once that is there. */
  #begin: (() => void) | null = null;

  constructor(settings: RouterSettings) {
    this.#settings = settings;
    this.#guards = new Guards(settings.window);
    this.state = initialRouter(settings.site, settings.history.current);
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  };

  navigate(url: string, options: NavigateOptions = {}): void {
    const checked = checkAddress(url, this.#settings.window.location, this.state.current.url);
    if ('code' in checked) this.#report(checked.code, url, checked.cause);
    else this.#go(checked.address, options, null);
  }

  back(): void {
    this.#settings.history.traverse(-1);
  }

  forward(): void {
    this.#settings.history.traverse(1);
  }

  keepState(state: unknown): void {
    const entry = { ...this.state.current, state };
    if (!this.#settings.history.replace(entry)) {
      this.#report('history-refused', entry.url);
      return;
    }
    this.state = { ...this.state, current: entry };
    this.#notify();
  }

  guard(mayLeave: MayLeave): () => void {
    const release = this.#guards.add(mayLeave);
    this.#send({ type: 'hold', held: true });
    return () => {
      release();
      this.#send({ type: 'hold', held: this.#guards.held });
    };
  }

  href(url: string): string {
    return this.#settings.history.href(url);
  }

  prepare(url: string): void {
    const position = locate(this.#settings.site, addressOf(url));
    for (const prepare of this.#preparing) prepare(position);
  }

  preparing(prepare: (position: Position) => void): () => void {
    this.#preparing.add(prepare);
    return () => void this.#preparing.delete(prepare);
  }

  describe(head: PageHead): void {
    this.#arrivals?.describe(head);
  }

  drawn(): void {
    this.#drawn = this.state.arrivals;
    this.#views.drawn();
    this.#settle();
  }

  expect(): () => void {
    const end = () => {
      if (!this.#expected.delete(end)) return;
      // Another part may begin to wait in the same breath, as it takes the place of this one.
      queueMicrotask(() => {
        if (this.#expected.size > 0) return;
        this.#send({ type: 'loaded' });
        this.#settle();
      });
    };
    this.#expected.add(end);
    this.#send({ type: 'load' });
    return end;
  }

  present(content: Element, arrival?: Arrival): void {
    this.#arrivals?.present(content, arrival);
    this.#views.drawn();
  }

  change(change: () => void): void {
    this.#changeView(change);
  }

  warn(code: WarningCode, cause?: unknown): void {
    this.#report(code, this.state.current.url, cause);
  }

  connect(): () => void {
    const { history, window, arrival = 'focus' } = this.#settings;
    const arrivals = (this.#arrivals = new Arrivals(window, arrival));
    const restoration = window.history.scrollRestoration;
    window.history.scrollRestoration = 'manual';

    const stopListening = history.listen(
      (traversal) => this.#send({ type: 'traverse', ...traversal }),
      (traversal) => {
        const { wish } = this.state;
        this.#send({ type: 'will-traverse', ...traversal });
        // A wish from before may still be open, of a page that need not be asked any more.
        return this.state.wish === wish;
      },
    );
    // Listening may have given the first entry its key, and the address may have changed since this router was made.
    if (history.current.url === this.state.current.url) this.state = { ...this.state, current: history.current };
    else this.#send({ type: 'traverse', entry: history.current, delta: null });
    // The machine goes on from an old address by itself.
    if (this.state.position.movedTo !== null) this.#go(this.state.current.url, { history: 'replace' }, null);

    const stopFollowing = followLinks(this.#settings, {
      go: (url, link) => this.#go(url, {}, link),
      prepare: (url) => this.prepare(url),
      refuse: (url) => this.#report('address-too-long', url),
      subscribe: this.subscribe,
    });
    const leave = () => {
      arrivals.keep(this.state.current.key, null, this.#waiting.length === 0);
      arrivals.store();
    };
    window.addEventListener('pagehide', leave);
    const { key, url } = this.state.current;
    this.#begin = () => arrivals.begin(key, hashOf(url));
    // What stands below a page that is on its way would be kept in view as the page comes, and not the page.
    if (this.state.page === 'ready') this.#beginOnce();
    return () => {
      this.#begin = null;
      stopListening();
      stopFollowing();
      window.removeEventListener('pagehide', leave);
      arrivals.end();
      window.clearTimeout(this.#timer);
      this.#pendingLink.hide();
      window.history.scrollRestoration = restoration;
      this.#arrivals = null;
      this.#waiting = [];
    };
  }

  #go(url: string, { history = 'auto', state }: NavigateOptions, link: Element | null): void {
    this.#send({ type: 'navigate', url, key: createKey(), history, ...(state !== undefined && { state }) }, link);
  }

  #send(event: RouterEvent, link: Element | null = null): void {
    const before = this.state;
    const { state, effects } = nextRouter(this.#settings.site, before, event);
    if (state === before && effects.length === 0) return;
    if (!this.#write(effects, link)) {
      // The page agreed to be left for a place that cannot be gone to: that wish is over, and the next one is asked again.
      if (before.wish) this.#send({ type: 'answer', mayLeave: false });
      return;
    }
    this.state = state;
    if (state.arrivals !== before.arrivals) {
      this.#link = link;
      this.#begin = null;
      // A page that was never shown has nothing left to wait for.
      this.#arrivals?.leave();
      this.#waiting = effects.filter(waitsForPage);
    }
    for (const effect of effects) if (!waitsForPage(effect)) this.#carryOut(effect);
    const isAnimated = event.type === 'traverse' && event.animated === true;
    if (state.position !== before.position && !isAnimated) this.#changeView(() => this.#notify());
    else this.#notify();
    // What was waited for on the page before may be waited for on this one too: its own parts know.
    if (state.arrivals !== before.arrivals && this.#expected.size > 0) this.#send({ type: 'load' });
  }

  /** Writes the new address first: without it, nothing else of the change may happen. */
  #write(effects: readonly RouterEffect[], link: Element | null): boolean {
    const { history } = this.#settings;
    for (const effect of effects) {
      if (effect.type === 'keep-place') this.#arrivals?.keep(effect.key, link, this.#waiting.length === 0);
      if (effect.type !== 'push' && effect.type !== 'replace') continue;
      if (history[effect.type](effect.entry)) {
        this.#arrivals?.write(effect.type, this.state.current.key, effect.entry.key);
        continue;
      }
      this.#report('history-refused', effect.entry.url);
      return false;
    }
    return true;
  }

  #carryOut(effect: RouterEffect): void {
    const { history, window } = this.#settings;
    switch (effect.type) {
      case 'traverse': {
        history.traverse(effect.delta, effect.key);
        return;
      }
      case 'ask':
        return void this.#ask(effect.url);
      case 'wait':
        window.clearTimeout(this.#timer);
        this.#timer = window.setTimeout(() => {
          this.#send({ type: 'late', arrivals: effect.arrivals });
        }, effect.milliseconds);
        return;
      case 'show-pending': {
        this.#pendingLink.show(this.#link);
        return;
      }
      case 'hide-pending': {
        this.#pendingLink.hide();
        return;
      }
      case 'arrive':
        return this.#arrivals?.arrive(effect.key, effect.hash);
      case 'scroll-to-hash':
        return this.#arrivals?.scrollToHash(effect.hash, effect.isNew);
      case 'restore-scroll':
        return this.#arrivals?.restoreScroll(effect.key);
      case 'keep-place':
      case 'push':
      case 'replace':
      // Done already, before anything else.
    }
  }

  async #ask(url: string): Promise<void> {
    let mayLeave = false;
    try {
      mayLeave = await this.#guards.ask({ url });
    } catch (error) {
      // What is written on the page is worth more than the wish to go.
      this.#report('may-leave-failed', this.state.current.url, error);
    }
    this.#send({ type: 'answer', mayLeave });
  }

  #settle(): void {
    if (this.#drawn !== this.state.arrivals || this.state.page !== 'ready') return;
    const waiting = this.#waiting;
    this.#waiting = [];
    this.#arrivals?.settle();
    this.#beginOnce();
    for (const effect of waiting) this.#carryOut(effect);
  }

  #beginOnce(): void {
    this.#begin?.();
    this.#begin = null;
  }

  #changeView(change: () => void): void {
    const { window, viewTransitions = true } = this.#settings;
    if (viewTransitions && this.#arrivals?.hasBegun) this.#views.change(window, change);
    else change();
  }

  #notify(): void {
    for (const listener of this.#listeners) listener();
  }

  #report(code: WarningCode, address: string, cause?: unknown): void {
    const { onWarning = logWarning } = this.#settings;
    onWarning(warning(code, address, cause));
  }
}
