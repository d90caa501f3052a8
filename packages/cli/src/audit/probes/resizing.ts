import type { Attempt } from '../attempt.ts';
import type { AuditedPage } from '../audited-page.ts';
import type { Probe } from '../probe.ts';
import { coverStays, pageLeftInert, scrollStaysLocked, reportLeftovers } from './closing.ts';

export const menuLostByResizing: Probe = {
  id: 'menu-lost-by-resizing',
  title: 'After the narrow menu was used, a wide window no longer shows its links.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.10'],
  affects: 'Everyone who turns a tablet, or zooms in and out: the menu is gone until they reload the page.',
  remedy: 'Hide the narrow menu with a class or an attribute that the stylesheet uses only in narrow windows.',
  standard: 'WCAG 2.2, 1.4.10 Reflow; Media Queries 5',
};

export const stateAfterResizing: Probe = {
  id: 'state-after-resizing',
  title: 'After the window was resized, a button announces a state that is not shown.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users who turn a tablet or zoom.',
  remedy: 'Keep a single open state. Do not change it by width, or update the announced state with it.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded)',
};

const wide = 1280;

/** The states that buttons announce, against what is shown. */
const ofStates = ['toggle-state-wrong', 'toggle-announces-closed'];

/** Opens the menu of the narrow window, makes the window wide and narrow again, and looks at what is left. */
async function attempt(used: AuditedPage): Promise<void> {
  const height = used.size.height;
  const { width } = used;
  const toggle = used.report.toggles.find(({ kind }) => kind === 'stated' || kind === 'named');
  if (!used.options.isNarrowest || width >= wide || !toggle || !used.options.isNew(`resize ${toggle.fingerprint}`))
    return;
  await used.reload();
  await used.resize(wide, height);
  await used.reload();
  const links = await used.call('shownAddresses');
  const untouched = await used.call('findings', { only: ofStates });
  for (const isClosedFirst of [false, true]) {
    await used.resize(width, height);
    await used.reload();
    const before = await used.call('pageState');
    const opened = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
    if (!opened || opened.left || opened.shown.length === 0) break;
    if (isClosedFirst) {
      const closed = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
      if (!closed || closed.left) break;
    }
    await used.resize(wide, height);
    const state = isClosedFirst ? 'opened, closed and made wide' : 'opened and made wide';
    const shown = new Set((await used.call('shownAddresses')).map(({ href }) => href));
    const lost = links.filter(({ href }) => !shown.has(href));
    const [first] = lost;
    // While it is open, a modal menu may well hide everything else.
    if (isClosedFirst && first && lost.length >= 2) {
      await used.addFinding(menuLostByResizing, first, { state, message: `${lost.length} links are gone.` });
    }
    const isGone = (await used.call('middleOf', toggle.selector)) === null;
    const isStillOpen = await used.call('isStillOpen', opened.shown);
    if (!isClosedFirst && isGone && !isStillOpen)
      await reportLeftovers(used, toggle, { before, shown: opened.shown, state });
    const now = await used.call('findings', { only: ofStates });
    const wrong = now.findings.find(({ selector }) => !untouched.findings.some((one) => one.selector === selector));
    if (wrong) await used.addFinding(stateAfterResizing, wrong, { state, isLikely: wrong.certainty === 'likely' });
    if (isClosedFirst) continue;
    await used.resize(width, height);
    const again = await used.call('findings', { only: ofStates });
    const [stale] = again.findings.filter(
      (one) => !used.report.findings.some(({ selector }) => selector === one.selector),
    );
    if (stale) {
      const isLikely = stale.certainty === 'likely';
      await used.addFinding(stateAfterResizing, stale, { state: 'opened, made wide and narrow again', isLikely });
    }
  }
  await used.page.setViewportSize({ width, height });
  await used.reload();
}

export const resizing: Attempt = {
  isPossible: ({ report, options }) =>
    options.isNarrowest && report.toggles.some(({ kind }) => kind === 'stated' || kind === 'named'),
  name: 'resizing',
  probes: [menuLostByResizing, stateAfterResizing, pageLeftInert, scrollStaysLocked, coverStays],
  attempt,
};
