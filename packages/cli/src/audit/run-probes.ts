import type { PageReport } from 'fair-trail/internal/audit';
import type { Browser } from 'playwright-core';
import type { Findings } from './audit-report.ts';
import { isWanted, type AuditSettings } from './audit-settings.ts';
import { AuditWindow, type PageLoad, type Way } from './audit-window.ts';
import { rulesLeftOut } from './missing-parts.ts';
import type { Probe } from './probe.ts';
import { narrowMenuLacks, type Comparison, type Difference } from './probes/across.ts';
import { attempts } from './probes/all-probes.ts';
import { againstSite } from './probes/site-map.ts';
import type { Tried } from './tried.ts';
import { AuditedPage } from './audited-page.ts';
import { reasonOf } from '../printable.ts';

/** What all pages of one audit share. */
export interface SharedByPages {
  readonly browser: Browser;
  readonly settings: AuditSettings;
  readonly way: Way;
  readonly findings: Findings;
  readonly comparison: Comparison;
  readonly tried: Tried;
}

/** One page, open at one width. */
export interface OpenPage {
  readonly shared: SharedByPages;
  readonly window: AuditWindow;
  readonly url: string;
  /** What was read of it before anything was done to it. */
  readonly report: PageReport;
  readonly loaded: PageLoad;
}

/** Menus of one page alone, such as breadcrumbs, are used on so many pages at each width. */
const mostAlike = 2;
/** Attempts that walk through the whole page, and therefore where a menu of it is new; all others ask for themselves what is. */
const ofWholePage: ReadonlySet<string> = new Set(['focus', 'fit', 'page change', 'lists of choices']);

/** Tells what was read of a page, and tries what is new on it at this width. */
export async function usePage(open: OpenPage): Promise<void> {
  const { shared, url, report, window } = open;
  const { settings, findings, comparison } = shared;
  const { width } = window.conditions;
  const used = usedPage(open);
  for (const finding of report.findings) {
    await used.tell(described(finding), finding, { state: 'rest' });
  }
  for (const { rule, reason } of report.notChecked) findings.leaveOut(rule, url, reason);
  const differences = [
    ...comparison.add(report, url, width),
    ...(settings.site ? againstSite(settings.site, report, url, width) : []),
  ];
  for (const difference of differences) await tellDifference(used, difference);
  await readFrames(used, open);
  await tryWhatIsNew(used, open);
}

async function tryWhatIsNew(used: AuditedPage, { shared, window, url, report }: OpenPage): Promise<void> {
  const { tried, findings } = shared;
  const { width } = window.conditions;
  const other = report.menus.filter(({ fingerprint }) => tried.isNew(width, fingerprint));
  const fresh = other.filter(({ likeness }) => tried.isRare(width, likeness, mostAlike));
  if (other.length > fresh.length) {
    const reason = `Menus that are made like those of ${mostAlike} other pages are read, and not used.`;
    findings.leaveOut('*', url, reason);
  }
  // A page without any menu may still have what is to be tried; one of them.
  const isBare = report.menus.length === 0 && tried.isNew(width, 'no menu');
  const isWholePageNew = fresh.length > 0 || isBare;
  if (!isWholePageNew && !hasFreshParts(report, (name) => !tried.has(width, name))) return;
  for (const { name, probes, attempt } of attempts) {
    // What toggles open is asked for by the comparison of widths too.
    const isAsked = used.isWanted(...probes) || (name === 'toggles' && used.isWanted(narrowMenuLacks));
    if (!isAsked || (!isWholePageNew && ofWholePage.has(name))) continue;
    await tryOnce(used, name, probes, attempt);
    if (window.isLost) throw new Error('the page has crashed');
  }
}

/** One attempt that fails must not cost the others. */
async function tryOnce(
  used: AuditedPage,
  name: string,
  probes: readonly Probe[],
  attempt: (used: AuditedPage) => Promise<void>,
): Promise<void> {
  try {
    await attempt(used);
  } catch (error) {
    const reason = reasonOf(error);
    for (const probe of probes) used.leaveOut(probe, `Trying the page (${name}) failed: ${reason}`);
    if (reason === 'the page hangs') throw error;
  }
}

function hasFreshParts(
  { toggles, tablists, skipLinks, hoverTriggers }: PageReport,
  isFresh: (name: string) => boolean,
): boolean {
  const names = [
    ...[...toggles, ...tablists, ...hoverTriggers].map(({ fingerprint }) => fingerprint),
    ...skipLinks.map(({ html, target }) => `skip ${html} ${target}`),
  ];
  return names.some(isFresh);
}

function usedPage({ shared, window, url, report, loaded }: OpenPage): AuditedPage {
  const { browser, settings, way, findings, comparison, tried } = shared;
  const { widths, hasPictures = false } = settings;
  const { width } = window.conditions;
  const isHeld = leaveOutMissing(shared, url, loaded);
  return new AuditedPage({
    window,
    url,
    report,
    findings,
    isWanted: (rule) => isWanted(settings, rule) && isHeld(rule),
    isNew: (name) => tried.isNew(width, name),
    isRare: (likeness, most) => tried.isRare(width, likeness, most),
    isNarrowest: width === Math.min(...widths),
    isWidest: width === Math.max(...widths),
    hasPictures,
    onOpened: (addresses) => comparison.opened(addresses, width),
    openOther: async (conditions) => {
      const other = await AuditWindow.open(browser, way, { ...window.conditions, ...conditions });
      await other.load(url);
      return other;
    },
  });
}

/** Which rules a page can be held to, as far as what it asked for has come. */
function leaveOutMissing(
  { settings, findings }: SharedByPages,
  url: string,
  { missing }: PageLoad,
): (rule: string) => boolean {
  const notAsItIs = rulesLeftOut(missing);
  for (const rule of notAsItIs) {
    if (!isWanted(settings, rule)) continue;
    const reason = 'A script or stylesheet of the page was not loaded: the audit asks no other origin for anything.';
    findings.leaveOut(rule, url, reason);
  }
  return (rule) => !notAsItIs.has(rule);
}

/** What is in frames of the same origin is read, and not used. */
async function readFrames(used: AuditedPage, { shared, window: { page } }: OpenPage): Promise<void> {
  const frames = page.frames().filter((frame) => frame !== page.mainFrame());
  for (const frame of frames.slice(0, 10)) {
    if (!URL.canParse(frame.url()) || new URL(frame.url()).origin !== shared.way.origin) continue;
    const report = await frame.evaluate(() => window.fairTrailAudit?.report({}) ?? null).catch(() => null);
    for (const finding of report?.findings ?? []) {
      const place = { selector: `iframe >>> ${finding.selector}`, html: finding.html };
      await used.tell(described(finding), place, { state: 'rest, in a frame' });
    }
    if ((report?.menus.length ?? 0) > 0) {
      shared.findings.leaveOut('*', frame.url(), 'What is in a frame is read, and not used.');
    }
  }
}

/** What is read is told in the words of its rule. */
function described(finding: PageReport['findings'][number]): Probe {
  return { ...finding, id: finding.code, title: finding.message, hurts: '', standard: '' };
}

async function tellDifference(used: AuditedPage, { probe, place, message }: Difference): Promise<void> {
  await used.tell(probe, place, { state: 'rest', message });
}
