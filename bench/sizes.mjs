/**
 * Bundles what an app would import of each entry point, minifies and compresses it, and holds the bytes against
 * `size-budgets.json`. Part of `npm run check`: a budget that is broken fails it.
 */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { build } from 'vite';

const here = import.meta.dirname;
const budgets = JSON.parse(readFileSync(path.join(here, 'size-budgets.json'), 'utf8'));
// Within the clone, so that the packages are found as an app would find them.
const folder = mkdtempSync(path.join(here, '../node_modules/.fair-trail-sizes-'));
let isOver = false;

/** The entry and all that it imports; not what is loaded where an option asks for it. */
function loadedAtOnce(output) {
  const byName = new Map(output.map((file) => [file.fileName, file]));
  const found = new Set(output.filter(({ isEntry }) => isEntry));
  for (const file of found) for (const name of file.imports) if (byName.has(name)) found.add(byName.get(name));
  return [...found];
}

/** What a bundler makes of a module with this code, minified. */
async function bundled(code) {
  const entry = path.join(folder, 'entry.js');
  writeFileSync(entry, code);
  const { output } = [
    await build({
      root: folder,
      configFile: false,
      logLevel: 'error',
      build: {
        write: false,
        minify: true,
        target: 'es2022',
        // An app, and no library: the build of a library keeps line breaks and indentation.
        modulePreload: false,
        rolldownOptions: {
          input: entry,
          // Whatever the entry exports is used by somebody.
          preserveEntrySignatures: 'strict',
          output: { entryFileNames: 'entry.js', assetFileNames: '[name].[ext]' },
          external: [/^(?:react(?:-dom)?|vue)(?:$|\/)/u],
        },
      },
    }),
  ].flat()[0];
  const files = code.includes('.css')
    ? output.filter(({ fileName }) => fileName.endsWith('.css'))
    : loadedAtOnce(output);
  return files.map((file) => file.code ?? file.source).join('');
}

try {
  for (const [name, { import: code, file, budget }] of Object.entries(budgets)) {
    const text =
      file === undefined ? await bundled(code) : readFileSync(path.join(here, '../packages/fair-trail/dist', file));
    const bytes = gzipSync(text, { level: 9 }).length;
    const sign = bytes > budget ? 'OVER' : 'ok';
    isOver ||= bytes > budget;
    console.log(`${sign.padEnd(5)}${String(bytes).padStart(6)} of ${String(budget).padStart(6)} bytes  ${name}`);
  }
} finally {
  rmSync(folder, { recursive: true });
}
if (isOver) {
  console.error('A size budget is broken. Make it smaller, or say in the change why the budget must grow.');
  process.exitCode = 1;
}
