/** Goes to an address as a link that a router takes does: without loading. */
export function goWithin(window: Pick<Window, 'history' | 'dispatchEvent'>, address: string, event: Event): void {
  window.history.pushState(null, '', address);
  window.dispatchEvent(event);
}
