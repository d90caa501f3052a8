/**
 * How long it takes from saving the site file to the updated bar in the page, against Vite's own update of a stylesheet in the same
 * server and page: from writing the file to the change that the browser shows.
 */
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fairTrail } from 'fair-trail/vite';
import { chromium } from 'playwright';
import { createServer } from 'vite';

const rounds = 20;
const root = path.resolve(import.meta.dirname, '..');

const files = {
  'index.html':
    '<!doctype html><html lang="en"><head><title>Bench</title></head><body><div id="app"></div><script type="module" src="/main.js"></script></body></html>',
  'main.js': `import { createElement } from 'react';
import { createRoot } from 'react-dom/client';
import { Navbar, Trail } from 'fair-trail/react';
import site from './observatory.site.json';
import './first.css';
import './second.css';
createRoot(document.getElementById('app')).render(createElement(Trail, { site }, createElement(Navbar)));
`,
  'first.css': ':root { --first: 0; }\n',
  'second.css': ':root { --second: 0; }\n',
};

const median = (values) => values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)];

export async function benchUpdate(launchOptions) {
  mkdirSync(path.join(root, '.build'), { recursive: true });
  const folder = mkdtempSync(path.join(root, '.build/bench-update-'));
  for (const [file, text] of Object.entries(files)) writeFileSync(path.join(folder, file), text);
  const siteText = readFileSync(path.join(root, 'examples/observatory/observatory.site.json'), 'utf8');
  writeFileSync(path.join(folder, 'observatory.site.json'), siteText);
  const server = await createServer({
    root: folder,
    configFile: false,
    logLevel: 'silent',
    plugins: [fairTrail()],
    server: { port: 0, host: '127.0.0.1' },
  });
  await server.listen();
  const browser = await chromium.launch(launchOptions);
  try {
    const page = await browser.newPage();
    let seen = () => undefined;
    await page.exposeFunction('seen', () => seen());
    await page.goto(server.resolvedUrls.local[0]);
    const link = page.getByRole('link', { name: 'Tides', exact: true });
    await link.waitFor();

    /** From writing a file to the frame in which the page is as it says. In milliseconds. */
    const measure = async (file, text, isShown) => {
      await page.evaluate(
        `{ const look = () => (${isShown} ? window.seen() : requestAnimationFrame(look)); requestAnimationFrame(look); }`,
      );
      const shown = new Promise((resolve) => (seen = resolve));
      const begin = performance.now();
      writeFileSync(path.join(folder, file), text);
      await shown;
      return performance.now() - begin;
    };
    const css = (name) => (round) =>
      measure(
        `${name}.css`,
        `:root { --${name}: ${round}; }\n`,
        `getComputedStyle(document.documentElement).getPropertyValue('--${name}').trim() === '${round}'`,
      );
    const bar = (round) =>
      measure(
        'observatory.site.json',
        siteText.replace('"label": "Tides"', `"label": "Tides ${round}"`),
        `document.querySelector('.ft-bar').textContent.includes('Tides ${round}')`,
      );
    const times = { stylesheet: [], again: [], bar: [] };
    for (let round = 1; round <= rounds; round += 1) {
      times.stylesheet.push(await css('first')(round));
      times.bar.push(await bar(round));
      times.again.push(await css('second')(round));
    }
    const [baseline, again, own] = [times.stylesheet, times.again, times.bar].map(median);
    console.log('\nFrom saving a file to the page, median of 20');
    console.log(`  a stylesheet, by Vite       ${baseline.toFixed(1)} ms (A/A ${(again / baseline).toFixed(2)})`);
    console.log(`  the site file, in the bar   ${own.toFixed(1)} ms, ${(own / baseline).toFixed(2)}x`);
  } finally {
    await browser.close();
    await server.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
