import type { Command } from 'commander';
import { reviewSite } from 'fair-trail';
import { readSiteFile, type LocatedProblem } from '../input/site-file.ts';
import type { Finding } from '../report/finding.ts';
import { runWhileWatching } from '../watch.ts';
import { failOnOption, formatOption, report, type ReportOptions } from '../report/report.ts';

interface CheckOptions extends ReportOptions {
  readonly release?: boolean;
  readonly watch?: boolean;
}

export function addCheckCommand(program: Command, version: string): void {
  program
    .command('check')
    .summary('find errors and likely mistakes in a site file')
    .description(
      'Checks whether a site file is valid. If it is, also reports what is likely to be a mistake. ' +
        'Exits with 1 if a finding reaches the level of --fail-on.',
    )
    .argument('<site file>', 'a *.site.json, .ts or .js file')
    .option('--release', 'the site is about to be published: planned pages are errors')
    .addOption(failOnOption())
    .addOption(formatOption())
    .option('--watch', 'check again when the file changes, until stopped')
    .action(async (file: string, options: CheckOptions) => {
      const check = async () => {
        const { site, problems, locate } = await readSiteFile(file);
        const reviewed = site ? locate(reviewSite(site)) : [];
        const toFinding = (found: LocatedProblem): Finding => ({ ...found, severity: levelOf(found, options) });
        report([...problems, ...reviewed].map(toFinding), options, version);
      };
      await (options.watch === true ? runWhileWatching(file, check) : check());
    });
}

function levelOf({ severity, code }: LocatedProblem, { release }: CheckOptions): Finding['severity'] {
  const isUnfinished = release === true && code === 'planned-entry';
  return severity === 'fatal' || isUnfinished ? 'error' : 'warning';
}
