import { parseUrl } from '../site/address.ts';
import type { HistoryEntry, SessionHistory } from './history.ts';

/**
 * Creates a history for a server, with only the URL of the request. It never changes.
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
