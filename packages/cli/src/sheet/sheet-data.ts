import { flexStyles, type SiteRecords } from 'fair-trail';
import type { ComputedNames, SheetData, SheetProblem } from 'fair-trail/internal/sheet';
import { tokensCss } from 'fair-trail/color';
import { readFileSync } from 'node:fs';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';
import { readRecords } from '../input/records-file.ts';
import { readText } from '../input/read-file.ts';
import { readSiteFile, type CheckedSiteFile, type LocatedProblem } from '../input/site-file.ts';
import { readThemeFile, type ThemeFile } from '../input/theme-file.ts';

/** What a sheet is made of. */
export interface SheetInput {
  readonly file: string;
  readonly theme?: string;
  readonly records?: string;
  readonly icons?: string;
  readonly menus: SheetData['menus'];
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
  const theme = input.theme === undefined ? null : readThemeFile(input.theme);
  const records: SiteRecords = input.records === undefined ? {} : readRecords(input.records);
  const themeCss = theme ? tokensCss(theme) : '';
  const data: SheetData = {
    definition: site?.definition ?? null,
    records,
    menus,
    themes: [...new Set(['default', ...Object.keys(theme?.themes ?? {}), 'estuary'])],
    styles: [builtFile('specimens.css'), themeCss, site ? flexStyles(site) : '', builtFile('sheet.css')].filter(
      Boolean,
    ),
    problems: [
      ...checked.problems.map(toSheetProblem),
      ...(theme && input.theme !== undefined ? incomplete(theme, input.theme) : []),
    ],
    names,
    icons: input.icons === undefined ? null : readText(input.icons),
  };
  return { data, themeCss, checked, name: site?.name ?? 'Site' };
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
