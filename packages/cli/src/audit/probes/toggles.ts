import type { FoundToggle, OpenPanel } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import { isHarmfulLabel } from '../../browser/harmful.ts';
import type { Probe } from '../probe.ts';
import type { ActionOutcome, AuditedPage } from '../audited-page.ts';
import {
  lookAtPanel,
  openingMovesPage,
  overlayLeavesPage,
  overlayScrollsPage,
  panelOutOfWindow,
} from './open-panel.ts';

export const toggleDoesNothing: Probe = {
  id: 'toggle-does-nothing',
  title: 'A button that says it opens something does nothing.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  hurts: 'Everybody: what it would open cannot be reached at this width.',
  remedy: 'Let a press show what it names, and set aria-expanded. Where scripts are late or fail, do not show it.',
  standard: 'ARIA Authoring Practices, disclosure pattern',
};

export const toggleStateFrozen: Probe = {
  id: 'toggle-state-frozen',
  title: 'A button opens or closes something, and goes on saying what was so before.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  hurts: 'People who listen to the page are told that nothing has happened.',
  remedy: 'Set aria-expanded="true" when it opens, and "false" when it closes.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded); WCAG 2.2, 4.1.2',
};

export const toggleStateUntold: Probe = {
  id: 'toggle-state-untold',
  title: 'A button opens something, and does not say whether it is open.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  hurts: 'People who listen to the page are not told that there is something to open, nor that it is open.',
  remedy: 'Set aria-expanded on it, "true" while what it opens is shown and "false" while it is not.',
  standard: 'ARIA Authoring Practices, disclosure pattern; WAI-ARIA 1.2, section 6.6 (aria-expanded)',
};

export const toggleMouseOnly: Probe = {
  id: 'toggle-mouse-only',
  title: 'A button opens by mouse, and not by keyboard.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  hurts: 'People who use the keyboard, a switch or their voice: they cannot reach what is behind it.',
  remedy: 'Make it a button element: Enter and Space then press it.',
  standard: 'WCAG 2.2, 2.1.1 Keyboard',
};

export const toggleOneKey: Probe = {
  id: 'toggle-one-key',
  title: 'A button takes one of the two keys that press a button, and not the other.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  hurts: 'People who use the keyboard press what presses every other button, and nothing happens.',
  remedy: 'Make it a button element: Enter and Space then press it.',
  standard: 'ARIA Authoring Practices, button pattern: keyboard interaction',
};

export const toggleNotByTouch: Probe = {
  id: 'toggle-not-by-touch',
  title: 'A button opens by mouse, and not by a finger.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  hurts: 'Everybody with a phone.',
  remedy: 'Listen for click, and for nothing that a finger does not do.',
  standard: 'Pointer Events 3, section 4; UI Events, click',
};

export const toggleStaysOpen: Probe = {
  id: 'toggle-stays-open',
  title: 'What a button opened is closed by nothing.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  hurts: 'Everybody: it stays over the page until the page is left.',
  remedy: 'Let a second press close it, and Escape too.',
  standard: 'ARIA Authoring Practices, disclosure pattern: keyboard interaction',
};

export const escapeIgnored: Probe = {
  id: 'escape-ignored',
  title: 'Escape does not close a panel that lies over the page.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  hurts: 'People who use the keyboard: they go all the way back to the button, or on through what is hidden behind.',
  remedy: 'Close it on Escape, and give focus back to the button.',
  standard: 'ARIA Authoring Practices, disclosure navigation and dialog patterns: Escape',
};

export const focusLostOnClosing: Probe = {
  id: 'focus-lost-on-closing',
  title: 'When a panel closes, focus is nowhere.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3'],
  hurts: 'People who use the keyboard or listen to the page begin again at the top of it.',
  remedy: 'Give focus back to the button that opened the panel.',
  standard: 'ARIA Authoring Practices, dialog pattern; WCAG 2.2, 2.4.3 Focus Order',
};

/** How many toggles of one page are tried: those that say what they are, and those that might be. */
const most = { told: 8, other: 6 };

/** More of one menu that are drawn alike work alike, as far as can be told. */
const mostAlike = 3;

async function attempt(used: AuditedPage): Promise<void> {
  const fresh = used.report.toggles.filter(
    ({ fingerprint, html }) => !isHarmfulLabel(html) && used.options.isNew(fingerprint),
  );
  const differing = fresh.filter(({ likeness }) => used.options.isRare(likeness, mostAlike));
  const told = differing.filter(({ kind }) => kind === 'told' || kind === 'named');
  const other = differing.filter(({ kind }) => kind === 'plain' || kind === 'bare');
  const chosen = [...told.slice(0, most.told), ...other.slice(0, most.other)];
  for (const toggle of chosen) {
    if (used.options.window.isLost) return;
    await used.reload();
    await press(used, toggle);
  }
  const left = fresh.length - chosen.length;
  if (left > 0)
    used.leaveOut(toggleDoesNothing, `${left} more buttons of this page, most of them like others, are not tried.`);
}

/** Presses it by mouse; then, where that opened something, looks at that, closes it, and does the same by other means. */
async function press(used: AuditedPage, toggle: FoundToggle): Promise<void> {
  const { selector, kind, isOpen } = toggle;
  const byMouse = await used.whatHappens(selector, () => clickOn(used, selector));
  if (byMouse === null) {
    if (kind !== 'told' && kind !== 'named') return;
    used.leaveOut(toggleDoesNothing, `“${selector}” could not be pressed: something lies over it, or it moves.`);
    return;
  }
  if (byMouse.left) return;
  if (!byMouse.changed) {
    // What might be no toggle at all may well do nothing that can be seen.
    if (kind === 'told') await used.tell(toggleDoesNothing, toggle, { state: 'pressed' });
    else if (kind === 'named') await used.tell(toggleDoesNothing, toggle, { state: 'pressed', isLikely: true });
    return;
  }
  const { shown, beside, before, after } = byMouse;
  if (isOpen) {
    await tellClosing(used, toggle, byMouse);
    return;
  }
  const [lost] = beside;
  const lostPlace = lost === undefined ? null : await used.call('placeOf', lost);
  if (lostPlace) {
    await used.tell(panelOutOfWindow, lostPlace, { state: 'open' });
    return;
  }
  if (shown.length === 0) {
    const isShown = before.text !== after.text || before.drawn.length !== after.drawn.length;
    if (isShown || before.expanded !== 'false' || after.expanded !== 'true') return;
    await used.tell(toggleDoesNothing, toggle, {
      state: 'pressed',
      message: 'It says that it is open now, and nothing has come into sight.',
      isLikely: true,
    });
    return;
  }
  if (before.expanded === 'false' && after.expanded === 'false') {
    await used.tell(toggleStateFrozen, toggle, { state: 'open' });
  } else if (after.expanded === null && before.told === after.told && !(await isDialog(used, selector, shown))) {
    await used.tell(toggleStateUntold, toggle, { state: 'open' });
  }
  const panel = await used.call('panelOf', selector, shown);
  used.options.onOpened(panel?.addresses ?? []);
  if (panel) await lookAtPanel(used, toggle, panel, byMouse);
  await close(used, toggle, shown, panel);
  await byKeys(used, toggle);
  await byTouch(used, toggle);
}

async function clickOn({ page }: AuditedPage, selector: string): Promise<void> {
  await page.locator(selector.replaceAll(' >>> ', ' ')).first().click({ timeout: 2500, noWaitAfter: true });
}

async function isDialog(used: AuditedPage, selector: string, shown: readonly number[]): Promise<boolean> {
  return (await used.call('panelOf', selector, shown))?.isDialog ?? false;
}

async function tellClosing(used: AuditedPage, toggle: FoundToggle, { before, after }: ActionOutcome): Promise<void> {
  const isClosed = before.drawn.length > after.drawn.length + 1;
  if (isClosed && after.expanded === 'true') await used.tell(toggleStateFrozen, toggle, { state: 'closed' });
}

/** By Escape from within, as people with a keyboard do; else by a second press. */
async function close(
  used: AuditedPage,
  toggle: FoundToggle,
  shown: readonly number[],
  panel: OpenPanel | null,
): Promise<void> {
  const { page } = used;
  if (!used.isWanted(escapeIgnored, focusLostOnClosing, toggleStaysOpen, toggleStateFrozen)) return;
  const isFloating = panel?.isFloating ?? false;
  if (!panel?.hasFocus) {
    await used.call('focusOn', toggle.selector);
    await page.keyboard.press('Tab');
  }
  await page.keyboard.press('Escape');
  await used.call('rest');
  if (!(await used.call('isStillOpen', shown))) {
    const { told, expanded } = await used.call('snapshot', toggle.selector);
    if (expanded === 'true') await used.tell(toggleStateFrozen, toggle, { state: 'closed by Escape' });
    if (told !== '' && (await used.call('focused')) === null) {
      await used.tell(focusLostOnClosing, toggle, { state: 'closed by Escape' });
    }
    return;
  }
  if (isFloating && (panel?.hidesContent ?? false)) await used.tell(escapeIgnored, toggle, { state: 'open' });
  const again = await used.whatHappens(toggle.selector, () => clickOn(used, toggle.selector));
  if (again === null) {
    // It lies under what it opened: something in there closes it, or nothing does.
    return;
  }
  if (again.left) return;
  const isOpen = await used.call('isStillOpen', shown);
  if (!isOpen && again.after.expanded === 'true' && again.before.expanded === 'true') {
    await used.tell(toggleStateFrozen, toggle, { state: 'closed' });
  }
  if (!isOpen || !isFloating) return;
  await page.mouse.click(2, (page.viewportSize()?.height ?? 800) - 2);
  await used.call('rest').catch(() => undefined);
  if (await used.call('isStillOpen', shown).catch(() => false))
    await used.tell(toggleStaysOpen, toggle, { state: 'open' });
}

async function byKeys(used: AuditedPage, toggle: FoundToggle): Promise<void> {
  if (!used.isWanted(toggleMouseOnly, toggleOneKey)) return;
  const works: boolean[] = [];
  for (const key of ['Enter', 'Space']) {
    await used.reload();
    const byKey = await used.whatHappens(toggle.selector, async () => {
      // Focus alone may open it.
      if (await used.call('focusOn', toggle.selector)) await used.page.keyboard.press(key);
    });
    works.push(byKey !== null && (byKey.left || byKey.shown.length > 0 || byKey.acted));
  }
  const [enter = false, space = false] = works;
  if (!enter && !space) await used.tell(toggleMouseOnly, toggle, { state: 'pressed' });
  // A link is followed by Enter alone, and this may be one that a script has made into more.
  else if (enter !== space && !/^<(?:a|input)\b/iu.test(toggle.html)) {
    await used.tell(toggleOneKey, toggle, { state: 'pressed', message: `${enter ? 'Space' : 'Enter'} does nothing.` });
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
    await window.page.waitForTimeout(500);
    await window.call('rest');
    const after = await window.call('snapshot', toggle.selector);
    const isDead = after.changes === 0 && after.drawn.length === before.drawn.length && after.url === before.url;
    if (isDead && before.expanded === after.expanded) await used.tell(toggleNotByTouch, toggle, { state: 'touched' });
  } finally {
    await window.close();
  }
}

export const toggles: Attempt = {
  name: 'toggles',
  probes: [
    toggleDoesNothing,
    toggleStateFrozen,
    toggleStateUntold,
    toggleMouseOnly,
    toggleOneKey,
    toggleNotByTouch,
    toggleStaysOpen,
    escapeIgnored,
    focusLostOnClosing,
    panelOutOfWindow,
    overlayLeavesPage,
    overlayScrollsPage,
    openingMovesPage,
  ],
  attempt,
};
