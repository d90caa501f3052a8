import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { checkSite } from 'fair-trail';
import { describe, expect, test } from 'vitest';
import { appendList, appendMember, appendObject, appendText, insertAll, jsonStyle } from '../add/insert.ts';
import { readWrittenJson, writtenAt } from '../add/source-tree.ts';
import { place, runIn } from '../test-command.samples.ts';

/** A folder of its own, with these files. */
function project(name: string, files: Readonly<Record<string, string>>): string {
  const folder = place(name);
  for (const [file, text] of Object.entries(files)) {
    mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
    writeFileSync(path.join(folder, file), text);
  }
  return folder;
}

const siteFile = `{
  "name": "Marram Point",
  "entries": [
    { "id": "home",   "label": "Home", "href": "/" },
    { "id": "visit", "label": "Visit", "href": "/visit" }
  ],
  "menus": { "main": ["home", "visit"], "footer": [] }
}
`;

const lazyPages = `import { lazyPage } from 'fair-trail/react';
import HomePage from './home.tsx';

// The order is that of the menu.
export const pages = {
  home: HomePage,
  visit: lazyPage(() => import('./visit-page.tsx')), // slow
};
`;

describe('add', () => {
  test('writes the entry, the page and its line as the project has them, and leaves the rest as it is', () => {
    const folder = project('add-lazy', {
      'src/marram.site.json': siteFile,
      'src/pages/index.ts': lazyPages,
      'src/pages/home.tsx': 'export default () => null;\n',
      'src/pages/visit-page.tsx': 'export default () => null;\n',
    });
    const { status, stdout, stderr } = runIn(folder, 'add', '/visit/boat-trips');
    expect([status, stderr]).toEqual([0, '']);
    expect(stdout).toContain("src/pages/index.ts:8  + 'boat-trips': lazyPage(() => import('./boat-trips-page.tsx'))");
    expect(stdout).toContain('src/pages/boat-trips-page.tsx  a new file');
    const site = readFileSync(path.join(folder, 'src/marram.site.json'), 'utf8');
    expect(site).toBe(
      siteFile.replace(
        '{ "id": "visit", "label": "Visit", "href": "/visit" }',
        `{
      "id": "visit",
      "label": "Visit",
      "href": "/visit",
      "entries": [{ "id": "boat-trips", "label": "Boat trips", "href": "/visit/boat-trips" }]
    }`,
      ),
    );
    expect(readFileSync(path.join(folder, 'src/pages/index.ts'), 'utf8')).toBe(
      lazyPages.replace(
        'visit-page.tsx)'.replace(')', "')), // slow"),
        "visit-page.tsx')),\n  'boat-trips': lazyPage(() => import('./boat-trips-page.tsx')), // slow",
      ),
    );
    expect(readFileSync(path.join(folder, 'src/pages/boat-trips-page.tsx'), 'utf8')).toContain('<h1>Boat trips</h1>');
  });

  test('a page of the first level is listed in the main menu, and in others where that is said', () => {
    const folder = project('add-menu', { 'marram.site.json': siteFile });
    expect(runIn(folder, 'add', '/hides', '--no-page', '--menu', 'main,footer', '--label', 'Our hides').status).toBe(0);
    expect(runIn(folder, 'add', '/log', '--no-page').stdout).toContain('It is in the menu main.');
    const { menus, entries } = JSON.parse(readFileSync(path.join(folder, 'marram.site.json'), 'utf8')) as {
      readonly menus: unknown;
      readonly entries: readonly unknown[];
    };
    expect(menus).toEqual({ main: ['home', 'visit', 'hides', 'log'], footer: ['hides'] });
    expect(entries[2]).toEqual({ id: 'hides', label: 'Our hides', href: '/hides' });
  });

  test('imports the page where the others are imported', () => {
    const pages =
      "import Home from './Home.vue';\nimport Visit from './Visit.vue';\n\nexport const pages = { home: Home, visit: Visit };\n";
    const folder = project('add-imported', {
      'site/marram.site.json': siteFile,
      'site/pages.ts': pages,
      'site/Home.vue': '<template><h1>Home</h1></template>\n',
      'site/Visit.vue': '<template><h1>Visit</h1></template>\n',
    });
    expect(runIn(folder, 'add', '/boat-trips').stderr).toBe('');
    expect(readFileSync(path.join(folder, 'site/pages.ts'), 'utf8')).toBe(
      "import Home from './Home.vue';\nimport Visit from './Visit.vue';\nimport BoatTripsPage from './BoatTrips.vue';\n\nexport const pages = { home: Home, visit: Visit, 'boat-trips': BoatTripsPage };\n",
    );
    expect(readFileSync(path.join(folder, 'site/BoatTrips.vue'), 'utf8')).toContain('<h1>Boat trips</h1>');
  });

  test('a site file in TypeScript keeps its comments, and pages of HTML are written like those beside them', () => {
    const site = `import type { SiteDefinition } from 'fair-trail';

// Agreed with the wardens.
export default {
  name: 'Marram Point',
  entries: [
    { id: 'home', label: 'Home', href: '/' }, // first
    { id: 'visit', label: 'Visit', href: '/visit' }, // second
  ],
  menus: { main: ['home', 'visit'] },
} satisfies SiteDefinition;
`;
    const page = '<!doctype html>\n<title>Visit</title>\n<main>\n  <h1>Visit</h1>\n  <p>Much.</p>\n</main>\n';
    const folder = project('add-html', { 'marram.site.ts': site, 'index.html': page, 'visit.html': page });
    expect(runIn(folder, 'add', '/tides', '--label', 'Tides & "wind"').stderr).toBe('');
    expect(readFileSync(path.join(folder, 'marram.site.ts'), 'utf8')).toBe(
      site
        .replace("'/visit' },", "'/visit' },\n    { id: 'tides', label: 'Tides & \"wind\"', href: '/tides' },")
        .replace("['home', 'visit']", "['home', 'visit', 'tides']"),
    );
    expect(readFileSync(path.join(folder, 'tides.html'), 'utf8')).toBe(
      '<!doctype html>\n<title>Tides &amp; &quot;wind&quot;</title>\n<main>\n  <h1>Tides &amp; &quot;wind&quot;</h1>\n</main>\n',
    );
  });

  test('shows what it would do, and does nothing', () => {
    const folder = project('add-dry', { 'marram.site.json': siteFile });
    const { status, stdout } = runIn(folder, 'add', '/hides', '--no-page', '--dry-run');
    expect(status).toBe(0);
    expect(stdout).toContain('marram.site.json:6  + { "id": "hides", "label": "Hides", "href": "/hides" }');
    expect(stdout).toContain('Nothing is written');
    expect(readFileSync(path.join(folder, 'marram.site.json'), 'utf8')).toBe(siteFile);
  });

  test.each<[string, readonly string[], string]>([
    ['an address that is taken', ['/visit'], 'entry-exists'],
    ['an id that is taken', ['/hides', '--id', 'visit'], 'entry-exists'],
    ['what is no path', ['visit'], 'bad-address'],
    ['an entry that is not there', ['/hides', '--under', 'vist'], 'no-such-entry'],
    ['a menu that is not there', ['/hides', '--menu', 'mian'], 'unknown-menu'],
    ['a project whose pages are not known', ['/hides'], 'no-place-for-page'],
    ['a site file that is not there', ['/hides', '--site', 'none.site.json'], 'file-missing'],
  ])('%s is refused, and nothing is written', (name, args, code) => {
    const folder = project(`add-${name.replaceAll(' ', '-')}`, { 'marram.site.json': siteFile });
    const { status, stderr } = runIn(folder, 'add', ...args);
    expect([status, stderr]).toEqual([2, expect.stringContaining(`[${code}]`)]);
    expect(readFileSync(path.join(folder, 'marram.site.json'), 'utf8')).toBe(siteFile);
  });

  test('a file of the page’s name is never replaced', () => {
    const folder = project('add-present', {
      'marram.site.json': siteFile,
      'pages.ts': lazyPages,
      'visit-page.tsx': '',
      'hides-page.tsx': 'mine',
    });
    const { status, stderr } = runIn(folder, 'add', '/hides');
    expect([status, stderr]).toEqual([2, expect.stringContaining('There is a file "hides-page.tsx" already.')]);
    expect(readFileSync(path.join(folder, 'hides-page.tsx'), 'utf8')).toBe('mine');
    expect(readFileSync(path.join(folder, 'marram.site.json'), 'utf8')).toBe(siteFile);
  });
});

describe('what is put into a file', () => {
  const value = fc.record({ id: fc.string(), label: fc.string(), href: fc.string() });
  const indents = fc.constantFrom(0, 1, 2, 4, '\t');

  test('is there when the file is read again, after all that was there before', () => {
    fc.assert(
      fc.property(
        fc.array(value, { maxLength: 4 }),
        fc.array(fc.string(), { maxLength: 4 }),
        value,
        indents,
        (entries, ids, added, indent) => {
          const before = { entries, menus: { main: ids }, last: {} };
          const text = JSON.stringify(before, null, indent);
          const root = readWrittenJson(text);
          const list = writtenAt(root, '/entries');
          const menu = writtenAt(root, '/menus/main');
          const last = writtenAt(root, '/last');
          if (list?.kind !== 'list' || menu?.kind !== 'list' || last?.kind !== 'object')
            throw new Error('It is not found.');
          const made = insertAll(text, [
            appendObject(text, list, added, jsonStyle),
            appendText(text, menu, added.id, jsonStyle),
            appendMember(text, last, '"one": 1'),
          ]);
          expect(JSON.parse(made)).toEqual({
            entries: [...entries, added],
            menus: { main: [...ids, added.id] },
            last: { one: 1 },
          });
        },
      ),
    );
  });

  test('a list below an object keeps what the object has', () => {
    fc.assert(
      fc.property(value, value, indents, (one, added, indent) => {
        const text = JSON.stringify({ one }, null, indent);
        const object = writtenAt(readWrittenJson(text), '/one');
        if (object?.kind !== 'object') throw new Error('It is not found.');
        const made = insertAll(text, [appendList(text, object, 'entries', added, jsonStyle)]);
        expect(JSON.parse(made)).toEqual({ one: { ...one, entries: [added] } });
      }),
    );
  });

  test('pages one after the other make a sound site', () => {
    const folder = project('add-many', { 'marram.site.json': siteFile });
    for (const address of [
      '/hides',
      '/hides/reedbed',
      '/hides/reedbed/east',
      '/species/:slug',
      '/2026',
      '/visit/hides',
    ]) {
      expect(runIn(folder, 'add', address, '--no-page').stderr).toBe('');
    }
    const { site, problems } = checkSite(JSON.parse(readFileSync(path.join(folder, 'marram.site.json'), 'utf8')));
    expect(problems).toEqual([]);
    expect(
      ['hides', 'reedbed', 'east', 'species-page', 'page-2026-2', 'visit-hides'].filter((id) => !site?.entry(id)),
    ).toEqual([]);
  });
});
