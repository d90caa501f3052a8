/** How long it takes to write many pages, and how much memory the whole build needs at most. Each build is a process of its own. */
import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const root = path.resolve(import.meta.dirname, '..');

const files = {
  'index.html':
    '<!doctype html><html lang="en"><head><title>Bench</title></head><body><div id="app"><!--app--></div><script type="module" src="/main.js"></script></body></html>',
  'app.js': `import { createElement as h } from 'react';
import { Breadcrumbs, Layout, Navbar, Stage, Trail, useCurrentEntry } from 'fair-trail/react';
import site from './observatory.site.json';
const Page = () => h('h1', null, useCurrentEntry()?.label);
export const pages = Object.fromEntries(['species-page', 'today', 'hides'].map((id) => [id, Page]));
const count = Number(process.env.PAGES);
export const records = { species: Array.from({ length: count }, (_, index) => ({ params: { slug: 'bird-' + index }, label: 'Bird ' + index })) };
export const App = (props) => h(Trail, { site, records, ...props }, h(Layout, { bar: h(Navbar) }, h(Breadcrumbs), h(Stage, { pages })));
`,
  'main.js':
    "import { createRoot } from 'react-dom/client';\nimport { App } from './app.js';\ncreateRoot(document.body).render(App({}));\n",
  'server.js': `import { createElement as h } from 'react';
import { renderToString } from 'react-dom/server';
import { App } from './app.js';
export { records } from './app.js';
export const render = (url) => renderToString(h(App, { url }));
`,
  'vite.config.js':
    "import { fairTrail } from 'fair-trail/vite';\nexport default { define: { 'process.env.PAGES': JSON.stringify(process.env.PAGES) }, plugins: [fairTrail({ prerender: 'server.js' })] };\n",
  'build.js': `import { build } from 'vite';
const begin = performance.now();
let most = 0;
const timer = setInterval(() => (most = Math.max(most, process.memoryUsage.rss())), 50);
await build({ logLevel: 'error' });
clearInterval(timer);
console.log(JSON.stringify({ seconds: (performance.now() - begin) / 1000, megabytes: most / 2 ** 20 }));
`,
};

export function benchPrerender(counts = [0, 1000, 10_000]) {
  mkdirSync(path.join(root, '.build'), { recursive: true });
  const folder = mkdtempSync(path.join(root, '.build/bench-prerender-'));
  for (const [file, text] of Object.entries(files)) writeFileSync(path.join(folder, file), text);
  copyFileSync(
    path.join(root, 'examples/observatory/observatory.site.json'),
    path.join(folder, 'observatory.site.json'),
  );
  try {
    console.log('\nWriting pages, with the whole build');
    for (const count of counts) {
      const env = { ...process.env, NODE_ENV: 'production', PAGES: String(count) };
      const { stdout, stderr } = spawnSync(process.execPath, ['build.js'], { cwd: folder, env, encoding: 'utf8' });
      const line = stdout.split('\n').findLast((each) => each.startsWith('{'));
      if (!line) throw new Error(stderr);
      const { seconds, megabytes } = JSON.parse(line);
      const written = readdirSync(path.join(folder, 'dist'), { recursive: true }).filter((file) =>
        file.endsWith('.html'),
      );
      console.log(
        `  ${String(written.length).padStart(6)} pages  ${seconds.toFixed(1)} s, at most ${megabytes.toFixed(0)} MB`,
      );
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
