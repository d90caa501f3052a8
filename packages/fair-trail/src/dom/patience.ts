/** Longer than this, what was waited for would come as a surprise. In milliseconds. */
const longestWait = 3000;

/** What a reader does who has begun to read: from then on, nothing may be moved under them. */
const signsOfReading = ['wheel', 'touchstart', 'pointerdown', 'keydown'] as const;

/**
 * Tries something at once, and again with each change of the page, since content may arrive late. Ends when it has
 * worked, when the reader does something, or after three seconds.
 *
 * @param giveUp called after that time, where nothing has ended it
 * @returns a function that stops listening
 */
export function tryUntilDone(window: Window, attempt: () => boolean, giveUp?: () => void): () => void {
  if (attempt()) return () => undefined;
  const ending = new AbortController();
  const { signal } = ending;
  const { document } = window;
  const again = () => {
    if (!signal.aborted && attempt()) ending.abort();
  };
  const mutations = new MutationObserver(again);
  mutations.observe(document.body, { childList: true, subtree: true });
  const sizes = new ResizeObserver(again);
  sizes.observe(document.documentElement);
  const timer = window.setTimeout(() => {
    ending.abort();
    giveUp?.();
  }, longestWait);
  for (const type of signsOfReading) {
    window.addEventListener(type, () => ending.abort(), { signal, capture: true, passive: true });
  }
  signal.addEventListener('abort', () => {
    mutations.disconnect();
    sizes.disconnect();
    window.clearTimeout(timer);
  });
  return () => ending.abort();
}
