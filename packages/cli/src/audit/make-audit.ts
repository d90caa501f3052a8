import { defineSite, type DefinedSite } from 'fair-trail';
import { rules } from 'fair-trail/audit';
import { withBrowser, withServed } from '../browser/with-browser.ts';
import { Failure } from '../failure.ts';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { refusePlaces, writeFiles } from '../writers/write-files.ts';
import { probes } from './probes/all-probes.ts';
import { runIllustratedAudit } from './run-audit.ts';
import type { Shard } from './shard.ts';
import type { AuditReport } from './audit-report.ts';
import type { AuditFormat } from './audit-formats.ts';
import { writeReport } from './reports/write-report.ts';

export interface AuditCommandOptions {
  readonly start?: string;
  readonly pages: number;
  readonly widths: readonly number[];
  readonly only?: readonly string[];
  readonly skip?: readonly string[];
  readonly fallback?: string;
  readonly site?: string;
  readonly base?: string;
  readonly scheme?: 'light' | 'dark';
  readonly shard?: Shard;
  readonly failOn: 'error' | 'warning' | 'never';
  readonly format: AuditFormat;
  readonly out?: string;
  readonly browser?: string;
  readonly force?: boolean;
}

/** Audits a site or a folder of pages, and tells what it found. */
export async function makeAudit(target: string, options: AuditCommandOptions, version: string): Promise<void> {
  const { start, pages, widths, only = null, skip = [], failOn, format, out } = options;
  const known = [...rules, ...probes].map(({ id }) => id);
  const unknown = [...(only ?? []), ...skip].find((id) => !known.includes(id));
  if (unknown !== undefined) {
    throw new Failure('unknown-rule', `There is no rule "${printable(unknown)}". There are: ${known.join(', ')}.`);
  }
  // Before what takes long, rather than after it.
  if (out !== undefined) refusePlaces([{ path: out }], options.force ?? false);
  const site = options.site === undefined ? null : await siteAt(options.site, options.base);
  await withServed(target, options, async (url) => {
    const address = addressIn(url, start);
    await withBrowser(options, async ({ browser, isStopped, say, endSaying }) => {
      const { report, findings } = await runIllustratedAudit(browser, {
        start: address,
        target,
        widths,
        pages,
        only,
        skip,
        site,
        shard: options.shard ?? null,
        colorScheme: options.scheme ?? 'light',
        hasPictures: format === 'html',
        tool: { name: 'fair-trail', version },
        isStopped,
        onProgress: (done, found) => say(`Page ${done + 1} of ${Math.min(found, pages)}`),
      });
      endSaying();
      deliver(writeReport(report, format, findings), options);
      if (report.pages.length === 0 && !options.shard) {
        const [first] = report.notChecked;
        throw new Failure('nothing-found', `No page could be audited. ${printable(first?.reason ?? '')}`);
      }
      setExitCode(report, failOn);
    });
  });
}

/** The site of a file, published under a path. */
async function siteAt(file: string, base = '/'): Promise<DefinedSite> {
  const { site } = await readSoundSite(file);
  return base === '/' ? site : defineSite(site.definition, { base });
}

/** Prints a report, or writes it where that was asked for. */
export function deliver(text: string, { out, force = false }: Pick<AuditCommandOptions, 'out' | 'force'>): void {
  if (out === undefined) process.stdout.write(text);
  else writeFiles([{ path: out, text }], force);
}

export function setExitCode({ summary }: Pick<AuditReport, 'summary'>, failOn: AuditCommandOptions['failOn']): void {
  const { error, warning } = summary;
  if ({ error, warning: error + warning, never: 0 }[failOn] > 0) process.exitCode = 1;
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
