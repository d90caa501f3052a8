import { createRequire } from 'node:module';
import { readTokens, type Theme } from 'fair-trail/color';
import { colorNames, type TokenThemes } from 'fair-trail/internal/core';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';
import { readJson } from './json-document.ts';
import { readText } from './read-file.ts';

/** The library's own tokens file. */
export function ownTokens(): string {
  return createRequire(import.meta.url).resolve('fair-trail/tokens.json');
}

/** A tokens file as it was read, and which colors it leaves to the library's own. */
export interface ThemeFile extends TokenThemes {
  readonly missing: readonly MissingColors[];
}

export interface MissingColors {
  readonly theme: string;
  readonly scheme: 'light' | 'dark';
  readonly names: readonly string[];
}

/**
 * Reads a tokens file.
 *
 * @param mayBeEmpty whether a file without tokens is one: then all is the library's own
 * @throws Failure that names every token that cannot be read
 */
export function readThemeFile(file: string, mayBeEmpty = false): ThemeFile {
  const document = readJson(readText(file), file);
  // A theme that says only what it changes takes the rest from the library's own.
  const own = file === ownTokens() ? undefined : readThemeFile(ownTokens()).themes['default'];
  const read = readTokens(document.value, own ?? ({} as Theme));
  if (read.problems.length > 0) {
    const lines = read.problems.map(({ pointer, message }) => {
      const { line, column } = document.placeOf(document.offsetOf(pointer));
      return `${printable(file)}:${line}:${column} ${printable(pointer)}: ${printable(message)}`;
    });
    throw new Failure('token-problems', lines.join('\n'));
  }
  if (Object.keys(read.themes).length === 0 && Object.keys(read.measures).length === 0 && !mayBeEmpty) {
    throw new Failure(
      'token-problems',
      `${printable(file)} holds no token. Begin with { "color": { "default": { … } } }.`,
    );
  }
  return { ...read, missing: missingColors(document.value, Object.keys(read.themes)) };
}

function missingColors(value: unknown, themes: readonly string[]): readonly MissingColors[] {
  const given = value as { readonly color?: Readonly<Record<string, Readonly<Record<string, object>>>> };
  return themes.flatMap((theme) =>
    (['light', 'dark'] as const).flatMap((scheme) => {
      const colors = given.color?.[theme]?.[scheme] ?? {};
      const names = Object.keys(colorNames).filter((name) => !Object.hasOwn(colors, name));
      return names.length > 0 ? [{ theme, scheme, names }] : [];
    }),
  );
}
