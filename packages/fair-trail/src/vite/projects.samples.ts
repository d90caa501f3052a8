import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { chromium, type Browser } from 'playwright';
import { afterAll, afterEach, beforeAll } from 'vitest';
import type * as Vite from 'vite';
import { chromiumArguments, findChromium } from '../../../../scripts/chromium.mjs';
import type * as Plugin from './fair-trail.ts';

/** Small projects that use the plugin, made for a test: with each framework, and with each version of Vite. */

const root = path.resolve(import.meta.dirname, '../../../..');
const library = path.join(root, 'packages/fair-trail');

export type Framework = 'react' | 'vue' | 'html';

export const siteFile = 'src/observatory.site.json';
export const tokensFile = 'src/observatory.tokens.json';

const definition = {
  name: 'Marram Point Bird Observatory',
  origin: 'https://marram.example',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      entries: [
        { id: 'reedbed-hide', label: 'Reedbed Hide', href: '/hides/reedbed', movedFrom: ['/hides/old-reedbed'] },
        { id: 'lantern-room', label: 'Lantern Room', href: '/hides/lantern-room' },
      ],
    },
    { id: 'species', label: '{slug}', href: '/species/:slug', records: 'species' },
    { id: 'tides', label: 'Tides', href: '/tides' },
  ],
  menus: { main: ['today', { entry: 'hides', depth: 2 }, 'tides'] },
};

export const siteText = `${JSON.stringify(definition, null, 2)}\n`;

const rust = (hex: string) =>
  `{ "color": { "default": { "light": { "rust": { "$type": "color", "$value": "${hex}" } } } } }\n`;
export const tokensText = rust('#993b14');
export const otherTokensText = rust('#1d5f6b');

const html = (script: string, body = '<div id="app"><!--app--></div>') => `<!doctype html>
<html lang="en" data-ft-page>
  <head>
    <meta charset="utf-8">
    <title>A page</title>
    <link rel="icon" href="data:,">
  </head>
  <body>
    ${body}
    <script type="module" src="/src/${script}"></script>
  </body>
</html>
`;

const react = {
  'index.html': html('main.tsx'),
  'src/app.tsx': `import { bindSite, Breadcrumbs, Layout, lazyPage, Navbar, Stage, Trail, useCurrentEntry } from 'fair-trail/react';
import site from './observatory.site.json';
const navigation = bindSite(site, { Navbar, Stage, Trail });
function EntryPage() {
  return <><h1>{useCurrentEntry()?.label}</h1><label>Notes <input /></label><p className="tall" /></>;
}
export const pages = {
  today: EntryPage,
  hides: lazyPage(() => import('./hides.tsx')),
  'reedbed-hide': EntryPage,
  'lantern-room': EntryPage,
  species: EntryPage,
};
export const records = { species: [{ params: { slug: 'curlew' }, label: 'Curlew' }] };
export function App(props: { url?: string; renderedUrl?: string }) {
  return (
    <navigation.Trail {...props} records={records}>
      <Layout bar={<navigation.Navbar pinned="sticky" />}><Breadcrumbs /><navigation.Stage pages={pages} /></Layout>
    </navigation.Trail>
  );
}
`,
  'src/hides.tsx': "import './hides.css';\nexport default function Hides() { return <h1>Hides</h1>; }\n",
  'src/hides.css': 'h1 { letter-spacing: 0.01em; }\n',
  'src/main.tsx': `import { createRoot, hydrateRoot } from 'react-dom/client';
import { loadPage } from 'fair-trail/react';
import { App, pages } from './app.tsx';
import site from './observatory.site.json';
import './tall.css';
const container = document.getElementById('app')!;
if (container.firstElementChild) {
  await loadPage(site, pages, location.pathname);
  hydrateRoot(container, <App renderedUrl={location.pathname} />);
} else createRoot(container).render(<App />);
`,
  'src/server.tsx': `import { renderToString } from 'react-dom/server';
import { loadPage } from 'fair-trail/react';
import { App, pages } from './app.tsx';
import site from './observatory.site.json';
export { pages, records } from './app.tsx';
export async function render(url: string) {
  await loadPage(site, pages, url);
  return renderToString(<App url={url} />);
}
`,
};

const vue = {
  'index.html': html('main.ts'),
  'src/app.vue': `<script setup lang="ts">
import { Breadcrumbs, Layout, Navbar, Stage, Trail } from 'fair-trail/vue';
import site from './observatory.site.json';
import { pages, records } from './pages.ts';
defineProps<{ url?: string; renderedUrl?: string }>();
</script>
<template>
  <Trail :site :url :rendered-url :records>
    <Layout>
      <template #bar><Navbar pinned="sticky" /></template>
      <Breadcrumbs />
      <Stage :pages />
    </Layout>
  </Trail>
</template>
`,
  'src/entry-page.vue': `<script setup lang="ts">
import { useCurrentEntry } from 'fair-trail/vue';
const entry = useCurrentEntry();
</script>
<template><h1>{{ entry?.label }}</h1><label>Notes <input /></label><p class="tall"></p></template>
`,
  'src/hides.vue': '<template><h1>Hides</h1></template>\n',
  'src/pages.ts': `import { lazyPage } from 'fair-trail/vue';
import EntryPage from './entry-page.vue';
export const pages = {
  today: EntryPage,
  hides: lazyPage(() => import('./hides.vue')),
  'reedbed-hide': EntryPage,
  'lantern-room': EntryPage,
  species: EntryPage,
};
export const records = { species: [{ params: { slug: 'curlew' }, label: 'Curlew' }] };
`,
  'src/main.ts': `import { createApp, createSSRApp } from 'vue';
import { loadPage } from 'fair-trail/vue';
import App from './app.vue';
import site from './observatory.site.json';
import './tall.css';
import { pages } from './pages.ts';
const container = document.getElementById('app')!;
if (container.firstElementChild) {
  await loadPage(site, pages, location.pathname);
  createSSRApp(App, { renderedUrl: location.pathname }).mount(container);
} else createApp(App).mount(container);
`,
  'src/server.ts': `import { createSSRApp } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { loadPage } from 'fair-trail/vue';
import App from './app.vue';
import site from './observatory.site.json';
import { pages } from './pages.ts';
export { pages, records } from './pages.ts';
export async function render(url: string) {
  await loadPage(site, pages, url);
  return renderToString(createSSRApp(App, { url }));
}
`,
};

const plain = {
  'index.html': html(
    'main.ts',
    '<trail-site id="site"><trail-bar></trail-bar><h1>Today</h1><label>Notes <input></label><p class="tall"></p></trail-site><trail-site src="src/observatory.site.json" base="/point/"><trail-bar id="second" label="Second"></trail-bar></trail-site>',
  ),
  'src/main.ts': `import 'fair-trail/elements';
import './tall.css';
import site from './observatory.site.json';
Object.assign(document.getElementById('site')!, { site });
`,
};

const filesOf: Readonly<Record<Framework, Readonly<Record<string, string>>>> = { react, vue, html: plain };

export interface SampleProject {
  readonly folder: string;
  readonly vite: typeof Vite;
  readonly fairTrail: typeof Plugin.fairTrail;
  /** Vite's own plugins for the framework. */
  readonly plugins: () => Promise<Vite.PluginOption[]>;
  readonly write: (file: string, text: string) => void;
  readonly remove: () => void;
}

/**
 * Makes a project. With Vite 7 the library is a copy in `node_modules`, as it is where it was installed; with Vite 8 it is this
 * workspace's own.
 */
export async function sampleProject(framework: Framework, version: 7 | 8): Promise<SampleProject> {
  const parent = path.join(root, '.build');
  mkdirSync(parent, { recursive: true });
  const folder = mkdtempSync(path.join(parent, `plugin-${framework}-${version}-`));
  const write = (file: string, text: string) => {
    const place = path.join(folder, file);
    mkdirSync(path.dirname(place), { recursive: true });
    writeFileSync(place, text);
  };
  for (const [file, text] of Object.entries(filesOf[framework])) write(file, text);
  write('src/tall.css', '.tall { height: 3000px; }\n');
  write(siteFile, siteText);
  write(tokensFile, tokensText);
  write('package.json', '{ "name": "sample", "private": true, "type": "module" }\n');
  let vitePath = path.join(root, 'node_modules/vite');
  let libraryPath = library;
  if (version === 7) {
    vitePath = path.join(root, 'compatibility/vite-7/node_modules/vite');
    libraryPath = path.join(folder, 'node_modules/fair-trail');
    for (const item of ['dist', 'package.json', 'tokens.json', 'site.schema.json']) {
      cpSync(path.join(library, item), path.join(libraryPath, item), { recursive: true });
    }
    symlinkSync(vitePath, path.join(folder, 'node_modules/vite'));
  }
  const load = async <Module>(place: string) => (await import(/* @vite-ignore */ pathToFileURL(place).href)) as Module;
  const vite = await load<typeof Vite>(path.join(vitePath, 'dist/node/index.js'));
  const { fairTrail } = await load<typeof Plugin>(path.join(libraryPath, 'dist/vite/index.js'));
  return {
    folder,
    vite,
    fairTrail,
    plugins: async () => {
      // The plugin for React of this workspace needs Vite 8; without it, Vite's own compiler reads JSX.
      if (framework === 'react' && version === 8) return [(await import('@vitejs/plugin-react')).default()];
      if (framework === 'vue') return [(await import('@vitejs/plugin-vue')).default()];
      return [];
    },
    write,
    remove: () => {
      if (existsSync(folder)) rmSync(folder, { recursive: true, force: true });
    },
  };
}

export function readIn({ folder }: Pick<SampleProject, 'folder'>, file: string): string {
  return readFileSync(path.join(folder, file), 'utf8');
}

/** A browser for all tests of a file, and what has to be done after each of them, the last first. */
export function useBrowser(): { readonly browser: () => Browser; readonly ends: (() => Promise<void> | void)[] } {
  let browser: Browser;
  const ends: (() => Promise<void> | void)[] = [];
  beforeAll(async () => {
    browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
  });
  afterEach(async () => {
    for (const end of ends.splice(0).toReversed()) await end();
  });
  afterAll(() => browser.close());
  return { browser: () => browser, ends };
}
