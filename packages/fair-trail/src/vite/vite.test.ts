import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { defineSite } from '../core/site/define.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import type { DefinedSite } from '../core/site/site.ts';
import { jsonFault } from './json-fault.ts';
import { placesIn } from './json-places.ts';
import { fileOf, listPages } from './page-list.ts';
import { coverageText } from './stage-coverage.ts';
import { relativeAddress, withRelativeAddresses } from './relative-pages.ts';
import { fillTemplate, redirectPage } from './written-page.ts';

const site = defineSite(
  {
    name: 'Marram Point',
    origin: 'https://marram.example',
    language: 'en',
    languages: ['en', 'cy'],
    entries: [
      { id: 'today', label: { en: 'Today', cy: 'Heddiw' }, href: '/' },
      {
        id: 'hides',
        label: 'Hides',
        href: '/hides',
        movedFrom: ['/cabins'],
        entries: [{ id: 'reedbed', label: 'Reedbed', href: '/hides/reedbed' }],
      },
      { id: 'species', label: '{slug}', href: '/species/:slug', movedFrom: ['/birds/:slug'], records: 'species' },
      { id: 'camera', label: 'Camera', href: '/camera', planned: true },
      { id: 'office', label: 'Office', href: 'https://tides.example/' },
      { id: 'more', label: 'More' },
    ],
  },
  { base: '/point/' },
);

describe('places in JSON', () => {
  test('are where the value of a pointer begins, whatever the indentation', () => {
    const escape = (step: string) => step.replaceAll('~', '~0').replaceAll('/', '~1');
    const rows = (value: unknown, pointer = ''): [string, unknown][] => [
      [pointer, value],
      ...(typeof value === 'object' && value !== null
        ? Object.entries(value).flatMap(([name, child]) => rows(child, `${pointer}/${escape(name)}`))
        : []),
    ];
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), fc.constantFrom(0, 2, '\t'), (value, indent) => {
        const text = JSON.stringify(value, null, indent);
        const placeOf = placesIn(text);
        for (const [pointer, child] of rows(JSON.parse(text))) {
          const { line, column } = placeOf(pointer);
          const rest = text
            .split('\n')
            .slice(line - 1)
            .join('\n')
            .slice(column - 1);
          const first = JSON.stringify(child)[0] ?? '';
          expect(rest.startsWith(first), `${pointer} of ${text}`).toBe(true);
        }
      }),
    );
  });

  test('are those of what is above, for a field that is not there', () => {
    const placeOf = placesIn('{\n  "a": [1]\n}');
    expect([placeOf('/a/7'), placeOf('/b')]).toEqual([
      { line: 2, column: 8 },
      { line: 1, column: 1 },
    ]);
  });

  test('are where the first mistake is, in what is not JSON', () => {
    expect([jsonFault('{\n "a": 1 "b"}')?.place, jsonFault('{\n "a": [')?.place]).toEqual([
      { line: 2, column: 9 },
      { line: 2, column: 8 },
    ]);
  });

  test('of a mistake are found in every text that is refused, and in no other', () => {
    const piece = fc.constantFrom(
      '{',
      '}',
      '[',
      ']',
      ',',
      ':',
      '"',
      '\\',
      '/',
      'true',
      '-1',
      '01',
      '1e3',
      ' ',
      '\n',
      'a',
      "'",
      '"a"',
      '"a":',
    );
    const text = fc.oneof(
      fc.json(),
      fc.string({ unit: 'binary' }),
      fc.array(piece, { maxLength: 12 }).map((all) => all.join('')),
    );
    fc.assert(
      fc.property(text, (source) => {
        let isJson = true;
        try {
          JSON.parse(source);
        } catch {
          isJson = false;
        }
        expect(jsonFault(source) === null, source).toBe(isJson);
      }),
      { numRuns: 500 },
    );
  });
});

describe('the pages to write', () => {
  const records = {
    species: [{ params: { slug: 'curlew' } }, { params: { slug: 'a b' } }, { params: { slug: 'curlew' } }],
  };

  test('are those of all entries, records and languages, each once', () => {
    const { pages, leftOut } = listPages(site, records);
    expect(leftOut).toEqual([]);
    expect(pages.map(({ file }) => file)).toEqual([
      ...['index.html', 'cy/index.html', 'hides/index.html', 'cy/hides/index.html'],
      ...['hides/reedbed/index.html', 'cy/hides/reedbed/index.html', 'species/curlew/index.html'],
      ...['cy/species/curlew/index.html', 'species/a b/index.html', 'cy/species/a b/index.html'],
      ...['camera/index.html', 'cy/camera/index.html'],
    ]);
    expect(pages.every(({ address }) => address.startsWith('/point'))).toBe(true);
  });

  test('have their old addresses beside them, with the params that are known', () => {
    const { redirects } = listPages(site, records);
    expect(redirects).toContainEqual({ from: '/point/cabins', to: '/point/hides', status: 301 });
    expect(redirects).toContainEqual({ from: '/point/birds/curlew', to: '/point/species/curlew', status: 301 });
    expect(listPages(site, {}).redirects.some(({ from }) => from.includes('birds'))).toBe(false);
  });

  test('are left out by name where a record gives no address', () => {
    const slugs = ['curlew', '', '.', '..', '../x'].map((slug) => ({ params: { slug } }));
    const { pages, leftOut } = listPages(site, { species: slugs });
    expect(pages.filter(({ address }) => address.includes('species'))).toHaveLength(2);
    expect(leftOut.map((line) => line.split(':')[0])).toEqual([
      ...['the record {"slug"', 'the record {"slug"', 'the record {"slug"'],
      ...['/point/species/..%2Fx', '/point/cy/species/..%2Fx'],
    ]);
    expect(leftOut[2]).toContain('the record {"slug":".."} of "species", for the entry "species"');
  });

  test('are those that everyone may see, unless all are asked for', () => {
    const definition: SiteDefinition = {
      name: 'Marram',
      audiences: ['ringer'],
      entries: [
        { id: 'today', label: 'Today', href: '/' },
        {
          id: 'desk',
          label: 'Desk',
          href: '/desk',
          audience: ['ringer'],
          entries: [{ id: 'nets', label: 'Nets', href: '/desk/nets' }],
        },
      ],
    };
    const some: DefinedSite = defineSite(definition);
    const open = listPages(some, {}, false);
    expect([open.pages.map(({ address }) => address), open.restricted]).toEqual([['/'], ['/desk', '/desk/nets']]);
    expect(listPages(some, {}, true).pages).toHaveLength(3);
  });

  test('lie below the folder of the build, whatever a record is called', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (slug) => {
        const { pages } = listPages(site, { species: [{ params: { slug } }] });
        for (const { file } of pages) expect(file.split('/').some((name) => name === '..' || name === '.')).toBe(false);
      }),
    );
    expect([fileOf(site, '/point/a%2Fb'), fileOf(site, '/point/%2e%2e/x'), fileOf(site, '/point/%ff')]).toEqual([
      null,
      null,
      null,
    ]);
  });
});

test('what has no page and what is no entry is named; planned, outside and unlinked entries need no page', () => {
  expect(coverageText(site, new Set(['today', 'hides', 'reedbed', 'species']), new Set())).toBe('');
  // A layout has a stage of its own, whose pages are not known.
  expect(coverageText(site, new Set(['today', 'species']), new Set(['hides']))).toBe('');
  expect(coverageText(site, new Set(['today', 'hides', 'speces']), new Set())).toBe(
    'reedbed, species have no page in the stage. Add them to its "pages", or mark the entries as "planned".\n' +
      'speces are pages of the stage, and no entries of the site. Correct the names, or add the entries.',
  );
});

describe('a written page', () => {
  const template =
    '<html lang="en" class="x"><head><title>A</title></head><body><div id="app"><!--app--></div></body></html>';

  test('holds the texts as text, also those that mean something to a replacement', () => {
    const page = fillTemplate(template, {
      html: "<p>$& $' $1</p>",
      title: 'A <b> & $&',
      language: 'cy',
      head: '<meta name="$1">',
    });
    expect(page).toBe(
      '<html lang="cy" class="x"><head><title>A &lt;b&gt; &amp; $&amp;</title><meta name="$1"></head><body><div id="app"><p>$& $\' $1</p></div></body></html>',
    );
  });

  test('has a title where the template has none', () => {
    const page = fillTemplate(template.replace('<title>A</title>', ''), {
      html: '',
      title: 'B',
      language: 'en',
      head: '',
    });
    expect(page).toContain('<head><title>B</title></head>');
  });

  test('leads on from an old address, and cannot be broken out of', () => {
    const page = redirectPage({ from: '/a', to: '/b"><script>', status: 301 }, 'https://marram.example/b', '/moved.js');
    expect(page).toContain('content="0; url=/b&quot;&gt;&lt;script&gt;"');
    expect(page).not.toContain('<script>');
  });
});

describe('with a relative base', () => {
  test.each([
    ['/hides', 'index.html', 'hides/index.html'],
    ['/hides/reedbed/?month=5#map', 'hides/index.html', 'reedbed/index.html?month=5#map'],
    ['/', 'hides/reedbed/index.html', '../../index.html'],
    ['/guide.pdf', 'hides/index.html', '../guide.pdf'],
    ['./assets/app.js', 'hides/reedbed/index.html', '../../assets/app.js'],
    ['/hides', 'hides/index.html', 'index.html'],
  ])('the address %s in %s is %s', (address, file, relative) => {
    expect(relativeAddress(address, file)).toBe(relative);
  });

  test('a page has the addresses of its site from its own file, and what is text stays', () => {
    const page = [
      '<!doctype html><html lang="en"><head><script src="./a.js"></script>',
      '<script type="application/json">{"html":"<a href=\\"/hides\\">"}</script></head>',
      '<body><a class="x" href="/hides?a=1&amp;b=2">A</a> <a href="https://tides.example/">B</a> <a href="//tides.example/">C</a>',
      '<a href="#map">D</a><code>&lt;a href="/hides"&gt;</code></body></html>',
    ].join('\n');
    expect(withRelativeAddresses(page, 'log/index.html')).toBe(
      page
        .replace('<html', '<html data-ft-root="../"')
        .replace('src="./a.js"', 'src="../a.js"')
        .replace('href="/hides?a=1&amp;b=2"', 'href="../hides/index.html?a=1&amp;b=2"'),
    );
  });
});
