/** Names the panel to hold open, in the address of a page that is being made: `?ft-held=visit`. */
const parameter = 'ft-held';

/** The panel that the page's address holds open, while it is being styled. For development builds. */
export function heldPanel(window: Window): string | null {
  return new URLSearchParams(window.location.search).get(parameter);
}
