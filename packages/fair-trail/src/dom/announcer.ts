/** Says something to screen readers, politely (WAI-ARIA 1.2, section 6.6.1). */
export interface Announcer {
  say(text: string): void;
  /** Takes the live region away. */
  end(): void;
}

/** A live region speaks of its changes only, so it is in the document from the first moment, and empty. */
export function announcerIn(document: Document): Announcer {
  const region = document.createElement('div');
  region.className = 'ft-visually-hidden';
  region.setAttribute('role', 'status');
  document.body.append(region);
  return {
    say: (text) => region.replaceChildren(text),
    end: () => region.remove(),
  };
}
