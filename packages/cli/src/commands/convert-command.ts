import { Option, type Command } from 'commander';
import type { ConvertOptions } from '../convert/convert.ts';
import { inputFormats, outputFormats } from '../convert/convert-formats.ts';

export function addConvertCommand(program: Command): void {
  program
    .command('convert')
    .summary('make a site file from existing pages, or export one')
    .description(
      'Reads a site file, a sitemap (packed too, and an index with its parts beside it), an OPML outline, the ' +
        'navigation of an HTML page or a folder of HTML pages, and writes a site file, a sitemap, an outline, a nested ' +
        'HTML list or TypeScript declarations. Lists on the error stream what it guessed or left out.',
    )
    .argument('<in>', 'a file or a folder')
    .argument('<out>', 'the file to write, or - for the output stream')
    .addOption(new Option('--from <FORMAT>', 'the format of <in>; default: by its extension').choices(inputFormats))
    .addOption(
      new Option('--to <FORMAT>', 'the format to write; default: by the extension of <out>').choices(outputFormats),
    )
    .option('--origin <ORIGIN>', 'the origin of the site, such as https://marram.example')
    .option('--records <FILE>', 'a JSON file with the records')
    .option('--force', 'replace existing files')
    .option('--strict', 'exit with 1 if something had to be left out')
    .action(async (input: string, output: string, options: ConvertOptions) => {
      // Its readers are loaded only where something is to be read.
      const { convert } = await import('../convert/convert.ts');
      await convert(input, output, options);
    });
}
