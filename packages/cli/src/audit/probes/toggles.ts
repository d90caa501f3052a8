import type { FoundToggle } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import { changesVisitor, isHarmfulLabel } from '../../browser/harmful.ts';
import { nameIn } from '../path-taken.ts';
import type { Probe } from '../probe.ts';
import type { ActionOutcome, AuditedPage } from '../audited-page.ts';
import { closeInEachWay, closingProbes } from './closing.ts';
import {
  closesByItself,
  controlsSomethingElse,
  dialogWithoutFocus,
  focusLostOnPress,
  focusThrown,
  lookAtFocus,
  lookAtOpened,
  openNested,
} from './opened.ts';
import { focusOnUnseen, focusTrapped } from './focus-walk.ts';
import { movesWithoutPause } from './motion.ts';
import { toggleStateFrozen } from './toggle-states.ts';
import {
  lookAtPanel,
  openingMovesPage,
  overlayLeavesPage,
  overlayScrollsPage,
  panelOutOfWindow,
} from './open-panel.ts';

export const toggleDoesNothing: Probe = {
  id: 'toggle-does-nothing',
  title: 'A button that should open something does nothing.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone: its content cannot be reached at this width.',
  remedy:
    'Show what the button names when it is pressed, and set aria-expanded. Do not show the button while scripts are missing.',
  standard: 'ARIA Authoring Practices, disclosure pattern',
};

export const toggleStateUntold: Probe = {
  id: 'toggle-without-state',
  title: 'A button opens something without announcing whether it is open.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader users do not learn that there is something to open, or that it is open.',
  remedy: 'Set aria-expanded on it: "true" while the panel is shown, "false" while it is hidden.',
  standard: 'ARIA Authoring Practices, disclosure pattern; WAI-ARIA 1.2, section 6.6 (aria-expanded)',
};

export const toggleMouseOnly: Probe = {
  id: 'toggle-mouse-only',
  title: 'A button opens with the mouse but not with the keyboard.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  affects: 'Keyboard, switch and speech input users cannot reach what is behind it.',
  remedy: 'Use a button element: Enter and Space then press it.',
  standard: 'WCAG 2.2, 2.1.1 Keyboard',
};

export const toggleOneKey: Probe = {
  id: 'toggle-one-key',
  title: 'A button reacts to only one of Enter and Space.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Keyboard users press the key that works on every other button, and nothing happens.',
  remedy: 'Use a button element: Enter and Space then press it.',
  standard: 'ARIA Authoring Practices, button pattern: keyboard interaction',
};

export const toggleNotByTouch: Probe = {
  id: 'toggle-not-by-touch',
  title: 'A button opens with the mouse but not by touch.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone with a phone.',
  remedy: 'Listen for click, which touch triggers too.',
  standard: 'Pointer Events 3, section 4; UI Events, click',
};

/** How many toggles of one page are tried: those that say what they are, and those that might be. */
const most = { stated: 8, other: 6 };

/** More of one menu that are drawn alike work alike, as far as a script can see. */
const mostAlike = 3;

/** Those that are tried on this page: of others, too much would be alike. */
function chosenOf(
  used: AuditedPage,
  means: string,
): { readonly chosen: readonly FoundToggle[]; readonly left: number } {
  const fresh = used.report.toggles.filter(
    ({ fingerprint, html, kind }) =>
      !isHarmfulLabel(html) &&
      !((kind === 'plain' || kind === 'bare') && changesVisitor(html)) &&
      used.options.isNew(`${means}${fingerprint}`),
  );
  const differing = fresh.filter(({ likeness }) => used.options.isRare(`${means}${likeness}`, mostAlike));
  const reported = differing.filter(isStated);
  const other = differing.filter((toggle) => !isStated(toggle));
  const chosen = [...reported.slice(0, most.stated), ...other.slice(0, most.other)];
  return { chosen, left: fresh.length - chosen.length };
}

function isStated({ kind }: FoundToggle): boolean {
  return kind === 'stated' || kind === 'named';
}

async function attempt(used: AuditedPage): Promise<void> {
  const { chosen, left } = chosenOf(used, '');
  for (const toggle of chosen) {
    if (used.options.window.isLost) return;
    await used.reload();
    await press(used, toggle);
  }
  if (left > 0)
    used.leaveOut(toggleDoesNothing, `${left} more buttons of this page, most of them like others, are not tried.`);
}

/** By keyboard and by touch: of what does not say that it opens something, only what the mouse has opened is asked for. */
async function attemptOtherwise(used: AuditedPage): Promise<void> {
  const { chosen } = chosenOf(used, 'otherwise ');
  for (const toggle of chosen.filter((one) => isStated(one) && !one.isOpen)) {
    await byKeys(used, toggle);
    await byTouch(used, toggle);
  }
}

/** Whether the mouse opens something: what it does not open either is another defect. */
async function opensByMouse(used: AuditedPage, toggle: FoundToggle): Promise<boolean> {
  await used.reload();
  const outcome = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
  return outcome !== null && !outcome.left && outcome.shown.length > 0;
}

/** Presses it by mouse; then, where that opened something, looks at that, closes it, and does the same by other means. */
async function press(used: AuditedPage, toggle: FoundToggle): Promise<void> {
  const { selector, kind, isOpen } = toggle;
  const stateBefore = await used.call('pageState');
  const byMouse = await used.whatHappens(selector, () => used.clickOn(toggle));
  if (byMouse === null) {
    if (kind !== 'stated' && kind !== 'named') return;
    used.leaveOut(toggleDoesNothing, `“${selector}” could not be pressed: something lies over it, or it moves.`);
    return;
  }
  if (byMouse.left) return;
  if (!byMouse.changed) {
    // What might be no toggle at all may well do nothing that can be seen.
    if (kind === 'stated') await used.addFinding(toggleDoesNothing, toggle, { state: 'pressed' });
    else if (kind === 'named') await used.addFinding(toggleDoesNothing, toggle, { state: 'pressed', isLikely: true });
    return;
  }
  const { shown, beside, before, after } = byMouse;
  // A button that changes something in place, and opens nothing.
  if (!isStated(toggle) && shown.length === 0) await pressForFocus(used, toggle);
  if (isOpen) {
    await reportClosing(used, toggle, byMouse);
    return;
  }
  const [lost] = beside;
  const lostPlace = lost === undefined ? null : await used.call('placeOf', lost);
  if (lostPlace) {
    await used.addFinding(panelOutOfWindow, lostPlace, { state: 'open' });
    return;
  }
  if (shown.length === 0) {
    const isShown = before.text !== after.text || before.drawn.length !== after.drawn.length;
    if (isShown || before.expanded !== 'false' || after.expanded !== 'true') return;
    await used.addFinding(toggleDoesNothing, toggle, {
      state: 'pressed',
      message: 'It says that it is open now, and nothing has come into sight.',
      isLikely: true,
    });
    return;
  }
  const panel = await used.call('panelOf', selector, shown);
  used.options.onOpened(panel?.addresses ?? []);
  // A button that moves a strip of links, or shows more of one list, opens nothing.
  if (panel?.isPartOfList === true && after.expanded === null) {
    await pressForFocus(used, toggle);
    return;
  }
  if (before.expanded === 'false' && after.expanded === 'false') {
    await used.addFinding(toggleStateFrozen, toggle, { state: 'open' });
  } else if (after.expanded === null && before.stated === after.stated && !(panel?.isDialog ?? false)) {
    await used.addFinding(toggleStateUntold, toggle, { state: 'open' });
  }
  await lookAtOpened(used, toggle, panel, byMouse);
  if (panel) await lookAtPanel(used, toggle, panel, byMouse);
  await closeInEachWay(used, { toggle, panel, shown, before: stateBefore });
  if (!isStated(toggle)) {
    await byKeys(used, toggle);
    await byTouch(used, toggle);
  }
  if (panel && used.options.isNarrowest) await nested(used, toggle);
}

/** By keyboard: a button that changes itself, or what is around it, may lose focus by that. */
async function pressForFocus(used: AuditedPage, toggle: FoundToggle): Promise<void> {
  if (!used.isWanted(focusLostOnPress)) return;
  await used.reload();
  const byKey = await used.whatHappens(toggle.selector, async () => {
    if (!(await used.focusOn(toggle))) return false;
    await used.press('Enter');
    return true;
  });
  if (byKey && !byKey.left && byKey.acted && (await used.call('focused')) === null) {
    // One that goes away with what it has dismissed leaves the browser to find a place near by.
    const isGone = (await used.call('exposedAs', toggle.selector)) === null;
    await used.addFinding(focusLostOnPress, toggle, { state: 'pressed by keyboard', isLikely: isGone });
  }
}

/** What stands closed within what a button opens. */
async function nested(used: AuditedPage, toggle: FoundToggle): Promise<void> {
  await used.reload();
  const outcome = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
  if (!outcome || outcome.left || outcome.shown.length === 0) return;
  const panel = await used.call('panelOf', toggle.selector, outcome.shown);
  if (panel) await openNested(used, panel);
}

async function reportClosing(used: AuditedPage, toggle: FoundToggle, { before, after }: ActionOutcome): Promise<void> {
  const isClosed = before.drawn.length > after.drawn.length + 1;
  if (isClosed && after.expanded === 'true') await used.addFinding(toggleStateFrozen, toggle, { state: 'closed' });
}

async function byKeys(used: AuditedPage, toggle: FoundToggle): Promise<void> {
  if (!used.isWanted(toggleMouseOnly, toggleOneKey, dialogWithoutFocus, focusThrown, focusLostOnPress)) return;
  const works: boolean[] = [];
  for (const key of ['Enter', 'Space']) {
    await used.reload();
    const byKey = await used.whatHappens(toggle.selector, async () => {
      // Focus alone may open it.
      if (await used.focusOn(toggle)) await used.press(key);
    });
    works.push(byKey !== null && (byKey.left || byKey.shown.length > 0 || byKey.acted));
    if (byKey && !byKey.left && key === 'Enter' && byKey.acted) await lookAtFocus(used, toggle, byKey);
  }
  const [enter = false, space = false] = works;
  if (!enter && !space) {
    if (await opensByMouse(used, toggle)) await used.addFinding(toggleMouseOnly, toggle, { state: 'pressed' });
  }
  // A link is followed by Enter alone, and this may be one that a script has made into more.
  else if (enter !== space && !/^<(?:a|input)\b/iu.test(toggle.html)) {
    await used.addFinding(toggleOneKey, toggle, {
      state: 'pressed',
      message: `${enter ? 'Space' : 'Enter'} does nothing.`,
    });
  }
}

async function byTouch(used: AuditedPage, toggle: FoundToggle): Promise<void> {
  if (!used.options.isNarrowest || !used.isWanted(toggleNotByTouch)) return;
  const window = await used.options.openOther({ hasTouch: true });
  try {
    await window.call('watch');
    const before = await window.call('snapshot', toggle.selector);
    const middle = await window.call('middleOf', toggle.selector);
    if (!middle) return;
    await window.page.touchscreen.tap(...middle);
    await window.call('rest');
    const after = await window.call('snapshot', toggle.selector);
    const isDead = after.changes === 0 && after.drawn.length === before.drawn.length && after.url === before.url;
    if (isDead && before.expanded === after.expanded && (await opensByMouse(used, toggle))) {
      used.note(`touch ${nameIn(toggle.html)}`);
      await used.addFinding(toggleNotByTouch, toggle, { state: 'touched' });
    }
  } finally {
    await window.close();
  }
}

export const toggles: Attempt = {
  name: 'toggles',
  probes: [
    ...[toggleDoesNothing, toggleStateFrozen, toggleStateUntold],
    ...closingProbes,
    ...[controlsSomethingElse, closesByItself, focusLostOnPress, movesWithoutPause, focusOnUnseen, focusTrapped],
    ...[panelOutOfWindow, overlayLeavesPage, overlayScrollsPage, openingMovesPage],
  ],
  isPossible: ({ report }) => report.toggles.length > 0,
  attempt,
};

export const togglesOtherwise: Attempt = {
  name: 'toggles by keyboard and by touch',
  probes: [toggleMouseOnly, toggleOneKey, toggleNotByTouch, dialogWithoutFocus, focusThrown, focusLostOnPress],
  isPossible: ({ report }) => report.toggles.length > 0,
  attempt: attemptOtherwise,
};
