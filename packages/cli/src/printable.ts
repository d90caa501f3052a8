/**
 * Text from a file or an address, safe to print: control characters, which could move a terminal's cursor or color, and
 * marks that turn the direction of what follows, are shown as their code points.
 */
export function printable(text: string): string {
  return text.replace(/[\p{Cc}\u202A-\u202E\u2066-\u2069]/gu, (character) => {
    return `\\u{${(character.codePointAt(0) ?? 0).toString(16)}}`;
  });
}

/** Why something failed, in one line: what browsers and compilers throw goes on for many. */
export function reasonOf(error: unknown): string {
  return error instanceof Error ? (error.message.split('\n', 1)[0] ?? '') : String(error);
}
