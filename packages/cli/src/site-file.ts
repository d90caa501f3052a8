import { readFileSync } from 'node:fs';
import { checkSite, type Problem, type Site } from 'fair-trail';
import { Failure } from './failure.ts';
import { readJson } from './json-document.ts';
import { printable } from './printable.ts';

/** A site file that can be used, and what is advised against in it, each as a line to print. */
export interface SiteFile {
  readonly site: Site;
  readonly advice: readonly string[];
}

/** @throws Failure with every problem and its place in the file */
export function readSiteFile(file: string): SiteFile {
  const shown = printable(file);
  const document = readJson(readText(file, shown), shown);
  const { site, problems } = checkSite(document.value);
  const lines = problems
    .map((problem) => ({ problem, offset: document.offsetOf(problem.pointer) }))
    .toSorted((one, other) => one.offset - other.offset)
    .map(({ problem, offset }) => problemLine(problem, `${shown}:${document.placeOf(offset)}`));
  if (site) return { site, advice: lines };
  const fatal = problems.filter(({ severity }) => severity === 'fatal').length;
  const count = `${fatal} ${fatal === 1 ? 'problem' : 'problems'} to mend in ${shown}`;
  throw new Failure('site-problems', [...lines, '', count].join('\n'));
}

function readText(file: string, shown: string): string {
  let bytes: Buffer;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ENOENT')
      throw new Failure('file-missing', `There is no file "${shown}". Give the path of a site file.`);
    if (code === 'EISDIR')
      throw new Failure('file-unreadable', `"${shown}" is a folder. Give the path of a site file.`);
    throw new Failure('file-unreadable', `The file "${shown}" cannot be read (${code ?? 'unknown error'}).`);
  }
  try {
    // A byte order mark is taken off by the decoder.
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Failure('file-encoding', `The file "${shown}" is not text in UTF-8. Save it in that encoding.`);
  }
}

function problemLine({ code, severity, pointer, message, remedy }: Problem, place: string): string {
  const kind = severity === 'fatal' ? 'error' : 'advice';
  return `${place} ${printable(pointer) || '/'}\n  ${kind} ${code}: ${printable(message)} ${printable(remedy)}`;
}
