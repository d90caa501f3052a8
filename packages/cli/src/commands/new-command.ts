import { readdirSync } from 'node:fs';
import path from 'node:path';
import { Option, type Command } from 'commander';
import { checkPalette, deriveTheme, readHex, writeTokens } from 'fair-trail/color';
import { Failure } from '../failure.ts';
import { kindOf } from '../input/read-file.ts';
import { printable } from '../printable.ts';
import { frameworks, projectFiles, type Framework } from '../project/project-files.ts';
import { projectName } from '../project/project-name.ts';
import { writeFolder } from '../writers/write-files.ts';

interface NewOptions {
  readonly with: Framework;
  readonly color?: string;
}

export function addNewCommand(program: Command, version: string): void {
  program
    .command('new')
    .summary('create a project')
    .description(
      'Writes a small project: a site file, a bar, breadcrumbs and two pages, tests of the navigation, and the scripts to check it ' +
        'all. The folder must be empty or new. Its name becomes the name of the site.',
    )
    .argument('<folder>', 'where to write it')
    .addOption(new Option('--with <FRAMEWORK>', 'the framework of the pages').choices(frameworks).makeOptionMandatory())
    .option(
      '--color <COLOR>',
      'derive the theme from a color such as "#1d5f6b"; without it, the library’s own theme is used',
    )
    .action((folder: string, options: NewOptions) => {
      const name = projectName(path.basename(path.resolve(folder)));
      refuseContent(folder);
      const tokens = options.color === undefined ? null : themeOf(options.color);
      writeFolder(folder, projectFiles({ framework: options.with, name, tokens, version }), false);
      const steps = ['npm install', 'npm test', 'npm run dev'];
      const enter = path.resolve(folder) === process.cwd() ? [] : [`cd ${asArgument(folder)}`];
      process.stdout.write(
        `Wrote the project "${printable(name.label)}". Next:\n\n  ${[...enter, ...steps].join('\n  ')}\n`,
      );
    });
}

/** As a shell takes it for one argument, and for nothing but text. */
function asArgument(folder: string): string {
  const shown = printable(folder.startsWith('-') ? `./${folder}` : folder);
  return /^[\w./@:\\-]+$/u.test(shown) ? shown : `'${shown.replaceAll("'", String.raw`'\''`)}'`;
}

/** @throws Failure where there is something in the folder; a repository that has just been made is nothing */
function refuseContent(folder: string): void {
  const kind = kindOf(folder);
  if (kind === null) return;
  const shown = printable(folder);
  if (kind === 'file') throw new Failure('file-exists', `"${shown}" is a file. Name a folder.`);
  const found = readdirSync(folder).find((name) => name !== '.git');
  if (found === undefined) return;
  throw new Failure(
    'folder-not-empty',
    `The folder "${shown}" is not empty: it has "${printable(found)}". Name a folder that is empty or not there yet.`,
  );
}

function themeOf(text: string): string {
  const color = readHex(text);
  if (!color) throw new Failure('bad-color', `"${printable(text)}" is no color. Write it as "#rrggbb", in quotes.`);
  const theme = deriveTheme(color);
  const low = [theme.light, theme.dark].flatMap((palette) => checkPalette(palette)).filter(({ passes }) => !passes);
  if (low.length > 0) {
    throw new Failure(
      'bad-color',
      `No theme of "${printable(text)}" is readable everywhere. See: fair-trail tokens --from "${printable(text)}"`,
    );
  }
  return writeTokens(theme);
}
