import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { escapeMarkup } from 'fair-trail/internal/core';
import type { OutputFile } from '../writers/write-files.ts';
import type { ProjectName } from './project-name.ts';
import { versions, type KnownPackage } from './versions.ts';

export const frameworks = ['react', 'vue', 'html'] as const;
export type Framework = (typeof frameworks)[number];

interface OutputText extends OutputFile {
  readonly text: string;
}

interface ProjectOptions {
  readonly framework: Framework;
  readonly name: ProjectName;
  /** The file of design tokens; null if the library's own theme is used. */
  readonly tokens: string | null;
  /** The version of Fair Trail. */
  readonly version: string;
}

const runtime: Readonly<Record<Framework, readonly KnownPackage[]>> = {
  react: ['react', 'react-dom'],
  vue: ['vue'],
  html: [],
};

const development: Readonly<Record<Framework, readonly KnownPackage[]>> = {
  react: ['@types/react', '@types/react-dom', '@vitejs/plugin-react'],
  vue: ['@vitejs/plugin-vue', 'vue-tsc'],
  html: ['@types/jsdom', '@types/node'],
};

const shared: readonly KnownPackage[] = ['jsdom', 'typescript', 'vite', 'vitest'];

/** The files of a new project, by their paths in it. */
export function projectFiles({ framework, name, tokens, version }: ProjectOptions): readonly OutputFile[] {
  const fill = ({ path: place, text }: OutputText): OutputText => {
    const isMarkup = /\.(?:html|vue|tsx)$/u.test(place);
    const label = isMarkup ? escapeBraces(escapeMarkup(name.label)) : name.label;
    const themed = tokens === null ? text.replace(/, tokens: '[^']*'|\{ tokens: '[^']*' \}/u, '') : text;
    return { path: place, text: themed.replaceAll('Marram Point', () => label).replaceAll('marram-point', name.slug) };
  };
  return [
    ...templateFiles('shared').map(fill),
    ...templateFiles(framework).map(fill),
    { path: 'package.json', text: manifest(framework, name, version) },
    { path: `src/${name.slug}.site.json`, text: siteFile(name) },
    ...(tokens === null ? [] : [{ path: 'src/theme.tokens.json', text: tokens }]),
  ];
}

/** Braces mean something in the markup of React and Vue. */
function escapeBraces(text: string): string {
  return text.replace(/[{}]/gu, (brace) => `&#${brace.charCodeAt(0)};`);
}

/** The files of a template, which is a whole project of the name "Marram Point" itself. */
function templateFiles(folder: string): readonly OutputText[] {
  const root = fileURLToPath(new URL(`../../templates/${folder}`, import.meta.url));
  return readdirSync(root, { recursive: true, withFileTypes: true })
    .filter((item) => item.isFile())
    .map((item) => {
      const place = path.join(item.parentPath, item.name);
      const name = path.relative(root, place).split(path.sep).join('/');
      // A package that is published keeps no file of that name.
      return { path: name === 'gitignore' ? '.gitignore' : name, text: readFileSync(place, 'utf8') };
    });
}

function manifest(framework: Framework, { slug }: ProjectName, version: string): string {
  const own = { 'fair-trail': `^${version}` };
  const compiler = framework === 'vue' ? 'vue-tsc' : 'tsc';
  const file = `src/${slug}.site.json`;
  const pick = (names: readonly KnownPackage[]) => Object.fromEntries(names.map((name) => [name, versions[name]]));
  const sorted = (packages: Readonly<Record<string, string>>) =>
    Object.fromEntries(Object.entries(packages).sort(([one], [other]) => (one < other ? -1 : 1)));
  return `${JSON.stringify(
    {
      name: slug,
      private: true,
      version: '0.1.0',
      type: 'module',
      scripts: {
        prepare: 'npm run types',
        dev: 'vite',
        build: 'vite build',
        preview: 'vite preview',
        test: 'vitest run',
        types: `fair-trail types ${file}`,
        check: `fair-trail check ${file} && npm run types && ${compiler}`,
        audit: `fair-trail audit dist --site ${file}`,
        ci: 'npm run check && npm test && npm run build && npm run audit',
      },
      dependencies: sorted({ ...own, ...pick(runtime[framework]) }),
      devDependencies: sorted({ '@fair-trail/cli': `^${version}`, ...pick([...shared, ...development[framework]]) }),
    },
    null,
    2,
  )}\n`;
}

function siteFile({ label }: ProjectName): string {
  return `{
  "$schema": "../node_modules/fair-trail/site.schema.json",
  "name": ${JSON.stringify(label)},
  "entries": [
    { "id": "home", "label": "Home", "href": "/" },
    { "id": "about", "label": "About", "href": "/about" }
  ],
  "menus": {
    "main": ["home", "about"]
  }
}
`;
}
