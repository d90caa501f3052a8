import { pageOf, type Report } from 'fair-trail/internal/core';
import { checks, faultKinds, type Blame, type Check, type FaultCode } from './faults.ts';
import type { ExpectedPage } from './expected-pages.ts';

/** One thing that is not as the site file says. */
export interface WalkFault extends Report<FaultCode, 'error'> {
  readonly check: Check;
  readonly blame: Blame;
  /** The id of the entry; null for what is of the whole site. */
  readonly entry: string | null;
  /** Path and query; null for what is of the whole site. */
  readonly address: string | null;
  /** The menu of the site file; null for what is of none. */
  readonly menu: string | null;
  /** In the site file; null for what is not in it. */
  readonly pointer: string | null;
}

export interface WalkedPage {
  readonly entry: string;
  readonly label: string;
  readonly address: string;
  readonly pointer: string;
  readonly menus: readonly string[];
  readonly checks: Readonly<Record<Check, 'right' | 'wrong' | 'not judged'>>;
}

export interface NotJudgedPart {
  readonly entry: string | null;
  readonly check: Check | null;
  readonly reason: string;
}

/** What a walk has found; its JSON output is exactly this. */
export interface WalkReport {
  readonly tool: { readonly name: string; readonly version: string };
  readonly site: string;
  readonly target: string;
  /** In which the pages are. */
  readonly language: string;
  readonly stops: readonly WalkedPage[];
  readonly faults: readonly WalkFault[];
  /** What could not be tried, which does not count as a pass. */
  readonly notJudged: readonly NotJudgedPart[];
  readonly summary: {
    readonly stops: number;
    readonly faults: number;
    readonly checks: number;
    readonly notJudged: number;
  };
}

/** What was walked, and by what. */
export type WalkedSite = Pick<WalkReport, 'tool' | 'site' | 'target' | 'language'>;

interface FaultDescription extends Pick<WalkFault, 'code' | 'blame' | 'message'> {
  readonly menu?: string;
  /** How the visitor came to the page, if not by its address. A fault that does not depend on this is reported once. */
  readonly how?: string | undefined;
}

/** Collects what is found while a site is walked. */
export class WalkNotes {
  #faults: WalkFault[] = [];
  readonly #notJudged = new Map<string, NotJudgedPart>();
  readonly #judged = new Set<string>();
  /** What has been reported already, by code, page and message. */
  readonly #reported = new Set<string>();

  get faults(): readonly WalkFault[] {
    return this.#faults;
  }

  /** Takes note that something was tried: without a fault it is right. */
  tried(stop: ExpectedPage, check: Check): void {
    this.#judged.add(`${stop.key}\n${check}`);
  }

  fault(stop: ExpectedPage | null, { code, blame, message: text, menu, how }: FaultDescription): void {
    const { check, remedy } = faultKinds[code];
    const message = how === undefined ? text : text.replace(/[.]$/u, `, ${how}.`);
    if (stop) this.tried(stop, check);
    const fault: WalkFault = {
      code,
      severity: 'error',
      check,
      blame,
      entry: stop?.entry.id ?? null,
      address: stop?.address ?? null,
      menu: menu ?? null,
      pointer: stop?.pointer ?? (menu === undefined ? null : `/menus/${menu}`),
      message,
      remedy,
      page: pageOf('walk', code),
    };
    // One cause is often met again on the way, by another input.
    const named = (text: string) => [code, fault.address, text].join('\n');
    if ([text, message].some((one) => this.#reported.has(named(one)))) return;
    this.#reported.add(named(message));
    this.#faults.push(fault);
  }

  /** Takes away faults that turn out to be of another's cause. */
  drop(isOfOther: (fault: WalkFault) => boolean): void {
    this.#faults = this.#faults.filter((fault) => !isOfOther(fault));
  }

  /** Replaces a fault by a more precise one, or removes it if another fault covers it. */
  revise(better: (fault: WalkFault) => WalkFault | null): void {
    this.#faults = this.#faults.flatMap((fault) => better(fault) ?? []);
  }

  notJudged(stop: Pick<ExpectedPage, 'entry'> | null, check: Check | null, reason: string): void {
    const entry = stop?.entry.id ?? null;
    this.#notJudged.set([entry, check, reason].join('\n'), { entry, check, reason });
  }

  report(of: WalkedSite, stops: readonly ExpectedPage[]): WalkReport {
    const wrong = new Set(this.#faults.map(({ address, check }) => `${address ?? ''}\n${check}`));
    const outcome = (stop: ExpectedPage, check: Check) => {
      if (wrong.has(`${stop.address}\n${check}`)) return 'wrong';
      return this.#judged.has(`${stop.key}\n${check}`) ? 'right' : 'not judged';
    };
    const walked = stops.map((stop): WalkedPage => {
      const outcomes = checks.map((check) => [check, outcome(stop, check)] as const);
      return {
        entry: stop.entry.id,
        label: stop.label,
        address: stop.address,
        pointer: stop.pointer,
        menus: [...stop.ways.keys()],
        checks: Object.fromEntries(outcomes) as WalkedPage['checks'],
      };
    });
    // Several windows walk side by side; what is reported is in the order of the site file.
    const order = new Map(stops.map(({ address }, index) => [address, index]));
    const placeOf = ({ address }: WalkFault) => (address === null ? stops.length : (order.get(address) ?? 0));
    const faults = this.#faults.toSorted((one, other) => placeOf(one) - placeOf(other));
    return {
      ...of,
      stops: walked,
      faults,
      notJudged: [...this.#notJudged.values()],
      summary: {
        stops: walked.length,
        faults: this.#faults.length,
        checks: this.#judged.size,
        notJudged: this.#notJudged.size,
      },
    };
  }
}
