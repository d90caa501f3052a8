import { defineSite, type DefinedSite } from 'fair-trail';
import { rules } from 'fair-trail/audit';
import { withBrowser, withServed } from '../browser/with-browser.ts';
import { Failure } from '../failure.ts';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { refusePlaces, writeFiles } from '../writers/write-files.ts';
import { againstBaseline } from './baseline.ts';
import { readReport } from './merge-reports.ts';
import { probes } from './probes/all-probes.ts';
import { runIllustratedAudit } from './run-audit.ts';
import type { Shard } from './shard.ts';
import type { AuditReport } from './audit-report.ts';
import type { AuditFormat } from './audit-formats.ts';
import { writeReport } from './reports/write-report.ts';
import { WatchedSite } from './watched-site.ts';

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
  readonly baseline?: string;
  readonly pictures?: boolean;
  readonly watch?: boolean;
  readonly failOn: 'error' | 'warning' | 'never';
  readonly format: AuditFormat;
  readonly out?: string;
  readonly browser?: string;
  readonly force?: boolean;
}

/** Audits a site or a folder of pages, and reports what it finds. */
export async function makeAudit(target: string, options: AuditCommandOptions, version: string): Promise<void> {
  const { start, pages, widths, only = null, skip = [], failOn, format, out } = options;
  const known = [...rules, ...probes].map(({ id }) => id);
  const unknown = [...(only ?? []), ...skip].find((id) => !known.includes(id));
  if (unknown !== undefined) {
    throw new Failure('unknown-rule', `There is no rule "${printable(unknown)}". There are: ${known.join(', ')}.`);
  }
  // Before what takes long, rather than after it.
  const baseline = options.baseline === undefined ? null : readReport(options.baseline);
  if (out !== undefined) refusePlaces([{ path: out }], options.force ?? false);
  const site = options.site === undefined ? null : await siteAt(options.site, options.base);
  await withServed(target, options, async (url) => {
    const address = addressIn(url, start);
    await withBrowser(options, async ({ browser, isStopped, say, endSaying }) => {
      const hasPictures = format === 'html' || options.pictures === true;
      const audit = () => {
        let page = '';
        return runIllustratedAudit(browser, {
          start: address,
          target,
          widths,
          pages,
          only,
          skip,
          site,
          shard: options.shard ?? null,
          colorScheme: options.scheme ?? 'light',
          hasPictures,
          tool: { name: 'fair-trail', version },
          isStopped,
          onProgress: (done, found) => {
            page = `Page ${done + 1} of ${Math.min(found, pages)}`;
            say(page);
          },
          onTrying: (name, width) => say(`${page}: ${name} at ${width} px`),
        });
      };
      const first = await audit();
      endSaying();
      const report = baseline ? againstBaseline(first.report, baseline) : first.report;
      deliver(writeReport(report, format, hasPictures ? first.findings : null), options);
      if (report.pages.length === 0 && !options.shard) {
        const [unread] = report.notChecked;
        throw new Failure('nothing-found', `No page could be audited. ${printable(unread?.reason ?? '')}`);
      }
      setExitCode(report, failOn);
      if (options.watch === true) await auditAgain(first, { audit, isStopped, format, options });
    });
  });
}

type Audited = Awaited<ReturnType<typeof runIllustratedAudit>>;

interface Repeating {
  readonly audit: () => Promise<Audited>;
  readonly isStopped: () => boolean;
  readonly format: AuditFormat;
  readonly options: Pick<AuditCommandOptions, 'out' | 'force'>;
}

/** Audits again whenever the site has changed, and reports what is new and what is gone; until the command is stopped. */
async function auditAgain(first: Audited, { audit, isStopped, format, options }: Repeating): Promise<void> {
  // Only the last of many runs would decide, and a command that is stopped has not failed.
  process.exitCode = 0;
  let last = first;
  process.stderr.write('Watching the site. Press Ctrl+C to stop.\n');
  while (await new WatchedSite(last.resources).untilChanged(isStopped)) {
    const next = await audit();
    if (isStopped()) return;
    const report = againstBaseline(next.report, last.report);
    deliver(writeReport(report, format, next.findings), { ...options, force: true });
    last = next;
  }
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
