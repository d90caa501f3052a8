import type { BaselineComparison } from './baseline.ts';
import { underTheirCauses } from './causes.ts';
import type { AuditFinding } from 'fair-trail/audit';
import type { RuleSeverity } from 'fair-trail/internal/audit';
import type { Picture } from './picture.ts';

/** What the audit answers; its JSON output is exactly this. */
export interface AuditReport {
  readonly tool: { readonly name: string; readonly version: string };
  readonly target: string;
  readonly pages: readonly { readonly url: string; readonly title: string }[];
  readonly findings: readonly ReportedFinding[];
  readonly notChecked: readonly UncheckedRule[];
  /** How it differs from an earlier report, where it was compared with one: then `findings` are those that are new. */
  readonly baseline?: BaselineComparison;
  readonly summary: { readonly error: number; readonly warning: number; readonly advice: number };
}

/**
 * A finding of an audit, with the pages and the width that it was found at.
 */
export interface ReportedFinding extends AuditFinding {
  readonly pages: readonly string[];
  /** The widths at which it is so, in CSS pixels: the first. */
  readonly width: number;
  /** What the page was in when it was found; `rest` for as it is loaded. */
  readonly state: string;
  /** What to do on the first page to see it, at this width; empty for what applies when the page has loaded. */
  readonly steps?: readonly string[];
  /** What the page looked like; only in reports that are to be merged. */
  readonly picture?: Picture;
  /** What is so because of it, and goes away with it. */
  readonly consequences?: readonly ReportedFinding[];
}

/**
 * A rule that could not be tried on some pages, and why. That does not count as a pass.
 */
export interface UncheckedRule {
  readonly rule: string;
  readonly pages: readonly string[];
  readonly reason: string;
}

/** One file holds them all. */
const mostPictures = 150;

/** Rules of what stylesheets do: what is so of one item of a list is so of the others, and fixed in one place. */
const ofStyles: ReadonlySet<string> = new Set([
  ...['low-contrast', 'small-target', 'state-low-contrast', 'focus-not-shown', 'focus-hard-to-see', 'label-cut'],
  ...['text-spacing-breaks', 'large-text-breaks', 'labels-overlap', 'menu-outside-window', 'focus-order'],
  ...[
    'page-not-marked',
    'mark-only-visual',
    'mark-by-color-only',
    'new-window-unannounced',
    'focus-on-invisible',
    'focus-covered',
  ],
]);

/** Rules of which an element's own tag says all. */
const ofTags: ReadonlySet<string> = new Set([
  ...[
    'page-without-language',
    'page-without-title',
    'language-unknown',
    'landmark-name-repeats-role',
    'zoom-prevented',
  ],
]);

/** Key for deduplicating a finding across pages, widths and list items. */
function keyOf({ code, html, selector }: Pick<ReportedFinding, 'code' | 'html' | 'selector'>): string {
  const kind = /^<[^\s>]+(?:(?=[^>]*\sclass="([^"]*)"))?/u.exec(html);
  // What is said of the page, or of its menu, is the same whatever text stands in it.
  if (ofTags.has(code)) return `${code}\n${/^<[^>]*>/u.exec(html)?.[0] ?? html}`;
  const place = selector.replaceAll(/:nth-of-type\(\d+\)/gu, '');
  return `${code}\n${ofStyles.has(code) ? `${place} ${kind?.[0] ?? ''} ${kind?.[1] ?? ''}` : html}`;
}

/** Collects findings, and reports once what is so on many pages: a header that is shared has its defects on each. */
export class Findings {
  readonly #findings = new Map<string, ReportedFinding>();
  readonly #unchecked = new Map<string, UncheckedRule>();
  /** The elements of each. */
  readonly #places = new Map<string, Set<string>>();
  readonly #pictures = new Map<string, Picture>();

  /** Whether this is the first time. */
  add(
    finding: AuditFinding,
    where: Pick<ReportedFinding, 'width' | 'state' | 'steps'> & { readonly page: string },
  ): boolean {
    const { page, width, state, steps = [] } = where;
    const key = keyOf(finding);
    const known = this.#findings.get(key);
    this.#places.set(key, (this.#places.get(key) ?? new Set()).add(finding.html));
    const pages = known ? [...new Set([...known.pages, page])] : [page];
    // The narrowest window that it is so in, whichever was the first to end.
    const isOfOtherWidth = known !== undefined && width < known.width && known.pages[0] === page;
    if (known && !isOfOtherWidth) this.#findings.set(key, { ...known, pages });
    else this.#findings.set(key, { ...finding, pages, width, state, steps });
    return known === undefined;
  }

  has(finding: Pick<ReportedFinding, 'code' | 'html' | 'selector'>): boolean {
    return this.#findings.has(keyOf(finding));
  }

  /** Keeps a picture of what was found. */
  illustrate(finding: Pick<ReportedFinding, 'code' | 'html' | 'selector'>, picture: Picture | null): void {
    if (picture && this.#pictures.size < mostPictures) this.#pictures.set(keyOf(finding), picture);
  }

  pictureOf(finding: ReportedFinding): Picture | null {
    return this.#pictures.get(keyOf(finding)) ?? null;
  }

  leaveOut(rule: string, page: string, reason: string): void {
    const key = `${rule}\n${reason}`;
    const pages = [...new Set([...(this.#unchecked.get(key)?.pages ?? []), page])];
    this.#unchecked.set(key, { rule, pages, reason });
  }

  /** With how many more elements it is so of. */
  #counted(key: string, finding: ReportedFinding): ReportedFinding {
    const more = (this.#places.get(key)?.size ?? 1) - 1;
    if (more === 0) return finding;
    return { ...finding, message: `${finding.message} So ${more === 1 ? 'is one more' : `are ${more} more`} like it.` };
  }

  report(about: Pick<AuditReport, 'tool' | 'target' | 'pages'>): AuditReport {
    const weights: readonly RuleSeverity[] = ['error', 'warning', 'advice'];
    const places = new Map(about.pages.map(({ url }, index) => [url, index]));
    const placeOf = ({ pages }: ReportedFinding) => places.get(pages[0] ?? '') ?? places.size;
    const all = [...this.#findings].map(([key, finding]) => this.#counted(key, finding));
    const findings = underTheirCauses(all).toSorted(
      (one, other) =>
        weights.indexOf(one.severity) - weights.indexOf(other.severity) ||
        placeOf(one) - placeOf(other) ||
        one.code.localeCompare(other.code) ||
        one.width - other.width,
    );
    const count = (severity: RuleSeverity) => findings.filter((finding) => finding.severity === severity).length;
    return {
      tool: about.tool,
      target: about.target,
      pages: about.pages,
      findings,
      notChecked: [...this.#unchecked.values()],
      summary: { error: count('error'), warning: count('warning'), advice: count('advice') },
    };
  }
}
