/** Builds the library and the command: types and modules by the compiler, then the stylesheets. */
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';
import { barRoomCss } from './bar-room-css.mjs';
import { root, run, runTool } from './run.mjs';

// A package that is published holds nothing of what its sources were once.
if (process.argv.includes('--clean')) {
  for (const name of ['fair-trail', 'cli'])
    rmSync(path.join(root, 'packages', name, 'dist'), { recursive: true, force: true });
}

runTool('typescript/bin/tsc', ['--build']);

const library = path.join(root, 'packages/fair-trail');

// The production build: the same modules, but those with a twin `*.production.js` are that twin. See the conditions
// `development` and `production` in the package's exports.
const production = path.join(library, 'dist/production');
rmSync(production, { recursive: true, force: true });
for (const layer of ['core', 'dom', 'parts', 'react', 'vue', 'html', 'elements', 'sheet']) {
  const folder = path.join(library, 'dist', layer);
  for (const file of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
    if (!file.endsWith('.js') || file.endsWith('.production.js')) continue;
    const twin = path.join(folder, file.replace(/\.js$/u, '.production.js'));
    const text = readFileSync(existsSync(twin) ? twin : path.join(folder, file), 'utf8');
    const place = path.join(production, layer, file);
    mkdirSync(path.dirname(place), { recursive: true });
    // The maps are beside the other build.
    writeFileSync(place, text.replace(/\n\/\/# sourceMappingURL=\S+\s*$/u, '\n'));
  }
}

/** "use client" is for React's server components; a script that runs in the browser as it is needs no such word. */
const onLog = (level, log, handle) => {
  if (log.code !== 'MODULE_LEVEL_DIRECTIVE') handle(level, log);
};
const { rungs } = await import(pathToFileURL(path.join(library, 'dist/core/layout/room.js')).href);
const { readTokens, tokensCss } = await import(pathToFileURL(path.join(library, 'dist/core/color/index.js')).href);
const tokens = readTokens(JSON.parse(readFileSync(path.join(library, 'tokens.json'), 'utf8')), {});
if (tokens.problems.length > 0) throw new Error(`tokens.json: ${JSON.stringify(tokens.problems)}`);
const madeOf = '/* Made by scripts/build-packages.mjs from tokens.json. Change that instead. */\n';
writeFileSync(path.join(library, 'src/styles/tokens.css'), madeOf + tokensCss(tokens));
const styles = path.join(library, 'dist/styles');
mkdirSync(styles, { recursive: true });
writeFileSync(path.join(library, 'src/styles/bar-room.css'), barRoomCss(rungs));
cpSync(path.join(library, 'src/styles'), styles, { recursive: true });

// All of them as one file, for pages that load one.
await build({
  configFile: false,
  logLevel: 'warn',
  root: library,
  build: {
    outDir: path.join(library, 'dist'),
    emptyOutDir: false,
    cssMinify: true,
    rolldownOptions: {
      input: { styles: path.join(library, 'src/styles/index.css') },
      output: { assetFileNames: '[name].css' },
    },
  },
});

// For the document's head, where a module would come too late: a script of one file that waits for nothing.
await build({
  configFile: false,
  logLevel: 'warn',
  root: library,
  build: {
    outDir: path.join(library, 'dist'),
    emptyOutDir: false,
    lib: {
      entry: path.join(library, 'src/dom/early.ts'),
      formats: ['iife'],
      name: 'fairTrail',
      fileName: () => 'early.js',
    },
  },
});

// The custom elements for pages without a build: one file, for a script element that a page on a disk may have too. They are
// made of the production build, but for its warnings: such a page has no development build that would say them in sentences.
const ofDevelopment = (files) => ({
  name: 'of-development',
  load: (id) => (files.test(id) ? readFileSync(id.replace('/production/', '/'), 'utf8') : null),
});
for (const [name, entry, warnings] of [
  ['elements', 'index', /core\/(?:warning-texts|site\/nearest)\.js$|parts\/name-checks\.js$/u],
  // The names in a list are its own: there is nothing to check them against.
  ['bar', 'bar-file', /core\/warning-texts\.js$/u],
]) {
  await build({
    configFile: false,
    logLevel: 'warn',
    root: library,
    plugins: [ofDevelopment(warnings)],
    build: {
      outDir: path.join(library, 'dist'),
      emptyOutDir: false,
      lib: {
        entry: path.join(library, `dist/production/elements/${entry}.js`),
        formats: ['iife'],
        name: 'fairTrailElements',
        fileName: () => `${name}.js`,
      },
    },
  });
  writeFileSync(
    path.join(library, `dist/${name}.d.ts`),
    '/** Runs as it is loaded, and exports nothing. */\nexport {};\n',
  );
}

writeFileSync(path.join(library, 'dist/early.d.ts'), '/** Runs as it is loaded, and exports nothing. */\nexport {};\n');

// The sheet that the command writes: one script with all that it needs, since a page on a disk can load no modules, and
// the styles of the specimens as one file, since a constructed stylesheet can import none.
const sheet = path.join(root, 'packages/cli/dist/sheet-page');
await build({
  configFile: false,
  logLevel: 'warn',
  root: library,
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: sheet,
    emptyOutDir: true,
    lib: {
      entry: path.join(library, 'src/sheet/page.tsx'),
      formats: ['iife'],
      name: 'fairTrailSheetPage',
      fileName: () => 'sheet.js',
    },
    rolldownOptions: { onLog },
  },
});
await build({
  configFile: false,
  logLevel: 'warn',
  root: library,
  build: {
    outDir: sheet,
    emptyOutDir: false,
    cssMinify: false,
    rolldownOptions: {
      input: {
        specimens: path.join(library, 'src/styles/index.css'),
        sheet: path.join(library, 'src/styles/sheet.css'),
      },
      output: { assetFileNames: '[name].css' },
    },
  },
});

// The page of the workbench: its own script and styles; the sheet's are beside it.
await build({
  configFile: false,
  logLevel: 'warn',
  root: path.join(root, 'packages/cli'),
  define: { 'process.env.NODE_ENV': '"production"' },
  // Its messages are for people: not the codes of the production build.
  resolve: { conditions: ['development', 'module', 'browser'] },
  build: {
    outDir: path.join(root, 'packages/cli/dist/workbench-page'),
    emptyOutDir: true,
    lib: {
      entry: path.join(root, 'packages/cli/src/workbench/page/page.tsx'),
      formats: ['iife'],
      name: 'fairTrailWorkbench',
      fileName: () => 'workbench.js',
    },
    rolldownOptions: { onLog },
  },
});
cpSync(
  path.join(root, 'packages/cli/src/workbench/page/workbench.css'),
  path.join(root, 'packages/cli/dist/workbench-page/workbench.css'),
);

// What is put into a page that is driven from outside: scripts that need nothing of the page's own.
for (const [name, entry, folder] of [
  ['audit', 'audit/page/page-script', 'cli/dist/audit-page'],
  // Begins before the page does.
  ['early', 'audit/page/early-script', 'cli/dist/audit-page'],
  ['reader', 'testing/page/page-script', 'fair-trail/dist/testing-page'],
  ['audit-in-page', 'audit/in-page/in-page-script', 'fair-trail/dist/audit-page'],
]) {
  await build({
    configFile: false,
    logLevel: 'warn',
    root: library,
    build: {
      outDir: path.join(root, 'packages', folder),
      emptyOutDir: false,
      lib: {
        entry: path.join(library, `src/${entry}.ts`),
        formats: ['iife'],
        name: 'fairTrailPage',
        fileName: () => `${name}.js`,
      },
    },
  });
}

// What the site files of the examples and of the documentation export, for their compilers.
for (const [app, siteFile] of [
  ['examples/observatory-react', 'examples/observatory/observatory.site.json'],
  ['examples/observatory-vue', 'examples/observatory/observatory.site.json'],
  ['docs/site', 'docs/site/documentation.site.json'],
]) {
  // Below a folder of the same name as the one that the site file is in, unless that is the app's own.
  const below = path.dirname(siteFile) === app ? '' : path.basename(path.dirname(siteFile));
  const folder = path.join(root, app, 'types', below);
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, path.basename(siteFile).replace(/\.json$/u, '.d.json.ts'));
  const command = path.join(root, 'packages/cli/bin/fair-trail.js');
  run(process.execPath, [command, 'types', path.join(root, siteFile), '--out', file], {
    stdio: ['ignore', 'inherit', 'ignore'],
  });
}
