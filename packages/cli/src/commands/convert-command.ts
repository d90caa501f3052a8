import { Option, type Command } from 'commander';
import type { ConvertOptions } from '../convert/convert.ts';
import { inputFormats, outputFormats } from '../convert/convert-formats.ts';

export function addConvertCommand(program: Command): void {
  program
    .command('convert')
    .summary('make a site file of what there is, or something else of a site file')
    .description(
      'Reads a site file, a sitemap (packed too, and an index with its parts beside it), an OPML outline, the ' +
        'navigation of an HTML page or a folder of HTML pages, and writes a site file, a sitemap, an outline, a nested ' +
        'HTML list or TypeScript declarations. Whatever had to be guessed or left out is listed on the error stream.',
    )
    .argument('<in>', 'a file or a folder')
    .argument('<out>', 'the file to write, or - for the output stream')
    .addOption(new Option('--from <FORMAT>', 'what <in> is; default: by its ending').choices(inputFormats))
    .addOption(new Option('--to <FORMAT>', 'what to write; default: by the ending of <out>').choices(outputFormats))
    .option('--origin <ORIGIN>', 'the origin of the site, such as https://marram.example')
    .option('--records <FILE>', 'a JSON file with the records')
    .option('--force', 'replace files that are there already')
    .option('--strict', 'exit with 1 where something had to be left out')
    .action(async (input: string, output: string, options: ConvertOptions) => {
      // Its readers are loaded only where something is to be read.
      const { convert } = await import('../convert/convert.ts');
      await convert(input, output, options);
    });
}
