import { isatty } from 'node:tty';
import { rules } from 'fair-trail/audit';
import yoctoSpinner from 'yocto-spinner';
import { openBrowser } from '../browser/open-browser.ts';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';
import { writeFiles } from '../writers/write-files.ts';
import type { AuditReport } from './audit-report.ts';
import { probes } from './probes.ts';
import { runAudit } from './run-audit.ts';
import { serveFolder } from './serve-folder.ts';
import { writeReport, type AuditFormat } from './write-report.ts';

export interface AuditOptions {
  readonly start?: string;
  readonly pages: number;
  readonly widths: readonly number[];
  readonly only?: readonly string[];
  readonly skip?: readonly string[];
  readonly failOn: 'error' | 'warning' | 'never';
  readonly format: AuditFormat;
  readonly out?: string;
  readonly browser?: string;
  readonly force?: boolean;
}

/** Audits a site or a folder of pages, and tells what it found. */
export async function makeAudit(target: string, options: AuditOptions, version: string): Promise<void> {
  const { start, pages, widths, only = null, skip = [], failOn, format, out } = options;
  const known = [...rules, ...probes].map(({ id }) => id);
  const unknown = [...(only ?? []), ...skip].find((id) => !known.includes(id));
  if (unknown !== undefined) {
    throw new Failure('unknown-rule', `There is no rule "${printable(unknown)}". There are: ${known.join(', ')}.`);
  }
  const served = /^https?:\/\//iu.test(target) ? { url: target, close: () => undefined } : await serveFolder(target);
  try {
    const address = addressIn(served.url, start);
    const browser = await openBrowser(options.browser);
    const spinner = isatty(process.stderr.fd) ? yoctoSpinner({ text: 'Opening the browser' }).start() : null;
    let isStopped = false;
    // What has been found so far is told, and another press ends at once.
    process.once('SIGINT', () => (isStopped = true));
    let report: AuditReport;
    try {
      report = await runAudit(browser, {
        start: address,
        target,
        widths,
        pages,
        only,
        skip,
        tool: { name: 'fair-trail', version },
        isStopped: () => isStopped,
        onProgress: (done, found) => {
          if (spinner) spinner.text = `Page ${done + 1} of ${Math.min(found, pages)}`;
        },
      });
    } finally {
      spinner?.stop();
      await browser.close();
    }
    const text = writeReport(report, format);
    if (out === undefined) process.stdout.write(text);
    else writeFiles([{ path: out, text }], options.force ?? false);
    const { error, warning } = report.summary;
    const counted = { error, warning: error + warning, never: 0 }[failOn];
    if (report.pages.length === 0) {
      const [first] = report.notChecked;
      throw new Failure('nothing-found', `No page could be audited. ${printable(first?.reason ?? '')}`);
    }
    if (counted > 0) process.exitCode = 1;
  } finally {
    served.close();
  }
}

function addressIn(base: string, start: string | undefined): string {
  const isAddress = URL.canParse(base) && (start === undefined || URL.canParse(start, base));
  if (!isAddress) throw new Failure('bad-address', `"${printable(start ?? base)}" is not an address.`);
  const address = new URL(start ?? '', base);
  if (address.origin !== new URL(base).origin) {
    throw new Failure(
      'bad-address',
      `--start names another origin, ${printable(address.origin)}. Give a path of the site.`,
    );
  }
  return address.href;
}
