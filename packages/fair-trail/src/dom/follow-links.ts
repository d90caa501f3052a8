import { addressOf } from '../core/router/history.ts';
import { locate } from '../core/site/locate.ts';
import { longestAddress } from './check-address.ts';
import { followedLink } from './clicks.ts';
import type { RouterSettings } from './router-interface.ts';
import { speculate } from './speculation.ts';

/** What becomes of the links to the site's own pages. */
export interface LinkActions {
  readonly go: (url: string, link: Element) => void;
  readonly prepare: (url: string) => void;
  /** Called for an address that is too long for any server. */
  readonly refuse: (url: string) => void;
  /** Tells of every change of the page, which may have brought other links. */
  readonly subscribe: (listener: () => void) => () => void;
}

/**
 * Takes over clicks on links to pages of the site, and loads ahead what links lead to.
 *
 * @returns a function that stops listening
 */
export function followLinks(settings: RouterSettings, { go, prepare, refuse, subscribe }: LinkActions): () => void {
  const { site, history, window, eagerness = 'moderate' } = settings;
  const follow = (event: MouseEvent) => {
    const followed = followedLink(event);
    if (followed?.url.origin !== window.location.origin) return;
    const url = history.address(followed.url, window.location);
    // Only a page that the site knows can be shown here. Any other address may be a file, and the server knows best.
    if (url === null || locate(site, addressOf(url)).status !== 'exact') return;
    event.preventDefault();
    if (url.length > longestAddress) refuse(url);
    else go(url, followed.link);
  };
  // On the window, where everyone else has had the chance to take the click.
  window.addEventListener('click', follow);
  const speculation = eagerness
    ? speculate(window, eagerness, (link) => {
        const address = history.address(link, window.location);
        if (address !== null) prepare(address);
      })
    : null;
  speculation?.look();
  const stop = speculation ? subscribe(() => speculation.look()) : null;
  return () => {
    window.removeEventListener('click', follow);
    stop?.();
    speculation?.end();
  };
}
