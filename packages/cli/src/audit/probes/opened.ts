import type { FoundToggle, OpenPanel } from 'fair-trail/internal/audit';
import type { ActionOutcome, AuditedPage } from '../audited-page.ts';
import { ruleOf } from '../rule-of.ts';
import type { Probe } from '../probe.ts';
import { movesWithoutPause } from './motion.ts';
import { toggleStateFrozen } from './toggle-states.ts';

export const controlsSomethingElse: Probe = {
  id: 'controls-something-else',
  title: 'aria-controls names an element that the button does not open.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader users who jump to the controlled element reach another place.',
  remedy: 'Set aria-controls to the id of what the button opens, or remove it.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-controls)',
};

export const dialogWithoutFocus: Probe = {
  id: 'dialog-without-focus',
  title: 'A modal dialog opens, and focus stays outside of it.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3'],
  affects: 'Keyboard and screen reader users are behind what was opened.',
  remedy: 'Open a dialog element with showModal, or move focus to the first thing in it.',
  standard: 'ARIA Authoring Practices, dialog pattern: keyboard interaction',
};

export const focusLostOnPress: Probe = {
  id: 'focus-lost-on-press',
  title: 'Focus is lost when a button is pressed with the keyboard.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.3'],
  affects: 'Keyboard and screen reader users start again at the top of the page.',
  remedy: 'Change the button in place. A button that is replaced or disabled loses focus.',
  standard: 'WCAG 2.2, 2.4.3 Focus Order; HTML standard, section 6.6.3 (focus fixup)',
};

export const focusThrown: Probe = {
  id: 'focus-misplaced',
  title: 'Opening something moves focus to an unrelated place.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3'],
  affects: 'Keyboard and screen reader users are somewhere else and do not know why.',
  remedy: 'Leave focus on the button, or move it into what was opened.',
  standard: 'ARIA Authoring Practices, disclosure pattern; WCAG 2.2, 2.4.3 Focus Order',
};

export const closesByItself: Probe = {
  id: 'closes-by-itself',
  title: 'What a button opened closes by itself after a while.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.2.1'],
  affects: 'People who need longer to read it or to reach it.',
  remedy: 'Close it when focus leaves, on Escape or with its button, and not after a time.',
  standard: 'WCAG 2.2, 2.2.1 Timing Adjustable',
};

/** Longer than that no one waits for a menu to close, in milliseconds. */
const longestClock = 12_000;

/** Reads the page again while something is open: what was hidden has never been looked at. */
export async function readOpened(used: AuditedPage, state: string, panel: OpenPanel | null): Promise<void> {
  const known = new Set(used.report.findings.map(({ code, selector }) => `${code} ${selector}`));
  const { findings } = await used.call('findings', {});
  for (const finding of findings) {
    if (known.has(`${finding.code} ${finding.selector}`) || ofWholePages.has(finding.code)) continue;
    // What is behind a panel is hidden on purpose while that is open.
    const isInPanel = panel !== null && finding.selector.startsWith(panel.selector);
    if (ofHiding.has(finding.code) && !isInPanel) continue;
    await used.addFinding(ruleOf(finding), finding, { state });
  }
}

const ofHiding: ReadonlySet<string> = new Set(['focus-in-hidden', 'visible-not-exposed', 'exposed-not-visible']);

/** Rules that an open panel has no part in. */
const ofWholePages: ReadonlySet<string> = new Set([
  ...[
    'page-without-title',
    'page-without-language',
    'title-says-nothing',
    'title-of-other-page',
    'no-skip-link-or-landmark',
  ],
  ...['dead-fragment', 'menu-without-landmark', 'page-not-marked', 'mark-only-visual', 'landmark-twice'],
]);

/** What has just been opened by a press of the mouse. */
export async function lookAtOpened(
  used: AuditedPage,
  toggle: FoundToggle,
  panel: OpenPanel | null,
  { shown }: ActionOutcome,
): Promise<void> {
  await readOpened(used, 'open', panel);
  const [moving] = used.isWanted(movesWithoutPause) ? await used.call('lastingMotions') : [];
  if (moving) await used.addFinding(movesWithoutPause, moving, { state: 'open' });
  if (!(await used.call('controlsShown', toggle.selector, shown))) {
    await used.addFinding(controlsSomethingElse, toggle, { state: 'open' });
  }
  if (used.isWanted(closesByItself) && (await used.call('hasLateTimers', longestClock))) {
    await used.call('untilTimersRan', longestClock);
    if (!(await used.call('isStillOpen', shown))) {
      used.note('wait');
      await used.addFinding(closesByItself, panel ?? toggle, { state: 'open' });
    }
  }
}

/** Where focus is once a key has opened something. */
export async function lookAtFocus(used: AuditedPage, toggle: FoundToggle, { shown }: ActionOutcome): Promise<void> {
  if (!used.isWanted(focusLostOnPress, focusThrown, dialogWithoutFocus)) return;
  const focused = await used.call('focused');
  if (!focused) {
    await used.addFinding(focusLostOnPress, toggle, { state: 'pressed by keyboard' });
    return;
  }
  if (shown.length === 0) return;
  const panel = await used.call('panelOf', toggle.selector, shown);
  const isInPanel = panel !== null && (await used.call('hasFocusIn', panel.selector, shown));
  const isOnToggle = await used.call('hasFocusIn', toggle.selector, []);
  if (panel?.isModal === true && !isInPanel) await used.addFinding(dialogWithoutFocus, panel, { state: 'open' });
  else if (!isInPanel && !isOnToggle && !(panel?.isDialog ?? false) && !focused.isAround) {
    await used.addFinding(focusThrown, toggle, { state: 'open', message: `It is on “${focused.selector}”.` });
  }
}

/** More of one panel are opened by the same rules. */
const mostNested = 5;

/** Opens what is closed within an open panel: what stands in there is in reach, too. */
export async function openNested(used: AuditedPage, panel: OpenPanel): Promise<void> {
  const nested = await used.call('nestedToggles', panel.selector);
  for (const toggle of nested.slice(0, mostNested)) {
    const outcome = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
    if (outcome === null || outcome.left) return;
    if (outcome.shown.length === 0) continue;
    const inner = await used.call('panelOf', toggle.selector, outcome.shown);
    used.options.onOpened(inner?.addresses ?? []);
    const { before, after } = outcome;
    if (before.expanded === 'false' && after.expanded === 'false') {
      await used.addFinding(toggleStateFrozen, toggle, { state: 'open, within what was opened' });
    }
    await readOpened(used, 'open, within what was opened', inner);
  }
}
