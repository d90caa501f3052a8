/** Elements by number: a page report is sent as data, and an element cannot be. */
export class Elements {
  readonly #numbers = new WeakMap<Element, number>();
  readonly #elements: WeakRef<Element>[] = [];

  numberOf(element: Element): number {
    const known = this.#numbers.get(element);
    if (known !== undefined) return known;
    const number = this.#elements.push(new WeakRef(element)) - 1;
    this.#numbers.set(element, number);
    return number;
  }

  /** Null if it has gone from the page. */
  at(number: number): HTMLElement | null {
    const element = this.#elements[number]?.deref();
    return element?.isConnected === true ? (element as HTMLElement) : null;
  }
}
