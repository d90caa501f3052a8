/** Names the panel to hold open, in the address of a page that is being made: `?ft-held=visit`. */
const parameter = 'ft-held';

/** The panel that the page's address holds open, while it is being styled; null on any machine but the developer's own. */
export function heldPanel({ location }: Window): string | null {
  const isOwn = /^(?:localhost|127\.0\.0\.1|\[::1\])$/u.test(location.hostname);
  return isOwn ? new URLSearchParams(location.search).get(parameter) : null;
}
