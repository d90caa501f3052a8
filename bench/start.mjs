/**
 * What a site of 300 entries costs a visitor before the first link is drawn: the script is compiled and run in a page of its
 * own, on a processor four times as slow, to the items of a menu at an address. Checked in the app against compiled in the
 * build, in turns, and the compiled one a second time (A/A).
 */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { chromium } from 'playwright';
import { build } from 'vite';
import { compileSite, defineSite } from 'fair-trail';

const rounds = 15;

const definition = {
  name: 'Large',
  origin: 'https://large.example',
  entries: Array.from({ length: 10 }, (_, section) => ({
    id: `s${section}`,
    label: `Section ${section}`,
    href: `/section-${section}`,
    entries: Array.from({ length: 29 }, (_, page) => ({
      id: `s${section}-p${page}`,
      label: `Page ${page}`,
      href: page === 28 ? `/section-${section}/:slug` : `/section-${section}/page-${page}`,
    })),
  })),
  menus: { main: Array.from({ length: 10 }, (_, section) => ({ entry: `s${section}`, depth: 2 })) },
};

const use =
  "globalThis.made = performance.now() - start; globalThis.items = menuItems(site, 'main', { position: locate(site, '/section-3/page-4') }).length;";
const variants = {
  defined: `import { defineSite, locate, menuItems } from 'fair-trail';
    const start = performance.now(); const site = defineSite(${JSON.stringify(definition)}); ${use}`,
  compiled: `import { loadSite, locate, menuItems } from 'fair-trail';
    const start = performance.now(); const site = loadSite(${JSON.stringify(compileSite(defineSite(definition)))}); ${use}`,
};

async function bundle(code) {
  // Within the clone, so that the package is found as an app would find it.
  const folder = mkdtempSync(path.join(import.meta.dirname, '../node_modules/.fair-trail-start-'));
  const entry = path.join(folder, 'entry.js');
  writeFileSync(entry, code);
  const options = { write: false, modulePreload: false, rolldownOptions: { input: entry, output: { format: 'iife' } } };
  const { output } = await build({ root: folder, configFile: false, logLevel: 'error', build: options });
  rmSync(folder, { recursive: true });
  return output[0].code;
}

const medianOf = (values) => values.toSorted((one, other) => one - other)[values.length >> 1];

/** @param launchOptions which browser to start, and how */
export async function benchStart(launchOptions) {
  const [defined, compiled] = await Promise.all(Object.values(variants).map(bundle));
  const browser = await chromium.launch(launchOptions);
  const times = { defined: [], compiled: [], again: [] };
  const making = { defined: [], compiled: [], again: [] };
  try {
    for (let round = 0; round < rounds; round += 1) {
      for (const [name, code] of Object.entries({ defined, compiled, again: compiled })) {
        const page = await browser.newPage();
        const session = await page.context().newCDPSession(page);
        await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
        const run = (text) => {
          const start = performance.now();
          (0, eval)(text);
          const time = performance.now() - start;
          if (globalThis.items !== 10) throw new Error('The menu is not what it should be.');
          return { time, made: globalThis.made };
        };
        const { time, made } = await page.evaluate(run, code);
        times[name].push(time);
        making[name].push(made);
        await page.close();
      }
    }
  } finally {
    await browser.close();
  }
  const [checked, loaded, again] = [times.defined, times.compiled, times.again].map(medianOf);
  const shown = (value) => `${value.toFixed(1)} ms`;
  console.log(
    `${(checked / loaded).toFixed(2).padStart(9)}x  a start with 300 entries, checked against compiled, 4x slower`,
  );
  console.log(`${(again / loaded).toFixed(2).padStart(9)}x  the compiled one against itself (A/A)`);
  console.log(`           ${shown(checked)} checked, ${shown(loaded)} compiled`);
  const [defining, loading] = [making.defined, making.compiled].map(medianOf);
  console.log(`           of that for the site itself ${shown(defining)} checked, ${shown(loading)} compiled`);
}
