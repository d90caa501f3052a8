import { deepElements, linksIn } from './deep-elements.ts';
import { holds, navigationsOf } from './navigations.ts';
import type { AuditFinding, NotChecked, PageContext, Rule } from './rule.ts';
import { rules } from './rules/index.ts';
import { selectorOf, tagOf } from './selector.ts';

export interface AuditOptions {
  /** The ids of the rules to try; default: all. */
  readonly only?: readonly string[];
  /** The ids of rules to leave out. */
  readonly skip?: readonly string[];
  /** The page's own address, where the document does not know it. Default: the document's. */
  readonly url?: string;
}

export interface AuditAnswer {
  readonly findings: readonly AuditFinding[];
  readonly notChecked: readonly NotChecked[];
}

const controls =
  'button, summary, input[type="button"], input[type="submit"], input[type="image"], [role="button"], [role="tab"], ' +
  '[role^="menuitem"], [role="switch"], [role="link"]';

/**
 * What is wrong with the navigation of a document, as far as that can be read without using it. A rule that fails by itself
 * is told as not checked.
 *
 * @throws TypeError for a rule that there is not
 */
export function audit(document: Document, { only, skip = [], url }: AuditOptions = {}): AuditAnswer {
  const chosen = chooseRules(only, skip);
  const { landmarks, runs } = navigationsOf(document);
  const navigations = [...landmarks, ...runs].toSorted((one, other) =>
    one.compareDocumentPosition(other) & 4 ? -1 : 1,
  );
  const isWithin = (element: Element) => navigations.some((navigation) => holds(navigation, element));
  const page: PageContext = {
    document,
    url: new URL(url ?? document.URL),
    navigations,
    links: linksIn(document).filter(isWithin),
    controls: deepElements(document, controls).filter(
      (control) => isWithin(control) || control.closest('header, [role="banner"]') !== null,
    ),
  };
  const findings: AuditFinding[] = [];
  const notChecked: NotChecked[] = [];
  for (const rule of chosen) {
    try {
      for (const { element, message } of rule.check(page)) findings.push(findingOf(rule, element, message));
    } catch (error) {
      notChecked.push({
        rule: rule.id,
        reason: `It failed: ${error instanceof Error ? error.message : String(error)}`,
      });
    }
  }
  return { findings, notChecked };
}

function findingOf(rule: Rule, element: Element, message: string | undefined): AuditFinding {
  const { id, severity, certainty, wcag, title, fix } = rule;
  return {
    rule: id,
    // Only what is sure may be an error.
    severity: certainty === 'likely' && severity === 'error' ? 'warning' : severity,
    certainty,
    wcag,
    selector: selectorOf(element),
    html: tagOf(element),
    message: message === undefined ? title : `${title} ${message}`,
    fix,
  };
}

export function chooseRules(only: readonly string[] | undefined, skip: readonly string[]): readonly Rule[] {
  const known = new Set(rules.map(({ id }) => id));
  const unknown = [...(only ?? []), ...skip].find((id) => !known.has(id));
  if (unknown !== undefined) throw new TypeError(`There is no rule "${unknown}". There are: ${[...known].join(', ')}.`);
  return rules.filter(({ id }) => (only === undefined || only.includes(id)) && !skip.includes(id));
}
