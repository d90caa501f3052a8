import { isElement, isHtmlElement } from './nodes.ts';

/** A link that the browser would follow in this very tab, on a plain click. */
export interface FollowedLink {
  readonly url: URL;
  readonly link: Element;
}

/**
 * Returns the link that a click follows, or null if the browser should handle the click: with a modifier key or another
 * button, with `target` or `download`, inside edited text, or if another handler prevented it.
 *
 * @example
 * container.addEventListener('click', (event) => {
 *   const link = followedLink(event);
 *   if (link) console.log(link.url);
 * });
 */
export function followedLink(event: MouseEvent): FollowedLink | null {
  if (event.defaultPrevented || !isPlainClick(event)) return null;
  // The composed path sees links inside shadow roots, which `event.target` hides.
  const link = event.composedPath().find(isLink);
  if (!link || link.hasAttribute('download') || isEdited(link)) return null;
  const target = link.getAttribute('target') ?? baseTarget(link.ownerDocument);
  if (target && target.toLowerCase() !== '_self') return null;
  const url = linkUrl(link);
  return url && { url, link };
}

/** Whether a click is by the main button and nothing else: with more, the browser does something of its own. */
export function isPlainClick({
  button,
  metaKey,
  ctrlKey,
  shiftKey,
  altKey,
}: Pick<MouseEvent, 'button' | 'metaKey' | 'ctrlKey' | 'shiftKey' | 'altKey'>): boolean {
  return button === 0 && !metaKey && !ctrlKey && !shiftKey && !altKey;
}

/** The nearest link around something, through the borders of shadow roots. */
export function linkAround(event: Event): Element | null {
  return event.composedPath().find(isLink) ?? null;
}

/** Where a link leads; null if its address cannot be read. */
export function linkUrl(link: Element): URL | null {
  const href = link.getAttribute('href') ?? link.getAttribute('xlink:href') ?? '';
  try {
    return new URL(href, link.baseURI);
  } catch {
    return null;
  }
}

/** By name: the document keeps a list of these, and need not be searched at each click. */
function baseTarget(document: Document): string | null {
  for (const base of document.getElementsByTagName('base')) if (base.target) return base.target;
  return null;
}

function isLink(target: EventTarget): target is Element {
  if (!isElement(target)) return false;
  const isAnchor = target.localName === 'a' || target.localName === 'area';
  return isAnchor && (target.hasAttribute('href') || target.hasAttribute('xlink:href'));
}

function isEdited(link: Element): boolean {
  return isHtmlElement(link) && link.isContentEditable;
}
