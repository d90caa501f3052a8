import { untilQuiet } from '../../reading/quiet.ts';
import { isBusy } from './activity.ts';

/** How long is waited at most for a page that was loaded, and for what was done to one, in milliseconds. */
const [mostLoading, mostResting] = [2500, 2000];

/** How long nothing must change, in milliseconds, where what is pending is known. */
const quiet = 34;

/**
 * Waits until a page that was loaded changes no more; one without scripts is ready at once.
 *
 * @param unknown how long nothing must change where it is not known what is pending, in milliseconds
 */
export async function settle(unknown = 120): Promise<void> {
  if (document.scripts.length === 0) return;
  const pause = window.fairTrailActivity ? Math.min(quiet, unknown) : unknown;
  await untilQuiet(pause, mostLoading, document, { isBusy, wait: window.fairTrailActivity?.wait });
}

/** Waits until what was begun has ended: timers, requests, changes of the document, and movements. */
export async function rest(): Promise<void> {
  // A handler may have begun something in the frame that is being drawn.
  await frame();
  const pause = window.fairTrailActivity ? quiet : 100;
  await untilQuiet(pause, mostResting, document, { isBusy, wait: window.fairTrailActivity?.wait });
  // What is drawn, and not only what is computed, is looked at after something was done.
  await frame();
}

/** A frame may never come to a page in the background. */
function frame(): Promise<unknown> {
  const drawn = new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
  const late = window.fairTrailActivity?.wait(200) ?? new Promise((resolve) => setTimeout(resolve, 200));
  return Promise.race([drawn, late]);
}
