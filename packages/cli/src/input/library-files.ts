import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

/** The JSON Schema of site files, as the library has it. */
export function librarySchema(): Readonly<Record<string, unknown>> {
  const file = createRequire(import.meta.url).resolve('fair-trail/site.schema.json');
  return JSON.parse(readFileSync(file, 'utf8')) as Readonly<Record<string, unknown>>;
}
