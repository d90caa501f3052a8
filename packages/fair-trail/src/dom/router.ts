import {
  addressOf,
  createKey,
  initialRouter,
  locate,
  nextRouter,
  waitsForPage,
  type HistoryBehavior,
  type RouterEffect,
  type RouterEvent,
  type RouterState,
  type SessionHistory,
  type Site,
} from '../core/index.ts';
import { followedLink } from './clicks.ts';
import { contentStart, focusOnce } from './focus.ts';
import { scrollMemory, scrollToHash, type ScrollMemory } from './scroll.ts';

export interface NavigateOptions {
  /** Default: `auto`. */
  readonly history?: HistoryBehavior;
}

/** The router at work in a browser. Its state is for a framework to read, its methods are for the app to call. */
export interface Router {
  readonly state: RouterState;
  readonly subscribe: (listener: () => void) => () => void;
  /**
   * Goes to an address of this origin.
   *
   * @param url a URL reference, resolved against the current address
   * @throws TypeError for an address of another origin, which a link or `location` should lead to
   */
  navigate(url: string, options?: NavigateOptions): void;
  back(): void;
  forward(): void;
  /** Tells that the page of the current state has been rendered, and its title. What waited for it is done now. */
  settle(title: string): void;
  /** Begins to follow links and the history; the answer ends it and leaves nothing behind. */
  connect(): () => void;
}

export interface RouterSettings {
  readonly site: Site;
  readonly history: SessionHistory;
  readonly window: Window;
}

export function openRouter(settings: RouterSettings): Router {
  return new BrowserRouter(settings);
}

class BrowserRouter implements Router {
  state: RouterState;
  readonly #settings: RouterSettings;
  readonly #listeners = new Set<() => void>();
  #waiting: RouterEffect[] = [];
  #scroll: ScrollMemory | null = null;

  constructor(settings: RouterSettings) {
    this.#settings = settings;
    this.state = initialRouter(settings.site, settings.history.current);
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  };

  navigate(url: string, options: NavigateOptions = {}): void {
    const { location } = this.#settings.window;
    const target = new URL(url, location.origin + this.state.current.url);
    if (target.origin !== location.origin) {
      throw new TypeError(`The router cannot go to "${url}": it is not on ${location.origin}.`);
    }
    const address = target.pathname + target.search + target.hash;
    this.#send({ type: 'navigate', url: address, key: createKey(), history: options.history ?? 'auto' });
  }

  back(): void {
    this.#settings.history.traverse(-1);
  }

  forward(): void {
    this.#settings.history.traverse(1);
  }

  settle(title: string): void {
    this.#settings.window.document.title = title;
    const waiting = this.#waiting;
    this.#waiting = [];
    for (const effect of waiting) this.#carryOut(effect);
  }

  connect(): () => void {
    const { history, window } = this.#settings;
    const { document } = window;
    const scroll = (this.#scroll = scrollMemory(window));
    const restoration = window.history.scrollRestoration;
    window.history.scrollRestoration = 'manual';

    const stopListening = history.listen((entry) => this.#send({ type: 'traverse', entry }));
    // Listening may have given the first entry its key, and the address may have changed since this router was made.
    if (history.current.url === this.state.current.url) this.state = { ...this.state, current: history.current };
    else this.#send({ type: 'traverse', entry: history.current });

    const onClick = (event: MouseEvent) => this.#follow(event);
    const onPageHide = () => {
      scroll.keep(this.state.current.key);
      scroll.store();
    };
    document.addEventListener('click', onClick);
    window.addEventListener('pagehide', onPageHide);

    // A reload, or coming back from another site: the page is where the reader left it, or at the hash it was sent with.
    const { key, url } = this.state.current;
    if (!scroll.restore(key) && url.includes('#')) {
      this.#waiting.push({ type: 'scroll-to-hash', hash: url.slice(url.indexOf('#')) });
    }
    return () => {
      stopListening();
      document.removeEventListener('click', onClick);
      window.removeEventListener('pagehide', onPageHide);
      window.history.scrollRestoration = restoration;
      this.#scroll = null;
      this.#waiting = [];
    };
  }

  #follow(event: MouseEvent): void {
    const { site, window } = this.#settings;
    const followed = followedLink(event, window.location);
    if (!followed) return;
    // Only a page that the site knows can be shown here. Any other address may be a file, and the server knows best.
    if (locate(site, addressOf(followed.url)).status !== 'exact') return;
    event.preventDefault();
    this.navigate(followed.url);
  }

  #send(event: RouterEvent): void {
    const { state, effects } = nextRouter(this.#settings.site, this.state, event);
    this.state = state;
    // A page that was never shown has nothing left to wait for.
    this.#waiting = effects.filter(waitsForPage);
    for (const effect of effects) if (!waitsForPage(effect)) this.#carryOut(effect);
    for (const listener of this.#listeners) listener();
  }

  #carryOut(effect: RouterEffect): void {
    const { history, window } = this.#settings;
    switch (effect.type) {
      case 'keep-scroll':
        return this.#scroll?.keep(effect.key);
      case 'push': {
        history.push(effect.entry);
        return;
      }
      case 'replace': {
        history.replace(effect.entry);
        return;
      }
      case 'focus-content': {
        const start = contentStart(window.document);
        if (start) focusOnce(start);
        return;
      }
      case 'scroll-to-hash': {
        scrollToHash(window.document, effect.hash);
        return;
      }
      case 'restore-scroll':
        this.#scroll?.restore(effect.key);
    }
  }
}
