import type { Command } from 'commander';
import { compareSites, type Problem, type SiteChange } from 'fair-trail';
import { changeText, entryPointer, pageOf } from 'fair-trail/internal/core';
import { readSoundSite, type CheckedSiteFile } from '../input/site-file.ts';
import type { Finding } from '../report/finding.ts';
import { failOnOption, formatOption, report, type ReportOptions } from '../report/report.ts';

export function addCompareCommand(program: Command, version: string): void {
  program
    .command('compare')
    .summary('report what changed between two versions of a site file')
    .description(
      'Reports which pages were added, removed, renamed and moved. An address that worked and no longer ' +
        'does is an error, unless the new version has it in "movedFrom" or "aliases".',
    )
    .argument('<old>', 'the site file as it was')
    .argument('<new>', 'the site file as it is')
    .addOption(failOnOption())
    .addOption(formatOption())
    .action(async (oldFile: string, newFile: string, options: ReportOptions) => {
      const [before, after] = [await readSoundSite(oldFile), await readSoundSite(newFile)];
      const findings = compareSites(before.site, after.site).map((change) => toFinding(change, before, after));
      report(findings, options, version);
    });
}

const codes = {
  added: 'page-added',
  removed: 'page-removed',
  renamed: 'page-renamed',
  moved: 'page-moved',
  'language-changed': 'language-changed',
  'address-lost': 'address-lost',
} as const satisfies Record<SiteChange['kind'], Finding['code']>;

function toFinding(change: SiteChange, before: CheckedSiteFile, after: CheckedSiteFile): Finding {
  const code = codes[change.kind];
  const message = changeText(change);
  switch (change.kind) {
    case 'added':
    case 'renamed':
    case 'moved':
      return note(code, message, entryPointer(change.entry), after);
    case 'removed':
      return note(code, message, entryPointer(change.entry), before);
    case 'language-changed':
      return note(code, message, '/language', after);
    case 'address-lost': {
      const remedy = 'Add it to the "movedFrom" of the entry that it should lead to.';
      return { ...note(code, message, entryPointer(change.from), before), severity: 'error', remedy };
    }
  }
}

function note(code: Finding['code'], message: string, pointer: string, of: CheckedSiteFile): Finding {
  // Only the place is asked for, so it does not matter what the problem is.
  const asked: Problem = { code: 'unknown-entry', severity: 'advisory', pointer, message: '', remedy: '', page: '' };
  const [place] = of.locate([asked]);
  return {
    code,
    severity: 'note',
    message,
    remedy: '',
    page: pageOf('problems', code),
    file: of.file,
    pointer,
    line: place?.line ?? null,
    column: place?.column ?? null,
  };
}
