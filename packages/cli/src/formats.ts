import { statSync } from 'node:fs';
import path from 'node:path';
import { nestedListHtml, outline, sitemap, type Site, type SiteRecords } from 'fair-trail';
import { Failure } from './failure.ts';
import { printable } from './printable.ts';
import type { Draft } from './readers/draft.ts';
import { readFolder } from './readers/folder-reader.ts';
import { readHtmlNavigation } from './readers/html-reader.ts';
import { readOpml } from './readers/opml-reader.ts';
import { readSitemap } from './readers/sitemap-reader.ts';
import { toDeclarations } from './writers/declarations-writer.ts';
import { toOpml } from './writers/opml-writer.ts';
import type { OutputFile } from './writers/write-files.ts';

export const inputFormats = ['site', 'sitemap', 'opml', 'html', 'folder'] as const;
export const outputFormats = ['site', 'sitemap', 'opml', 'html', 'declarations'] as const;
export type InputFormat = (typeof inputFormats)[number];
export type OutputFormat = (typeof outputFormats)[number];

/** What the endings of files say, the longer ones first. */
const endings: readonly (readonly [ending: RegExp, format: InputFormat | OutputFormat])[] = [
  [/\.d\.json\.ts$|\.d\.ts$/u, 'declarations'],
  [/\.json$|\.[cm]?[jt]s$/u, 'site'],
  [/\.xml(?:\.gz)?$/u, 'sitemap'],
  [/\.opml$/u, 'opml'],
  [/\.x?html?$/u, 'html'],
];

export function inputFormatOf(file: string): InputFormat {
  if (statSync(file, { throwIfNoEntry: false })?.isDirectory()) return 'folder';
  const format = endings.find(([ending]) => ending.test(file))?.[1];
  if (format && format !== 'declarations') return format;
  throw new Failure('unknown-format', `The ending of "${printable(file)}" says no format. Name it with --from.`);
}

export function outputFormatOf(file: string): OutputFormat {
  const format = endings.find(([ending]) => ending.test(file))?.[1];
  if (format && format !== 'folder' && !/\.gz$|(?<!\.d|\.d\.json)\.[cm]?[jt]s$/u.test(file)) return format;
  throw new Failure('unknown-format', `The ending of "${printable(file)}" says no format to write. Name it with --to.`);
}

/** A draft of what is not a site file. */
export function readDraft(
  file: string,
  format: Exclude<InputFormat, 'site'>,
  progress: (done: number, all: number) => void,
): Draft {
  const readers = { sitemap: readSitemap, opml: readOpml, html: readHtmlNavigation };
  return format === 'folder' ? readFolder(file, progress) : readers[format](file);
}

/** The files that a site is written as; the first at the place that was asked for, the others beside it. */
export function writeSite(
  site: Site,
  format: OutputFormat,
  place: string,
  records: SiteRecords,
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
      return sitemap(site, { records, name: base }).map(({ name, text }) => ({ path: path.join(dir, name), text }));
    }
  }
}
