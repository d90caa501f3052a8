import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { normalizePath } from 'vite';
import { readTokens, type TokenThemes } from '../core/color/tokens.ts';
import type { Theme } from '../core/color/derive-theme.ts';
import { checkSite } from '../core/site/define.ts';
import type { SiteOptions } from '../core/site/define.ts';
import { severityOf } from '../core/site/problem-codes.ts';
import type { DefinedSite } from '../core/site/site.ts';
import { jsonFault } from './json-fault.ts';
import { placesIn, type TextPlace } from './json-places.ts';

/** One thing that is wrong with a file, as it is shown over the page and in the terminal. */
export interface FileProblem extends TextPlace {
  readonly file: string;
  readonly code: string;
  readonly isFatal: boolean;
  readonly message: string;
  readonly remedy: string;
}

/** A file as it was read; without a value, one of its problems is fatal. */
export interface ReadFile<Value> {
  readonly value: Value | null;
  readonly problems: readonly FileProblem[];
  /** What was read; null if nothing could be. */
  readonly text: string | null;
}

interface ReadText {
  readonly text: string;
  readonly value: unknown;
  readonly placeOf: (pointer: string) => TextPlace;
}

const start: TextPlace = { line: 1, column: 1 };

/** A file to read. */
export interface FileToRead {
  readonly path: string;
  /** Its path as problems name it. */
  readonly shown: string;
  /** What stands for its content, while somebody edits it; null for the file itself. */
  readonly draft: string | null;
}

/** The JSON of a file, or why there is none. */
function readJson({
  path: file,
  shown,
  draft,
}: FileToRead): ReadText | { readonly problem: FileProblem; readonly text: string | null } {
  const failed = (code: string, place: TextPlace, message: string, remedy: string): FileProblem => ({
    ...{ file: shown, code, isFatal: true, message, remedy },
    ...place,
  });
  let text: string | null = null;
  try {
    text = draft ?? readFileSync(file, 'utf8');
    // A byte order mark is no part of the text.
    const json = text.replace(/^\uFEFF/u, '');
    return { text, value: JSON.parse(json), placeOf: placesIn(json) };
  } catch (error) {
    if (text !== null) {
      const fault = jsonFault(text.replace(/^\uFEFF/u, ''));
      const message =
        text.trim() === '' ? 'The file is empty.' : `This is not JSON: ${fault?.explanation ?? 'it cannot be read'}.`;
      const place = fault?.place ?? start;
      return { text, problem: failed('json-syntax', place, message, 'Correct it here, or just before.') };
    }
    const { code = 'unknown error' } = error as NodeJS.ErrnoException;
    const isMissing = code === 'ENOENT';
    return {
      text,
      problem: isMissing
        ? failed(
            'file-missing',
            start,
            'The file is not there.',
            'Put it back, or correct the path in the configuration.',
          )
        : failed('file-unreadable', start, `The file cannot be read (${code}).`, 'Make it readable.'),
    };
  }
}

/** The text of a file as it is now; null if it cannot be read. */
export function contentOf(file: string): string | null {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return null;
  }
}

/** Reads and checks a site file. */
export function readSite(file: FileToRead, options: SiteOptions): ReadFile<DefinedSite> {
  const { shown } = file;
  const read = readJson(file);
  if ('problem' in read) return { value: null, problems: [read.problem], text: read.text };
  const { site, problems } = checkSite(read.value, options);
  return {
    value: site,
    text: read.text,
    problems: problems.map(({ code, pointer, message, remedy }) => ({
      ...{ file: shown, code, isFatal: severityOf(code) === 'fatal', message, remedy },
      ...read.placeOf(pointer),
    })),
  };
}

/** Reads a file of design tokens. What it does not say is as in the library's own theme. */
export function readTheme(file: FileToRead): ReadFile<TokenThemes> {
  const { shown } = file;
  const read = readJson(file);
  if ('problem' in read) return { value: null, problems: [read.problem], text: read.text };
  const own = readTokens(JSON.parse(readFileSync(libraryFile('tokens.json'), 'utf8')), {} as Theme);
  const tokens = readTokens(read.value, own.themes['default'] ?? ({} as Theme));
  const problems = tokens.problems.map(({ pointer, message }) => ({
    ...{ file: shown, code: 'token-problems', isFatal: true, message, remedy: 'Correct the token.' },
    ...read.placeOf(pointer),
  }));
  return { value: problems.length === 0 ? tokens : null, problems, text: read.text };
}

/** Where a file of this package is. */
export function libraryFile(name: string): string {
  return path.join(import.meta.dirname, '../..', name);
}

/** Folders in which no one keeps a site file. */
const passedOver = /^(?:\.|node_modules$|dist$|build$|coverage$)/u;

/** The paths of the site files below a folder. */
export function findSiteFiles(folder: string): readonly string[] {
  const found: string[] = [];
  for (const item of readdirSync(folder, { withFileTypes: true })) {
    const place = path.join(folder, item.name);
    if (item.isDirectory() && !passedOver.test(item.name)) found.push(...findSiteFiles(place));
    else if (item.isFile() && item.name.endsWith('.site.json')) found.push(normalizePath(place));
  }
  return found;
}

/** A problem in a line of the terminal, and what to do in the next. */
export function problemText({ file, line, column, code, message, remedy }: FileProblem): string {
  return `${file}:${line}:${column} ${code}: ${message}\n  ${remedy}`;
}
