import { queryPair } from '../core/site/encoding.ts';

/** Any origin: only the query is looked at. */
const base = 'https://query.invalid';

/** The value of a key in an address's query; null if it is not there. */
export function queryValue(url: string, name: string): string | null {
  return new URL(url, base).searchParams.get(name);
}

/** The address with another value for a key of its query, or without the key for null. The rest stays as it is. */
export function withQueryValue(url: string, name: string, value: string | null): string {
  const { pathname, search, hash } = new URL(url, base);
  const pairs = search
    .slice(1)
    .split('&')
    .filter((pair) => pair !== '' && new URLSearchParams(pair).keys().next().value !== name);
  if (value !== null) pairs.push(queryPair(name, value));
  return `${pathname}${pairs.length > 0 ? `?${pairs.join('&')}` : ''}${hash}`;
}
