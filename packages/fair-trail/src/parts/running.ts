import type { Transition } from '../core/interaction/machine.ts';
import type { PartHost } from './navigation-part.ts';

/**
 * A machine at work. What it asks for is carried out once the document shows its new state: what moves, and where focus
 * can go, can be known only then.
 */
export class Running<State, Event, Effect> {
  state: State;
  readonly #host: PartHost;
  readonly #next: (state: State, event: Event) => Transition<State, Effect>;
  readonly #carryOut: (effect: Effect) => void;

  constructor(
    host: PartHost,
    next: (state: State, event: Event) => Transition<State, Effect>,
    initial: State,
    carryOut: (effect: Effect) => void,
  ) {
    this.#host = host;
    this.#next = next;
    this.state = initial;
    this.#carryOut = carryOut;
  }

  send = (event: Event): void => {
    const { state, effects } = this.#next(this.state, event);
    if (state !== this.state) {
      this.state = state;
      this.#host.changed();
    }
    for (const effect of effects) this.#host.whenDrawn(() => this.#carryOut(effect));
  };
}
