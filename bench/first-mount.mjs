/**
 * The first mount of a page in a fresh document, on a processor four times as slow: bar, breadcrumbs and stage on a compiled
 * site of 300 entries, against bare React printing the same document. Nothing is warm, as for a visitor.
 */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { chromium } from 'playwright';
import { build } from 'vite';
import { compileSite, defineSite } from 'fair-trail';
import { timesOf } from './in-browser.mjs';

const rounds = 15;

const definition = {
  name: 'Large',
  entries: Array.from({ length: 10 }, (_, section) => ({
    id: `s${section}`,
    label: `Section ${section}`,
    href: `/section-${section}`,
    entries: Array.from({ length: 29 }, (__, page) => ({
      id: `s${section}-p${page}`,
      label: `Page ${page}`,
      href: `/section-${section}/page-${page}`,
    })),
  })),
  menus: { main: Array.from({ length: 6 }, (_, section) => `s${section}`) },
};

const begin = `import { createElement } from 'react';
  import { createRoot } from 'react-dom/client';
  import { flushSync } from 'react-dom';
  const container = document.body.appendChild(document.createElement('div'));
  const mount = (app) => {
    const start = performance.now();
    flushSync(() => createRoot(container).render(app()));
    globalThis.time = performance.now() - start;
  };`;

const libraryCode = `${begin}
  import { Breadcrumbs, Navbar, Stage, Trail } from 'fair-trail/react';
  import { memoryHistory } from 'fair-trail';
  const site = ${JSON.stringify(compileSite(defineSite(definition)))};
  const pages = { 's3-p4': () => createElement('h1', null, 'Page 4') };
  mount(() => createElement(Trail, { site, history: memoryHistory('/section-3/page-4') },
    createElement(Navbar), createElement(Breadcrumbs), createElement(Stage, { pages })));`;

const bareCode = (shapes) => `${begin}
  const print = (shape, key) => typeof shape === 'string' ? shape
    : createElement(shape.tag, { ...shape.props, key }, ...shape.children.map(print));
  const shapes = ${JSON.stringify(shapes)};
  const Bare = () => shapes.map(print);
  mount(() => createElement(Bare));`;

async function bundle(code) {
  const folder = mkdtempSync(path.join(import.meta.dirname, '../node_modules/.fair-trail-mount-'));
  const entry = path.join(folder, 'entry.js');
  writeFileSync(entry, code);
  const options = {
    write: false,
    modulePreload: false,
    rolldownOptions: { input: entry, output: { format: 'iife', codeSplitting: false } },
  };
  const { output } = await build({ root: folder, configFile: false, logLevel: 'error', build: options });
  rmSync(folder, { recursive: true });
  return output[0].code;
}

const medianOf = (values) => values.toSorted((one, other) => one - other)[values.length >> 1];

/** @param launchOptions which browser to start, and how */
export async function benchFirstMount(launchOptions) {
  const browser = await chromium.launch(launchOptions);
  const openWith = async (code, use) => {
    const page = await browser.newPage();
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    await page.evaluate((text) => (0, eval)(text), code);
    const found = await page.evaluate(use);
    await page.close();
    return found;
  };
  try {
    const library = await bundle(libraryCode);
    const shapes = await openWith(library, () => {
      const names = { class: 'className', tabindex: 'tabIndex' };
      const shapeOf = (node) => {
        if (node.nodeType !== 1) return node.textContent;
        const props = [...node.attributes].map(({ name, value }) => [names[name] ?? name, value]);
        return { tag: node.localName, props: Object.fromEntries(props), children: [...node.childNodes].map(shapeOf) };
      };
      return [...globalThis.document.querySelector('body > div').children].map(shapeOf);
    });
    const bare = await bundle(bareCode(shapes));
    const times = timesOf(['library', 'hand', 'again']);
    for (let round = 0; round < rounds; round += 1) {
      for (const [name, code] of Object.entries({ library, hand: bare, again: bare })) {
        times[name].push(await openWith(code, () => globalThis.time));
      }
    }
    const [own, other, same] = ['library', 'hand', 'again'].map((name) => medianOf(times[name]));
    const more = own - other;
    console.log(
      `${more.toFixed(1).padStart(9)}   ms more for a first mount with a compiled site of 300 entries, 4x slower: ${own.toFixed(1)} against ${other.toFixed(1)} ms (A/A ${(same / other).toFixed(2)})  ${more <= 15 ? 'within 15' : 'OVER 15'}`,
    );
  } finally {
    await browser.close();
  }
}
