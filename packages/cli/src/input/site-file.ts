import path from 'node:path';
import { checkSite, type Problem, type DefinedSite } from 'fair-trail';
import { Failure, failureLine } from '../failure.ts';
import { printable, reasonOf } from '../printable.ts';
import { readJson } from './json-document.ts';
import { kindOf, readText } from './read-file.ts';

/** A problem with its place in the file, where the file has lines to count. */
export interface LocatedProblem extends Problem {
  /** As it was given. */
  readonly file: string;
  readonly line: number | null;
  readonly column: number | null;
}

/** A site file as it was read; without a site, one of its problems is fatal. */
export interface CheckedSiteFile {
  readonly file: string;
  readonly site: DefinedSite | null;
  /** In the order of the file. */
  readonly problems: readonly LocatedProblem[];
  /** Finds the places of problems that come up later. */
  readonly locate: (problems: readonly Problem[]) => readonly LocatedProblem[];
}

/** Reads a `.json` file, or the module that a `.ts` or `.js` file is. */
export async function readSiteFile(file: string): Promise<CheckedSiteFile> {
  return /\.[cm]?[jt]s$/u.test(file) ? readModule(file) : readJsonFile(file);
}

/** As `readSiteFile`, but a fatal problem ends the command. */
export async function readSoundSite(file: string): Promise<CheckedSiteFile & { readonly site: DefinedSite }> {
  const checked = await readSiteFile(file);
  const { site, problems } = checked;
  if (site) return { ...checked, site };
  const fatal = problems.filter(({ severity }) => severity === 'fatal').length;
  const count = `${fatal} ${fatal === 1 ? 'problem' : 'problems'} to fix in ${printable(file)}`;
  throw new Failure('site-problems', [...problems.map(problemLine), '', count].join('\n'));
}

function readJsonFile(file: string): CheckedSiteFile {
  const document = readJson(readText(file), printable(file));
  const { site, problems } = checkSite(document.value);
  const locate = (found: readonly Problem[]) =>
    found
      .map((problem) => ({ problem, offset: document.offsetOf(problem.pointer) }))
      .toSorted((one, other) => one.offset - other.offset)
      .map(({ problem, offset }): LocatedProblem => ({ ...problem, file, ...document.placeOf(offset) }));
  return { file, site, problems: locate(problems), locate };
}

async function readModule(file: string): Promise<CheckedSiteFile> {
  const shown = printable(file);
  if (kindOf(file) === null) throw new Failure('file-missing', `There is no file "${shown}".`);
  const absolute = path.resolve(file);
  const failed = (reason: string) => new Failure('module-failed', `The module "${shown}" cannot be loaded: ${reason}`);
  // Only a module needs what loads modules.
  const { createJiti } = await import('jiti');
  // With nothing left to do, Node would exit, and say nothing of what is still being waited for.
  const stopWatching = onIdle(failed('it waits for something that never finishes.'));
  try {
    const jiti = createJiti(absolute, { fsCache: false, interopDefault: false });
    const module = await jiti.import<Record<string, unknown>>(absolute);
    const exported = module['default'] ?? module['site'] ?? module['definition'];
    if (exported === undefined) throw failed('it exports no site. Export the definition as its default.');
    if (isCompiled(exported)) throw failed('it exports a compiled site. Give the site file that it was made from.');
    // What a module exports may run code of its own when it is read.
    const { site, problems } = checkSite(isSite(exported) ? exported.definition : exported);
    const locate = (found: readonly Problem[]) =>
      found.map((problem): LocatedProblem => ({ ...problem, file, line: null, column: null }));
    return { file, site, problems: locate(problems), locate };
  } catch (error) {
    throw error instanceof Failure ? error : failed(printable(reasonOf(error)));
  } finally {
    stopWatching();
  }
}

/** Ends the command with a failure where it would end by itself. @returns a function that stops that */
function onIdle(failure: Failure): () => void {
  const end = () => {
    process.stderr.write(`${failureLine(failure)}\n`);
    process.exit(failure.exitCode);
  };
  process.once('beforeExit', end);
  return () => process.off('beforeExit', end);
}

/** What was compiled, loaded or not. */
function isCompiled(value: unknown): boolean {
  return (
    typeof value === 'object' &&
    value !== null &&
    ('compiled' in value || ('find' in value && !('definition' in value)))
  );
}

/** What `defineSite` made, rather than what it was made of. */
function isSite(value: unknown): value is DefinedSite {
  return typeof value === 'object' && value !== null && 'find' in value && 'definition' in value;
}

export function problemLine({ code, severity, pointer, message, remedy, file, line, column }: LocatedProblem): string {
  const kind = severity === 'fatal' ? 'error' : 'advice';
  const place = line === null ? printable(file) : `${printable(file)}:${line}:${column ?? 1}`;
  return `${place} ${printable(pointer) || '/'}\n  ${kind} ${code}: ${printable(message)} ${printable(remedy)}`;
}
