/**
 * Part of `npm run bench`: how long each function of the core and each command takes for 1 000, 10 000 and 100 000 of what
 * it works on, and by what it grows from each to the next: about ten, where the work is in proportion.
 *
 * `node bench/scale.mjs <folder>` measures another checkout that is built, to compare two versions.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

const checkout = path.resolve(process.argv[2] ?? path.join(import.meta.dirname, '..'));
const core = await import(pathToFileURL(path.join(checkout, 'packages/fair-trail/dist/core/index.js')).href);
const { checkSite, compareSites, defineSite, filterItems, hrefOf, locate, menuItems, outline, reviewSite, sitemap } =
  core;

const sizes = [1000, 10_000, 100_000];

/** Once one size takes longer than this, the next would take too long to wait for. */
const longest = 20_000;

const list = (count, make) => Array.from({ length: count }, (_, index) => make(index));
const entriesOf = (count, href) =>
  list(count, (index) => ({ id: `e${index}`, label: `Entry ${index}`, href: href(index) }));
const siteOf = (count, href) => ({ name: 'Large', origin: 'https://large.example', entries: entriesOf(count, href) });
const birds = {
  name: 'Large',
  origin: 'https://large.example',
  entries: [{ id: 'bird', label: '{slug}', href: '/birds/:slug', records: 'birds' }],
  menus: { main: ['bird'] },
};
const recordsOf = (count) => ({
  birds: list(count, (index) => ({ params: { slug: `bird-${index}` }, label: `Bird ${index}` })),
});
const locateAll = (site, urls) => () => urls.forEach((pathname) => locate(site, { pathname }));

/** For each case, what makes the input of a size and answers the work to be measured. */
const cases = {
  'defineSite: plain pages': (count) => {
    const definition = siteOf(count, (index) => `/section-${index % 100}/page-${index}`);
    return () => defineSite(definition);
  },
  'defineSite: /p{i}-:x': (count) => {
    const definition = siteOf(count, (index) => `/p${index}-:x`);
    return () => defineSite(definition);
  },
  'defineSite: /*/p{i}': (count) => {
    const definition = siteOf(count, (index) => `/*/p${index}`);
    return () => defineSite(definition);
  },
  'checkSite: unknown ids in a menu': (count) => {
    const definition = {
      ...siteOf(count, (index) => `/p${index}`),
      menus: { main: list(count, (index) => `x${index}`) },
    };
    return () => checkSite(definition);
  },
  'locate each page': (count) => {
    const site = defineSite(siteOf(count, (index) => `/p${index}`));
    return locateAll(
      site,
      list(count, (index) => `/p${index}`),
    );
  },
  'locate each of /p{i}-:x': (count) => {
    const site = defineSite(siteOf(count, (index) => `/p${index}-:x`));
    return locateAll(
      site,
      list(count, (index) => `/p${index}-a`),
    );
  },
  'locate each of /*/p{i}': (count) => {
    const site = defineSite(siteOf(count, (index) => `/*/p${index}`));
    return locateAll(
      site,
      list(count, (index) => `/a/b/p${index}`),
    );
  },
  'hrefOf each of /p{i}/:x': (count) => {
    const site = defineSite(siteOf(count, (index) => `/p${index}/:x`));
    return () => site.entries.forEach((entry) => hrefOf(site, entry, { x: 'a' }));
  },
  'menuItems: records': (count) => {
    const site = defineSite(birds);
    const records = recordsOf(count);
    return () => menuItems(site, 'main', { records });
  },
  'filterItems: records': (count) => {
    const items = menuItems(defineSite(birds), 'main', { records: recordsOf(count) });
    return () => filterItems(items, 'bird 9');
  },
  'outline: records': (count) => {
    const site = defineSite(birds);
    const records = recordsOf(count);
    return () => outline(site, { records });
  },
  'sitemap: records': (count) => {
    const site = defineSite(birds);
    const records = recordsOf(count);
    return () => sitemap(site, { records });
  },
  'reviewSite: /p{i}/:x': (count) => {
    const site = defineSite(siteOf(count, (index) => `/p${index}/:x`));
    return () => reviewSite(site);
  },
  'reviewSite: /*/p{i}': (count) => {
    const site = defineSite(siteOf(count, (index) => `/*/p${index}`));
    return () => reviewSite(site);
  },
  'reviewSite: one label of so many characters': (count) => {
    const site = defineSite({ name: 'x', entries: [{ id: 'a', label: 'e\u0301'.repeat(count), href: '/a' }] });
    return () => reviewSite(site);
  },
  compareSites: (count) => {
    const [before, after] = ['a', 'b'].map((letter) => defineSite(siteOf(count, (index) => `/${letter}${index}/:x`)));
    return () => compareSites(before, after);
  },
};

const folder = mkdtempSync(path.join(tmpdir(), 'fair-trail-scale-'));
const write = (name, text) => {
  const file = path.join(folder, name);
  mkdirSync(path.dirname(file), { recursive: true });
  writeFileSync(file, text);
  return file;
};
const siteFile = (name, definition) => write(name, JSON.stringify(definition));
const sitemapOf = (count, address) =>
  `<urlset>${list(count, (i) => `<url><loc>https://x.example/${address(i)}</loc></url>`).join('')}</urlset>`;
const page = (index) => `<!doctype html><title>Page ${index}</title><a href="p${index + 1}.html">Next</a>`;

/** For each command, what makes its input of a size and answers its arguments. */
const commands = {
  check: (count) => [
    'check',
    siteFile(
      'check.site.json',
      siteOf(count, (index) => `/p${index}/:x`),
    ),
  ],
  show: (count) => [
    'show',
    siteFile(
      'show.site.json',
      siteOf(count, (index) => `/p${index}`),
    ),
    '--at',
    '/p7',
  ],
  compare: (count) => [
    'compare',
    siteFile(
      'before.site.json',
      siteOf(count, (index) => `/a${index}`),
    ),
    siteFile(
      'after.site.json',
      siteOf(count, (index) => `/b${index}`),
    ),
  ],
  'convert: site to sitemap': (count) => [
    'convert',
    siteFile(
      'convert.site.json',
      siteOf(count, (index) => `/p${index}`),
    ),
    path.join(folder, 'out.xml'),
    '--force',
  ],
  'convert: sitemap to site': (count) => [
    'convert',
    write(
      'in.xml',
      sitemapOf(count, (i) => `s${i % 100}/p${i}`),
    ),
    '-',
  ],
  'convert: sitemap of another script': (count) => [
    'convert',
    write(
      'script.xml',
      sitemapOf(
        count,
        (i) =>
          `鳥/${'鳥'.repeat(1 + (i % 7))}${i % 2 ? 'あ' : 'い'}/${encodeURIComponent(String.fromCodePoint(0x4e00 + (i % 20_000)))}/${encodeURIComponent(String.fromCodePoint(0x3400 + Math.floor(i / 20_000)))}`,
      ),
    ),
    '-',
  ],
  'convert: outline of equal labels': (count) => [
    'convert',
    write('in.opml', `<opml><body>${'<outline text="Same"/>'.repeat(count)}</body></opml>`),
    '-',
  ],
  'convert: navigation of one page': (count) => [
    'convert',
    write(
      'in.html',
      `<nav><ul>${list(count, (index) => `<li><a href="/p${index}">Page ${index}</a>`).join('')}</ul></nav>`,
    ),
    '-',
  ],
  'convert: folder': (count) => {
    // A folder of more than 20 000 pages is refused.
    if (count > 20_000) return null;
    for (let index = 0; index < count; index += 1) write(`folder-${count}/p${index}.html`, page(index));
    return ['convert', path.join(folder, `folder-${count}`), '-'];
  },
};

function time(work) {
  const start = performance.now();
  work();
  return performance.now() - start;
}

function measure(name, prepare) {
  const cells = [];
  let before = null;
  for (const count of sizes) {
    const work = before !== null && before > longest ? null : prepare(count);
    if (!work) {
      cells.push('-'.padStart(18));
      continue;
    }
    const milliseconds = time(work);
    const growth = before === null ? '' : ` x${(milliseconds / before).toFixed(1)}`;
    cells.push(`${milliseconds.toFixed(milliseconds < 10 ? 1 : 0)} ms${growth.padStart(7)}`.padStart(18));
    before = milliseconds;
  }
  console.log(`${name.padEnd(46)}${cells.join('')}`);
}

console.log(`${'milliseconds, and growth'.padEnd(46)}${sizes.map((size) => String(size).padStart(18)).join('')}`);
for (const [name, prepare] of Object.entries(cases)) measure(name, prepare);
for (const [name, prepare] of Object.entries(commands)) {
  measure(name, (count) => {
    const args = prepare(count);
    const command = path.join(checkout, 'packages/cli/bin/fair-trail.js');
    return args && (() => spawnSync(process.execPath, [command, ...args], { stdio: 'ignore', timeout: 300_000 }));
  });
}
rmSync(folder, { recursive: true });
