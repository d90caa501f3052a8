/** Path and query of a whole address. */
export function pathOf(url: string): string {
  const { pathname, search } = new URL(url);
  return pathname + search;
}

/** An address as the browser writes it (URL standard): `/größe` and `/gr%C3%B6%C3%9Fe` are the same one. */
export function asWrittenByBrowsers(address: string): string {
  const base = 'http://localhost';
  if (!URL.canParse(address, base)) return address;
  const url = new URL(address, base);
  return url.origin === base ? url.href.slice(base.length) : url.href;
}
