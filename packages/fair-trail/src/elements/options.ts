/** A type whose fields can be set. */
export type Settable<Options> = { -readonly [Name in keyof Options]?: Options[Name] | undefined };

interface WithOptions {
  readonly prototype: object;
}

interface Access {
  optionOf(name: string): unknown;
  setOption(name: string, value: unknown): void;
}

/**
 * Gives the elements of a class a property for each of these options. A property that is set goes before the attribute.
 *
 * @param names of the options
 */
export function defineOptions(element: WithOptions, names: readonly string[]): void {
  for (const name of names) {
    Object.defineProperty(element.prototype, name, {
      configurable: true,
      enumerable: true,
      get(this: Access): unknown {
        return this.optionOf(name);
      },
      set(this: Access, value: unknown) {
        this.setOption(name, value);
      },
    });
  }
}
