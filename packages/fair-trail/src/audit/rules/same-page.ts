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
