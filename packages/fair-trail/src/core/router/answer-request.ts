import { decodeQuery } from '../site/encoding.ts';
import { type Audience, mayAccess } from '../site/entry.ts';
import { type Position, locate } from '../site/locate.ts';
import type { Site } from '../site/site.ts';
import { addressOf, hashOf } from './history.ts';

/** What a server is to send, with a status of HTTP (RFC 9110, section 15). */
export type RequestAnswer =
  | { readonly status: 200 | 403 | 404; readonly position: Position }
  /** An old address: the new one is for the `Location` header. */
  | { readonly status: 301; readonly position: Position; readonly location: string };

/**
 * Returns the status of the response to a request: 200, 301 with the new location, 403 or 404. Render the page with the
 * same URL, except for 301.
 *
 * @param audience the audiences that the visitor is in. Default: none
 * @example
 * const answer = answerRequest(site, '/hides/lighthouse');
 * if (answer.status === 301) console.log(answer.location); // '/hides/lantern-room'
 */
export function answerRequest(site: Site, url: string, audience: Audience = []): RequestAnswer {
  const position = locate(site, url);
  const { entry, status } = position;
  const location = movedAddress(position, url);
  if (location !== null) return { status: 301, position, location };
  if (!entry || status !== 'exact') return { status: 404, position };
  return { status: mayAccess(entry, audience) === false ? 403 : 200, position };
}

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
  // A header takes what it is given, and some clients read a backslash as a slash (URL standard, section 4.4).
  return (pathname + joinQueries(own, search) + hashOf(url)).replaceAll('\\', '%5C');
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
