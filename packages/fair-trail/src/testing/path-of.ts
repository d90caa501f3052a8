/** Path and query of a whole address. */
export function pathOf(url: string): string {
  const { pathname, search } = new URL(url);
  return pathname + search;
}
