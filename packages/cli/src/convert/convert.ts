import path from 'node:path';
import {
  checkSite,
  nestedListHtml,
  outline,
  sitemap,
  type DefinedSite,
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
import { soundPartOf } from './sound-part.ts';
import { inputFormatOf, outputFormatOf, type InputFormat, type OutputFormat } from './convert-formats.ts';

export interface ConvertOptions {
  readonly from?: InputFormat;
  readonly to?: OutputFormat;
  readonly origin?: string;
  readonly records?: string;
  readonly force?: boolean;
  readonly strict?: boolean;
}

/** A site, and what is to be said of where it comes from. */
interface ConvertedSite {
  readonly site: DefinedSite;
  readonly guesses: readonly string[];
  readonly leftOut: readonly string[];
}

/** Reads one format and writes another, and says on the error stream what was guessed and what was left out. */
export async function convert(input: string, output: string, options: ConvertOptions): Promise<void> {
  const { origin } = options;
  if (origin !== undefined && !isOrigin(origin)) {
    const remedy = 'Give a scheme and a host, such as https://marram.example.';
    throw new Failure('bad-usage', `--origin "${printable(origin)}" is not an origin. ${remedy}`);
  }
  const from = options.from ?? inputFormatOf(input);
  const to = options.to ?? (output === '-' ? 'site' : outputFormatOf(output));
  const records = options.records === undefined ? {} : readRecords(options.records);
  const { site, guesses, leftOut } = await readSite(input, from, origin);
  const tooLong: string[] = [];
  const files = writeSite(site, to, output, records, (url) => tooLong.push(url));
  if (output !== '-') writeFiles(files, options.force ?? false);
  else if (files.length === 1) process.stdout.write(files[0]?.text ?? '');
  else {
    const problem = `The sitemap takes ${files.length} files, and the standard output is one.`;
    throw new Failure('bad-usage', `${problem} Name a file to write; the others are put beside it.`);
  }
  const notes = [
    ...guesses.map((guess) => `guessed: ${printable(guess)}`),
    ...leftOut.map((what) => `left out: ${printable(what)}`),
    ...tooLong.map((url) => `left out: "${printable(url.slice(0, 80))}…": a sitemap has no address so long.`),
  ];
  for (const note of notes) process.stderr.write(`${note}\n`);
  if (output !== '-') {
    const about =
      notes.length === 0 ? '' : `, with ${notes.length} ${notes.length === 1 ? 'note' : 'notes'} listed above`;
    process.stderr.write(`Wrote ${files.map((file) => printable(file.path)).join(', ')}${about}.\n`);
  }
  if (options.strict && leftOut.length + tooLong.length > 0) process.exitCode = 1;
}

function isOrigin(text: string): boolean {
  const url = URL.canParse(text) ? new URL(text) : null;
  return /^https?:$/u.test(url?.protocol ?? '') && text.replace(/\/$/u, '').toLowerCase() === url?.origin;
}

async function readSite(input: string, from: InputFormat, origin: string | undefined): Promise<ConvertedSite> {
  const withOrigin = (definition: SiteDefinition) => (origin === undefined ? definition : { ...definition, origin });
  if (from === 'site') {
    const { site } = await readSoundSite(input);
    // It is sound, and stays so with another origin.
    return { site: checkSite(withOrigin(site.definition)).site ?? site, guesses: [], leftOut: [] };
  }
  const spinner = await spin(`Reading ${printable(input)}`);
  try {
    const draft = readDraft(input, from, (done, all) => {
      if (spinner && done % 50 === 0) spinner.text = `Reading ${printable(input)}: ${done} of ${all} pages`;
    });
    const { site, leftOut } = sound(withOrigin(toDefinition(draft)), input);
    return { site, guesses: draft.guesses, leftOut: [...draft.leftOut, ...leftOut] };
  } finally {
    spinner?.stop();
  }
}

/** The site of a definition, as far as it can be used. */
function sound(definition: SiteDefinition, input: string): Omit<ConvertedSite, 'guesses'> {
  const { site, problems, leftOut } = soundPartOf(definition);
  if (site && site.entries.length > 0) return { site, leftOut };
  const [first, ...others] = problems.filter(({ severity }) => severity === 'fatal');
  if (!first) throw new Failure('nothing-found', `"${printable(input)}" has no page that a site could have.`);
  const more = others.length > 0 ? ` (and ${others.length} more)` : '';
  const message = `${first.pointer || '/'}: ${printable(first.message)} ${printable(first.remedy)}`;
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
function writeSite(
  site: DefinedSite,
  format: OutputFormat,
  place: string,
  records: SiteRecords,
  onLeftOut: (url: string) => void,
): readonly OutputFile[] {
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
      const files = sitemap(site, { records, name: base, onLeftOut });
      if (files.length > 0) return files.map(({ name, text }) => ({ path: path.join(dir, name), text }));
      throw new Failure('nothing-found', 'No page of the site is for everyone, so a sitemap would be empty.');
    }
  }
}
