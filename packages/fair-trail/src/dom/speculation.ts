import { linkAround, linkUrl } from './clicks.ts';

/**
 * How early a page is loaded ahead, in the words of the Speculation Rules standard (HTML standard, section 7.6):
 * `immediate`, as soon as a link to it is in the document; `eager`, on the slightest sign; `moderate`, once the pointer
 * rests on the link for a moment or focus comes to it; `conservative`, as it is being pressed.
 */
export type Eagerness = 'immediate' | 'eager' | 'moderate' | 'conservative';

/** How long the pointer must rest on a link, in milliseconds. */
const rest: Readonly<Record<Eagerness, number | null>> = { immediate: 0, eager: 10, moderate: 200, conservative: null };

/** More links than this in one document are not loaded ahead all at once. */
const mostAtOnce = 50;

interface Speculation {
  /** Looks for links in the document again, where eagerness asks for that. */
  look(): void;
  /** Ends it and leaves nothing behind. */
  end(): void;
}

/** Tells of the links that the visitor is likely to follow. Of none where they asked to save data. */
export function speculate(window: Window, eagerness: Eagerness, prepare: (url: URL) => void): Speculation {
  const { document, navigator } = window;
  const ending = new AbortController();
  const { signal } = ending;
  let timer = 0;
  let looking = 0;
  let resting: Element | null = null;

  const savesData = (navigator as { connection?: { saveData?: boolean } }).connection?.saveData === true;
  if (savesData) return { look: () => undefined, end: () => undefined };

  const prepareLink = (link: Element) => {
    const url = linkUrl(link);
    if (url?.origin === window.location.origin) prepare(url);
  };
  const onPress = (event: Event) => {
    const link = linkAround(event);
    if (link) prepareLink(link);
  };
  const onRest = (event: Event) => {
    const link = linkAround(event);
    if (link === resting) return;
    window.clearTimeout(timer);
    resting = link;
    const delay = rest[eagerness];
    if (link && delay !== null) timer = window.setTimeout(() => prepareLink(link), delay);
  };

  document.addEventListener('pointerdown', onPress, { signal, passive: true });
  if (rest[eagerness] !== null) {
    document.addEventListener('pointerover', onRest, { signal, passive: true });
    document.addEventListener('focusin', onRest, { signal, passive: true });
  }
  signal.addEventListener('abort', () => {
    window.clearTimeout(timer);
    window.clearTimeout(looking);
  });
  return {
    look() {
      if (eagerness !== 'immediate') return;
      window.clearTimeout(looking);
      // Once the change that this is called for has been drawn.
      looking = window.setTimeout(() => {
        for (const link of [...document.querySelectorAll('a[href]')].slice(0, mostAtOnce)) prepareLink(link);
      });
    },
    end: () => ending.abort(),
  };
}
