import { isatty } from 'node:tty';
import { Option, type Command } from 'commander';
import { checkSite, type Site, type SiteDefinition } from 'fair-trail';
import yoctoSpinner from 'yocto-spinner';
import { Failure } from '../failure.ts';
import {
  inputFormatOf,
  inputFormats,
  outputFormatOf,
  outputFormats,
  readDraft,
  writeSite,
  type InputFormat,
  type OutputFormat,
} from '../formats.ts';
import { readRecords } from '../input/records-file.ts';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { toDefinition } from '../readers/draft.ts';
import { writeFiles } from '../writers/write-files.ts';

interface ConvertOptions {
  readonly from?: InputFormat;
  readonly to?: OutputFormat;
  readonly origin?: string;
  readonly records?: string;
  readonly force?: boolean;
}

export function addConvertCommand(program: Command): void {
  program
    .command('convert')
    .summary('make a site file of what there is, or something else of a site file')
    .description(
      'Reads a site file, a sitemap (packed too, and an index with its parts beside it), an OPML outline, the ' +
        'navigation of an HTML page or a folder of HTML pages, and writes a site file, a sitemap, an outline, a nested ' +
        'HTML list or TypeScript declarations. Whatever had to be guessed is listed on the error stream.',
    )
    .argument('<in>', 'a file or a folder')
    .argument('<out>', 'the file to write, or - for the output stream')
    .addOption(new Option('--from <FORMAT>', 'what <in> is; default: by its ending').choices(inputFormats))
    .addOption(new Option('--to <FORMAT>', 'what to write; default: by the ending of <out>').choices(outputFormats))
    .option('--origin <ORIGIN>', 'the origin of the site, such as https://marram.example')
    .option('--records <FILE>', 'a JSON file with the records')
    .option('--force', 'replace files that are there already')
    .action((input: string, output: string, options: ConvertOptions) => convert(input, output, options));
}

async function convert(input: string, output: string, options: ConvertOptions): Promise<void> {
  const from = options.from ?? inputFormatOf(input);
  const to = options.to ?? (output === '-' ? 'site' : outputFormatOf(output));
  const records = options.records === undefined ? {} : readRecords(options.records);
  const { definition, guesses } = await readDefinition(input, from);
  const site = sound(options.origin === undefined ? definition : { ...definition, origin: options.origin }, input);
  const files = writeSite(site, to, output, records);
  if (output === '-') process.stdout.write(files.map(({ text }) => text).join(''));
  else writeFiles(files, options.force ?? false);
  for (const guess of guesses) process.stderr.write(`guessed: ${printable(guess)}\n`);
  if (output !== '-') {
    const count =
      guesses.length === 0 ? '' : `, with ${guesses.length} ${guesses.length === 1 ? 'guess' : 'guesses'} listed above`;
    process.stderr.write(`Wrote ${files.map((file) => printable(file.path)).join(', ')}${count}.\n`);
  }
}

async function readDefinition(
  input: string,
  from: InputFormat,
): Promise<{ definition: SiteDefinition; guesses: readonly string[] }> {
  if (from === 'site') return { definition: (await readSoundSite(input)).site.definition, guesses: [] };
  // Nothing is said where nobody watches; the spinner itself would still write each new text there.
  const spinner = isatty(process.stderr.fd) ? yoctoSpinner({ text: `Reading ${printable(input)}` }).start() : null;
  try {
    const draft = readDraft(input, from, (done, all) => {
      if (spinner && done % 50 === 0) spinner.text = `Reading ${printable(input)}: ${done} of ${all} pages`;
    });
    return { definition: toDefinition(draft), guesses: draft.guesses };
  } finally {
    spinner?.stop();
  }
}

/** A reader's own output must be a sound site file; what is not is a mistake of the input that it could not mend. */
function sound(definition: SiteDefinition, input: string): Site {
  const { site, problems } = checkSite(definition);
  if (site) return site;
  const [first, ...others] = problems.filter(({ severity }) => severity === 'fatal');
  const more = others.length > 0 ? ` (and ${others.length} more)` : '';
  const message = first ? `${first.pointer || '/'}: ${printable(first.message)} ${printable(first.remedy)}` : '';
  throw new Failure('site-problems', `What is in "${printable(input)}" makes no sound site file. ${message}${more}`);
}
