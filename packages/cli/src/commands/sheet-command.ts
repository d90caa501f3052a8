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
        'with the conditions they can be seen under. It opens from disk. Where a browser is found, the sheet also says ' +
        'which role and name that computes for each part. Exits with 1 where the site file has problems that must be mended: ' +
        'the sheet shows those.',
    )
    .argument('<site file>', 'a *.site.json, .ts or .js file')
    .option('--theme <FILE>', 'a file of design tokens')
    .option('--records <FILE>', 'a JSON file with the records')
    .option('--icons <FILE>', 'an SVG sprite whose symbols have the names of the icons')
    .option(
      '--menu <COMPONENT=NAME>',
      `which menu is shown in which component: ${components.join(', ')}; may be given again`,
      readMenu,
      {},
    )
    .option('--out <FOLDER>', 'write it there')
    .option('--serve', 'serve it to this machine until it is stopped; a reload reads the files anew')
    .option('--port <NUMBER>', 'the port to serve on; 0 for any that is free', readPort, 4320)
    .option('--png <FOLDER>', 'write a picture of each table and of each state there')
    .option(
      '--conditions <QUERY>',
      'what the pictures are taken under, as in the sheet’s address: "width=320&scheme=dark"',
    )
    .option('--browser <PROGRAM>', 'the Chromium to use; without it, CHROMIUM_PATH, or one where systems keep it')
    .option('--force', 'replace files that are there already')
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
