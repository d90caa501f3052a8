/** The address that a link leads to; null if it has none that can be read. */
export function resolved(link: HTMLAnchorElement, url: URL): URL | null {
  const href = link.getAttribute('href');
  if (href === null) return null;
  try {
    const { ownerDocument: document } = link;
    // A base of the document's own counts, and no address that the caller knows better does.
    const hasBase = document.baseURI !== document.URL && document.querySelector('base[href]') !== null;
    return new URL(href.trim(), hasBase ? document.baseURI : url);
  } catch {
    return null;
  }
}

/** Whether two addresses are of one page. A trailing slash, and the name of a folder's own page, make no other page; the query does, and so does a route in the hash. */
export function isSamePage(target: URL | null, url: URL): boolean {
  if (target?.origin !== url.origin || target.search !== url.search) return false;
  // The first route of an app is its page without one.
  const route = ({ hash }: URL) => (/^#!?\/./u.test(hash) ? hash : '');
  return pathOf(target) === pathOf(url) && route(target) === route(url);
}

function pathOf({ pathname }: URL): string {
  return pathname.replace(/\/(?:index\.html?)?$/u, '');
}
