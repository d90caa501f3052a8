/**
 * Scrolls to the element that a hash names. Without one it scrolls to the top of a new page, or where the hash says so, and
 * else not at all (HTML standard, section 7.4.6.4).
 */
export function scrollToHash(document: Document, hash: string, isNew: boolean): void {
  const target = hashTarget(document, hash);
  if (target) target.scrollIntoView();
  else if (isNew || hash.toLowerCase() === '#top')
    document.defaultView?.scrollTo({ left: 0, top: 0, behavior: 'instant' });
}

/** The element that a hash names, as the HTML standard finds it (section 7.4.6.4). */
export function hashTarget(document: Document, hash: string): Element | null {
  if (hash.length < 2) return null;
  const fragment = hash.slice(1);
  const raw = document.getElementById(fragment);
  if (raw) return raw;
  try {
    return document.getElementById(decodeURIComponent(fragment));
  } catch {
    return null;
  }
}
