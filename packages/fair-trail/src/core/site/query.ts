import { decodeSegment } from './encoding.ts';

/** A key and its value, as the query of an address writes them. */
export function queryPair(name: string, value: string): string {
  return `${encodeURIComponent(name)}=${encodeURIComponent(value)}`;
}

/** A key or a value of a query, decoded as forms write them: a plus sign is a space. */
export function decodeQuery(text: string): string {
  return decodeSegment(text.replaceAll('+', ' '));
}
