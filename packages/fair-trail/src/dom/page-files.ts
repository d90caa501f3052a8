/** Whether the page was opened from a disk, where browsers load none of its modules: it is then a page without scripts. */
export function isOnDisk(document: Document, location: Location): boolean {
  return document.documentElement.hasAttribute('data-ft-root') && location.protocol === 'file:';
}

/**
 * In pages whose addresses are relative, a link names the `index.html` of its folder, which a disk needs and a server does not. On a
 * server the links get their usual addresses before the app takes the page over.
 *
 * @param document a page with `data-ft-root`, the way to the folder of the build
 */
export function restoreAddresses(document: Document, location: Location, history: History): void {
  const root = document.documentElement.getAttribute('data-ft-root');
  if (root === null || !/^https?:$/u.test(location.protocol)) return;
  const start = new URL(root, location.href).href;
  const ending = /\/index\.html(?=$|[?#])/u;
  const read = () => {
    for (const link of document.querySelectorAll<HTMLAnchorElement>('a[href]')) {
      const { href } = link;
      if (href.startsWith(start) && ending.test(href)) {
        const { pathname, search, hash } = new URL(href.replace(ending, '/'));
        link.setAttribute('href', pathname + search + hash);
      }
    }
  };
  // Once all links are there, and before scripts that wait for the document.
  document.addEventListener('readystatechange', read, { once: true });
  // The address of the page last: what the document loads is relative to it.
  if (ending.test(location.href)) history.replaceState(history.state, '', location.href.replace(ending, '/'));
}
