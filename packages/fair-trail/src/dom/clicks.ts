/** A link that the router, not the browser, is to follow. */
export interface FollowedLink {
  /** Path, query and hash. */
  readonly url: string;
  readonly link: Element;
}

/**
 * The link of this site that a click follows, or null where the click is the browser's: with a modifier key or another
 * button, with `target` or `download`, to another origin, to a place on the same page, or taken by someone else.
 */
export function followedLink(event: MouseEvent, location: Location): FollowedLink | null {
  if (event.defaultPrevented || event.button !== 0) return null;
  if (event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return null;
  // The composed path sees links inside shadow roots, which `event.target` hides.
  const link = event.composedPath().find(isLink);
  if (!link || link.hasAttribute('download')) return null;
  const target = link.getAttribute('target');
  if (target && target.toLowerCase() !== '_self') return null;
  const url = urlOf(link);
  if (url?.origin !== location.origin) return null;
  const samePlace = url.pathname === location.pathname && url.search === location.search;
  if (samePlace && url.href.includes('#')) return null;
  return { url: url.pathname + url.search + url.hash, link };
}

function isLink(target: EventTarget): target is Element {
  if (!(target instanceof Element)) return false;
  return target.localName === 'a' && (target.hasAttribute('href') || target.hasAttribute('xlink:href'));
}

function urlOf(link: Element): URL | null {
  const href = link.getAttribute('href') ?? link.getAttribute('xlink:href') ?? '';
  try {
    return new URL(href, link.baseURI);
  } catch {
    return null;
  }
}
