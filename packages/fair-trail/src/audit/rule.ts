/** How much a finding weighs: `error` hurts people for sure, `warning` is likely to, `advice` could be better. */
export type RuleSeverity = 'error' | 'warning' | 'advice';

/** Whether what is told is so in any reading of the page, or only in the likely one. */
export type Certainty = 'sure' | 'likely';

/** One thing that can be wrong with navigation: what it is, whom it hurts, and how it is mended. */
export interface RuleDescription {
  readonly id: string;
  /** What is wrong, in a user's words. */
  readonly title: string;
  readonly severity: RuleSeverity;
  readonly certainty: Certainty;
  /** Success criteria of WCAG 2.2 that it fails; none for what fails no criterion by itself. */
  readonly wcag: readonly string[];
  /** Whom it hurts, and how. */
  readonly hurts: string;
  readonly fix: string;
  /** The standard's section that it follows. */
  readonly standard: string;
}

/** One that can be read in a document. */
export interface Rule extends RuleDescription {
  readonly check: (page: PageContext) => Iterable<Fault>;
}

/** One place where a rule is broken. */
export interface Fault {
  readonly element: Element;
  /** What is so here; without it, the rule's title. */
  readonly message?: string;
}

/** What rules look at. */
export interface PageContext {
  readonly document: Document;
  /** The page's own address. */
  readonly url: URL;
  /** What is navigation on the page, outermost first. */
  readonly navigations: readonly Element[];
  /** Every link with an address in them, and every other control. */
  readonly links: readonly HTMLAnchorElement[];
  readonly controls: readonly HTMLElement[];
}

/** A rule that is broken in a place, as it is told. */
export interface AuditFinding {
  readonly rule: string;
  readonly severity: RuleSeverity;
  readonly certainty: Certainty;
  readonly wcag: readonly string[];
  /** Finds the element again. */
  readonly selector: string;
  /** The element's own tag, shortened. */
  readonly html: string;
  readonly message: string;
  readonly fix: string;
}

/** A rule that could not be tried, and why: that is no pass. */
export interface NotChecked {
  readonly rule: string;
  readonly reason: string;
}
