import type { Page } from 'playwright-core';
import { isSamePage, type PageReport } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';
import { isHarmful } from '../../browser/harmful.ts';
import { coverStays, pageLeftInert, scrollStaysLocked, reportLeftovers } from './closing.ts';
import { toggleStateFrozen } from './toggle-states.ts';

export const changeUntold: Probe = {
  id: 'page-change-unannounced',
  title: 'A page change is not announced.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3', '4.1.3'],
  affects: 'Screen reader users follow a link and hear nothing: to them it did nothing.',
  remedy: 'Move focus to the heading of the new page (tabindex="-1"), or announce its title in a live region.',
  standard: 'WCAG 2.2, 4.1.3 Status Messages and 2.4.3 Focus Order',
};

export const titleStays: Probe = {
  id: 'title-stays',
  title: 'The title does not change with the page.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.2'],
  affects: 'Everyone with several tabs, screen reader users, and everyone who looks for the page in their history.',
  remedy: 'Set document.title on each page change.',
  standard: 'WCAG 2.2, 2.4.2 Page Titled',
};

export const addressStays: Probe = {
  id: 'address-stays',
  title: 'The address does not change with the page.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who reloads, goes back, shares or bookmarks the page gets another one.',
  remedy: 'Give each page its own address, with history.pushState or plain links.',
  standard: 'HTML standard, section 7.4 (navigation and session history)',
};

export const markStays: Probe = {
  id: 'mark-stays',
  title: 'The mark does not move with the page.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1'],
  affects: 'Everyone who looks at the menu to see where they are is misled.',
  remedy: 'Set aria-current from the address on each page change.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-current)',
};

export const backDoesNothing: Probe = {
  id: 'back-does-nothing',
  title: 'Back does not return to the last page.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone: Back is the most used button of a browser.',
  remedy: 'Listen for popstate, and show the page of the address.',
  standard: 'HTML standard, section 7.4.4 (history)',
};

export const reloadLosesPage: Probe = {
  id: 'reload-loses-page',
  title: 'A reload shows another page.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone who reloads, opens a link in a new tab, or follows a shared address.',
  remedy: 'Answer each address on the server with the page that the app shows for it.',
  standard: 'HTML standard, section 7.4 (navigation and session history)',
};

export const scrollStays: Probe = {
  id: 'scroll-stays',
  title: 'A new page starts at the scroll position of the last one.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3'],
  affects: 'Everyone starts reading in the middle and does not see the heading.',
  remedy: 'Scroll to the top on each page change, and restore the position on Back.',
  standard: 'HTML standard, section 7.4.4 (scroll restoration)',
};

export const panelStaysOpen: Probe = {
  id: 'panel-stays-open',
  title: 'A panel stays open after one of its links was followed.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone: the panel covers the page that they have reached.',
  remedy: 'Close the panel when one of its links is followed.',
  standard: 'ARIA Authoring Practices, disclosure navigation',
};

export const markWrongAfterBack: Probe = {
  id: 'mark-wrong-after-back',
  title: 'After Back, a menu marks the page that was left.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Everyone who goes back: the menu names the wrong page.',
  remedy: 'Set aria-current from the address whenever it changes, including on popstate.',
  standard: 'HTML standard, section 7.4.4 (traversal); WAI-ARIA 1.2, section 6.6 (aria-current)',
};

export const titleWrongAfterBack: Probe = {
  id: 'title-wrong-after-back',
  title: 'After Back, the page has the title of the page that was left.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.2'],
  affects: 'Everyone with several tabs, and screen reader users.',
  remedy: 'Set document.title on each page change, including on popstate.',
  standard: 'WCAG 2.2, 2.4.2 Page Titled; HTML standard, section 7.4.4 (traversal)',
};

export const stateWrongAfterBack: Probe = {
  id: 'state-wrong-after-back',
  title: 'After Back, the announced state of a menu differs from what is shown.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users, and everyone whose page is covered by a menu that they had left.',
  remedy: 'Close open menus on each page change, in either direction, and update aria-expanded.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-expanded); HTML standard, section 7.4.4 (traversal)',
};

const probes = [
  changeUntold,
  titleStays,
  addressStays,
  markStays,
  backDoesNothing,
  reloadLosesPage,
  scrollStays,
  panelStaysOpen,
  markWrongAfterBack,
  titleWrongAfterBack,
  stateWrongAfterBack,
  ...[pageLeftInert, scrollStaysLocked, coverStays, toggleStateFrozen],
];

/** Presses a link of the menu, as visitors do; what a one-page app makes of that is its own doing. */
async function attempt(used: AuditedPage): Promise<void> {
  if (!used.isWanted(...probes)) return;
  const isOneDocument = await changePage(used);
  // In a window of many documents, what is open is gone with the page.
  if (isOneDocument === false) return;
  await changeFromBelow(used);
  await changeFromPanel(used);
}

/** Whether the app shows its pages in one document; null if there is no link to try it by. */
async function changePage(used: AuditedPage): Promise<boolean | null> {
  await used.reload();
  const { page } = used;
  const from = page.url();
  const link = await chosenLink(used, from);
  if (!link) return null;
  const marker = `mark${Date.now()}`;
  await page.evaluate((name) => Object.assign(window, { [name]: true }), marker);
  await used.call('watch');
  const before = await used.call('snapshot', link.selector);
  // From further down, so that it can be seen where the next page begins.
  const scrolled = await used.call('scrollDown', link.selector);
  if (!(await used.clickOn(link))) return false;
  await page.waitForTimeout(100);
  // Nothing can be reported of a page that does not load in time.
  if (!(await used.options.window.untilArrived())) return false;
  await page.waitForLoadState('load', { timeout: 10_000 }).catch(() => undefined);
  const isSame = await page.evaluate((name) => name in window, marker).catch(() => false);
  // A new document is the browser's own doing: it tells of it, and goes back.
  if (!isSame) return false;
  await used.options.window.settle();
  const after = await used.call('snapshot', link.selector);
  if (after.content === before.content) return false;
  if (!isOtherAddress(after.url, before.url)) {
    await used.addFinding(addressStays, link, { state: 'after a page change' });
    return true;
  }
  if (after.title === before.title && !(await isTitledLate(page, before.title))) {
    await used.addFinding(titleStays, link, { state: 'after a page change' });
  }
  const at = await used.call('scrollTop');
  if (scrolled > 100 && at >= scrolled - 20) {
    await used.addFinding(scrollStays, link, {
      state: 'after a page change',
      message: `It is scrolled to ${Math.round(at)} px.`,
    });
  }
  await reportUntold(used, link, after.announced);
  await reportMark(used, link, before.url);
  await goBack(used, link, before);
  await loadAnew(used, link, after);
  return true;
}

/** Follows a link far down the page: the next one should begin at its top. */
async function changeFromBelow(used: AuditedPage): Promise<void> {
  if (!used.isWanted(scrollStays)) return;
  await used.reload();
  const link = await used.call('lowLink');
  if (!link || isHarmful(new URL(link.href), link.html)) return;
  const before = await used.call('before', link.selector);
  if (!(await used.clickOn(link))) return;
  const scrolled = await used.call('scrollTop').catch(() => 0);
  await used.page.waitForTimeout(100);
  if (!(await used.options.window.untilArrived())) return;
  const after = await used.call('after', link.selector).catch(() => null);
  if (!after || after.content === before.content || !isOtherAddress(after.url, before.url)) return;
  const at = await used.call('scrollTop');
  if (scrolled > 100 && at >= scrolled - 20) {
    await used.addFinding(scrollStays, link, {
      state: 'after a page change',
      message: `It is scrolled to ${Math.round(at)} px.`,
    });
  }
}

/** How long is waited for a title that comes later than the page, in milliseconds. */
const titleWait = 1500;

async function isTitledLate(page: Page, title: string): Promise<boolean> {
  const isOther = page.waitForFunction((last) => document.title !== last, title, { timeout: titleWait });
  return isOther.then(
    () => true,
    () => false,
  );
}

async function chosenLink(
  used: AuditedPage,
  from: string,
): Promise<PageReport['menus'][number]['links'][number] | null> {
  for (const menu of used.report.menus) {
    for (const link of menu.links) {
      if (!link.isDrawn || link.label === '' || !URL.canParse(link.href)) continue;
      const url = new URL(link.href);
      const isOwn = url.origin === new URL(from).origin;
      if (!isOwn || !isOtherAddress(link.href, from) || isHarmful(url, link.label)) continue;
      const middle = await used.call('middleOf', link.selector);
      const isOnTop = middle !== null && (await used.call('coverOf', link.selector)) === null;
      if (isOnTop) return link;
    }
  }
  return null;
}

/** Heard, or focus in what is new. A press leaves focus on the link itself. */
async function reportUntold(
  used: AuditedPage,
  link: { readonly selector: string; readonly html: string },
  isAnnounced: boolean,
): Promise<void> {
  if (isAnnounced || !used.isWanted(changeUntold)) return;
  await used.page.waitForTimeout(500);
  const isMoved = await used.page.evaluate(() => {
    const active = document.activeElement;
    const isNowhere = !active || active === document.body;
    return !isNowhere && active.closest('a[href], button, nav, [role="navigation"]') === null;
  });
  const isHeard = (await used.call('snapshot', link.selector)).announced;
  if (!isMoved && !isHeard) await used.addFinding(changeUntold, link, { state: 'after a page change' });
}

async function reportMark(
  used: AuditedPage,
  link: { readonly selector: string; readonly html: string; readonly href: string },
  before: string,
): Promise<void> {
  const { findings } = await used.call('report', { only: ['mark-on-another-page', 'looks-marked-elsewhere'] });
  const [frozen] = findings;
  if (!frozen) return;
  const isLikely = frozen.code !== 'mark-on-another-page';
  const message = `It is still on ${new URL(before).pathname}.`;
  await used.addFinding(markStays, frozen, { state: 'after a page change', message, isLikely });
}

async function goBack(
  used: AuditedPage,
  link: { readonly selector: string; readonly html: string },
  before: { readonly url: string; readonly content: string; readonly title: string },
): Promise<void> {
  const { page } = used;
  used.note('go back');
  await page.goBack({ waitUntil: 'load', timeout: 10_000 }).catch(() => null);
  await page.waitForTimeout(100);
  await used.options.window.settle();
  const back = await used.call('snapshot', link.selector);
  if (isOtherAddress(back.url, before.url)) {
    await used.addFinding(backDoesNothing, link, {
      state: 'after Back',
      message: `It came to ${new URL(back.url).pathname}.`,
    });
  } else if (back.content !== before.content) {
    await used.addFinding(backDoesNothing, link, {
      state: 'after Back',
      message: 'The address is the old one, and the page is not.',
    });
  } else await lookAtBack(used, link, before, back);
}

/** The page is the old one again: its title and its marks should be, too. */
async function lookAtBack(
  used: AuditedPage,
  link: { readonly selector: string; readonly html: string },
  before: { readonly title: string },
  back: { readonly title: string },
): Promise<void> {
  if (back.title !== before.title) {
    await used.addFinding(titleWrongAfterBack, link, { state: 'after Back', message: `It is “${back.title}”.` });
  }
  const { findings } = await used.call('findings', { only: [...ofMarks, ...ofStates] });
  const known = new Set(used.report.findings.map(({ code, selector }) => `${code} ${selector}`));
  for (const finding of findings) {
    if (known.has(`${finding.code} ${finding.selector}`)) continue;
    const isMark = ofMarks.includes(finding.code);
    await used.addFinding(isMark ? markWrongAfterBack : stateWrongAfterBack, finding, {
      state: 'after Back',
      isLikely: finding.certainty === 'likely',
    });
  }
}

const ofMarks = [
  'mark-on-another-page',
  'looks-marked-elsewhere',
  'several-current-pages',
  'hidden-text-marks-elsewhere',
];
const ofStates = ['toggle-state-wrong', 'toggle-announces-closed', 'visible-not-exposed'];

/** Follows a link from within an open panel: what the panel has done to the page should be undone. */
async function changeFromPanel(used: AuditedPage): Promise<void> {
  const toggle = used.report.toggles.find(({ kind, isOpen }) => (kind === 'stated' || kind === 'named') && !isOpen);
  if (!toggle || !used.isWanted(panelStaysOpen, pageLeftInert, scrollStaysLocked, coverStays, stateWrongAfterBack))
    return;
  await used.reload();
  const before = await used.call('pageState');
  const opened = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
  if (!opened || opened.left || opened.shown.length === 0) return;
  const panel = await used.call('panelOf', toggle.selector, opened.shown);
  const from = used.page.url();
  const link = panel?.links.find(({ href, html }) => {
    const isOther = URL.canParse(href) && new URL(href).origin === new URL(from).origin && isOtherAddress(href, from);
    return isOther && !isHarmful(new URL(href), html);
  });
  if (!panel || !link || !(await used.clickOn(link))) return;
  await used.page.waitForTimeout(100);
  if (!(await used.options.window.untilArrived())) return;
  const isSame = await used.call('isRemembered').catch(() => false);
  if (!isSame) return;
  await used.options.window.settle();
  const after = await used.call('snapshot', toggle.selector);
  if (!isOtherAddress(after.url, from)) return;
  const state = 'after a link of the panel was followed';
  if (await used.call('isStillOpen', opened.shown)) {
    const now = await used.call('panelOf', toggle.selector, opened.shown);
    if (now?.isFloating === true && (now.hidesContent || now.isOverlay))
      await used.addFinding(panelStaysOpen, panel, { state });
  } else {
    await reportLeftovers(used, toggle, { before, shown: opened.shown, state });
    if (after.expanded === 'true' && opened.before.expanded === 'false') {
      await used.addFinding(toggleStateFrozen, toggle, { state });
    }
  }
  used.note('go back');
  await used.page.goBack({ waitUntil: 'load', timeout: 10_000 }).catch(() => null);
  await used.page.waitForTimeout(100);
  await used.options.window.settle();
  await reportLeftovers(used, toggle, { before, shown: opened.shown, state: 'after Back' });
}

async function loadAnew(
  used: AuditedPage,
  link: { readonly selector: string; readonly html: string },
  after: { readonly url: string; readonly content: string },
): Promise<void> {
  used.note('reload the page');
  const { status } = await used.options.window.load(after.url);
  if (status >= 400) {
    await used.addFinding(reloadLosesPage, link, {
      state: 'after a reload',
      message: `${new URL(after.url).pathname} answers with status ${status}.`,
    });
    return;
  }
  const again = await used.call('snapshot', link.selector);
  if (again.content !== after.content) {
    const message = `It began with “${after.content.slice(0, 60)}”, and begins with “${again.content.slice(0, 60)}”.`;
    await used.addFinding(reloadLosesPage, link, { state: 'after a reload', message, isLikely: true });
  }
}

function isOtherAddress(one: string, other: string): boolean {
  return !isSamePage(new URL(one), new URL(other));
}

export const changingPage: Attempt = {
  isPossible: ({ report }) => report.menus.length + report.hiddenMenus.length > 0,
  name: 'page change',
  probes,
  attempt,
};
