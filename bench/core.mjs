/** `npm run bench`: the core against baselines in the same run. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { checkSite, defineSite, locate, menuItems, sitemap } from 'fair-trail';
import { readSitemap } from '../packages/cli/dist/readers/sitemap-reader.js';
import { readText } from '../packages/cli/dist/input/read-file.js';
import { readXml } from '../packages/cli/dist/readers/xml.js';
import { ratio } from './ratio.mjs';

/** A site of so many pages: sections of a hundred, with a param page each. */
function definitionOf(count) {
  const sections = Math.ceil(count / 100);
  const entries = Array.from({ length: sections }, (_, section) => ({
    id: `s${section}`,
    label: `Section ${section}`,
    href: `/section-${section}`,
    entries: Array.from({ length: Math.min(99, count - section * 100 - 1) }, (_, page) => ({
      id: `s${section}-p${page}`,
      label: `Page ${page}`,
      href: page === 98 ? `/section-${section}/:slug` : `/section-${section}/page-${page}`,
    })),
  }));
  return { name: 'Large', origin: 'https://large.example', entries, menus: { main: ['s0'] } };
}

/** Addresses of all kinds: pages, params, below a page, nowhere. */
function addressesOf(count) {
  const sections = Math.ceil(count / 100);
  return Array.from({ length: 512 }, (_, index) => {
    const section = (index * 7919) % sections;
    const tails = [`/page-${index % 90}`, `/some-${index}`, `/page-${index % 90}/below`, '', '?q=1'];
    return `/section-${section}${tails[index % tails.length]}`;
  });
}

function asker(site, addresses) {
  let index = 0;
  return () => locate(site, { pathname: addresses[(index = (index + 1) % addresses.length)] });
}

const small = defineSite(definitionOf(100));
const largeDefinition = definitionOf(100_000);
const large = defineSite(largeDefinition);

await ratio('locate among 100 000 entries', {
  task: asker(large, addressesOf(100_000)),
  baseline: asker(small, addressesOf(100)),
  baselineName: 'among 100',
  goal: 1.5,
});

// The same answer by comparing every address, as hand-written marks do.
const flat = [...large.addresses.en].map(({ entry, path: steps }) => ({
  entry,
  steps: steps.map((step) => (step.kind === 'literal' ? step.text : null)),
}));
const scan = (url) => {
  const segments = url.split(/[?#]/u)[0].split('/').filter(Boolean);
  return flat.find(({ steps }) => {
    return steps.length === segments.length && steps.every((step, index) => step === null || step === segments[index]);
  })?.entry;
};
const someAddresses = addressesOf(100_000);
let turn = 0;
await ratio('locate among 100 000 entries', {
  task: asker(large, someAddresses),
  baseline: () => scan(someAddresses[(turn = (turn + 1) % someAddresses.length)]),
  baselineName: 'a linear scan',
});

const text = JSON.stringify(largeDefinition);
await ratio('building a site of 100 000 entries from its text', {
  task: () => checkSite(JSON.parse(text)),
  baseline: () => JSON.parse(text),
  baselineName: 'JSON.parse of the same',
  goal: 3,
  time: 1500,
});

const folder = mkdtempSync(path.join(tmpdir(), 'fair-trail-bench-'));
const file = path.join(folder, 'sitemap.xml');
writeFileSync(file, sitemap(defineSite(definitionOf(50_000)))[0].text);
const nothing = { open() {}, text() {}, close() {} };
await ratio('reading a sitemap of 50 000 addresses', {
  task: () => readSitemap(file),
  baseline: () => readXml(readText(file), file, nothing),
  baselineName: 'merely parsing its XML',
  goal: 2,
  time: 1500,
});
rmSync(folder, { recursive: true });

const position = locate(large, '/section-3/page-4');
await ratio('the items of a menu', {
  task: () => menuItems(small, 'main', { position }),
  baseline: asker(small, addressesOf(100)),
  baselineName: 'one locate',
});
