import type { Position } from './locate.ts';
import { menuMarks, type Marks } from './marks.ts';
import type { Mark, MenuItem } from './menu-item.ts';

/** The marks of a menu as they follow the position, for parts that want to know of their own item alone. */
export class LiveMarks {
  readonly #items: readonly MenuItem[];
  readonly #listeners = new Map<MenuItem, Set<() => void>>();
  #position: Position;
  #marks: Marks;

  /** @param items the items of a menu without a position */
  constructor(items: readonly MenuItem[], position: Position) {
    this.#items = items;
    this.#position = position;
    this.#marks = menuMarks(items, position);
  }

  /** Tells those, and only those, whose mark is another one now. */
  moveTo(position: Position): void {
    if (position === this.#position) return;
    const before = this.#marks;
    this.#position = position;
    const marks = (this.#marks = menuMarks(this.#items, position));
    for (const [item, mark] of before) if (marks.get(item) !== mark) this.#tell(item);
    for (const item of marks.keys()) if (!before.has(item)) this.#tell(item);
  }

  markOf(item: MenuItem): Mark {
    return this.#marks.get(item) ?? null;
  }

  /** @returns a function that stops listening */
  subscribe(item: MenuItem, listener: () => void): () => void {
    const listeners = this.#listeners.get(item) ?? new Set();
    this.#listeners.set(item, listeners.add(listener));
    return () => {
      listeners.delete(listener);
      if (listeners.size === 0) this.#listeners.delete(item);
    };
  }

  #tell(item: MenuItem): void {
    for (const listener of this.#listeners.get(item) ?? []) listener();
  }
}
