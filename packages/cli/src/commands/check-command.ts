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
    .summary('find what is wrong in a site file, or likely to hurt someone')
    .description(
      'Checks a site file: whether it is valid and, where it is, also what is likely to hurt someone. ' +
        'Exits with 1 where something is at the level to fail on.',
    )
    .argument('<site file>', 'a *.site.json, .ts or .js file')
    .option('--release', 'the site is about to be published: planned pages are errors')
    .addOption(failOnOption())
    .addOption(formatOption())
    .option('--watch', 'check again whenever the file changes, until the command is stopped')
    .action(async (file: string, options: CheckOptions) => {
      const check = async () => {
        const { site, problems, locate } = await readSiteFile(file);
        const reviewed = site ? locate(reviewSite(site, { release: options.release ?? false })) : [];
        report([...problems, ...reviewed].map(toFinding), options, version);
      };
      await (options.watch === true ? runWhileWatching(file, check) : check());
    });
}

function toFinding({ severity, ...problem }: LocatedProblem): Finding {
  const level = severity === 'fatal' || problem.code === 'planned-entry' ? 'error' : 'warning';
  return { ...problem, severity: level };
}
