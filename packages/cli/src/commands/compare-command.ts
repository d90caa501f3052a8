import type { Command } from 'commander';
import { compareSites, type Problem, type SiteChange } from 'fair-trail';
import { entryPointer, pageOf } from 'fair-trail/internal/core';
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

function toFinding(change: SiteChange, before: CheckedSiteFile, after: CheckedSiteFile): Finding {
  switch (change.kind) {
    case 'added': {
      const { id, label, href } = change.entry;
      const where = href === null ? '' : ` at ${href}`;
      return note('page-added', `"${label}" (${id}) was added${where}.`, entryPointer(change.entry), after);
    }
    case 'removed': {
      const { id, label } = change.entry;
      return note('page-removed', `"${label}" (${id}) was removed.`, entryPointer(change.entry), before);
    }
    case 'renamed': {
      const { entry, from } = change;
      return note('page-renamed', `"${from.label}" (${entry.id}) is now "${entry.label}".`, entryPointer(entry), after);
    }
    case 'moved': {
      const { entry, from } = change;
      const place = (one: typeof entry) => `${one.href ?? 'no address'} below ${one.parent?.id ?? 'the top'}`;
      return note(
        'page-moved',
        `${entry.id} moved from ${place(from)} to ${place(entry)}.`,
        entryPointer(entry),
        after,
      );
    }
    case 'language-changed':
      return note(
        'language-changed',
        `The language of the site was "${change.from}" and is "${change.to}".`,
        '/language',
        after,
      );
    case 'address-lost': {
      const message = `The address ${change.address} of "${change.from.label}" (${change.from.id}) leads nowhere now.`;
      const remedy = 'Add it to the "movedFrom" of the entry that it should lead to.';
      return { ...note('address-lost', message, entryPointer(change.from), before), severity: 'error', remedy };
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
