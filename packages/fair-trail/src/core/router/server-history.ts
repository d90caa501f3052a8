import { parseUrl } from '../site/address.ts';
import type { HistoryEntry, SessionHistory } from './history.ts';

/**
 * The history of a server, which has a request's URL and nothing before or after it. It never moves.
 *
 * @param url a whole URL, or what follows the host in it
 * @example
 * const history = serverHistory('/hides?sort=name');
 */
export function serverHistory(url: string): SessionHistory {
  const { pathname, search } = parseUrl(url, 'https://site.invalid') ?? { pathname: '/', search: '' };
  const current: HistoryEntry = { url: pathname + search, key: 'server' };
  return {
    current,
    push: () => false,
    replace: () => false,
    traverse: () => undefined,
    listen: () => () => undefined,
    href: (address) => address,
    address: () => null,
  };
}
