/** What else is known of a page while it is waited for. */
export interface Waiting {
  /** Whether it is about to change by itself. */
  readonly isBusy?: (() => boolean) | undefined;
  /** How to wait, in milliseconds. Default: a timer. */
  readonly wait?: ((milliseconds: number) => Promise<unknown>) | undefined;
}

/**
 * Waits until nothing has changed for a while, nothing moves that will come to an end, and nothing is pending.
 *
 * @param pause how long nothing must change, in milliseconds
 * @param longest how long is waited at most, in milliseconds
 */
export async function untilQuiet(
  pause: number,
  longest: number,
  of: Document = document,
  { isBusy = () => false, wait = delay }: Waiting = {},
): Promise<void> {
  const Observer = of.defaultView?.MutationObserver ?? MutationObserver;
  let last = performance.now();
  const begin = last;
  const observer = new Observer(() => (last = performance.now()));
  observer.observe(of, { attributes: true, childList: true, characterData: true, subtree: true });
  try {
    do {
      await wait(Math.min(20, pause / 2));
      if (isMoving(of) || isBusy()) last = performance.now();
    } while (performance.now() - last < pause && performance.now() - begin < longest);
  } finally {
    observer.disconnect();
  }
}

function delay(milliseconds: number): Promise<unknown> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}

/** Whether something moves that will come to an end. */
function isMoving(of: Document): boolean {
  // A simulated document knows of no movements.
  if (!('getAnimations' in of)) return false;
  return of
    .getAnimations()
    .some(
      (animation) =>
        animation.playState === 'running' &&
        animation.timeline instanceof DocumentTimeline &&
        animation.effect?.getComputedTiming().endTime !== Infinity,
    );
}
