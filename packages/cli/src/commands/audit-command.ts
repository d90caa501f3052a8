import { InvalidArgumentError, Option, type Command } from 'commander';
import type { AuditCommandOptions } from '../audit/make-audit.ts';
import { auditFormats } from '../audit/audit-formats.ts';
import type { Shard } from '../audit/shard.ts';
import { failOnOption } from '../report/report.ts';
import { readNames } from './read-names.ts';

export function addAuditCommand(program: Command, version: string): void {
  const command = program
    .command('audit')
    .summary('find defects in the navigation of any site, by using it')
    .description(
      'Opens a site, or a folder of pages, in a browser at several widths, follows its links, and uses its navigation as ' +
        'people do. It stays on the origin and sends only requests that read. What could not be tried is listed. ' +
        'Exits with 1 if a finding reaches the level of --fail-on, and with 3 if there is no browser.',
    )
    .argument('<address or folder>', 'such as http://127.0.0.1:4310, or dist')
    .option('--start <PATH>', 'where to begin; default: the home page')
    .option(
      '--fallback <FILE>',
      'for a folder: the page to send for an address without a file, as for single-page apps',
    )
    .option('--pages <NUMBER>', 'how many pages to visit at most', readCount, 20)
    .option('--widths <A,B>', 'the widths of the window, in CSS pixels', readWidths, [320, 768, 1280])
    .option('--only <A,B>', 'check only these rules', readNames)
    .option('--skip <A,B>', 'skip these rules', readNames)
    .option('--baseline <FILE>', 'an earlier report in JSON: report, and fail on, only new findings')
    .addOption(failOnOption())
    .option('--site <SITE FILE>', 'also compare the pages with this site file')
    .option('--base <PATH>', 'the path that the site of --site is published under; default: /')
    .addOption(new Option('--scheme <SCHEME>', 'the color scheme that the reader prefers').choices(['light', 'dark']))
    .option(
      '--shard <I/N>',
      'the part of the pages for this machine, such as 1/4; merge the reports with: audit merge',
      readShard,
    )
    .addOption(formatOption())
    .option('--pictures', 'also put pictures into a JSON report, for: audit merge --format html')
    .option('--out <FILE>', 'the file to write; default: print the report')
    .option('--browser <PROGRAM>', 'the Chromium to use; default: CHROMIUM_PATH, or an installed one')
    .option('--force', 'replace an existing file')
    .option('--watch', 'audit again when the site changes; report new and fixed findings')
    .action(async (target: string, options: AuditCommandOptions) => {
      // A browser's driver takes longer to load than most commands take in all.
      const { makeAudit } = await import('../audit/make-audit.ts');
      await makeAudit(target, options, version);
    });
  command
    .command('merge')
    .summary('merge the reports of several machines')
    .description('Merges the JSON reports of several shards. A finding of more than one shard is reported once.')
    .argument('<reports...>', 'files written with --format json')
    .addOption(failOnOption())
    .addOption(formatOption())
    .option('--out <FILE>', 'the file to write; default: print the report')
    .option('--force', 'replace an existing file')
    .action(async (files: string[], _, merge: Command) => {
      const { mergeReports } = await import('../audit/merge-reports.ts');
      // Options of the same name that were written before the word are those of the command around.
      mergeReports(files, merge.optsWithGlobals());
    });
}

function formatOption(): Option {
  return new Option('--format <FORMAT>', 'how to print it').choices(auditFormats).default('text');
}

function readShard(text: string): Shard {
  const [, index = '', count = ''] = /^(\d+)\/(\d+)$/u.exec(text) ?? [];
  const shard = { index: Number(index), count: Number(count) };
  if (shard.index < 1 || shard.index > shard.count) {
    throw new InvalidArgumentError('It is written as the part and how many there are, such as 1/4.');
  }
  return shard;
}

function readCount(text: string): number {
  const count = Number(text);
  if (!Number.isInteger(count) || count < 1) throw new InvalidArgumentError('A whole number from 1 on is needed.');
  return count;
}

function readWidths(text: string): readonly number[] {
  const widths = text.split(',').map(Number);
  if (widths.some((width) => !Number.isInteger(width) || width < 200 || width > 4000)) {
    throw new InvalidArgumentError('Numbers from 200 to 4000 are needed, with commas between.');
  }
  return [...new Set(widths)];
}
