import type { PageReport } from 'fair-trail/internal/audit';
import type { Browser } from 'playwright-core';
import type { Findings } from './audit-report.ts';
import { isWanted, type AuditSettings } from './audit-settings.ts';
import { AuditWindow, type PageLoad, type Way } from './audit-window.ts';
import { rulesLeftOut } from './missing-parts.ts';
import type { Probe } from './probe.ts';
import { narrowMenuLacks, type Comparison, type Difference } from './probes/across.ts';
import type { Layouts } from './layouts.ts';
import type { Attempt } from './attempt.ts';
import { attempts } from './probes/all-probes.ts';
import { followFragments } from './probes/fragments.ts';
import { ruleOf } from './rule-of.ts';
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
  readonly layouts: Layouts;
  /** Another window of the same conditions, which is kept for the next page. */
  readonly laneAt: (window: AuditWindow, index: number) => Promise<AuditWindow>;
  /** Called before something is tried. */
  readonly onTrying?: ((name: string, width: number) => void) | undefined;
}

/** One page, open at one width. */
export interface OpenPage {
  readonly shared: SharedByPages;
  readonly window: AuditWindow;
  readonly url: string;
  /** What was read of it before anything was done to it. */
  readonly report: PageReport;
  readonly loaded: PageLoad;
  /** Whether it is the content of a frame: what only whole pages have is not asked of it. */
  readonly isFrame: boolean;
}

/** Menus of one page alone, such as breadcrumbs, are used on so many pages at each width. */
const mostAlike = 2;
/** Attempts that walk through the whole page, and therefore where a menu of it is new; all others ask for themselves what is. */
const ofWholePage: ReadonlySet<string> = new Set([
  'focus',
  'fit',
  'page change',
  'lists of choices',
  'enlarging',
  'what moves by itself',
  'graphics',
  'letters',
]);

/** Tells what was read of a page, and tries what is new on it at this width. */
export async function usePage(open: OpenPage): Promise<void> {
  const { shared, url, report, window } = open;
  const { settings, findings, comparison } = shared;
  const { width } = window.conditions;
  const used = usedPage(open);
  const lasting = await lastingFindings(open);
  const dead = lasting.filter(({ code }) => code === 'dead-fragment');
  for (const finding of lasting) {
    if (finding.code !== 'dead-fragment') await used.addFinding(ruleOf(finding), finding, { state: 'rest' });
  }
  for (const { rule, reason } of report.notChecked) findings.leaveOut(rule, url, reason);
  const differences = [
    ...(open.isFrame ? [] : comparison.add(report, url, width)),
    ...(settings.site ? againstSite(settings.site, report, url, width) : []),
  ];
  for (const difference of differences) await reportDifference(used, difference);
  await readFrames(used, open);
  if (dead.length > 0) await followFragments(used, dead);
  await tryWhatIsNew(used, open);
}

async function tryWhatIsNew(used: AuditedPage, open: OpenPage): Promise<void> {
  const { shared, window, url, report } = open;
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
  // What toggles open is asked for by the comparison of widths too.
  const isAsked = ({ name, probes }: Attempt) =>
    used.isWanted(...probes) || (name === 'toggles' && used.isWanted(narrowMenuLacks));
  // Where a width draws what another one has drawn, only what depends on the room is tried again.
  const isOther = await shared.layouts.isOther(url, width, report.layout);
  const asked = attempts.filter(
    (attempt) =>
      isAsked(attempt) &&
      (isWholePageNew || !ofWholePage.has(attempt.name)) &&
      (isOther || ofRoom.has(attempt.name)) &&
      attempt.isPossible(used),
  );
  await sideBySide(asked, used, open);
}

/** What depends on how much room there is, and not only on what is drawn. */
const ofRoom: ReadonlySet<string> = new Set(['fit']);

/** How many windows use one page at one width: each spends most of its time waiting for the page. */
const mostLanes = 3;

/** Tries what there is to try, in several windows of the same width: one that is free takes the next. */
async function sideBySide(asked: readonly Attempt[], used: AuditedPage, open: OpenPage): Promise<void> {
  const queue = [...asked];
  const work = async (lane: AuditedPage) => {
    for (let next = queue.shift(); next !== undefined; next = queue.shift()) {
      open.shared.onTrying?.(next.name, lane.width);
      await tryOnce(lane, next.name, next.probes, next.attempt);
      if (lane.options.window.isLost) throw new Error('the page has crashed');
    }
  };
  const lanes = Math.min(mostLanes, Math.ceil(asked.length / 3));
  const others = Array.from({ length: lanes - 1 }, async (_, index) => {
    const window = await open.shared.laneAt(open.window, index);
    await window.load(open.url);
    await window.page.mouse.move(0, 0);
    await work(usedPage({ ...open, window }));
  });
  const outcomes = await Promise.allSettled([work(used), ...others]);
  for (const outcome of outcomes) if (outcome.status === 'rejected') throw outcome.reason;
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

/** What only whole pages have. */
const ofWholePages: ReadonlySet<string> = new Set([
  ...[
    'page-without-title',
    'title-says-nothing',
    'title-of-other-page',
    'no-skip-link-or-landmark',
    'menu-without-landmark',
  ],
  ...['page-change-unannounced', 'title-stays', 'skip-link-hidden', 'skip-link-late', 'bar-takes-window'],
]);

function usedPage({ shared, window, url, report, loaded, isFrame }: OpenPage): AuditedPage {
  const { browser, settings, way, findings, comparison, tried } = shared;
  const { widths, hasPictures = false } = settings;
  const { width } = window.conditions;
  const isHeld = leaveOutMissing(shared, url, loaded);
  return new AuditedPage({
    window,
    url,
    report,
    findings,
    isWanted: (rule) => isWanted(settings, rule) && isHeld(rule) && !(isFrame && ofWholePages.has(rule)),
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
      await used.addFinding(ruleOf(finding), place, { state: 'rest, in a frame' });
    }
  }
}

/** How long is waited for what a script does later, in milliseconds. */
const latest = 5000;

/** A script may fill names in, or make what a link refers to, a while after the page has been drawn. */
async function lastingFindings({ shared, window, report }: OpenPage): Promise<PageReport['findings']> {
  const isFresh = report.findings.some((finding) => !shared.findings.has(finding));
  if (!isFresh || !(await window.call('hasLateTimers', latest))) return report.findings;
  await window.call('untilTimersRan', latest);
  const { findings } = await window.call('findings', {});
  const still = new Set(findings.map(({ code, selector }) => `${code} ${selector}`));
  return report.findings.filter(({ code, selector }) => still.has(`${code} ${selector}`));
}

async function reportDifference(used: AuditedPage, { probe, place, message }: Difference): Promise<void> {
  await used.addFinding(probe, place, { state: 'rest', message });
}
