import { InvalidArgumentError, Option, type Command } from 'commander';
import { walkFormats } from '../walk/walk-formats.ts';
import type { WalkOptions } from '../walk/make-walk.ts';
import type { WalkInput } from '../walk/walker.ts';
import { readNames } from './read-names.ts';

export function addWalkCommand(program: Command, version: string): void {
  program
    .command('walk')
    .summary('compare a running site with its site file, page by page')
    .description(
      'Goes to every page of the site file through the menus, by mouse and by keyboard, and checks: ' +
        'does it exist, does the link lead to it, is it marked, are title and breadcrumbs right, does a reload keep it, does ' +
        'Back return, do old addresses redirect. It stays on the origin. Exits with 1 if something differs from ' +
        'the site file, and with 3 if there is no browser.',
    )
    .argument('<site file>', 'a *.site.json, .ts or .js file')
    .requiredOption(
      '--against <ADDRESS OR FOLDER>',
      'the running site, such as http://127.0.0.1:4310, or a folder of pages',
    )
    .option(
      '--fallback <FILE>',
      'for a folder: the page to send for an address without a file, as for single-page apps',
    )
    .option('--base <PATH>', 'the path that the site is published under; default: /')
    .option('--records <FILE>', 'a JSON file with the records: each of them is a page')
    .addOption(
      new Option('--audience <A,B>', 'the audiences that the visitor is in').argParser(readNames).default([], 'none'),
    )
    .option('--language <TAG>', 'the language of the pages; default: the language of the site')
    .option(
      '--storage <FILE>',
      'cookies and local storage that sign the visitor in, in the format that Playwright saves',
    )
    .option('--only <A,B>', 'walk only to these entries, by id', readNames)
    .addOption(
      new Option('--by <A,B>', 'with what the menus are used')
        .argParser(readInputs)
        .default(['mouse', 'keyboard'], 'mouse,keyboard'),
    )
    .option('--width <NUMBER>', 'the width of the window, in CSS pixels', readWidth, 1280)
    .addOption(new Option('--format <FORMAT>', 'how to print it').choices(walkFormats).default('text'))
    .option('--out <FILE>', 'the file to write; default: print the report')
    .option('--write <FILE>', 'also write the same as tests for Vitest, to be owned and edited')
    .option('--browser <PROGRAM>', 'the Chromium to use; default: CHROMIUM_PATH, or an installed one')
    .option('--force', 'replace existing files')
    .action(async (file: string, options: WalkOptions) => {
      // A browser's driver takes longer to load than most commands take in all.
      const { makeWalk } = await import('../walk/make-walk.ts');
      await makeWalk(file, options, version);
    });
}

function readInputs(text: string): readonly WalkInput[] {
  const inputs = readNames(text);
  const isKnown = (input: string): input is WalkInput => input === 'mouse' || input === 'keyboard';
  if (inputs.length === 0 || !inputs.every(isKnown)) throw new InvalidArgumentError('There are mouse and keyboard.');
  return inputs;
}

function readWidth(text: string): number {
  const width = Number(text);
  if (!Number.isInteger(width) || width < 200 || width > 4000) {
    throw new InvalidArgumentError('A whole number from 200 to 4000 is needed.');
  }
  return width;
}
