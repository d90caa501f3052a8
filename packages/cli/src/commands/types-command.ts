import { existsSync } from 'node:fs';
import path from 'node:path';
import type { Command } from 'commander';
import { declarationsPath, siteDeclarations, siteSchema } from 'fair-trail/internal/core';
import { Failure } from '../failure.ts';
import { readText } from '../input/read-file.ts';
import { librarySchema } from '../input/library-files.ts';
import { readSoundSite } from '../input/site-file.ts';
import { printable } from '../printable.ts';
import { writeFiles, type OutputFile } from '../writers/write-files.ts';

interface TypesOptions {
  readonly out?: string;
  readonly schema?: string;
  readonly check?: boolean;
}

export function addTypesCommand(program: Command): void {
  program
    .command('types')
    .summary('write the TypeScript declarations of a site file')
    .description(
      'Writes the declarations of the module that the Vite plugin makes of a site file. The plugin writes the same while ' +
        'its server runs. TypeScript needs "allowArbitraryExtensions" to find them. --schema also writes a JSON Schema with the ' +
        'ids of the site, for editors. --check writes nothing and exits with 1 if a file is out of date.',
    )
    .argument('<site file>', 'a *.site.json file')
    .option('--out <FILE>', 'the file to write; default: beside the site file, as name.site.d.json.ts')
    .option('--schema <FILE>', 'also write a JSON Schema with the ids, audiences and icons of the site')
    .option('--check', 'only report whether the files are up to date')
    .action(async (file: string, options: TypesOptions) => {
      if (!file.endsWith('.json')) {
        throw new Failure(
          'bad-usage',
          'Give a site file in JSON. TypeScript knows the names of one in TypeScript by itself.',
        );
      }
      const { site } = await readSoundSite(file);
      const files: OutputFile[] = [
        { path: options.out ?? declarationsPath(file), text: siteDeclarations(site.definition, path.basename(file)) },
      ];
      if (options.schema !== undefined) {
        files.push({ path: options.schema, text: `${JSON.stringify(siteSchema(site, librarySchema()), null, 2)}\n` });
      }
      if (options.check !== true) {
        writeFiles(files, true);
        process.stderr.write(`Wrote ${files.map((written) => printable(written.path)).join(', ')}.\n`);
        return;
      }
      const stale = files.filter(({ path: place, text }) => !existsSync(place) || readText(place) !== text);
      for (const { path: place } of stale) {
        process.stderr.write(
          `${printable(place)} is out of date. Write it with: fair-trail types ${printable(file)}\n`,
        );
      }
      if (stale.length > 0) process.exitCode = 1;
    });
}
