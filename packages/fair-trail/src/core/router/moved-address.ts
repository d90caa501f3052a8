import type { Position } from '../site/locate.ts';
import { addressOf, hashOf } from './history.ts';

/**
 * Where an old address leads on to, with the query and the hash that it came with; null for any other address.
 *
 * @param position where the address is
 */
export function movedAddress({ movedTo }: Position, url: string): string | null {
  return movedTo === null ? null : movedTo + addressOf(url).search + hashOf(url);
}
