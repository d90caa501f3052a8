import { shareView } from '../core/view/share.ts';
import type { ViewElement } from '../core/view/view.ts';
import { Runs } from './runs.ts';

/**
 * One navigation component without a framework: its options, its state, its view, and what it does in a document. A
 * framework draws `view`, and calls the rest when it says.
 *
 * A framework that draws on the server, draws twice, or gives up a drawing may call `read`, `readRendered` and `view` at
 * any time: they change nothing.
 */
export interface NavigationPart<Options, State, Event> {
  /** The state now: the same object for as long as nothing changes. */
  readonly read: () => State;
  /** The state that a server draws, which knows nothing of what this browser remembers. */
  readonly readRendered: () => State;
  /**
   * Calls the listener after each change of the state.
   *
   * @returns a function that stops listening
   */
  readonly subscribe: (listener: () => void) => () => void;
  /** Takes what an element of the view reports. */
  readonly send: (event: Event) => void;
  /**
   * What to draw: the same object for as long as nothing in it changes. Null if there is nothing to draw.
   *
   * @param state Default: the state now
   */
  view(options: Options, state?: State): ViewElement<Event> | null;
  /**
   * Starts what the part does in a document, at the element that its view became.
   *
   * @returns a function that stops all of it
   */
  connect(root: HTMLElement): () => void;
  /**
   * Says that the document shows what these options and this state gave. To be called after each drawing: what waited for
   * it is carried out, and what the options ask for begins.
   *
   * @param state Default: the state now
   */
  drawn(options: Options, state?: State): void;
}

/** What a behavior of a part knows of the part. */
export interface PartHost {
  /** Null while the part is in no document. */
  readonly root: HTMLElement | null;
  /** Something that is drawn has changed. */
  changed(): void;
  /** Calls back once the document shows the state of now: at once where it does already. */
  whenDrawn(act: () => void): void;
}

/** What all parts have in common: who listens, what waits for a drawing, and what runs while the part is connected. */
export abstract class BasePart<Options extends object, State, Event>
  implements NavigationPart<Options, State, Event>, PartHost
{
  root: HTMLElement | null = null;
  /** The options of the last drawing that the document shows. */
  protected options: Options;
  readonly #listeners = new Set<() => void>();
  readonly #runs = new Runs();
  #state: State | null = null;
  #rendered: State | null = null;
  #waiting: (() => void)[] = [];
  #isDrawn = true;
  #document: Document | null = null;
  #stopFollowing: (() => void) | undefined;
  #lastView: ViewElement<Event> | null = null;

  constructor(options: Options) {
    this.options = options;
  }

  read = (): State => (this.#state ??= this.stateNow());

  readRendered = (): State => (this.#rendered ??= this.stateRendered());

  subscribe = (listener: () => void): (() => void) => {
    if (this.#listeners.size === 0) this.#stopFollowing = this.follow?.();
    this.#listeners.add(listener);
    return () => {
      this.#listeners.delete(listener);
      if (this.#listeners.size === 0) this.#stopFollowing?.();
    };
  };

  abstract send: (event: Event) => void;

  view(options: Options, state: State = this.read()): ViewElement<Event> | null {
    const next = this.draw(options, state);
    // Only identities depend on the last view, and never what is shown: a drawing that is given up does no harm.
    const view = next && shareView(this.#lastView, next);
    this.#lastView = view ?? this.#lastView;
    return view;
  }

  connect(root: HTMLElement): () => void {
    this.root = root;
    return () => {
      this.#runs.stop();
      this.root = null;
    };
  }

  drawn(options: Options, state: State = this.read()): void {
    const last = this.options;
    this.options = options;
    // Another state may have come since, and with it another drawing.
    this.#isDrawn = state === this.read();
    if (this.#isDrawn) for (const act of this.#waiting.splice(0)) act();
    this.update?.(options, last);
    if (!this.#isDrawn || !this.root) return;
    // In another document, such as that of a window that the app has opened, all that listens begins again.
    if (this.#document !== this.root.ownerDocument) this.#runs.stop();
    this.#document = this.root.ownerDocument;
    this.run?.(this.root, this.#runs);
  }

  changed(): void {
    this.#state = this.stateNow();
    this.#isDrawn = false;
    for (const listener of this.#listeners) listener();
  }

  whenDrawn(act: () => void): void {
    if (this.#isDrawn) act();
    else this.#waiting.push(act);
  }

  /** The state, made of what the behaviors hold. */
  protected abstract stateNow(): State;

  protected stateRendered(): State {
    return this.read();
  }

  protected abstract draw(options: Options, state: State): ViewElement<Event> | null;

  /** Compares the options that are drawn now with the last ones. */
  protected update?(options: Options, last: Options): void;

  /** Says what runs in the document now. Called after each drawing. */
  protected run?(root: HTMLElement, runs: Runs): void;

  /** Follows what lies outside of the document, for as long as somebody listens. */
  protected follow?(): (() => void) | undefined;
}
