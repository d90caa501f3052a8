import { toFinding, isSamePage, type PageReport, type PageScript, type PageSnapshot } from 'fair-trail/internal/audit';
import type { Page } from 'playwright-core';
import type { AuditWindow } from './audit-window.ts';
import type { Findings } from './audit-report.ts';
import { takePicture } from './picture.ts';
import type { Probe } from './probe.ts';
import { nameIn, PathTaken } from './path-taken.ts';

/** What an act did to the page. */
export interface ActionOutcome {
  /** Whether the page was left for another one. */
  readonly left: boolean;
  readonly changed: boolean;
  /** The links and controls that are to be seen and were not, by their numbers. */
  readonly shown: readonly number[];
  /** Those that have come to stand where no scrolling gets. */
  readonly beside: readonly number[];
  /** Whether the document or what the element says has changed: scrolling alone is none. */
  readonly acted: boolean;
  readonly before: PageSnapshot;
  readonly after: PageSnapshot;
}

export interface ElementReference {
  readonly selector: string;
  readonly html: string;
}

export interface AuditedPageOptions {
  readonly window: AuditWindow;
  readonly url: string;
  readonly report: PageReport;
  readonly findings: Findings;
  readonly isWanted: (rule: string) => boolean;
  /** Whether something of this name has not been tried at this width yet; from now on it has. */
  readonly isNew: (name: string) => boolean;
  /** Whether fewer than so many of a likeness have been tried at this width; from now on one more has. */
  readonly isRare: (likeness: string, most: number) => boolean;
  readonly isNarrowest: boolean;
  readonly isWidest: boolean;
  readonly hasPictures: boolean;
  /** Takes note of links that have come into sight. */
  readonly onOpened: (addresses: readonly string[]) => void;
  /** Opens another window with other conditions on the same page. */
  readonly openOther: (conditions: {
    readonly hasTouch?: boolean;
    readonly reducedMotion?: 'reduce';
  }) => Promise<AuditWindow>;
}

/** What is asked of a page without doing anything to it. */
const reading: ReadonlySet<keyof PageScript> = new Set([
  ...(['report', 'fingerprints', 'snapshot', 'boxesOf', 'placeOf', 'cutLabels', 'overlaps', 'sticksOut'] as const),
  ...(['choices', 'contrastOf', 'coverOf', 'panelOf', 'isStillOpen', 'unreached', 'rest', 'settle', 'isBusy'] as const),
  ...(['pageState', 'findings', 'fontSizes', 'shownAddresses', 'isTurned', 'hasLateTimers', 'elementNamed'] as const),
  ...([
    'downListeners',
    'madeControls',
    'draggedStrip',
    'compositesNow',
    'keyListening',
    'menuButtons',
    'controlsShown',
    'unseenStops',
    'leftHidden',
  ] as const),
]);

/** A page that is open and being used, and where what is found on it goes. */
export class AuditedPage {
  readonly options: AuditedPageOptions;
  readonly #path = new PathTaken();
  /** Whether anything was done to it since it was loaded. */
  #isUsed = false;

  constructor(options: AuditedPageOptions) {
    this.options = options;
  }

  /** For what leaves the page as it is, such as a picture of it. */
  get untouched(): Page {
    return this.options.window.page;
  }

  get size(): { readonly width: number; readonly height: number } {
    return this.options.window.page.viewportSize() ?? this.options.window.conditions;
  }

  /** For whatever is done to the page: from then on it is not as it was loaded. */
  get page(): Page {
    this.#isUsed = true;
    return this.options.window.page;
  }

  get report(): PageReport {
    return this.options.report;
  }

  get width(): number {
    return this.options.window.conditions.width;
  }

  isWanted(...probes: readonly Probe[]): boolean {
    return probes.some(({ id }) => this.options.isWanted(id));
  }

  call<Name extends keyof PageScript>(
    name: Name,
    ...given: Parameters<PageScript[Name]>
  ): Promise<Awaited<ReturnType<PageScript[Name]>>> {
    this.#isUsed ||= !reading.has(name);
    return this.options.window.call(name, ...given);
  }

  /** Loads it again, where anything was done to it: what was tried before must not count. */
  async reload(): Promise<void> {
    this.#path.clear();
    if (!this.#isUsed) return;
    await this.options.window.load(this.options.url);
    await this.options.window.page.mouse.move(0, 0);
    this.#isUsed = false;
  }

  async press(key: string): Promise<void> {
    this.#path.add(`press ${key}`);
    await this.page.keyboard.press(key);
  }

  /** Whether focus was taken. */
  async focusOn({ selector, html }: ElementReference): Promise<boolean> {
    const isTaken = await this.call('focusOn', selector);
    if (isTaken) this.#path.add(`focus ${nameIn(html)}`);
    return isTaken;
  }

  /** Presses with the mouse; false where it does not get there. */
  async clickOn({ selector, html }: ElementReference): Promise<boolean> {
    const point = await this.call('pointFor', selector);
    if (!point) return false;
    this.#path.add(`click ${nameIn(html)}`);
    await this.page.mouse.click(...point);
    return true;
  }

  /** Moves the mouse over an element; false where it is not to be seen. */
  async pointAt({ selector, html }: ElementReference): Promise<boolean> {
    const middle = await this.call('middleOf', selector);
    if (!middle) return false;
    this.#path.add(`point at ${nameIn(html)}`);
    await this.page.mouse.move(...middle, { steps: 4 });
    return true;
  }

  async resize(width: number, height: number): Promise<void> {
    this.#path.add(`make the window ${width} px wide and ${height} px high`);
    await this.page.setViewportSize({ width, height });
    await this.call('rest');
  }

  /** Takes note of something else that was done, in words that a reader can follow. */
  note(step: string): void {
    this.#path.add(step);
  }

  /** Reports a finding, with the path that shows it and a picture of how the page is now. */
  async addFinding(
    probe: Probe,
    place: ElementReference,
    { state, message, isLikely = false, steps: known }: FindingDetails,
  ): Promise<void> {
    const { findings, url, window, hasPictures } = this.options;
    if (!this.isWanted(probe)) return;
    const finding = toFinding(probe, place, message, isLikely ? 'likely' : probe.certainty);
    const steps = state.startsWith('rest') ? [] : (known ?? this.#path.steps());
    const isFirst = findings.add(finding, { page: url, width: window.conditions.width, state, steps });
    if (isFirst && hasPictures) findings.illustrate(finding, await takePicture(window.page, place.selector));
  }

  leaveOut(probe: Probe, reason: string): void {
    if (this.isWanted(probe)) this.options.findings.leaveOut(probe.id, this.options.url, reason);
  }

  /** What an act does to the page; null if it cannot be done. */
  async whatHappens(selector: string, act: () => Promise<unknown>): Promise<ActionOutcome | null> {
    let before: PageSnapshot | null = null;
    try {
      before = await this.call('before', selector);
      if ((await act()) === false) return null;
      return this.#compare(before, await this.call('after', selector));
    } catch (error) {
      const isLeaving =
        error instanceof Error && /navigat|context was destroyed|frame was detached/iu.test(error.message);
      if (!isLeaving || !before) return null;
      await this.page.waitForLoadState('load', { timeout: 10_000 }).catch(() => undefined);
      return leaving(before);
    }
  }

  #compare(before: PageSnapshot, after: PageSnapshot | null): ActionOutcome {
    if (!after || !isSamePage(new URL(after.url), new URL(before.url))) return leaving(before, after ?? before);
    const known = new Set(before.drawn);
    const shown = after.drawn.filter((number) => !known.has(number));
    const isAsBefore = before.drawn.length === after.drawn.length && shown.length === 0;
    const reported = before.expanded !== after.expanded || before.stated !== after.stated;
    const aside = new Set(before.beside);
    const beside = after.beside.filter((number) => !aside.has(number) && !known.has(number));
    const acted = after.changes > 0 || reported;
    return { left: false, changed: !isAsBefore || acted, acted, shown, beside, before, after };
  }
}

function leaving(before: PageSnapshot, after = before): ActionOutcome {
  return { left: true, changed: true, acted: true, shown: [], beside: [], before, after };
}

export interface FindingDetails {
  readonly state: string;
  /** What is so here, after what is wrong in general. */
  readonly message?: string;
  /** The shortest way to it, where that is not all that was done. */
  readonly steps?: readonly string[];
  /** Whether it is so only in the likely reading of the page here. */
  readonly isLikely?: boolean;
}
