import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { compileTemplate, parse } from '@vue/compiler-sfc';
import ts from 'typescript';
import { afterAll, describe, expect, test } from 'vitest';
import type { Theme } from '../packages/fair-trail/src/core/color/derive-theme.ts';
import { readTokens } from '../packages/fair-trail/src/core/color/tokens.ts';
import { checkSite } from '../packages/fair-trail/src/core/site/define.ts';
import type { SiteDefinition } from '../packages/fair-trail/src/core/site/definition.ts';
import { projectFiles } from '../packages/cli/src/project/project-files.ts';
import { projectName } from '../packages/cli/src/project/project-name.ts';
import { siteDeclarations } from '../packages/fair-trail/src/core/output/site-declarations.ts';
import { codeBlocksIn, pages, root } from './code-blocks.ts';

/** Each code block of the documentation is compiled, parsed, or compared with the command. */

const blocks = pages.flatMap(codeBlocksIn);
const of = (...languages: string[]) => blocks.filter(({ language }) => languages.includes(language));

test('every block is of a language that is checked here', () => {
  const checked = ['ts', 'tsx', 'vue', 'json', 'sh', 'yaml', 'html', 'css'];
  // What is no code: failure messages, a header, output.
  expect(blocks.filter(({ language }) => ![...checked, 'text'].includes(language)).map(({ place }) => place)).toEqual(
    [],
  );
});

// Within the clone, so that packages are found as an app would find them.
const folder = mkdtempSync(path.join(root, 'node_modules/.fair-trail-documentation-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/**
 * What a block takes for given: the app around it. A block that imports a name, or declares it, has its own.
 */
const givens = `
import type { ComponentType, ReactNode } from 'react';
import type { LinkSlotProps } from 'fair-trail/react';
declare global {
  ${exportsOf('fair-trail/react', 'Breadcrumbs Layout Navbar Part Sidebar Stage Tablist Tabpanel Tabs Trail TrailAt TrailLink useMayLeave')}
  ${exportsOf('fair-trail/testing/vitest', 'breadcrumbPages breadcrumbTrailContract menuContract menuPages tablistContract')}
  ${exportsOf('vitest', 'test expect')}
  ${exportsOf('react-dom/client', 'createRoot')}
  type ReactNode = import('react').ReactNode;
  const site: import('fair-trail').DefinedSite;
  const pages: import('fair-trail/react').StagePages;
  const records: import('fair-trail').SiteRecords;
  const icon: (name: string) => ReactNode;
  const subject: import('fair-trail/testing/vitest').MenuSubject;
  const mount: (content: ReactNode) => { unmount: () => void };
  const html: string;
  const text: string;
  const entry: import('fair-trail').Entry;
  const position: import('fair-trail').Position;
  const definition: import('fair-trail').SiteDefinition;
  const compiled: import('fair-trail').CompiledSite;
  const before: import('fair-trail').DefinedSite;
  const after: import('fair-trail').DefinedSite;
  const theme: import('fair-trail/color').Theme;
  const page: import('fair-trail/testing').Navigation;
  const driver: import('fair-trail/testing/webdriver').Driver;
  const drivenPage: import('fair-trail/testing/playwright').DrivenPage;
  const vitestPage: import('vitest/browser').BrowserPage;
  const userEvent: import('vitest/browser').UserEvent;
  const dom: { window: Window };
  const mountBar: import('fair-trail/testing/component-contracts').MountBar;
  const mountBreadcrumbs: import('fair-trail/testing/component-contracts').MountBreadcrumbs;
  const mountPage: import('fair-trail/testing/component-contracts').MountPage;
  const mountSidebar: import('fair-trail/testing/component-contracts').MountSidebar;
  const mountTabs: import('fair-trail/testing/component-contracts').MountTabs;
  const mountTabLinks: import('fair-trail/testing/component-contracts').MountTabLinks;
  const container: HTMLElement;
  const isWritten: boolean;
  const askInDialog: () => Promise<boolean>;
  const useYourRouter: () => { path: string; go: (url: string, options: object) => void };
  const YourLink: ComponentType<LinkSlotProps>;
  const App: ComponentType<{ url?: string }>;
  const react: typeof import('@vitejs/plugin-react').default;
  const defineConfig: typeof import('vite').defineConfig;
  const renderToString: typeof import('react-dom/server').renderToString;
  const Logo: ComponentType;
  const SearchField: ComponentType;
  const BookButton: ComponentType;
  const HidesMap: ComponentType;
  const LogLayout: import('fair-trail/react').StageLayout & ComponentType<import('fair-trail/react').LayoutProps>;
  const Icon: ComponentType<{ name: string }>;
  const Sightings: ComponentType<{ of: string | undefined }>;
}
`;

function exportsOf(module: string, names: string): string {
  return names
    .split(' ')
    .map((name) => `const ${name}: typeof import('${module}').${name};`)
    .join('\n  ');
}

/** The same for names that the browser has for something else. */
const locals: Readonly<Record<string, string>> = {
  open: "(address: string) => Promise<import('fair-trail/testing').Navigation>",
  navigation:
    "Pick<typeof import('fair-trail/react'), 'Navbar' | 'TrailLink'> & { Trail: import('react').ComponentType<{ children?: ReactNode }> }",
};

/** On the first line, so that the numbers of the lines stay. */
function withLocals(code: string): string {
  const isDeclared = (name: string) => new RegExp(`(?:import|const|function)[^;=(]*\\b${name}\\b`, 'u').test(code);
  const missing = Object.entries(locals).filter(
    ([name]) => new RegExp(`\\b${name}\\b`, 'u').test(code) && !isDeclared(name),
  );
  return `${missing.map(([name, type]) => `declare const ${name}: ${type};`).join(' ')} ${code}`;
}

/** What can be imported from `fair-trail/vue`. */
const vueNames: ReadonlySet<string> = new Set(
  [...readFileSync(path.join(root, 'docs/reference/fair-trail-vue.md'), 'utf8').matchAll(/^## (\w+)$/gmu)].map(
    ([, name = '']) => name,
  ),
);

/** The files that blocks import from beside them. */
const beside: Readonly<Record<string, string>> = {
  'givens.d.ts': givens,
  'app.css': '',
  'styles.d.ts': 'declare module \'*.css\';\n/// <reference types="vite/client" />\n',
  'pages/today.tsx': 'export const Today = () => <h1>Today</h1>;',
  'pages/hides.tsx': 'export default () => <h1>Hides</h1>;',
  'vue.d.ts': "declare module '*.vue' { const component: import('vue').DefineComponent; export default component; }",
  'pages.ts': 'export const pages = {};',
  'tides.tsx': 'export default () => <h1>Tides</h1>;',
};

test('the blocks in TypeScript compile', () => {
  for (const [file, code] of Object.entries(beside)) {
    mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
    writeFileSync(path.join(folder, file), code);
  }
  cpSync(path.join(root, 'examples/observatory/observatory.site.json'), path.join(folder, 'observatory.site.json'));
  // The site file of the first app, which the plugin of Vite makes a site.
  const own = codeBlocksIn('docs/first-app.md').find(({ file }) => file?.endsWith('.site.json'))?.code ?? '';
  writeFileSync(path.join(folder, 'marram.site.json'), own);
  const declarations = siteDeclarations(JSON.parse(own) as SiteDefinition, 'marram.site.json');
  writeFileSync(path.join(folder, 'marram.site.d.json.ts'), declarations);
  // The files of the first app, for blocks that import them.
  const named = new Map<string, string>();
  const files = of('ts', 'tsx').map(({ place, language, code, file }, index) => {
    // A server renders the app with a history, which the first app has no use for.
    const name = file?.startsWith('src/') === true ? file.slice(4) : `block-${index}.${language}`;
    const source =
      name === 'app.tsx'
        ? code.replace(
            'App()',
            'App(_: { history?: import("fair-trail").SessionHistory; url?: string; renderedUrl?: string })',
          )
        : code;
    writeFileSync(path.join(folder, name), `${withLocals(source)}\nexport {};\n`);
    named.set(path.join(folder, name), place);
    return path.join(folder, name);
  });
  const options: ts.CompilerOptions = {
    strict: true,
    noUncheckedIndexedAccess: true,
    target: ts.ScriptTarget.ES2022,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    lib: ['lib.es2023.d.ts', 'lib.dom.d.ts', 'lib.dom.iterable.d.ts'],
    types: ['node', 'vite/client'],
    jsx: ts.JsxEmit.ReactJSX,
    resolveJsonModule: true,
    allowArbitraryExtensions: true,
    allowImportingTsExtensions: true,
    noEmit: true,
    skipLibCheck: true,
  };
  const program = ts.createProgram(
    [...files, path.join(folder, 'givens.d.ts'), path.join(folder, 'styles.d.ts'), path.join(folder, 'vue.d.ts')],
    options,
  );
  const problems = ts.getPreEmitDiagnostics(program).map(({ file, start = 0, messageText }) => {
    const line = file?.getLineAndCharacterOfPosition(start).line ?? 0;
    const text = ts.flattenDiagnosticMessageText(messageText, ' ');
    return `${(file && named.get(file.fileName)) ?? file?.fileName ?? ''} line ${line + 1}: ${text}`;
  });
  expect(files.length).toBeGreaterThan(20);
  expect(problems).toEqual([]);
}, 120_000);

describe('the blocks in Vue', () => {
  const files = of('vue');

  test('are many', () => expect(files.length).toBeGreaterThan(10));

  test.each(files.map(({ place, code }) => [place, code] as const))(
    '%s compiles, with names that are there',
    (_, code) => {
      const { descriptor, errors } = parse(code);
      expect(errors).toEqual([]);
      const { template, scriptSetup } = descriptor;
      const compiled = compileTemplate({ source: template?.content ?? '', filename: 'block.vue', id: 'block' });
      expect(compiled.errors).toEqual([]);
      const imported = [...(scriptSetup?.content ?? '').matchAll(/import \{([^}]*)\} from 'fair-trail\/vue'/gu)]
        .flatMap(([, names = '']) => names.split(','))
        .map((name) => name.trim().replace(/^type /u, ''));
      expect(imported.filter((name) => name !== '' && !vueNames.has(name))).toEqual([]);
    },
  );
});

describe('the blocks in JSON', () => {
  test.each(of('json').map(({ place, code }) => [place, code] as const))('%s is what it looks like', (_, code) => {
    const value = JSON.parse(code) as Readonly<Record<string, unknown>>;
    if ('entries' in value && 'name' in value) {
      expect(checkSite(value as unknown as SiteDefinition).problems).toEqual([]);
    } else if ('color' in value) {
      const own: unknown = JSON.parse(readFileSync(path.join(root, 'packages/fair-trail/tokens.json'), 'utf8'));
      const usual = readTokens(own, {} as Theme).themes['default'];
      expect(usual && readTokens(value, usual).problems).toEqual([]);
    }
  });
});

describe('stylesheets', () => {
  const styles = readdirSync(path.join(root, 'packages/fair-trail/src/styles'));

  test('that a block imports are there', () => {
    const imported = of('css', 'ts', 'tsx').flatMap(({ code }) => {
      return [...code.matchAll(/'fair-trail\/styles\/([^']+)'/gu)].map((found) => found[1]);
    });
    expect(imported.length).toBeGreaterThan(3);
    expect(imported.filter((name) => !styles.includes(name ?? ''))).toEqual([]);
  });

  test('are all listed where it says which to load', () => {
    const page = readFileSync(path.join(root, 'docs/publishing.md'), 'utf8');
    const parts = styles.filter((name) => name !== 'index.css' && !name.startsWith('sheet-'));
    expect(parts.filter((name) => !page.includes(`\`${name}\``))).toEqual([]);
  });
});

/** The commands in a block, one a line, with those that go on in the next line put together. */
function commandsIn(code: string): readonly string[] {
  const lines = code.replaceAll(/\\\n\s*/gu, ' ').split('\n');
  return lines
    .map((line) =>
      line
        .replace(/^- run: /u, '')
        .replace(/\s+#.*$/u, '')
        .trim(),
    )
    .filter(Boolean);
}

const help = new Map<string, string>();

/** What the command says of itself; it is asked once for each of its own commands. */
function helpOf(command: string): string {
  const known =
    help.get(command) ??
    spawnSync(process.execPath, ['packages/cli/bin/fair-trail.js', ...command.split(' '), '--help'], {
      cwd: root,
      encoding: 'utf8',
    }).stdout;
  help.set(command, known);
  return known;
}

describe('the commands in blocks', () => {
  const commands = of('sh', 'yaml').flatMap(({ place, code }) =>
    commandsIn(code)
      // The same command by other names.
      .map((line) =>
        line.replace('npm create fair-trail ', 'npx fair-trail new ').replace('@fair-trail/cli ', 'fair-trail '),
      )
      .map((line) => [place, line] as const),
  );
  const { scripts } = JSON.parse(readFileSync(path.join(root, 'package.json'), 'utf8')) as {
    scripts: Record<string, string>;
  };

  /** Those of a new project, which the pages about it run. */
  const project = projectFiles({ framework: 'react', name: projectName('marram'), tokens: null, version: '0.1.0' });
  const manifest = project.find((file) => file.path === 'package.json')?.text ?? '';
  const { scripts: others } = JSON.parse(String(manifest)) as { readonly scripts: Readonly<Record<string, string>> };

  test('are many', () => expect(commands.length).toBeGreaterThan(20));

  test.each(commands.filter(([, line]) => line.includes('fair-trail ')))('%s: %s', (_, line) => {
    const words = line
      .slice(line.indexOf('fair-trail '))
      .split(/\s+/u)
      .slice(1)
      .filter((word) => word !== '--');
    const isMerge = words[0] === 'audit' && words[1] === 'merge';
    const said = helpOf(isMerge ? 'audit merge' : (words[0] ?? ''));
    expect(said).toContain('Usage: fair-trail');
    const options = words.filter((word) => word.startsWith('--')).map((word) => word.split('=')[0] ?? '');
    expect(options.filter((option) => !said.includes(option))).toEqual([]);
  });

  test.each(commands.filter(([, line]) => /^npm (?:run|start|test)/u.test(line)))('%s: %s', (place, line) => {
    // A project of the reader's own has scripts of its own.
    if (place.includes('testing-in-ci')) return;
    const [, run, name] = line.split(/\s+/u);
    expect(Object.keys({ ...scripts, ...others })).toContain(run === 'run' ? name : run);
  });
});
