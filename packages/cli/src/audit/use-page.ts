import type { AuditFinding, PageSnapshot } from 'fair-trail/audit';
import type { Page } from 'playwright-core';
import type { Findings } from './audit-report.ts';
import { focusOnUnseen, toggleDoesNothing, toggleMouseOnly, toggleStateFrozen, type Probe } from './probes.ts';

/** A page that is open, and where what is found on it goes. */
export interface UsedPage {
  readonly page: Page;
  readonly url: string;
  readonly width: number;
  readonly findings: Findings;
  readonly isWanted: (rule: string) => boolean;
  /** Loads it anew. */
  readonly reload: () => Promise<void>;
}

/** More stops than that are no navigation any more. */
const mostStops = 120;

/** Time for what a press has begun to be seen, in milliseconds. */
const settling = 450;

/** Goes through the page by Tab, and looks whether each stop can be seen. */
export async function walkByTab({ page, url, width, findings, isWanted }: UsedPage): Promise<void> {
  if (!isWanted(focusOnUnseen.id)) return;
  const known = new Set<string>();
  for (let stop = 0; stop < mostStops; stop += 1) {
    await page.keyboard.press('Tab');
    let focused = await page.evaluate(() => window.fairTrailAudit?.focused() ?? null);
    if (!focused || known.has(focused.selector)) return;
    if (!focused.seen) {
      // What comes into sight because it has focus may take a moment.
      await page.waitForTimeout(settling);
      focused = await page.evaluate(() => window.fairTrailAudit?.focused() ?? null);
      if (!focused) return;
    }
    known.add(focused.selector);
    if (!focused.seen) add(findings, focusOnUnseen, focused, { page: url, width, state: 'focus' });
  }
  findings.leaveOut(focusOnUnseen.id, url, `The page has more than ${mostStops} stops; those after are not tried.`);
}

/** Presses what says that it opens something, by mouse and by keyboard. */
export async function pressToggle(used: UsedPage, selector: string): Promise<void> {
  const { page, url, width, findings, isWanted } = used;
  const html = await page.evaluate((at) => document.querySelector(at)?.outerHTML.slice(0, 300) ?? '', selector);
  const where = { page: url, width, state: 'pressed' };
  const byMouse = await whatHappens(used, selector, async () => {
    await page.locator(selector).click({ timeout: 2000, noWaitAfter: true });
  });
  if (byMouse === null) {
    findings.leaveOut(
      toggleDoesNothing.id,
      url,
      `“${selector}” could not be pressed: something lies over it, or it moves.`,
    );
    return;
  }
  if (byMouse.left) return;
  if (!byMouse.changed) {
    if (isWanted(toggleDoesNothing.id)) add(findings, toggleDoesNothing, { selector, html }, where);
    return;
  }
  if (byMouse.shown > 0 && byMouse.expanded === 'false' && isWanted(toggleStateFrozen.id)) {
    add(findings, toggleStateFrozen, { selector, html }, where);
  }
  if (!isWanted(toggleMouseOnly.id)) return;
  for (const key of ['Enter', 'Space']) {
    await used.reload();
    const byKey = await whatHappens(used, selector, async () => {
      await page.locator(selector).focus({ timeout: 2000 });
      await page.keyboard.press(key);
    });
    if (byKey === null || byKey.left || byKey.changed) return;
  }
  add(findings, toggleMouseOnly, { selector, html }, where);
}

interface Happening {
  /** Whether the page was left for another one. */
  readonly left: boolean;
  readonly changed: boolean;
  /** How many links and controls are to be seen that were not. */
  readonly shown: number;
  readonly expanded: string | null;
}

/** What an act does to the page; null where it cannot be done. */
async function whatHappens({ page }: UsedPage, selector: string, act: () => Promise<void>): Promise<Happening | null> {
  const look = () => page.evaluate((at) => window.fairTrailAudit?.snapshot(at) ?? null, selector);
  try {
    await page.evaluate(() => window.fairTrailAudit?.watch());
    const before = await look();
    await act();
    await page.waitForTimeout(settling);
    const after = await look();
    // Another page has another script, or none.
    const isSamePage = before !== null && after !== null && before.url === after.url;
    return isSamePage ? compare(before, after) : { left: true, changed: true, shown: 0, expanded: null };
  } catch (error) {
    if (error instanceof Error && /navigat|context was destroyed/iu.test(error.message)) {
      return { left: true, changed: true, shown: 0, expanded: null };
    }
    return null;
  }
}

function compare(before: PageSnapshot, after: PageSnapshot): Happening {
  const known = new Set(before.drawn);
  const shown = after.drawn.filter((selector) => !known.has(selector)).length;
  const isSame = before.drawn.length === after.drawn.length && shown === 0;
  return {
    left: false,
    changed: !isSame || after.changes > before.changes || before.expanded !== after.expanded,
    shown,
    expanded: after.expanded,
  };
}

function add(
  findings: Findings,
  { id, severity, certainty, wcag, title, fix }: Probe,
  element: Pick<AuditFinding, 'selector' | 'html'>,
  where: { readonly page: string; readonly width: number; readonly state: string },
): void {
  const { selector, html } = element;
  findings.add({ rule: id, severity, certainty, wcag, selector, html, message: title, fix }, where);
}
