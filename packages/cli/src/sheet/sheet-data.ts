import { compareSites, flexStyles, type DefinedSite, type SiteRecords } from 'fair-trail';
import { changeText } from 'fair-trail/internal/core';
import type { ComparedData, ComputedNames, SheetData, SheetProblem } from 'fair-trail/internal/sheet';
import { tokensCss, writeHex } from 'fair-trail/color';
import { readFileSync } from 'node:fs';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';
import { readRecords } from '../input/records-file.ts';
import { readText } from '../input/read-file.ts';
import { readSiteFile, readSoundSite, type CheckedSiteFile, type LocatedProblem } from '../input/site-file.ts';
import { readThemeFile, type ThemeFile } from '../input/theme-file.ts';

/** What a sheet is made of. */
export interface SheetInput {
  readonly file: string;
  readonly theme?: string;
  readonly records?: string;
  readonly icons?: string;
  readonly menus: SheetData['menus'];
  /** An older site file, and the theme that it had, to compare with. */
  readonly against?: string;
  readonly againstTheme?: string;
  /** What the older and the newer version are called. Default: the names of their files. */
  readonly names?: readonly [before: string, after: string];
}

/** Everything that goes into a sheet, read again. */
export interface SheetMaterial {
  readonly data: SheetData;
  /** The theme's custom properties, for the page around the specimens. */
  readonly themeCss: string;
  readonly checked: CheckedSiteFile;
  readonly name: string;
}

/** The styles of the specimens and of the page, and its script: made when this package was built. */
export function builtFile(name: string): string {
  return readFileSync(new URL(`../../dist/sheet-page/${name}`, import.meta.url), 'utf8');
}

/** @throws Failure where a file cannot be read; what is wrong within the site file is part of the sheet */
export async function readSheetMaterial(input: SheetInput, names: ComputedNames | null = null): Promise<SheetMaterial> {
  const { file, menus } = input;
  const checked = await readSiteFile(file);
  const { site } = checked;
  const unknown = Object.values(menus).find((name) => site?.menus.has(name) === false);
  if (unknown !== undefined) {
    const known = [...(site?.menus.keys() ?? [])].join(', ');
    throw new Failure(
      'unknown-menu',
      `There is no menu "${printable(unknown)}". The menus of this site are ${printable(known)}.`,
    );
  }
  const theme = input.theme === undefined ? null : readThemeFile(input.theme, true);
  const records: SiteRecords = input.records === undefined ? {} : readRecords(input.records);
  const themeCss = theme ? tokensCss(theme) : '';
  const compared = site ? await readCompared(input, site, theme) : null;
  const data: SheetData = {
    definition: site?.definition ?? null,
    records,
    menus,
    themes: themeNames(theme),
    styles: specimenStyles(themeCss, site),
    problems: [
      ...checked.problems.map(toSheetProblem),
      ...(theme && input.theme !== undefined ? incomplete(theme, input.theme) : []),
    ],
    names,
    icons: input.icons === undefined ? null : readText(input.icons),
    compared,
  };
  return { data, themeCss, checked, name: site?.name ?? 'Site' };
}

/** The stylesheets of specimens, in the order that they apply in. */
function specimenStyles(themeCss: string, site: DefinedSite | null): readonly string[] {
  const styles = [builtFile('specimens.css'), themeCss, site ? flexStyles(site) : '', builtFile('sheet.css')];
  return styles.filter(Boolean);
}

function themeNames(theme: ThemeFile | null): readonly string[] {
  return [...new Set(['default', ...Object.keys(theme?.themes ?? {}), 'estuary'])];
}

/** The older version of the files; what is not named is as it is now. */
async function readCompared(
  { file, theme: themeFile, against, againstTheme, names }: SheetInput,
  now: DefinedSite,
  themeNow: ThemeFile | null,
): Promise<ComparedData | null> {
  if (against === undefined && againstTheme === undefined) return null;
  const before = against === undefined ? now : (await readSoundSite(against)).site;
  const theme = againstTheme === undefined ? themeNow : readThemeFile(againstTheme, true);
  return {
    definition: before.definition,
    themes: themeNames(theme),
    styles: specimenStyles(theme ? tokensCss(theme) : '', before),
    names: names ?? [
      printable(against ?? againstTheme ?? ''),
      printable(against === undefined ? (themeFile ?? '') : file),
    ],
    changes: [...compareSites(before, now).map(changeText), ...themeChanges(theme, themeNow)],
  };
}

/** What differs between two themes, in sentences. */
function themeChanges(before: ThemeFile | null, now: ThemeFile | null): readonly string[] {
  const [old, next] = [tokenValues(before), tokenValues(now)];
  return [...new Set([...old.keys(), ...next.keys()])]
    .filter((name) => old.get(name) !== next.get(name))
    .map((name) => `${name}: ${old.get(name) ?? 'the library’s own'} is now ${next.get(name) ?? 'the library’s own'}.`);
}

function tokenValues(theme: ThemeFile | null): ReadonlyMap<string, string> {
  const values = new Map<string, string>(Object.entries(theme?.measures ?? {}));
  for (const [name, schemes] of Object.entries(theme?.themes ?? {})) {
    for (const scheme of ['light', 'dark'] as const) {
      for (const [color, value] of Object.entries(schemes[scheme]))
        values.set(`${name} ${scheme} ${color}`, writeHex(value));
    }
  }
  return values;
}

function toSheetProblem({
  code,
  severity,
  pointer,
  message,
  remedy,
  file,
  line,
  column,
}: LocatedProblem): SheetProblem {
  const place = line === null ? file : `${file}:${line}:${column ?? 1}`;
  return { code, severity, pointer: `${place} ${pointer}`, message, remedy };
}

function incomplete({ missing }: ThemeFile, file: string): readonly SheetProblem[] {
  return missing.map(({ theme, scheme, names }) => ({
    code: 'theme-incomplete',
    severity: 'advisory',
    pointer: `${file} /color/${theme}/${scheme}`,
    message: `The theme says nothing of ${names.join(', ')}: there the library’s own stand in.`,
    remedy: 'Add them, or see in the tables whether they go together.',
  }));
}
