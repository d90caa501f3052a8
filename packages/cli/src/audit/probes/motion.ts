import type { Attempt } from '../attempt.ts';
import type { AuditedPage, ElementReference } from '../audited-page.ts';
import type { Probe } from '../probe.ts';

export const movesWithoutPause: Probe = {
  id: 'moves-without-pause',
  title: 'A part of the navigation moves, blinks or changes by itself and cannot be stopped.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.2.2'],
  affects: 'People who cannot read next to movement, and screen reader users whose text changes while they read.',
  remedy: 'Add a button that pauses it, or stop it after five seconds.',
  standard: 'WCAG 2.2, 2.2.2 Pause, Stop, Hide, failures F16, F47 and F50',
};

export const focusStolen: Probe = {
  id: 'focus-stolen',
  title: 'Focus moves by itself.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['3.2.1'],
  affects: 'Keyboard and screen reader users are about to press one thing and press another.',
  remedy: 'Move focus only in response to an action of the user.',
  standard: 'WCAG 2.2, 3.2.1 On Focus, failure F55; 2.4.3 Focus Order',
};

/** How long something must go on to be reported, in milliseconds (WCAG 2.2, 2.2.2: five seconds). */
const lasting = 5200;

async function attempt(used: AuditedPage): Promise<void> {
  if (!used.isWanted(movesWithoutPause, focusStolen) || !used.options.isWidest) return;
  await used.reload();
  const moving = await used.call('lastingMotions');
  const [first] = moving;
  if (first) await used.addFinding(movesWithoutPause, first, { state: 'rest' });
  // Where no timer runs, nothing changes by itself.
  if (!(await used.call('hasRepeatedTimers'))) {
    if (await used.call('hasLateTimers', lasting)) await lookAtFocus(used);
    return;
  }
  const link = somethingToFocus(used);
  if (link) await used.focusOn(link);
  const before = await used.call('focused');
  await used.call('watchMenus');
  const half = lasting / 2;
  await used.page.waitForTimeout(half);
  const early = await used.call('menuChanges');
  await used.page.waitForTimeout(half);
  const late = await used.call('menuChanges');
  used.note('wait five seconds');
  const now = await used.call('focused');
  if (before && now?.number !== before.number)
    await used.addFinding(focusStolen, before, { state: 'after five seconds' });
  const place = late.find(({ selector }) => early.some((one) => one.selector === selector));
  if (!first && place && !(await used.call('hasPause'))) {
    await used.addFinding(movesWithoutPause, place, { state: 'after five seconds' });
  }
}

/** A link of a menu that can be seen, or a button that opens one. */
function somethingToFocus({ report }: AuditedPage): ElementReference | undefined {
  const drawn = report.menus.flatMap(({ links }) => links).find(({ isDrawn }) => isDrawn);
  return drawn ?? report.toggles.find(({ kind }) => kind !== 'bare');
}

/** What has focus is left alone until all timers have run. */
async function lookAtFocus(used: AuditedPage): Promise<void> {
  const link = somethingToFocus(used);
  if (!link || !(await used.focusOn(link))) return;
  await used.call('untilTimersRan', lasting);
  used.note('wait');
  const now = await used.call('focused');
  if (now && now.selector !== link.selector) await used.addFinding(focusStolen, link, { state: 'after a while' });
}

export const movingByItself: Attempt = {
  isPossible: ({ options, report }) => options.isWidest && report.counts.movements > 0,
  name: 'what moves by itself',
  probes: [movesWithoutPause, focusStolen],
  attempt,
};
