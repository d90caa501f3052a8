import type { Command } from 'commander';
import { flexStyles } from 'fair-trail';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { writeFiles } from '../writers/write-files.ts';

interface StylesOptions {
  readonly out?: string;
  readonly force?: boolean;
}

export function addStylesCommand(program: Command): void {
  program
    .command('styles')
    .summary('write the stylesheet for the "flex" values of a site file')
    .description(
      'Writes the CSS rules of one site: the share of a bar’s spare room for each entry with "flex". ' +
        'Load it after the library’s own styles.',
    )
    .argument('<site file>', 'a .json, .ts or .js file')
    .option('--out <FILE>', 'the file to write; default: print the report')
    .option('--force', 'replace an existing file')
    .action(async (file: string, options: StylesOptions) => {
      const { site } = await readSoundSite(file);
      const text = flexStyles(site);
      if (options.out === undefined) {
        process.stdout.write(text);
        return;
      }
      writeFiles([{ path: options.out, text }], options.force ?? false);
      process.stderr.write(`Wrote ${printable(options.out)}.\n`);
    });
}
