import { InvalidArgumentError, type Command } from 'commander';
import type { SheetMenus } from 'fair-trail/internal/sheet';
import type { SheetOptions } from '../sheet/make-sheet.ts';

const components: readonly (keyof SheetMenus)[] = ['bar', 'sidebar', 'strip', 'footer'];

export function addSheetCommand(program: Command): void {
  program
    .command('sheet')
    .summary('draw every component in every state')
    .description(
      'Makes the state sheet of a site: every part of its navigation in every state, drawn by the components themselves, ' +
        'under chosen conditions. It opens from disk. If a browser is found, the sheet also shows ' +
        'the role and name that the browser computes for each part. Exits with 1 if the site file has fatal problems: ' +
        'the sheet lists them.',
    )
    .argument('<site file>', 'a *.site.json, .ts or .js file')
    .option('--theme <FILE>', 'a file of design tokens')
    .option('--records <FILE>', 'a JSON file with the records')
    .option('--icons <FILE>', 'an SVG sprite whose symbol ids are the names of the icons')
    .option(
      '--menu <COMPONENT=NAME>',
      `the menu to show in a component: ${components.join(', ')}; can be repeated`,
      readMenu,
      {},
    )
    .option(
      '--edit',
      'serve a workbench on this machine until stopped: what you change there is saved to the site file and the tokens file',
    )
    .option('--out <FOLDER>', 'write it there')
    .option('--serve', 'serve it on this machine until stopped; each reload reads the files again')
    .option('--port <NUMBER>', 'the port; 0 for any free port', readPort, 4320)
    .option('--png <FOLDER>', 'the folder for a picture of each table and each state')
    .option(
      '--conditions <QUERY>',
      'the conditions of the pictures, as in the address of the sheet: "width=320&scheme=dark"',
    )
    .option('--against <FILE>', 'an older site file: both versions are drawn side by side, and differences are framed')
    .option('--against-theme <FILE>', 'the design tokens of the older version; default: those of --theme')
    .option('--browser <PROGRAM>', 'the Chromium to use; default: CHROMIUM_PATH, or an installed one')
    .option('--force', 'replace existing files')
    .action(async (file: string, options: SheetOptions) => {
      // A browser's driver takes longer to load than most commands take in all.
      const { makeSheet } = await import('../sheet/make-sheet.ts');
      await makeSheet(file, options);
    });
}

function readMenu(text: string, known: Partial<SheetMenus>): Partial<SheetMenus> {
  const [component = '', name = ''] = text.split('=');
  if (!(components as readonly string[]).includes(component) || name === '') {
    throw new InvalidArgumentError(`Write it as ${components.map((each) => `${each}=…`).join(', ')}.`);
  }
  return { ...known, [component]: name };
}

function readPort(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new InvalidArgumentError('A number from 0 to 65535 is needed.');
  return port;
}
