import path from 'node:path';
import type { Command } from 'commander';
import { checkSite, compileSite, type DefinedSite } from 'fair-trail';
import { Failure } from '../failure.ts';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { compiledFiles } from '../writers/compiled-writer.ts';
import { writeFiles } from '../writers/write-files.ts';

interface CompileOptions {
  readonly out?: string;
  readonly base?: string;
  readonly ignoreCase?: boolean;
  readonly force?: boolean;
}

export function addCompileCommand(program: Command): void {
  program
    .command('compile')
    .summary('compile a site file to a module that loads without checks')
    .description(
      'Checks a site file and writes the site as a module whose default export is ready to use. An app that imports it ' +
        'ships neither the checks nor their texts. The ending says what is written: a .ts module; a .js module with its ' +
        'declarations beside it; or .json, for "loadSite" or the property "site" of a Trail.',
    )
    .argument('<site file>', 'a *.site.json, .ts or .js file')
    .option('--out <MODULE>', 'the .ts, .js or .json file to write; without it, the .ts module is printed')
    .option('--base <PATH>', 'the path that the site is published under, such as /observatory/; default: the root')
    .option('--ignore-case', 'treat /Hides and /hides as one address')
    .option('--force', 'replace existing files')
    .action(async (file: string, options: CompileOptions) => {
      const { site } = await readSoundSite(file);
      const compiled = compileSite(withOptions(site, options));
      const out = options.out ?? 'site.ts';
      const files = compiledFiles(compiled, site.definition, out, path.basename(file));
      if (options.out === undefined) {
        process.stdout.write(files[0]?.text ?? '');
        return;
      }
      writeFiles(files, options.force ?? false);
      process.stderr.write(`Wrote ${files.map((written) => printable(written.path)).join(', ')}.\n`);
    });
}

function withOptions(site: DefinedSite, { base, ignoreCase = false }: CompileOptions): DefinedSite {
  if (base === undefined && !ignoreCase) return site;
  const checked = checkSite(site.definition, { ...(base !== undefined && { base }), caseSensitive: !ignoreCase });
  if (checked.site) return checked.site;
  // The file itself is sound, so it is the options that are not.
  const fatal = checked.problems.filter(({ severity }) => severity === 'fatal');
  throw new Failure('bad-usage', fatal.map(({ message, remedy }) => printable(`${message} ${remedy}`)).join('\n'));
}
