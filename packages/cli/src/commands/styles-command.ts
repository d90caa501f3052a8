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
    .summary('make the stylesheet that a site file asks for')
    .description(
      'Writes the rules that belong to one site alone: the share of a bar’s spare room that each entry with a "flex" has. ' +
        'Load it after the library’s own styles.',
    )
    .argument('<site file>', 'a .json, .ts or .js file')
    .option('--out <FILE>', 'write it there; without it, it is printed')
    .option('--force', 'replace a file that is there already')
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
