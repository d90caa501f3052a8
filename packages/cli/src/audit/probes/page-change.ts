import type { Page } from 'playwright-core';
import { isSamePage, type PageReport } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';
import { isHarmful } from '../../browser/harmful.ts';

export const changeUntold: Probe = {
  id: 'page-change-untold',
  title: 'Another page is shown, and nothing says so.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.3', '4.1.3'],
  hurts: 'People who listen to the page press a link, and hear nothing: as far as they can tell, it did nothing.',
  remedy: 'Move focus to the heading of the new page (tabindex="-1"), or say its title in a live region.',
  standard: 'WCAG 2.2, 4.1.3 Status Messages and 2.4.3 Focus Order',
};

export const titleStays: Probe = {
  id: 'title-stays',
  title: 'Another page is shown under the title of the last one.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.2'],
  hurts: 'Everybody with several tabs, people who listen to the page, and everybody who looks for it in their history.',
  remedy: 'Set document.title with each page.',
  standard: 'WCAG 2.2, 2.4.2 Page Titled',
};

export const addressStays: Probe = {
  id: 'address-stays',
  title: 'Another page is shown at the address of the last one.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  hurts: 'Everybody who loads it again, goes back, sends it to someone or keeps it: they get another page.',
  remedy: 'Give each page an address of its own, with history.pushState or by plain links.',
  standard: 'HTML standard, section 7.4 (navigation and session history)',
};

export const markStays: Probe = {
  id: 'mark-stays',
  title: 'Another page is shown, and the mark stays where it was.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.1'],
  hurts: 'Everybody who asks the menu where they are: it tells them wrong.',
  remedy: 'Set aria-current from the address, with each change of it.',
  standard: 'WAI-ARIA 1.2, section 6.6 (aria-current)',
};

export const backDoesNothing: Probe = {
  id: 'back-does-nothing',
  title: 'Back does not bring the last page back.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  hurts: 'Everybody: Back is the most pressed button there is.',
  remedy: 'Listen for popstate, and show the page of the address then.',
  standard: 'HTML standard, section 7.4.4 (history)',
};

export const reloadLosesPage: Probe = {
  id: 'reload-loses-page',
  title: 'The page is another one when it is loaded anew.',
  severity: 'error',
  certainty: 'sure',
  wcag: [],
  hurts: 'Everybody who loads it again, opens it in a new tab, or was sent its address.',
  remedy: 'Let the server answer each address with the page that the app shows for it.',
  standard: 'HTML standard, section 7.4 (navigation and session history)',
};

const probes = [changeUntold, titleStays, addressStays, markStays, backDoesNothing, reloadLosesPage];

/** Presses a link of the menu, as visitors do; what a one-page app makes of that is its own doing. */
async function attempt(used: AuditedPage): Promise<void> {
  if (!used.isWanted(...probes)) return;
  await used.reload();
  const { page } = used;
  const from = page.url();
  const link = await chosenLink(used, from);
  if (!link) return;
  const marker = `mark${Date.now()}`;
  await page.evaluate((name) => Object.assign(window, { [name]: true }), marker);
  await used.call('watch');
  const before = await used.call('snapshot', link.selector);
  const middle = await used.call('middleOf', link.selector);
  if (!middle) return;
  await page.mouse.click(...middle);
  await page.waitForTimeout(300);
  // A page that is not there in time can be told nothing of.
  if (!(await used.options.window.untilArrived())) return;
  await page.waitForLoadState('load', { timeout: 10_000 }).catch(() => undefined);
  const isSame = await page.evaluate((name) => name in window, marker).catch(() => false);
  // A new document is the browser's own doing: it tells of it, and goes back.
  if (!isSame) return;
  await used.options.window.settle();
  const after = await used.call('snapshot', link.selector);
  if (after.content === before.content) return;
  if (!isOtherAddress(after.url, before.url)) {
    await used.tell(addressStays, link, { state: 'after a page change' });
    return;
  }
  if (after.title === before.title && !(await isTitledLate(page, before.title))) {
    await used.tell(titleStays, link, { state: 'after a page change' });
  }
  await tellUntold(used, link, after.announced);
  await tellMark(used, link, before.url);
  await goBack(used, link, before);
  await loadAnew(used, link, after);
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
async function tellUntold(
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
  if (!isMoved && !isHeard) await used.tell(changeUntold, link, { state: 'after a page change' });
}

async function tellMark(
  used: AuditedPage,
  link: { readonly selector: string; readonly html: string; readonly href: string },
  before: string,
): Promise<void> {
  const { findings } = await used.call('report', { only: ['mark-on-another-page', 'looks-marked-elsewhere'] });
  const [frozen] = findings;
  if (!frozen) return;
  const isLikely = frozen.code !== 'mark-on-another-page';
  const message = `It is still on ${new URL(before).pathname}.`;
  await used.tell(markStays, frozen, { state: 'after a page change', message, isLikely });
}

async function goBack(
  used: AuditedPage,
  link: { readonly selector: string; readonly html: string },
  before: { readonly url: string; readonly content: string },
): Promise<void> {
  const { page } = used;
  await page.goBack({ waitUntil: 'load', timeout: 10_000 }).catch(() => null);
  await page.waitForTimeout(300);
  await used.options.window.settle();
  const back = await used.call('snapshot', link.selector);
  if (isOtherAddress(back.url, before.url)) {
    await used.tell(backDoesNothing, link, {
      state: 'after Back',
      message: `It came to ${new URL(back.url).pathname}.`,
    });
  } else if (back.content !== before.content) {
    await used.tell(backDoesNothing, link, {
      state: 'after Back',
      message: 'The address is the old one, and the page is not.',
    });
  }
}

async function loadAnew(
  used: AuditedPage,
  link: { readonly selector: string; readonly html: string },
  after: { readonly url: string; readonly content: string },
): Promise<void> {
  const { status } = await used.options.window.load(after.url);
  if (status >= 400) {
    await used.tell(reloadLosesPage, link, {
      state: 'after a reload',
      message: `${new URL(after.url).pathname} answers with status ${status}.`,
    });
    return;
  }
  const again = await used.call('snapshot', link.selector);
  if (again.content !== after.content) {
    const message = `It began with “${after.content.slice(0, 60)}”, and begins with “${again.content.slice(0, 60)}”.`;
    await used.tell(reloadLosesPage, link, { state: 'after a reload', message, isLikely: true });
  }
}

function isOtherAddress(one: string, other: string): boolean {
  return !isSamePage(new URL(one), new URL(other));
}

export const changingPage: Attempt = { name: 'page change', probes, attempt };
