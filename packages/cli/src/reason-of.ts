/** Why something failed, in one line: what browsers and compilers throw goes on for many. */
export function reasonOf(error: unknown): string {
  return error instanceof Error ? (error.message.split('\n', 1)[0] ?? '') : String(error);
}
