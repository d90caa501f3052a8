/** A group of tokens, or a token, as it is written. */
export type TokenGroup = Readonly<Record<string, unknown>>;

const referenceSyntax = /^\{([^{}]+)\}$/u;

/** Whether a value is that of another token, written as its path in braces (Design Tokens Format, section 7). */
export function isReference(value: unknown): value is string {
  return typeof value === 'string' && referenceSyntax.test(value);
}

/**
 * The value that a reference leads to, over as many others as there are; any other value is itself.
 *
 * @returns a message for people where it leads nowhere, or back to itself
 */
export function followReference(
  root: TokenGroup,
  value: unknown,
): { readonly value: unknown } | { readonly message: string } {
  const seen = new Set<string>();
  let current = value;
  while (isReference(current)) {
    if (seen.has(current))
      return { message: `The reference "${current}" leads back to itself. Give one of the tokens a value.` };
    seen.add(current);
    const path = referenceSyntax.exec(current)?.[1]?.split('.') ?? [];
    let token: unknown = root;
    for (const step of path) {
      token =
        typeof token === 'object' && token !== null && Object.hasOwn(token, step)
          ? (token as TokenGroup)[step]
          : undefined;
    }
    const found = (token as TokenGroup | undefined)?.['$value'];
    if (found === undefined) return { message: `The reference "${current}" leads to no token. Correct its path.` };
    current = found;
  }
  return { value: current };
}
