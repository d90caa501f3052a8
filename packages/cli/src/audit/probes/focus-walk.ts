import type { FocusStep } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import { isHarmfulLabel } from '../../browser/harmful.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage, ElementReference, FindingDetails } from '../audited-page.ts';
import { lookAtIndicators } from './focus-indicator.ts';

export const focusOnUnseen: Probe = {
  id: 'focus-on-invisible',
  title: 'An element that is not visible takes focus.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.7'],
  affects: 'Sighted keyboard users lose sight of the focus. Often a closed menu still takes focus.',
  remedy: 'Hide closed menus with visibility: hidden, display: none or inert, not with opacity or size alone.',
  standard: 'WCAG 2.2, 2.4.7 Focus Visible',
};

export const focusCovered: Probe = {
  id: 'focus-covered',
  title: 'Another element covers the focused element.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.11'],
  affects: 'Sighted keyboard users cannot see what they are about to press.',
  remedy:
    'Reserve room for pinned elements with scroll-padding on the page. Remove what is behind a panel from the focus order.',
  standard: 'WCAG 2.2, 2.4.11 Focus Not Obscured (Minimum)',
};

export const focusTrapped: Probe = {
  id: 'focus-trapped',
  title: 'Keyboard focus cannot leave a part of the page.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.2'],
  affects: 'Keyboard users cannot go on and have to reload the page.',
  remedy: 'Let Tab and Shift+Tab leave at either end. Keep focus only inside a modal dialog, and close that on Escape.',
  standard: 'WCAG 2.2, 2.1.2 No Keyboard Trap',
};

export const focusActs: Probe = {
  id: 'focus-navigates',
  title: 'Moving focus alone leads to another page.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['3.2.1'],
  affects: 'Keyboard users are taken away before they have pressed anything.',
  remedy: 'Follow a link when it is pressed, not when it takes focus.',
  standard: 'WCAG 2.2, 3.2.1 On Focus',
};

export const notByKeyboard: Probe = {
  id: 'not-by-keyboard',
  title: 'A part of a menu works with the mouse, but the keyboard cannot reach it.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  affects: 'Keyboard, switch and speech input users cannot use it.',
  remedy: 'Use a link or a button, and remove tabindex="-1".',
  standard: 'WCAG 2.2, 2.1.1 Keyboard',
};

export const orderOfFocus: Probe = {
  id: 'focus-order',
  title: 'The focus order differs from the visible order.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3'],
  affects: 'Sighted keyboard users: focus jumps back and forth.',
  remedy: 'Put the items into the document in the order in which they are shown, without order, reverse or tabindex.',
  standard: 'WCAG 2.2, 2.4.3 Focus Order; CSS Flexible Box Layout 1, section 5.4.1',
};

/** More stops than that are no navigation any more. */
const mostStops = 120;

/** A frame is left after that many at the latest. */
const mostInFrame = 60;

interface Walk {
  readonly stops: readonly FocusStep[];
  /** Whether the end of the page was come to. */
  readonly isWhole: boolean;
  /** The stop that it went round to instead. */
  readonly loop: FocusStep | null;
}

async function walk(used: AuditedPage, key: 'Tab' | 'Shift+Tab', most: number): Promise<Walk> {
  const stops: FocusStep[] = [];
  const known = new Set<number>();
  let inFrame = 0;
  while (stops.length < most) {
    await used.press(key);
    let stop = await used.call('focused');
    if (!stop) return { stops, isWhole: true, loop: null };
    if (stop.isFrame && known.has(stop.number) && inFrame < mostInFrame) {
      inFrame += 1;
      continue;
    }
    if (known.has(stop.number)) {
      // A dialog keeps focus within, and so it should.
      return { stops, isWhole: false, loop: stop.isInDialog || stop.isFrame ? null : stop };
    }
    if (!stop.seen || stop.cover !== null) {
      // What comes into sight because it has focus may take a moment.
      await used.call('rest');
      stop = (await used.call('focused')) ?? stop;
    }
    known.add(stop.number);
    stops.push(stop);
  }
  return { stops, isWhole: false, loop: null };
}

async function attempt(used: AuditedPage): Promise<void> {
  await used.reload();
  const address = used.untouched.url();
  let forth: Walk;
  try {
    forth = await walk(used, 'Tab', mostStops);
  } catch (error) {
    if (!(error instanceof Error) || !/navigat|context was destroyed/iu.test(error.message)) throw error;
    await used.page.waitForLoadState('load').catch(() => undefined);
    await reportOfLeaving(used, address);
    return;
  }
  if (pathOf(used.page.url()) !== pathOf(address)) {
    await reportOfLeaving(used, address);
    return;
  }
  for (const [index, stop] of forth.stops.entries()) {
    const steps = [index === 0 ? 'press Tab' : `press Tab ${index + 1} times`];
    if (!stop.seen) await used.addFinding(focusOnUnseen, stop, { state: 'focus', steps });
    else if (stop.cover !== null) await reportCover(used, stop, { state: 'focus', steps });
  }
  await reportOrder(used, forth.stops);
  if (forth.loop) await reportTrap(used, forth.loop, 'Tab');
  else if (!forth.isWhole && forth.stops.length === mostStops) {
    for (const probe of [focusOnUnseen, focusCovered, notByKeyboard]) {
      used.leaveOut(probe, `The page has more than ${mostStops} stops; those after are not tried.`);
    }
  }
  if (forth.isWhole && !forth.stops.some(({ isInDialog }) => isInDialog)) await reportUnreached(used, forth.stops);
  await goBack(used, forth);
  await lookAtIndicators(used, forth.stops);
}

/** Back through the page: what is pinned on top lies over other things than on the way forth. */
async function goBack(used: AuditedPage, forth: Walk): Promise<void> {
  if (!forth.isWhole || !used.isWanted(focusCovered, focusTrapped)) return;
  const reported = new Set(
    forth.stops.filter(({ seen, cover }) => !seen || cover !== null).map(({ number }) => number),
  );
  const back = await walk(used, 'Shift+Tab', mostStops);
  for (const stop of back.stops) {
    if (stop.seen && stop.cover !== null && !reported.has(stop.number)) {
      await reportCover(used, stop, { state: 'focus, going back' });
    }
  }
  if (back.loop) await reportTrap(used, back.loop, 'Shift+Tab');
}

async function reportCover(
  used: AuditedPage,
  stop: FocusStep,
  how: Pick<FindingDetails, 'state' | 'steps'>,
): Promise<void> {
  await used.focusOn(stop);
  await used.addFinding(focusCovered, stop, { ...how, message: `It is behind “${stop.cover ?? ''}”.` });
}

/** Focus goes round within a part of the page: it is a trap where Escape does not free it either. */
async function reportTrap(used: AuditedPage, stop: FocusStep, key: 'Tab' | 'Shift+Tab'): Promise<void> {
  const seen = new Set<number>();
  await used.press('Escape');
  for (let step = 0; step < 2 * mostStops; step += 1) {
    await used.press(key);
    const now = await used.call('focused');
    if (!now) return;
    if (seen.has(now.number) && seen.size > 0 && step > seen.size + 2) break;
    seen.add(now.number);
  }
  await used.addFinding(focusTrapped, stop, {
    state: 'focus',
    message: `${key} goes round ${seen.size === 1 ? 'on the spot' : `between ${seen.size} places`}.`,
  });
}

async function reportUnreached(used: AuditedPage, stops: readonly FocusStep[]): Promise<void> {
  if (!used.isWanted(notByKeyboard)) return;
  const missed = await used.call(
    'unreached',
    stops.map(({ number }) => number),
  );
  for (const { selector, html, isControl, isListening } of missed.slice(0, 12)) {
    // A button may be left out because another one does the same; a link is the only one to its page.
    if (isControl)
      await used.addFinding(notByKeyboard, { selector, html }, { state: 'focus', isLikely: !/^<a\s/iu.test(html) });
    else if (isListening && !isHarmfulLabel(html) && (await doesSomething(used, { selector, html }))) {
      await used.addFinding(notByKeyboard, { selector, html }, { state: 'pressed' });
    }
  }
}

/** A page may listen for presses to count them: only what leads somewhere, or shows something, is missed. */
async function doesSomething(used: AuditedPage, place: ElementReference): Promise<boolean> {
  await used.reload();
  const happening = await used.whatHappens(place.selector, () => used.clickOn(place));
  return happening !== null && (happening.left || happening.shown.length > 0);
}

/** Down a list, or along it: an item that comes later stands further on. */
async function reportOrder(used: AuditedPage, stops: readonly FocusStep[]): Promise<void> {
  const lists = new Map<number, FocusStep[]>();
  for (const stop of stops) {
    if (stop.list === null || !stop.isInMenu || !stop.seen) continue;
    lists.set(stop.list, [...(lists.get(stop.list) ?? []), stop]);
  }
  for (const items of lists.values()) {
    const isRight = items.some((item) => item.isRightToLeft);
    const wrong = items.find((item, index) => {
      const last = items[index - 1];
      return last !== undefined && isBefore(item, last, isRight);
    });
    if (wrong) await used.addFinding(orderOfFocus, wrong, { state: 'focus' });
  }
}

/** Wholly above, or on the same line and wholly nearer to its beginning. */
function isBefore({ placed: box }: FocusStep, { placed: last }: FocusStep, isRightToLeft: boolean): boolean {
  const isOnLine = Math.min(box.bottom, last.bottom) - Math.max(box.top, last.top) > (box.bottom - box.top) / 2;
  if (isOnLine) return isRightToLeft ? box.left >= last.right - 1 : box.right <= last.left + 1;
  // Columns go down one after the other; only what is above in the same column goes back.
  const isInColumn = Math.min(box.right, last.right) - Math.max(box.left, last.left) > 0;
  return isInColumn && box.bottom <= last.top + 1;
}

async function reportOfLeaving(used: AuditedPage, address: string): Promise<void> {
  const [selector, html] = ['html', `<html> of ${pathOf(address)}`];
  await used.addFinding(
    focusActs,
    { selector, html },
    { state: 'focus', message: `It led to ${pathOf(used.page.url())}.` },
  );
}

function pathOf(address: string): string {
  const { pathname, search } = new URL(address);
  return pathname + search;
}

export const focusWalk: Attempt = {
  isPossible: () => true,
  name: 'focus',
  probes: [focusOnUnseen, focusCovered, focusTrapped, focusActs, notByKeyboard, orderOfFocus],
  attempt,
};
