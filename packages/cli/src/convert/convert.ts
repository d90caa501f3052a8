import path from 'node:path';
import {
  checkSite,
  nestedListHtml,
  outline,
  sitemap,
  type Site,
  type SiteDefinition,
  type SiteRecords,
} from 'fair-trail';
import { Failure } from '../failure.ts';
import { readRecords } from '../input/records-file.ts';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { toDefinition, type Draft } from '../readers/draft.ts';
import { readFolder } from '../readers/folder-reader.ts';
import { readHtmlNavigation } from '../readers/html-reader.ts';
import { readOpml } from '../readers/opml-reader.ts';
import { readSitemap } from '../readers/sitemap-reader.ts';
import { spin } from '../spinner.ts';
import { toDeclarations } from '../writers/declarations-writer.ts';
import { toOpml } from '../writers/opml-writer.ts';
import { writeFiles, type OutputFile } from '../writers/write-files.ts';
import { inputFormatOf, outputFormatOf, type InputFormat, type OutputFormat } from './convert-formats.ts';

export interface ConvertOptions {
  readonly from?: InputFormat;
  readonly to?: OutputFormat;
  readonly origin?: string;
  readonly records?: string;
  readonly force?: boolean;
}

/** Reads one format and writes another, and says on the error stream what was guessed. */
export async function convert(input: string, output: string, options: ConvertOptions): Promise<void> {
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
  const spinner = await spin(`Reading ${printable(input)}`);
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

/** A draft of what is not a site file. */
function readDraft(
  file: string,
  format: Exclude<InputFormat, 'site'>,
  progress: (done: number, all: number) => void,
): Draft {
  const readers = { sitemap: readSitemap, opml: readOpml, html: readHtmlNavigation };
  return format === 'folder' ? readFolder(file, progress) : readers[format](file);
}

/** The files that a site is written as; the first at the place that was asked for, the others beside it. */
function writeSite(site: Site, format: OutputFormat, place: string, records: SiteRecords): readonly OutputFile[] {
  switch (format) {
    case 'site':
      return [{ path: place, text: `${JSON.stringify(site.definition, null, 2)}\n` }];
    case 'declarations':
      return [{ path: place, text: toDeclarations(site.definition) }];
    case 'opml':
      return [{ path: place, text: toOpml(site, records) }];
    case 'html':
      return [{ path: place, text: `${nestedListHtml(outline(site, { records }))}\n` }];
    case 'sitemap': {
      if (site.origin === null) {
        throw new Failure(
          'needs-origin',
          'A sitemap has absolute addresses, and the site has no "origin". Give it one, or use --origin.',
        );
      }
      const { dir, base } = path.parse(place);
      return sitemap(site, { records, name: base }).map(({ name, text }) => ({ path: path.join(dir, name), text }));
    }
  }
}
