import { Failure } from '../failure.ts';
import { kindOf } from '../input/read-file.ts';
import { printable } from '../printable.ts';

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
  const kind = kindOf(file);
  if (kind === 'folder') return 'folder';
  if (kind === null) throw new Failure('file-missing', `There is no file or folder "${printable(file)}".`);
  const format = endings.find(([ending]) => ending.test(file))?.[1];
  if (format && format !== 'declarations') return format;
  throw new Failure('unknown-format', `The ending of "${printable(file)}" says no format. Name it with --from.`);
}

export function outputFormatOf(file: string): OutputFormat {
  const format = endings.find(([ending]) => ending.test(file))?.[1];
  if (format && format !== 'folder' && !/\.gz$|(?<!\.d|\.d\.json)\.[cm]?[jt]s$/u.test(file)) return format;
  throw new Failure('unknown-format', `The ending of "${printable(file)}" says no format to write. Name it with --to.`);
}
