import { isNearNavigation } from '../reading/near.ts';
import { deepElements, linksIn, mostLinks } from '../reading/deep-elements.ts';
import { holds, navigationsOf } from '../reading/navigations.ts';
import { inOneReading } from '../reading/one-reading.ts';
import { toFinding, type AuditFinding, type NotChecked, type PageContext, type Rule } from './rule.ts';
import { rules } from './rules/all-rules.ts';
import { selectorOf, tagOf } from '../reading/selector.ts';

/**
 * Which rules an audit tries, and where the page is.
 */
export interface AuditOptions {
  /** The ids of the rules to try; default: all. */
  readonly only?: readonly string[];
  /** The ids of rules to leave out. */
  readonly skip?: readonly string[];
  /** The page's own address, where the document does not know it. Default: the document's. */
  readonly url?: string;
}

/**
 * What an audit of a document found, and what it could not check.
 */
export interface AuditResult {
  readonly findings: readonly AuditFinding[];
  readonly notChecked: readonly NotChecked[];
}

const controls =
  'button, summary, input[type="button"], input[type="submit"], input[type="image"], [role="button"], [role="tab"], ' +
  '[role^="menuitem"], [role="switch"], [role="link"]';

const fields =
  'input:not([type]), input[type="text"], input[type="search"], input[type="email"], input[type="tel"], input[type="url"]';

/** More of one page are not read. */
const mostFields = 50;

/** More places of one rule on one page are reported as a number. */
const mostPlaces = 50;

/**
 * What is wrong with the navigation of a document, as far as that can be read without using it. A rule that fails by itself
 * is reported as not checked.
 *
 * @throws TypeError for a rule that there is not
 * @example
 * const { findings } = audit(document);
 * for (const { code, message, selector, remedy } of findings) console.log(code, message, selector, remedy);
 */
export function audit(document: Document, { only, skip = [], url }: AuditOptions = {}): AuditResult {
  const chosen = chooseRules(only, skip);
  return inOneReading(() => auditWith(chosen, document, url ?? document.URL));
}

function auditWith(chosen: readonly Rule[], document: Document, url: string): AuditResult {
  const { landmarks, runs } = navigationsOf(document);
  const navigations = [...landmarks, ...runs].toSorted((one, other) =>
    one.compareDocumentPosition(other) & 4 ? -1 : 1,
  );
  const isWithin = (element: Element) => navigations.some((navigation) => holds(navigation, element));
  const isNear = (element: Element) => isNearNavigation(element, navigations);
  const allLinks = deepElements(document, 'a[href]');
  const allControls = deepElements(document, controls);
  const page: PageContext = {
    document,
    url: new URL(url),
    navigations,
    links: linksIn(document).filter(isWithin),
    controls: allControls.slice(0, mostLinks).filter(isNear),
    fields: (deepElements(document, fields) as readonly HTMLInputElement[]).slice(0, mostFields).filter(isNear),
    isNear,
  };
  const findings: AuditFinding[] = [];
  const notChecked: NotChecked[] = [];
  if (allLinks.length > mostLinks || allControls.length > mostLinks) {
    const reason = `The page has ${allLinks.length} links and ${allControls.length} controls; the first ${mostLinks} of each are read.`;
    notChecked.push({ rule: '*', reason });
  }
  for (const rule of chosen) {
    try {
      const faults = [...firstOf(rule.check(page), mostPlaces + 1)];
      for (const { element, message } of faults.slice(0, mostPlaces)) {
        findings.push(toFinding(rule, { selector: selectorOf(element), html: tagOf(element) }, message));
      }
      if (faults.length > mostPlaces) {
        notChecked.push({
          rule: rule.id,
          reason: `It is so in more than ${mostPlaces} places; the others are not reported.`,
        });
      }
    } catch (error) {
      notChecked.push({
        rule: rule.id,
        reason: `It failed: ${error instanceof Error ? error.message : String(error)}`,
      });
    }
  }
  return { findings, notChecked };
}

function* firstOf<Item>(items: Iterable<Item>, most: number): Iterable<Item> {
  let count = 0;
  for (const item of items) {
    if (count >= most) return;
    count += 1;
    yield item;
  }
}

export function chooseRules(only: readonly string[] | undefined, skip: readonly string[]): readonly Rule[] {
  const known = new Set(rules.map(({ id }) => id));
  const unknown = [...(only ?? []), ...skip].find((id) => !known.has(id));
  if (unknown !== undefined) throw new TypeError(`There is no rule "${unknown}". There are: ${[...known].join(', ')}.`);
  return rules.filter(({ id }) => (only === undefined || only.includes(id)) && !skip.includes(id));
}
