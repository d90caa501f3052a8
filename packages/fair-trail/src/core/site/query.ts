/** A key and its value, as the query of an address writes them. */
export function queryPair(name: string, value: string): string {
  return `${encodeURIComponent(name)}=${encodeURIComponent(value)}`;
}
