import { isClosingName } from 'fair-trail/internal/audit';
import type { FoundToggle, OpenPanel, PageState } from 'fair-trail/internal/audit';
import type { AuditedPage } from '../audited-page.ts';
import type { Probe } from '../probe.ts';
import { focusOnUnseen, focusTrapped } from './focus-walk.ts';
import { toggleStateFrozen } from './toggle-states.ts';

export const toggleStaysOpen: Probe = {
  id: 'toggle-stays-open',
  title: 'Nothing closes what a button opened.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone: it covers the page until they leave it.',
  remedy: 'Close it on a second press and on Escape.',
  standard: 'ARIA Authoring Practices, disclosure pattern: keyboard interaction',
};

export const escapeIgnored: Probe = {
  id: 'escape-ignored',
  title: 'Escape does not close a panel that covers the page.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  affects: 'Keyboard users have to go back to the button, or through content that they cannot see.',
  remedy: 'Close it on Escape, and return focus to the button.',
  standard: 'ARIA Authoring Practices, disclosure navigation and dialog patterns: Escape',
};

export const focusLostOnClosing: Probe = {
  id: 'focus-lost-on-closing',
  title: 'Focus is lost when a panel closes.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3'],
  affects: 'Keyboard and screen reader users start again at the top of the page.',
  remedy: 'Return focus to the button that opened the panel.',
  standard: 'ARIA Authoring Practices, dialog pattern; WCAG 2.2, 2.4.3 Focus Order',
};

export const pageLeftInert: Probe = {
  id: 'page-left-inert',
  title: 'After a panel has closed, a part of the page stays inert or hidden from assistive technology.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1', '4.1.2'],
  affects: 'Keyboard and screen reader users cannot use the page until they reload it.',
  remedy: 'Remove inert and aria-hidden whenever the panel closes, with one function for all ways to close it.',
  standard: 'HTML standard, section 6.3 (inert); WAI-ARIA 1.2, section 6.6 (aria-hidden)',
};

export const scrollStaysLocked: Probe = {
  id: 'scroll-stays-locked',
  title: 'After a panel has closed, the page no longer scrolls.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone: content further down cannot be reached.',
  remedy: 'Restore scrolling whenever the panel closes.',
  standard: 'CSS Overflow 3, section 3 (overflow of the root element)',
};

export const coverStays: Probe = {
  id: 'backdrop-stays',
  title: 'After a panel has closed, an invisible layer blocks the page.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone: no link of the page can be pressed.',
  remedy: 'Remove the backdrop with the panel, or give it pointer-events: none while the panel is closed.',
  standard: 'CSS Basic User Interface 4, section 4.2 (pointer-events)',
};

export const toggleNeedsTwoPresses: Probe = {
  id: 'toggle-needs-two-presses',
  title: 'A button needs two presses after its panel was closed in another way.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone: the first press does nothing.',
  remedy: 'Keep a single open state, and update it in every way the panel closes.',
  standard: 'ARIA Authoring Practices, disclosure pattern',
};

export const toggleNameStale: Probe = {
  id: 'toggle-name-stale',
  title: 'The name of a button says that something is open that is closed.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.2'],
  affects: 'Screen reader and speech input users hear that the menu is open.',
  remedy:
    'Keep one name, such as "Menu", and let aria-expanded announce the state. Or change the name each time it closes, however it closes.',
  standard: 'WCAG 2.2, 4.1.2 Name, Role, Value; ARIA Authoring Practices, disclosure pattern',
};

export const closingProbes: readonly Probe[] = [
  toggleNameStale,
  toggleStaysOpen,
  escapeIgnored,
  focusLostOnClosing,
  pageLeftInert,
  scrollStaysLocked,
  coverStays,
  toggleNeedsTwoPresses,
];

/** A panel that a button has opened. */
export interface Opened {
  readonly toggle: FoundToggle;
  readonly panel: OpenPanel | null;
  /** What has come into sight with it, by number. */
  readonly shown: readonly number[];
  /** How the page was before. */
  readonly before: PageState;
}

interface ClosingWay {
  readonly name: string;
  /** False where it cannot be done. */
  readonly act: () => Promise<unknown>;
}

/** Closes a panel in each way that people try, opens it again in between, and looks at what each has left behind. */
export async function closeInEachWay(used: AuditedPage, opened: Opened): Promise<void> {
  if (!used.isWanted(...closingProbes, toggleStateFrozen, focusOnUnseen)) return;
  const { toggle, panel, shown } = opened;
  const isFloating = panel?.isFloating ?? false;
  const ways: readonly ClosingWay[] = [
    { name: 'Escape', act: () => pressEscape(used, opened) },
    { name: 'a second press', act: () => used.clickOn(toggle) },
    ...(isFloating ? [{ name: 'a press beside it', act: () => clickBeside(used, panel) }] : []),
    { name: 'its own button', act: () => pressOwn(used, panel, 'closeButtonIn') },
    { name: 'a link to a place on this page', act: () => pressOwn(used, panel, 'placeLinkIn') },
  ];
  let closedBy: string | null = null;
  let isEverClosed = false;
  let couldTry = true;
  for (const { name, act } of ways) {
    // What is not there needs no panel that is open again.
    if (!(await canTry(used, opened, name))) continue;
    if (closedBy !== null && !(await isReopened(used, opened, closedBy))) return;
    const outcome = await used.whatHappens(toggle.selector, act);
    if (outcome?.left === true) return;
    if (outcome === null) {
      // The toggle lies under what it opened: something in there closes it, or nothing does.
      couldTry &&= name !== 'a second press';
      closedBy = null;
      continue;
    }
    const isClosed = !(await used.call('isStillOpen', shown));
    closedBy = isClosed ? name : null;
    isEverClosed ||= isClosed;
    if (isClosed) await lookBehind(used, opened, name);
    else if (name === 'Escape' && isFloating && (panel?.hidesContent ?? false)) {
      await used.addFinding(escapeIgnored, toggle, { state: 'open' });
    }
  }
  if (!isEverClosed && isFloating && couldTry) await used.addFinding(toggleStaysOpen, toggle, { state: 'open' });
}

/** Whether a panel has what a way needs: asked before it is opened again. */
async function canTry(used: AuditedPage, { panel }: Opened, name: string): Promise<boolean> {
  if (name === 'its own button') return panel !== null && (await used.call('closeButtonIn', panel.selector)) !== null;
  if (name === 'a link to a place on this page') {
    return panel !== null && (await used.call('placeLinkIn', panel.selector)) !== null;
  }
  return true;
}

/** From within, as people with a keyboard do. */
async function pressEscape(used: AuditedPage, { toggle, panel }: Opened): Promise<void> {
  if (!panel?.hasFocus) {
    await used.focusOn(toggle);
    await used.press('Tab');
  }
  await used.press('Escape');
}

/** The button in a panel that closes it, or a link in it that leaves the page where it is; false if there is none. */
async function pressOwn(
  used: AuditedPage,
  panel: OpenPanel | null,
  which: 'closeButtonIn' | 'placeLinkIn',
): Promise<boolean> {
  const place = panel && (await used.call(which, panel.selector));
  return place !== null && (await used.clickOn(place));
}

async function clickBeside(used: AuditedPage, panel: OpenPanel | null): Promise<boolean> {
  const point = await used.call('emptyPoint', panel?.selector ?? null);
  if (!point) return false;
  used.note('click beside it');
  await used.page.mouse.click(...point);
  return true;
}

async function isReopened(used: AuditedPage, { toggle, shown }: Opened, closedBy: string): Promise<boolean> {
  const again = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
  if (again === null || again.left) return false;
  if (await used.call('isStillOpen', shown)) return true;
  // What is drawn again each time has other elements: those count as well.
  if (again.shown.length > 0) return false;
  const third = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
  if (third && !third.left && ((await used.call('isStillOpen', shown)) || third.shown.length > 0)) {
    await used.addFinding(toggleNeedsTwoPresses, toggle, { state: `closed by ${closedBy}` });
  }
  return false;
}

/** What a panel has left behind. */
async function lookBehind(used: AuditedPage, { toggle, shown, before }: Opened, name: string): Promise<void> {
  const state = `closed by ${name}`;
  const { expanded } = await used.call('snapshot', toggle.selector);
  if (expanded === 'true') await used.addFinding(toggleStateFrozen, toggle, { state });
  if (name === 'Escape' && (await used.call('focused')) === null) {
    await used.addFinding(focusLostOnClosing, toggle, { state });
  }
  if (name === 'Escape' && (await used.call('hasFocusIn', toggle.selector, []))) await reportTrap(used, toggle, state);
  const reported = await used.call('exposedAs', toggle.selector);
  if (reported && isClosingName(reported.name)) {
    await used.addFinding(toggleNameStale, toggle, { state, message: `It is called “${reported.name}”.` });
  }
  await reportLeftovers(used, toggle, { before, shown, state });
  const [stop] = await used.call('unseenStops', shown);
  if (stop) await used.addFinding(focusOnUnseen, stop, { state });
}

/** Whether Tab goes on from the button now that nothing is open. */
async function reportTrap(used: AuditedPage, toggle: FoundToggle, state: string): Promise<void> {
  if (!used.isWanted(focusTrapped)) return;
  const from = await used.call('focused');
  await used.press('Tab');
  await used.call('rest');
  const to = await used.call('focused');
  if (from && to?.number === from.number) {
    await used.addFinding(focusTrapped, toggle, { state, message: 'Tab stays on the button.' });
  } else await used.call('focusOn', toggle.selector);
}

/** What is otherwise of the page than before something was opened in it. */
export async function reportLeftovers(
  used: AuditedPage,
  toggle: FoundToggle,
  { before, shown, state }: { readonly before: PageState; readonly shown: readonly number[]; readonly state: string },
): Promise<void> {
  const now = await used.call('pageState');
  const hidden = await used.call('leftHidden', before.hidden, shown);
  if (hidden) await used.addFinding(pageLeftInert, hidden, { state });
  else if (now.isDeaf && !before.isDeaf) {
    await used.addFinding(pageLeftInert, toggle, { state, message: 'The page has pointer-events: none.' });
  }
  if (now.isLocked && !before.isLocked) await used.addFinding(scrollStaysLocked, toggle, { state });
  const [cover] = now.covers.filter((number) => !before.covers.includes(number));
  const place = cover === undefined ? null : await used.call('elementNamed', cover);
  if (place) await used.addFinding(coverStays, place, { state });
}
