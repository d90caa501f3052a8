import { hrefKind } from './address.ts';
import { readText, type FieldLocation } from './fields.ts';
import { namesOf, type Path } from './path.ts';
import { parsePathname, PathSyntaxError } from './pathname.ts';
import { problem } from './problems.ts';
import { none } from './field-table.ts';

/** The names of a path's params, in its order. */
export function namesOfPath(path: Path): readonly string[] {
  return path.every(({ kind }) => kind === 'literal') ? none : path.flatMap(namesOf);
}

/** The names of the params in these paths, each once. */
export function namesIn(paths: readonly Path[]): readonly string[] {
  const [only] = paths;
  // Most entries have one path, without params.
  if (only && paths.length === 1) return namesOfPath(only);
  const names = paths.flatMap(namesOfPath);
  return names.length === 0 ? none : [...new Set(names)];
}

export function sameNames(one: readonly string[], other: readonly string[]): boolean {
  return one.length === other.length && one.every((name) => other.includes(name));
}

/** An address that may be linked to. */
export function readHref(value: unknown, place: FieldLocation): string | null {
  const href = typeof value === 'string' && value === '' ? value : readText(value, 'href', place);
  if (href === null) return null;
  if (hrefKind(href) !== 'unsafe') return href;
  place.problems.push(problem('unsafe-href', place.pointer, { value: href }));
  return null;
}

/** The addresses that a path stands for; none, with a problem, where it cannot be read. */
export function readPaths(href: string, place: FieldLocation): readonly Path[] {
  try {
    return parsePathname(href);
  } catch (error) {
    if (!(error instanceof PathSyntaxError)) throw error;
    place.problems.push(problem('path-syntax', place.pointer, { value: href, other: error.message }));
    return [];
  }
}
