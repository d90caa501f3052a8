import { accessSync, constants, readFileSync } from 'node:fs';
import type { Browser } from 'playwright-core';
import { Failure } from '../failure.ts';
import { printable, reasonOf } from '../printable.ts';

interface ChromiumFacts {
  /** Where systems keep it. */
  readonly places: readonly string[];
  /** A browser that is driven has no business with the network beyond the pages given. */
  readonly arguments: readonly string[];
}

/** In a file, since the scripts of the workspace start the same browser before anything is built. */
const chromiumFacts = JSON.parse(
  readFileSync(new URL('../../chromium.json', import.meta.url), 'utf8'),
) as ChromiumFacts;

const remedy = 'Install Chromium, or name the program with --browser or CHROMIUM_PATH.';

/**
 * The path of a Chromium: the one that is named, by an option or by `CHROMIUM_PATH`, else one where systems keep it; null
 * if there is none.
 *
 * @throws Failure where one is named that cannot be run
 */
export function findBrowser(named = process.env['CHROMIUM_PATH']): string | null {
  if (!named) return chromiumFacts.places.find(isExecutable) ?? null;
  if (isExecutable(named)) return named;
  throw new Failure('no-browser', `No program that can be run is at "${printable(named)}". ${remedy}`);
}

/**
 * Starts the browser, without a window.
 *
 * @throws Failure if there is none, or it does not start
 */
export async function openBrowser(named?: string): Promise<Browser> {
  const executablePath = findBrowser(named);
  if (executablePath === null) throw new Failure('no-browser', `No browser was found. ${remedy}`);
  // Chromium refuses to run as root within its sandbox.
  const sandbox = process.getuid?.() === 0 ? ['--no-sandbox'] : [];
  // A second of loading, which is only for those who get as far as this.
  const { chromium } = await import('playwright-core');
  try {
    return await chromium.launch({
      executablePath,
      args: [...chromiumFacts.arguments, ...sandbox],
      // Else the browser would end with the first Ctrl+C, and the findings so far could not be reported.
      handleSIGINT: false,
    });
  } catch (error) {
    const reason = reasonOf(error);
    throw new Failure(
      'no-browser',
      `The browser "${printable(executablePath)}" did not start: ${printable(reason)} ${remedy}`,
    );
  }
}

function isExecutable(file: string): boolean {
  try {
    accessSync(file, constants.X_OK);
    return true;
  } catch {
    return false;
  }
}
