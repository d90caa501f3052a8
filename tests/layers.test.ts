import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { describe, expect, test } from 'vitest';

const root = path.resolve(import.meta.dirname, '..');

/** The layers, and what each may import. What is not listed here may not exist. */
const mayImport: Readonly<Record<string, readonly string[]>> = {
  'fair-trail/src/core': [],
  'fair-trail/src/dom': ['fair-trail/src/core'],
  'fair-trail/src/parts': ['fair-trail/src/core', 'fair-trail/src/dom'],
  'fair-trail/src/react': ['fair-trail/src/core', 'fair-trail/src/dom', 'fair-trail/src/parts', 'react'],
  'fair-trail/src/vue': ['fair-trail/src/core', 'fair-trail/src/dom', 'fair-trail/src/parts', 'vue'],
  'fair-trail/src/html': ['fair-trail/src/core', 'fair-trail/src/parts'],
  'fair-trail/src/elements': ['fair-trail/src/core', 'fair-trail/src/dom', 'fair-trail/src/parts'],
  'fair-trail/src/vite': ['fair-trail/src/core', 'vite', 'node'],
  'fair-trail/src/reading': ['fair-trail/src/core'],
  'fair-trail/src/audit': ['fair-trail/src/core', 'fair-trail/src/reading'],
  'fair-trail/src/sheet': [
    'fair-trail/src/core',
    'fair-trail/src/dom',
    'fair-trail/src/parts',
    'fair-trail/src/react',
    'react',
    'react-dom',
  ],
  'fair-trail/src/testing': ['fair-trail/src/core', 'fair-trail/src/reading', 'fair-trail/src/audit', 'vitest', 'node'],
  cli: [
    'fair-trail/src/core',
    'fair-trail/src/audit',
    'fair-trail/src/testing',
    // Types alone: what the page of a sheet is given.
    'fair-trail/src/sheet',
    '@babel',
    'commander',
    'jiti',
    'jsonc-parser',
    'node-diff3',
    'ora',
    'parse5',
    'picocolors',
    'playwright-core',
    'pngjs',
    'saxes',
    'sirv',
    'string-width',
    'node',
  ],
  // The page of the workbench runs in a browser. It knows the server by types alone.
  'cli/page': ['cli', 'fair-trail/src/core', 'fair-trail/src/react', 'fair-trail/src/sheet', 'react', 'react-dom'],
};

/** Where the names of our own packages lead. */
const ownPackages: Readonly<Record<string, string>> = {
  'fair-trail': 'fair-trail/src/core',
  'fair-trail/color': 'fair-trail/src/core',
  'fair-trail/dom': 'fair-trail/src/dom',
  'fair-trail/audit': 'fair-trail/src/audit',
  'fair-trail/testing': 'fair-trail/src/testing',
  'fair-trail/testing/playwright': 'fair-trail/src/testing',
  'fair-trail/testing/webdriver': 'fair-trail/src/testing',
  'fair-trail/testing/vitest': 'fair-trail/src/testing',
  'fair-trail/react': 'fair-trail/src/react',
  'fair-trail/vue': 'fair-trail/src/vue',
  'fair-trail/html': 'fair-trail/src/html',
  'fair-trail/elements': 'fair-trail/src/elements',
  'fair-trail/sheet': 'fair-trail/src/sheet',
  'fair-trail/internal/core': 'fair-trail/src/core',
  'fair-trail/tokens.json': 'fair-trail/src/core',
  'fair-trail/internal/audit': 'fair-trail/src/audit',
  'fair-trail/internal/testing': 'fair-trail/src/testing',
  'fair-trail/internal/sheet': 'fair-trail/src/sheet',
};

/** The layer of a file, by its path within `packages`. */
function layerOf(file: string): string {
  const [packageName = '', source = '', folder = ''] = file.split('/');
  if (file.startsWith('cli/src/workbench/page/')) return 'cli/page';
  return packageName === 'fair-trail' ? `${packageName}/${source}/${folder}` : packageName;
}

function importsOf(file: string): { readonly written: string; readonly layer: string }[] {
  const text = readFileSync(path.join(root, 'packages', file), 'utf8');
  return ts.preProcessFile(text, true, true).importedFiles.map(({ fileName: written }) => {
    if (written.startsWith('.')) return { written, layer: layerOf(path.join(path.dirname(file), written)) };
    const outside = written.startsWith('node:') ? 'node' : (written.split('/')[0] ?? '');
    return { written, layer: ownPackages[written] ?? outside };
  });
}

const isOfFramework = (file: string) => /^fair-trail\/src\/(?:react|vue|elements)\//u.test(file);

const files = readdirSync(path.join(root, 'packages'), { recursive: true, encoding: 'utf8' })
  // The files of a new project are an app of their own.
  .filter((file) => !/(?:^|\/)(?:node_modules|dist|templates)\//u.test(file))
  .filter((file) => /\.tsx?$/u.test(file) && !/\.(?:test|samples)\.tsx?$/u.test(file));

test('the files are found', () => {
  expect(files.length).toBeGreaterThan(30);
});

test('nothing but what is for Vitest imports it, so that drivers run under any test runner', () => {
  const forVitest = /testing\/(?:contracts\/.*|vitest|matchers|audit-matchers|sites|tap)\.ts$/u;
  const others = files.filter((file) => layerOf(file) === 'fair-trail/src/testing' && !forVitest.test(file));
  expect(others.length).toBeGreaterThan(10);
  expect(others.filter((file) => importsOf(file).some(({ layer }) => layer === 'vitest'))).toEqual([]);
});

test('no file of the library imports a public entry: internals import each other directly', () => {
  // What is public can then change without looking at what the library itself uses.
  const sources = readdirSync(path.join(root, 'packages/fair-trail/src'), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/u.test(file))
    .map((file) => `fair-trail/src/${file}`);
  const indexes = sources.filter((file) =>
    importsOf(file)
      // That one defines the elements, which tests of them need.
      .filter(({ written, layer }) => !(layer === 'fair-trail/src/elements' && written.endsWith('/index.ts')))
      .some(({ written }) => /(?:^|\/)(?:index|internal)\.ts$|^fair-trail(?:\/|$)/u.test(written)),
  );
  // The types of a page that loads the built entries.
  expect(indexes).toEqual(['fair-trail/src/dom/foreign-history.test.ts']);
});

test('a type name is used once: one word for one concept', () => {
  const names = files
    .filter((file) => !file.endsWith('.production.ts'))
    .flatMap((file) => {
      const source = ts.createSourceFile(
        file,
        readFileSync(path.join(root, 'packages', file), 'utf8'),
        ts.ScriptTarget.Latest,
      );
      return source.statements.flatMap((statement) => {
        const isType =
          ts.isInterfaceDeclaration(statement) ||
          ts.isTypeAliasDeclaration(statement) ||
          ts.isClassDeclaration(statement);
        return isType && statement.name ? [{ name: statement.name.text, file }] : [];
      });
    });
  expect(names.length).toBeGreaterThan(400);
  const first = new Map<string, string>();
  const twice = names.filter(({ name, file }) => {
    const other = first.get(name);
    first.set(name, other ?? file);
    // Each framework has its own type for the same thing: a page is a component of that framework.
    const areFrameworks = isOfFramework(file) && isOfFramework(other ?? '') && layerOf(file) !== layerOf(other ?? '');
    return other !== undefined && other !== file && !areFrameworks;
  });
  expect(twice.map(({ name, file }) => `${name}: ${first.get(name) ?? ''}, ${file}`)).toEqual([]);
});

test('the library exports no file that is not an entry of its package', () => {
  const { exports } = JSON.parse(readFileSync(path.join(root, 'packages/fair-trail/package.json'), 'utf8')) as {
    readonly exports: Readonly<Record<string, unknown>>;
  };
  // A pattern would open every file behind it; that of the styles opens stylesheets.
  expect(Object.keys(exports).filter((name) => name.includes('*'))).toEqual(['./styles/*.css']);
});

test.each(files)('%s imports downwards only', (file) => {
  const layer = layerOf(file);
  const allowed = mayImport[layer];
  expect(allowed, `the layer ${layer} is not known`).toBeDefined();
  const wrong = importsOf(file).filter((found) => found.layer !== layer && !allowed?.includes(found.layer));
  expect(wrong).toEqual([]);
});

describe('a framework only draws what the parts say', () => {
  const ofFrameworks = files.filter((file) => /^fair-trail\/src\/(?:react|vue)\//u.test(file));
  const sourceOf = (file: string) =>
    ts.createSourceFile(
      file,
      readFileSync(path.join(root, 'packages', file), 'utf8'),
      ts.ScriptTarget.Latest,
      true,
      file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
    );

  test('the files are found', () => {
    expect(ofFrameworks.length).toBeGreaterThan(40);
  });

  test.each(ofFrameworks)('%s imports no machine, and of the browser side types alone', (file) => {
    const wrong = sourceOf(file).statements.flatMap((statement) => {
      if (!ts.isImportDeclaration(statement) || !ts.isStringLiteral(statement.moduleSpecifier)) return [];
      const { importClause, moduleSpecifier } = statement;
      const { namedBindings } = importClause ?? {};
      const isOfTypes =
        importClause?.phaseModifier === ts.SyntaxKind.TypeKeyword ||
        (namedBindings !== undefined &&
          ts.isNamedImports(namedBindings) &&
          namedBindings.elements.every(({ isTypeOnly }) => isTypeOnly));
      const isBehavior = /\/(?:dom|core\/(?:interaction|layout|router))\//u.test(moduleSpecifier.text);
      return isBehavior && !isOfTypes ? [moduleSpecifier.text] : [];
    });
    // The address of a link is a path with a query, which the router's types name.
    expect(wrong.filter((name) => name !== '../core/router/history.ts')).toEqual([]);
  });

  test.each(ofFrameworks)('%s asks the document nothing, and listens to nothing in it', (file) => {
    const found: string[] = [];
    const visit = (node: ts.Node): void => {
      if (ts.isPropertyAccessExpression(node)) {
        const { expression, name } = node;
        const isGlobal = ts.isIdentifier(expression) && /^(?:document|window|navigator)$/u.test(expression.text);
        if (
          isGlobal ||
          /^(?:addEventListener|querySelector|querySelectorAll|closest|matches|focus)$/u.test(name.text)
        ) {
          found.push(node.getText());
        }
      }
      ts.forEachChild(node, visit);
    };
    visit(sourceOf(file));
    expect(found).toEqual([]);
  });
});
