import type { Position } from '../site/locate.ts';
import { addressOf, hashOf } from './history.ts';
import { decodeQuery } from '../site/query.ts';

/**
 * Where an old address leads on to, with the query and the hash that it came with; null for any other address. Keys of
 * the query that the new address has already are not written twice.
 *
 * @param position where the address is
 */
export function movedAddress({ movedTo }: Position, url: string): string | null {
  if (movedTo === null) return null;
  const { pathname, search: own } = addressOf(movedTo);
  const { search } = addressOf(url);
  return pathname + joinQueries(own, search) + hashOf(url);
}

function joinQueries(own: string, other: string): string {
  if (own === '' || other === '') return own || other;
  const keyOf = (pair: string) => decodeQuery(pair.split('=', 1)[0] ?? '');
  const taken = new Set(own.slice(1).split('&').map(keyOf));
  const rest = other
    .slice(1)
    .split('&')
    .filter((pair) => pair !== '' && !taken.has(keyOf(pair)));
  return [own, ...rest].join('&');
}
