interface Run {
  readonly values: readonly unknown[];
  readonly stop: (() => void) | undefined;
}

/** What runs while a part is in a document: listeners and observers, each for as long as what it was started for is there. */
export class Runs {
  readonly #running = new Map<string, Run>();

  /**
   * Keeps something running for as long as these values are the same; with others it is stopped and started again.
   *
   * @param name distinguishes it from what else the part runs
   * @param values null, or a list that holds null, for it not to run now
   * @param start starts it, and returns a function that stops it
   */
  keep<const Values extends readonly unknown[]>(
    name: string,
    values: Values | null,
    start: (...values: { [Index in keyof Values]: NonNullable<Values[Index]> }) => (() => void) | undefined,
  ): void {
    const wanted = values?.includes(null) === true ? null : values;
    const run = this.#running.get(name);
    const isSame =
      run?.values.length === wanted?.length && wanted?.every((value, index) => value === run?.values[index]);
    if (isSame === true) return;
    run?.stop?.();
    this.#running.delete(name);
    if (wanted) {
      // None of them is null: that was asked above.
      const given = wanted as unknown as { [Index in keyof Values]: NonNullable<Values[Index]> };
      this.#running.set(name, { values: wanted, stop: start(...given) });
    }
  }

  stop(): void {
    for (const { stop } of this.#running.values()) stop?.();
    this.#running.clear();
  }
}
