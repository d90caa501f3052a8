import path from 'node:path';
import { findBrowser, openBrowser } from '../browser/open-browser.ts';
import { Failure } from '../failure.ts';
import { problemLine } from '../input/site-file.ts';
import { printable, reasonOf } from '../printable.ts';
import { refusePresent, writeFolder } from '../writers/write-files.ts';
import type { ComputedNames, SheetMenus } from 'fair-trail/internal/sheet';
import { computeNames } from './computed-names.ts';
import { inDraft } from './draft-folder.ts';
import { takePictures } from './pictures.ts';
import { serveSheet, serveWorkbench } from './serve-sheet.ts';
import { readSheetMaterial, type SheetInput, type SheetMaterial } from './sheet-data.ts';
import { dataScript, sheetFiles } from './sheet-page.ts';

/** The options of the command. */
export interface SheetOptions {
  readonly theme?: string;
  readonly records?: string;
  readonly icons?: string;
  readonly menu: Partial<SheetMenus>;
  readonly out?: string;
  readonly serve?: boolean;
  readonly port: number;
  readonly png?: string;
  readonly conditions?: string;
  readonly browser?: string;
  readonly force?: boolean;
  readonly edit?: boolean;
  readonly against?: string;
  readonly againstTheme?: string;
}

/** Makes a sheet: writes it, takes pictures of it, serves it. */
export async function makeSheet(file: string, options: SheetOptions): Promise<void> {
  const { theme, records, icons, menu: menus, out, serve = false, png, edit = false, against, againstTheme } = options;
  if (edit && (out !== undefined || serve)) {
    throw new Failure('bad-usage', 'Give --edit without --out and --serve: the workbench has an address of its own.');
  }
  if (out === undefined && !serve && png === undefined && !edit) {
    throw new Failure(
      'bad-usage',
      'Say what to do with the sheet: --edit, --out <folder>, --serve, or --png <folder>.',
    );
  }
  const input: SheetInput = {
    file,
    menus,
    ...(theme !== undefined && { theme }),
    ...(records !== undefined && { records }),
    ...(icons !== undefined && { icons }),
    ...(against !== undefined && { against }),
    ...(againstTheme !== undefined && { againstTheme }),
  };
  if (edit) {
    const { url } = await serveWorkbench(
      {
        ...input,
        ...(png !== undefined && { pictures: png }),
        ...(options.browser !== undefined && { browser: options.browser }),
      },
      options.port,
    );
    process.stdout.write(`The workbench is at ${url}\nPress Ctrl+C to stop.\n`);
    return;
  }
  const material = await readSheetMaterial(input);
  for (const problem of material.checked.problems) process.stderr.write(`${problemLine(problem)}\n`);
  for (const { code, pointer, message, remedy } of material.data.problems) {
    if (code === 'theme-incomplete')
      process.stderr.write(`${printable(pointer)}\n  advice ${code}: ${message} ${remedy}\n`);
  }
  if (!material.checked.site) process.exitCode = 1;
  if (out !== undefined) await writeSheet(material, out, options);
  if (png !== undefined) await writePictures(material, png, options);
  if (serve) {
    const { url } = await serveSheet(input, options.port);
    process.stdout.write(`The sheet is at ${url}\nPress Ctrl+C to stop.\n`);
  }
}

async function writeSheet(
  material: SheetMaterial,
  out: string,
  { browser: named, force = false }: SheetOptions,
): Promise<void> {
  const files = sheetFiles(material);
  refusePresent(
    files.map((file) => ({ path: path.join(out, file.path) })),
    force,
  );
  const hasBrowser = material.checked.site !== null && findBrowser(named) !== null;
  // What the browser computes is part of the sheet: it is opened once to ask, and then written.
  const names = hasBrowser ? await inDraft(files, (url) => askBrowser(url, named)) : null;
  const whole = files.map((file) => {
    return file.path === 'data.js' ? { ...file, text: dataScript({ ...material.data, names }) } : file;
  });
  writeFolder(out, whole, force);
  process.stderr.write(`Wrote ${printable(path.join(out, 'index.html'))}.\n`);
  if (!hasBrowser && material.checked.site) {
    process.stderr.write('Without roles and names: no browser was found. Name one with --browser or CHROMIUM_PATH.\n');
  }
}

/** The browser's role and name of each part; null if it fails, which must not cost the sheet. */
async function askBrowser(url: string, named: string | undefined): Promise<ComputedNames | null> {
  const browser = await openBrowser(named);
  try {
    return await computeNames(browser, url);
  } catch (error) {
    const reason = reasonOf(error);
    process.stderr.write(`Without roles and names: the browser did not report them (${printable(reason)}).\n`);
    return null;
  } finally {
    await browser.close();
  }
}

async function writePictures(material: SheetMaterial, folder: string, options: SheetOptions): Promise<void> {
  if (!material.checked.site) return;
  const browser = await openBrowser(options.browser);
  try {
    const pictures = await inDraft(sheetFiles(material), (url) => {
      return takePictures(browser, `${url}?${options.conditions ?? ''}`);
    });
    writeFolder(folder, pictures, options.force ?? false);
    process.stderr.write(`Wrote ${pictures.length} pictures to ${printable(folder)}.\n`);
  } finally {
    await browser.close();
  }
}
