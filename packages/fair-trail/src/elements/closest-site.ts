/** The nearest `trail-site` around an element, through the shadow trees that it stands in. */
export function closestSite(element: Element): Element | null {
  for (let at: Element | null = element; at;) {
    const found: Element | null = at.closest('trail-site');
    if (found) return found;
    const root = at.getRootNode();
    at = 'host' in root ? (root.host as Element) : null;
  }
  return null;
}
