import { openBrowser } from '../browser/open-browser.ts';
import type { AuditReport } from './audit-report.ts';
import type { AuditSettings } from './audit-settings.ts';
import { runAudit } from './run-audit.ts';

export type { AuditReport, ReportedFinding, UncheckedRule } from './audit-report.ts';
export { serveFolder } from '../browser/serve-folder.ts';

/** What may be said of an audit; all but the address has a default. */
export interface AuditSiteOptions extends Partial<
  Pick<AuditSettings, 'widths' | 'pages' | 'only' | 'skip' | 'colorScheme' | 'site'>
> {
  /** The Chromium to use. Default: that of `CHROMIUM_PATH`, or one where systems keep it. */
  readonly browser?: string;
}

/**
 * Audits a site as the command does, from a test: every rule and every probe, in a browser of its own.
 *
 * @param address where to begin, such as `http://127.0.0.1:4310/`
 * @throws Failure with the code `no-browser` if there is none
 * @example
 * const report = await auditSite('http://127.0.0.1:4310/', { pages: 10 });
 * report.findings.map(({ code, message }) => `${code}: ${message}`);
 */
export async function auditSite(
  address: string,
  { browser: program, ...options }: AuditSiteOptions = {},
): Promise<AuditReport> {
  const browser = await openBrowser(program);
  try {
    return await runAudit(browser, {
      start: address,
      target: address,
      widths: [320, 768, 1280],
      pages: 20,
      tool: { name: 'fair-trail', version: '' },
      ...options,
    });
  } finally {
    await browser.close();
  }
}
