import { Option, type Command } from 'commander';
import type { DefinedSite } from 'fair-trail';
import { outputColors } from '../colors.ts';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';
import { readNames } from './read-names.ts';
import { show } from './show.ts';
import { showText } from './show-text.ts';
import { adviseAudiences } from '../input/advise-names.ts';
import { readRecords } from '../input/records-file.ts';
import { problemLine, readSoundSite } from '../input/site-file.ts';

interface ShowOptions {
  readonly at?: string;
  readonly menu?: string;
  readonly audience: readonly string[];
  readonly records?: string;
  readonly format: 'text' | 'json';
}

export function addShowCommand(program: Command): void {
  program
    .command('show')
    .summary('show the site and, for an address, what is marked')
    .description(
      'Shows the entries and menus of a site file. For an address, also which entry it is, the marks in each menu ' +
        'and the breadcrumbs.',
    )
    .argument('<site file>', 'a *.site.json, .ts or .js file')
    .option('--at <URL>', 'an address of the site: a path, or a whole URL')
    .option('--menu <NAME>', 'only this menu')
    .addOption(
      new Option('--audience <A,B>', 'the audiences that the visitor is in, separated by commas')
        .argParser(readNames)
        .default([], 'none'),
    )
    .option('--records <FILE>', 'a JSON file with the records')
    .addOption(new Option('--format <FORMAT>', 'how to print it').choices(['text', 'json']).default('text'))
    .action((file: string, options: ShowOptions) => runShow(file, options));
}

async function runShow(file: string, { at, menu, audience, records: recordsFile, format }: ShowOptions): Promise<void> {
  const { site, problems } = await readSoundSite(file);
  const records = recordsFile === undefined ? {} : readRecords(recordsFile);
  if (menu !== undefined && !site.menus.has(menu)) {
    const names = [...site.menus.keys()].join(', ');
    const menus = names ? `The menus of this site are ${names}.` : 'This site has no menus.';
    throw new Failure('unknown-menu', `There is no menu "${printable(menu)}". ${menus}`);
  }
  if (at !== undefined && !isAddress(at, site)) {
    const remedy = 'Give a path such as "/visit", or a whole http or https URL.';
    throw new Failure('bad-address', `"${printable(at)}" is not an address. ${remedy}`);
  }
  for (const each of problems) process.stderr.write(`${problemLine(each)}\n`);
  adviseAudiences(site, audience);
  const shown = show(site, { url: at ?? null, menu: menu ?? null, audience, records });
  process.stdout.write(format === 'json' ? `${JSON.stringify(shown, null, 2)}\n` : showText(site, shown, outputColors));
}

function isAddress(text: string, site: DefinedSite): boolean {
  if (text.trim() === '') return false;
  const base = site.origin ?? 'https://site.invalid';
  return URL.canParse(text, base) && /^https?:$/u.test(new URL(text, base).protocol);
}
