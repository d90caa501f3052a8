import { InvalidArgumentError, Option, type Command } from 'commander';
import type { AuditCommandOptions } from '../audit/make-audit.ts';
import { auditFormats } from '../audit/audit-formats.ts';
import type { Shard } from '../audit/shard.ts';
import { failOnOption } from '../report/report.ts';
import { readNames } from './read-names.ts';

export function addAuditCommand(program: Command, version: string): void {
  const command = program
    .command('audit')
    .summary('find what is wrong with any site’s navigation, by using it')
    .description(
      'Opens a site, or a folder of pages, in a browser at several widths, follows its links, and uses its navigation as ' +
        'people do. It never leaves the origin, and sends nothing but requests to read. What could not be tried is listed. ' +
        'Exits with 1 where something is at the level to fail on, and with 3 where there is no browser.',
    )
    .argument('<address or folder>', 'such as http://127.0.0.1:4310, or dist')
    .option('--start <PATH>', 'where to begin; default: the home page')
    .option('--fallback <FILE>', 'of a folder: the page that answers where there is no file, as for one-page apps')
    .option('--pages <NUMBER>', 'how many pages to visit at most', readCount, 20)
    .option('--widths <A,B>', 'the widths of the window, in CSS pixels', readWidths, [320, 768, 1280])
    .option('--only <A,B>', 'try these rules alone', readNames)
    .option('--skip <A,B>', 'leave these rules out', readNames)
    .option(
      '--baseline <FILE>',
      'an earlier report, written with --format json: only what is new is reported, and fails',
    )
    .addOption(failOnOption())
    .option('--site <SITE FILE>', 'also hold the pages against this site file')
    .option('--base <PATH>', 'the path that the site of --site is published under; default: /')
    .addOption(new Option('--scheme <SCHEME>', 'the colors that the reader has asked for').choices(['light', 'dark']))
    .option('--shard <I/N>', 'this machine’s part of the pages, such as 1/4; put together with: audit merge', readShard)
    .addOption(formatOption())
    .option('--pictures', 'also put pictures into a JSON report, for: audit merge --format html')
    .option('--out <FILE>', 'write it there; without it, it is printed')
    .option('--browser <PROGRAM>', 'the Chromium to use; without it, CHROMIUM_PATH, or one where systems keep it')
    .option('--force', 'replace a file that is there already')
    .option('--watch', 'audit again whenever the site changes, and report what is new and what is gone')
    .action(async (target: string, options: AuditCommandOptions) => {
      // A browser's driver takes longer to load than most commands take in all.
      const { makeAudit } = await import('../audit/make-audit.ts');
      await makeAudit(target, options, version);
    });
  command
    .command('merge')
    .summary('make one report of those of several machines')
    .description(
      'Makes one report of the JSON reports of several shards: what more than one of them found is told once.',
    )
    .argument('<reports...>', 'files written with --format json')
    .addOption(failOnOption())
    .addOption(formatOption())
    .option('--out <FILE>', 'write it there; without it, it is printed')
    .option('--force', 'replace a file that is there already')
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
