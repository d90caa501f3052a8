import { pageOf, type Report } from '../core/report.ts';

/** How much a finding weighs: `error` hurts people for sure, `warning` is likely to, `advice` could be better. */
export type RuleSeverity = 'error' | 'warning' | 'advice';

/** Whether a finding holds for every reading of the page (`sure`), or only for the likely one. */
export type Certainty = 'sure' | 'likely';

/** One thing that can be wrong with navigation: what it is, whom it affects, and how to fix it. */
export interface RuleDescription {
  readonly id: string;
  /** What is wrong, in a user's words. */
  readonly title: string;
  readonly severity: RuleSeverity;
  readonly certainty: Certainty;
  /** Success criteria of WCAG 2.2 that it fails; none for what fails no criterion by itself. */
  readonly wcag: readonly string[];
  /** Whom it affects, and how. */
  readonly affects: string;
  readonly remedy: string;
  /** The standard's section that it follows. */
  readonly standard: string;
}

/** One that can be read in a document. */
export interface Rule extends RuleDescription {
  readonly check: (page: PageContext) => Iterable<Violation>;
}

/** One place where a rule is broken. */
export interface Violation {
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
  /** The fields to write in that stand in a menu or in the header, such as one to search with. */
  readonly fields: readonly HTMLInputElement[];
  /** Whether an element stands in a menu, or in the header of the page. */
  readonly isNear: (element: Element) => boolean;
}

/** A rule that is broken in a place. Its `code` is the id of the rule. */
export interface AuditFinding extends Report<string, RuleSeverity> {
  readonly certainty: Certainty;
  /** Success criteria of WCAG 2.2 that it fails; none for what fails no criterion by itself. */
  readonly wcag: readonly string[];
  /** Finds the element again. */
  readonly selector: string;
  /** The element's own tag, shortened. */
  readonly html: string;
}

/**
 * A finding of a rule. Only what is sure may be an error.
 *
 * @param message what is so in this place, after the rule's title; default: nothing more
 */
export function toFinding(
  rule: RuleDescription,
  { selector, html }: Pick<AuditFinding, 'selector' | 'html'>,
  message?: string,
  certainty = rule.certainty,
): AuditFinding {
  const { id, severity, wcag, title, remedy } = rule;
  return {
    code: id,
    severity: certainty === 'likely' && severity === 'error' ? 'warning' : severity,
    certainty,
    wcag,
    selector,
    html,
    message: message === undefined ? title : `${title} ${message}`,
    remedy,
    page: pageOf('rules', id),
  };
}

/** A rule that could not be tried, and why: That does not count as a pass. */
export interface NotChecked {
  readonly rule: string;
  readonly reason: string;
}
