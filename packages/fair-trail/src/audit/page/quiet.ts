/** The longest that is waited, in milliseconds. */
const most = 2500;

/**
 * Waits until a page that was loaded changes no more; one without scripts is ready at once.
 *
 * @param quiet how long nothing must change, in milliseconds
 */
export async function settle(quiet = 120): Promise<void> {
  if (document.scripts.length === 0) return;
  await untilQuiet(quiet, most);
}

/** Waits until what was begun has ended: changes of the document, and movements. */
export async function rest(): Promise<void> {
  await untilQuiet(100, 1500);
  // What is drawn, and not only what is computed, is looked at after something was done.
  await frame();
}

/**
 * Waits until nothing has changed for a while, and nothing moves that will come to an end.
 *
 * @param pause how long nothing must change, in milliseconds
 * @param longest how long is waited at most, in milliseconds
 */
export async function untilQuiet(pause: number, longest: number, of: Document = document): Promise<void> {
  const Observer = of.defaultView?.MutationObserver ?? MutationObserver;
  let last = performance.now();
  const begin = last;
  const observer = new Observer(() => (last = performance.now()));
  observer.observe(of, { attributes: true, childList: true, characterData: true, subtree: true });
  try {
    do {
      await new Promise((resolve) => setTimeout(resolve, 20));
      if (isMoving(of)) last = performance.now();
    } while (performance.now() - last < pause && performance.now() - begin < longest);
  } finally {
    observer.disconnect();
  }
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

/** A frame may never come to a page in the background. */
function frame(): Promise<unknown> {
  const drawn = new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
  return Promise.race([drawn, new Promise((resolve) => setTimeout(resolve, 200))]);
}
