import type { AuditFinding, Certainty, RuleSeverity } from 'fair-trail/audit';

/** What the audit answers; its JSON output is exactly this. */
export interface AuditReport {
  readonly tool: { readonly name: string; readonly version: string };
  readonly target: string;
  readonly pages: readonly { readonly url: string; readonly title: string }[];
  readonly findings: readonly ReportedFinding[];
  readonly notChecked: readonly UncheckedRule[];
  readonly summary: { readonly error: number; readonly warning: number; readonly advice: number };
}

export interface ReportedFinding {
  readonly rule: string;
  readonly severity: RuleSeverity;
  readonly certainty: Certainty;
  readonly wcag: readonly string[];
  readonly pages: readonly string[];
  /** The widths at which it is so, in CSS pixels: the first. */
  readonly width: number;
  /** What the page was in when it was found; `rest` for as it is loaded. */
  readonly state: string;
  readonly selector: string;
  readonly html: string;
  readonly message: string;
  readonly fix: string;
}

export interface UncheckedRule {
  readonly rule: string;
  readonly pages: readonly string[];
  readonly reason: string;
}

/** Collects findings, and tells once what is so on many pages: a header that is shared has its faults on each. */
export class Findings {
  readonly #findings = new Map<string, ReportedFinding>();
  readonly #unchecked = new Map<string, UncheckedRule>();

  add(finding: AuditFinding, where: { readonly page: string; readonly width: number; readonly state: string }): void {
    const { rule, severity, certainty, wcag, selector, html, message, fix } = finding;
    const { page, width, state } = where;
    const key = [rule, html, message].join('\n');
    const known = this.#findings.get(key);
    if (known) this.#findings.set(key, { ...known, pages: [...new Set([...known.pages, page])] });
    else {
      const pages = [page];
      this.#findings.set(key, {
        rule,
        severity,
        certainty,
        wcag,
        pages,
        width,
        state,
        selector,
        html,
        message,
        fix,
      });
    }
  }

  leaveOut(rule: string, page: string, reason: string): void {
    const key = `${rule}\n${reason}`;
    const pages = [...new Set([...(this.#unchecked.get(key)?.pages ?? []), page])];
    this.#unchecked.set(key, { rule, pages, reason });
  }

  report(about: Pick<AuditReport, 'tool' | 'target' | 'pages'>): AuditReport {
    const weights: readonly RuleSeverity[] = ['error', 'warning', 'advice'];
    const findings = [...this.#findings.values()].toSorted(
      (one, other) => weights.indexOf(one.severity) - weights.indexOf(other.severity),
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
