import { defineSite, everyEntry, hrefOf, type DefinedSite } from 'fair-trail';
import { withBrowser, withServed } from '../browser/with-browser.ts';
import { Failure } from '../failure.ts';
import { adviseAudiences, adviseRecords } from '../input/advise-names.ts';
import { readRecords } from '../input/records-file.ts';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { refusePlaces, writeFiles } from '../writers/write-files.ts';
import { toJUnit } from './reports/walk-junit.ts';
import { toText } from './reports/walk-text.ts';
import { runWalk } from './run-walk.ts';
import { readStorage } from './storage-file.ts';
import type { WalkFormat } from './walk-formats.ts';
import type { WalkInput } from './walker.ts';
import type { WalkReport } from './walk-report.ts';
import { writeTest } from './write-test.ts';

export interface WalkOptions {
  readonly against: string;
  readonly fallback?: string;
  readonly base?: string;
  readonly records?: string;
  readonly audience: readonly string[];
  readonly language?: string;
  readonly storage?: string;
  readonly only?: readonly string[];
  readonly by: readonly WalkInput[];
  readonly width: number;
  readonly format: WalkFormat;
  readonly out?: string;
  readonly write?: string;
  readonly browser?: string;
  readonly force?: boolean;
}

/** Holds a running site, or a folder of pages, against its site file, and reports what it finds. */
export async function makeWalk(file: string, options: WalkOptions, version: string): Promise<void> {
  const { against, base = '/', audience, only = null, by: inputs, width, format, out, write } = options;
  const { site: written } = await readSoundSite(file);
  const site = base === '/' ? written : defineSite(written.definition, { base });
  const { language = site.language } = options;
  refuseUnknownEntries(site, only);
  refuseUnknownLanguage(site, language);
  adviseAudiences(site, audience);
  const records = options.records === undefined ? {} : readRecords(options.records);
  adviseRecords(site, records);
  // Before what takes long, rather than after it.
  const outputs = [out, write].filter((path) => path !== undefined).map((path) => ({ path }));
  refusePlaces(outputs, options.force ?? false);
  await withServed(against, options, async (url) => {
    if (!URL.canParse(url)) throw new Failure('bad-address', `"${printable(against)}" is not an address.`);
    const storage = options.storage === undefined ? null : readStorage(options.storage, new URL(url).origin);
    await withBrowser(options, async ({ browser, isStopped, say, endSaying }) => {
      const walked = await runWalk(browser, {
        site,
        address: url,
        audience,
        records,
        language,
        only,
        inputs,
        width,
        storage,
        isStopped,
        onProgress: (done, all) => say(`Step ${done} of ${all}`),
      });
      endSaying();
      const report = walked.report({ tool: { name: 'fair-trail', version }, site: file, target: against, language });
      refuseEmpty(report, site);
      const text = `${printed(report, format)}\n`;
      const files = out === undefined ? [] : [{ path: out, text }];
      if (write !== undefined && isStopped()) process.stderr.write('No tests were written: the walk was stopped.\n');
      else if (write !== undefined) {
        // A folder is served at another port each time.
        const running = url === against ? url : 'http://127.0.0.1:4310/';
        files.push({
          path: write,
          text: writeTest({ ...walked, site, visitor: { audience, records, language }, running }),
        });
      }
      writeFiles(files, options.force ?? false);
      if (out === undefined) process.stdout.write(text);
      if (report.summary.faults > 0) process.exitCode = 1;
    });
  });
}

/** @throws Failure where nothing of the site file is there at all: then the command was used wrongly, and no fault is one */
function refuseEmpty({ stops, faults, notJudged, target, language }: WalkReport, site: DefinedSite): void {
  if (stops.length === 0) {
    const reason = notJudged[0]?.reason ?? '';
    throw new Failure('nothing-found', `The site file has no page to walk to. ${reason}`);
  }
  if (stops.some(({ checks }) => checks.there !== 'wrong')) return;
  const [first = ''] = faults.find(({ code }) => code === 'page-missing')?.message.split(/(?<=[.])\s/u) ?? [];
  const home = site.home ? (hrefOf(site, site.home, {}, language) ?? '/') : '/';
  throw new Failure(
    'nothing-found',
    `Not one page of the site file is at ${printable(target)}: ${home} was asked for first. ${printable(first)} ` +
      'Is the site running, and is it published below a path (--base) or an app of one page (--fallback)?',
  );
}

function printed(report: WalkReport, format: WalkFormat): string {
  const writers: Readonly<Record<WalkFormat, () => string>> = {
    text: () => toText(report),
    json: () => JSON.stringify(report, null, 2),
    junit: () => toJUnit(report),
  };
  return writers[format]();
}

function refuseUnknownEntries(site: DefinedSite, only: readonly string[] | null): void {
  const known = [...everyEntry(site.entries)].map(({ id }) => id);
  const unknown = only?.find((id) => !known.includes(id));
  if (unknown === undefined) return;
  throw new Failure('no-such-entry', `There is no entry "${printable(unknown)}". "fair-trail show" lists them.`);
}

function refuseUnknownLanguage(site: DefinedSite, language: string): void {
  if (site.languages.includes(language)) return;
  const known = site.languages.join(', ');
  throw new Failure('no-such-language', `The site has no pages in "${printable(language)}". It has them in ${known}.`);
}
