import { existsSync, readdirSync, readFileSync, symlinkSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { checkSite, type EntryDefinition, type SiteDefinition } from 'fair-trail';
import ts from 'typescript';
import { describe, expect, test } from 'vitest';
import { observatory, place, root, run, write } from '../test-command.samples.ts';

/** The definition that an input is converted to. */
function converted(input: string, ...options: string[]): { definition: SiteDefinition; guesses: string } {
  const { status, stdout, stderr } = run('convert', input, '-', ...options);
  expect([status, status === 0 ? '' : stderr]).toEqual([0, '']);
  const definition = JSON.parse(stdout) as SiteDefinition;
  expect(checkSite(definition).problems.filter(({ severity }) => severity === 'fatal')).toEqual([]);
  return { definition, guesses: stderr };
}

/** A tree of entries as lines: label, address and, in brackets, the id. */
function tree(entries: readonly EntryDefinition[], indent = ''): string[] {
  return entries.flatMap(({ id, label, href, entries: below = [] }) => [
    `${indent}${typeof label === 'string' ? label : ''} ${typeof href === 'string' ? href : '-'} [${id}]`,
    ...tree(below, `${indent}  `),
  ]);
}

function sitemap(...addresses: string[]): string {
  const rows = addresses.map((address) => `<url><loc>${address}</loc></url>`);
  return `<?xml version="1.0"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${rows.join('')}</urlset>`;
}

test('a list that a page without a build has made its menu becomes the same menu, however it is written', () => {
  const page = `<!doctype html><html lang="en"><title>Marram Point</title>
    <trail-bar><a slot="brand" href="/">Marram Point</a><nav aria-label="Main"><ul>
      <li><a href="/">Today</a></li>
      <li><a href="/hides">Hides <b>(4)</b></a><ul><li><a href="/hides/reedbed">Reedbed Hide</a></li></ul></li>
      <li><a href="#">Practical</a><ol><li><a href="/visit">Visit</a></li></ol></li>
      <li><button>People</button><ul><li><a href="/wardens">Wardens</a></li></ul></li>
      <li><details><summary>More</summary><ul><li><a href="/about">About</a></li></ul></details></li>
      <li>Help<ul><li><a href="/support">Support us</a></li></ul></li>
    </ul></nav></trail-bar></html>`;
  const { definition } = converted(write('page.html', page));
  const [today, hides, ...groups] = definition.menus?.['main'] ?? [];
  expect([today, hides]).toEqual(['home', { entry: 'hides', depth: 2 }]);
  expect(groups).toEqual([
    { label: 'Practical', entries: ['visit'] },
    { label: 'People', entries: ['wardens'] },
    { label: 'More', entries: ['about'] },
    { label: 'Help', entries: ['support'] },
  ]);
});

describe('a sitemap', () => {
  const text = sitemap(
    'https://marram.example/',
    'https://marram.example/visit/getting-here.html',
    'https://marram.example/visit/',
    'https://marram.example/log/2026/may',
    'https://marram.example/a%20b/caf%C3%A9:x',
    'https://marram.example/search?q=1&amp;r=2',
    'https://elsewhere.example/',
    'ftp://marram.example/file',
  );
  const expected = [
    'Home / [home]',
    'Visit /visit/ [visit]',
    '  Getting here /visit/getting-here.html [getting-here]',
    'Log - [log]',
    '  2026 - [log-2026]',
    '    May /log/2026/may [may]',
    'A b - [a-b]',
    '  Café:x /a%20b/café\\:x [cafe-x]',
    'Search /search [search]',
  ];

  test('becomes sections by its paths, with every guess listed', () => {
    const { definition, guesses } = converted(write('sitemap.xml', text));
    expect(tree(definition.entries)).toEqual(expected);
    expect(definition.origin).toBe('https://marram.example');
    expect(guesses).toMatch(/left out: "https:\/\/elsewhere\.example\/"/u);
    expect(guesses).toMatch(/left out: "ftp:/u);
    expect(guesses).toMatch(/left out: the query of "\/search\?q=1&r=2"/u);
    expect(guesses).toMatch(/guessed: \/log is a group without a page/u);
  });

  test('is read packed, and as an index with its parts beside it', () => {
    expect(tree(converted(write('packed.xml.gz', gzipSync(text))).definition.entries)).toEqual(expected);
    write('parts/one.xml', sitemap('https://marram.example/one'));
    write('parts/two.xml.gz', gzipSync(sitemap('https://marram.example/two')));
    const locations = ['one.xml', 'two.xml.gz'].map(
      (name) => `<sitemap><loc>https://marram.example/${name}</loc></sitemap>`,
    );
    const index = write('parts/sitemap.xml', `<sitemapindex>${locations.join('')}</sitemapindex>`);
    expect(tree(converted(index).definition.entries)).toEqual(['One /one [one]', 'Two /two [two]']);
    const broken = write(
      'parts/broken.xml',
      `<sitemapindex>${locations[0]?.replace('one', 'gone') ?? ''}</sitemapindex>`,
    );
    expect(run('convert', broken, '-').stderr).toMatch(/names "gone\.xml", which is not beside it.*\[file-missing\]/u);
  });

  test('that was written from a site leads back to the same addresses', () => {
    const file = place('written.xml');
    expect(run('convert', observatory, file).status).toBe(0);
    const { definition } = converted(file);
    const lines = tree(definition.entries);
    for (const address of ['/hides/lantern-room', '/visit/getting-here/causeway', '/about/support']) {
      expect(lines.some((line) => line.includes(` ${address} `))).toBe(true);
    }
    expect(lines.join('\n')).not.toMatch(/\/log|webcam|:slug/u);
  });
});

test('an OPML outline keeps its tree and its labels, and goes there and back', () => {
  const outline = `<opml version="2.0"><head><title>Marram</title></head><body>
    <outline text="Visit &amp; stay" url="https://marram.example/visit"><outline text="Walks" htmlUrl="https://marram.example/visit/walks"/></outline>
    <outline text="Group"><outline text="Tides" url="https://tides.example/"/><outline url="https://marram.example/x"/></outline>
    <outline text="Bad" url="javascript:alert(1)"/></body></opml>`;
  const { definition, guesses } = converted(write('outline.opml', outline));
  expect(definition.name).toBe('Marram');
  expect(tree(definition.entries)).toEqual([
    'Visit & stay /visit [visit]',
    '  Walks /visit/walks [walks]',
    'Group - [group]',
    '  Tides https://tides.example/ [tides]',
    '  Untitled /x [x]',
    'Bad - [bad]',
  ]);
  expect(guesses).toMatch(/"Bad" is a group/u);
  const file = place('again.opml');
  expect(run('convert', observatory, file).status).toBe(0);
  expect(tree(converted(file).definition.entries)).toContain('  Lantern Room /hides/lantern-room [lantern-room]');
});

test('the navigation of a page: landmarks are menus, their links entries, placeholders are left out', () => {
  const html = `<!doctype html><html lang="en-GB"><head><title>Today - Marram Point</title>
    <link rel="canonical" href="https://marram.example/today/"></head><body>
    <nav><ul><li><a href="/">Home</a><li><a href="../visit/">Visit <b>us</b></a><ul><li><a href="/visit/walks">Walks</a></ul>
      <li>More<ul><li><a href="https://tides.example">Tides</a></ul><li><a href="#">Soon</a><li><a href="javascript:x()">Menu</a></ul></nav>
    <nav class="breadcrumb"><a href="/nowhere">x</a></nav>
    <footer><nav><a href="/visit/">Visit</a> <a href="/imprint"><img alt="Imprint"></a></nav></footer></body></html>`;
  const { definition, guesses } = converted(write('page.html', html));
  expect(tree(definition.entries)).toEqual([
    'Home / [home]',
    'Visit us /visit/ [visit]',
    '  Walks /visit/walks [walks]',
    'Tides https://tides.example/ [tides]',
    'Imprint /imprint [imprint]',
  ]);
  expect(definition.menus).toEqual({
    main: ['home', { entry: 'visit', depth: 2 }, { label: 'More', entries: ['tides'] }],
    footer: ['visit', 'imprint'],
  });
  expect([definition.name, definition.language, definition.origin]).toEqual([
    'Marram Point',
    'en-GB',
    'https://marram.example',
  ]);
  expect(guesses).toMatch(/left out: "Soon": "#" leads to no page/u);
});

describe('a folder of pages', () => {
  const html = (title: string, body = '', head = '') =>
    `<!doctype html><html lang="en"><head><title>${title}</title>${head}</head><body>${body}</body></html>`;

  test('is read without a word where no one watches', () => {
    write('quiet/index.html', html('Tides'));
    expect(run('convert', place('quiet'), '-').stderr).not.toContain('Reading');
  });

  test('takes labels from titles, sections from breadcrumbs, up links and folders, and the order from next links', () => {
    write(
      'docs/index.html',
      html('Marram', '<h1>Marram Handbook</h1><a href="zebra.html">Z</a><a href="guide/">G</a>'),
    );
    write(
      'docs/zebra.html',
      html('Zebra | Marram', '<nav aria-label="Breadcrumb"><a href="index.html">Home</a></nav>'),
    );
    write('docs/guide/index.html', html('2. Guide | Marram', '', '<link rel="next" href="two.html">'));
    write(
      'docs/guide/two.html',
      html('2.1. Two | Marram', '', '<link rel="next" href="one.html"><link rel="prev" href="index.html">'),
    );
    write(
      'docs/guide/one.html',
      html('2.2. One | Marram', '<ol class="breadcrumbs"><li><a href="../">x</a><li><a href="two.html">Two</a></ol>'),
    );
    write(
      'docs/guide/up.html',
      html('2.3. Upward | Marram', '<div><a accesskey="u" href="../zebra.html">Up</a></div>'),
    );
    write('docs/same-a.html', html('Marram', '<h1>A heading <a class="headerlink" href="#x">¶</a></h1>'));
    write('docs/untitled-page.html', '<p>nothing');
    write('docs/old.html', html('Moved', '', '<meta http-equiv="refresh" content="0; url=guide/two.html">'));
    write('docs/notes/x/a.html', html('Alpha | Marram'));
    write('docs/notes/b.html', html('Beta | Marram'));
    write('docs/notes/c.html', html('Gamma | Marram'));
    symlinkSync('zebra.html', path.join(place('docs'), 'alias.html'));
    const { definition, guesses } = converted(place('docs'));
    expect(tree(definition.entries)).toEqual([
      'Marram Handbook / [home]',
      'Zebra /zebra.html [zebra]',
      '  Upward /guide/up.html [up]',
      'Guide /guide/ [guide]',
      '  Two /guide/two.html [two]',
      '    One /guide/one.html [one]',
      'A heading /same-a.html [same-a]',
      'Untitled page /untitled-page.html [untitled-page]',
      'Notes - [notes]',
      '  Beta /notes/b.html [b]',
      '  Gamma /notes/c.html [c]',
      '  Alpha /notes/x/a.html [a]',
    ]);
    expect([definition.name, definition.language]).toEqual(['Marram Handbook', 'en']);
    expect(JSON.stringify(definition)).toContain('"movedFrom":["/old.html"]');
    expect(JSON.stringify(definition)).toContain('"aliases":["/alias.html"]');
    // An index page is found under its own name too.
    expect(JSON.stringify(definition)).toContain('"href":"/","aliases":["/index.html"]');
    expect(JSON.stringify(definition)).toContain('"href":"/guide/","aliases":["/guide/index.html"]');
    expect(guesses).toMatch(/"Marram" is taken off the titles/u);
    expect(guesses).toMatch(/The label "Untitled page" of \/untitled-page\.html is from its address/u);
  });

  test('whose pages are each other’s parents has no circle', () => {
    write('circle/a.html', html('A', '<a rel="up" href="b.html">Up</a>'));
    write('circle/b.html', html('B', '<a rel="up" href="a.html">Up</a>'));
    const { definition, guesses } = converted(place('circle'));
    expect(tree(definition.entries).length).toBe(2);
    expect(guesses).toMatch(/its own ancestor/u);
  });

  test('nested without end is read', () => {
    write('deep/a.html', html('Deep', '<div>'.repeat(20_000) + '<a href="a.html">x</a>'));
    expect(tree(converted(place('deep')).definition.entries)).toEqual(['Deep /a.html [a]']);
  });
});

test('declarations tell the compiler the ids and params of a JSON file', () => {
  write('declared/tides.site.json', readFileSync(path.join(root, observatory), 'utf8'));
  expect(run('convert', observatory, place('declared/tides.site.d.json.ts'))).toMatchObject({ status: 0 });
  const use = write(
    'declared/use.ts',
    `import { defineSite, hrefTo } from 'fair-trail';
     import definition from './tides.site.json';
     const site = defineSite(definition);
     hrefTo(site, 'lantern-room');
     hrefTo(site, 'species-page', { slug: 'curlew' });
     // @ts-expect-error -- no such id
     hrefTo(site, 'lantern-rooms');
     // @ts-expect-error -- without its param
     hrefTo(site, 'species-page');`,
  );
  const program = ts.createProgram([use], {
    strict: true,
    noEmit: true,
    types: [],
    allowArbitraryExtensions: true,
    target: ts.ScriptTarget.ES2022,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    paths: { 'fair-trail': [path.join(root, 'packages/fair-trail/dist/core/index.d.ts')] },
  });
  const found = ts.getPreEmitDiagnostics(program);
  expect(found.map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, ' '))).toEqual([]);
});

describe('what is there is not lost', () => {
  test('a file is replaced only with --force, and nothing half-written is left', () => {
    const file = write('there.site.json', 'mine');
    const refused = run('convert', observatory, file);
    expect(refused).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/already.*--force.*\[file-exists\]/u) as string,
    });
    expect(readFileSync(file, 'utf8')).toBe('mine');
    expect(run('convert', observatory, file, '--force').status).toBe(0);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ name: 'Marram Point Bird Observatory' });
    expect(run('convert', observatory, place('nowhere/x.site.json'))).toMatchObject({ status: 2 });
    expect(readdirSync(place('.')).filter((name) => name.endsWith('.part'))).toEqual([]);
  });
});

describe('bad input ends with 2, names the place, and writes nothing', () => {
  const bomb = `<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><urlset><url><loc>&b;</loc></url></urlset>`;
  const deep = '<a>'.repeat(10_000);

  test.each<[string, string, string | Uint8Array, RegExp]>([
    [
      'truncated XML',
      'cut.xml',
      '<urlset><url><loc>https://x.example/',
      /cut\.xml:1:\d+: this is not well-formed XML.*\[xml-syntax\]/u,
    ],
    ['no XML', 'text.xml', 'hello', /\[xml-syntax\]/u],
    ['an entity bomb', 'bomb.xml', bomb, /\[xml-syntax\]/u],
    ['10 000 levels', 'deep.xml', deep, /nested more than 256 levels deep.*\[xml-syntax\]/u],
    ['another document', 'other.xml', '<rss><channel/></rss>', /is no sitemap: its root element is <rss>/u],
    ['an empty sitemap', 'empty.xml', '<urlset></urlset>', /has no addresses.*\[nothing-found\]/u],
    ['binary', 'binary.xml', new Uint8Array([0, 159, 146, 150, 255]), /not text in UTF-8.*\[file-encoding\]/u],
    ['UTF-16', 'wide.xml', Buffer.from('\ufeff<urlset/>', 'utf16le'), /not text in UTF-8/u],
    ['damaged gzip', 'cut.xml.gz', gzipSync('<urlset/>').subarray(0, 15), /cannot be unpacked.*\[not-compressed\]/u],
    ['a gzip bomb', 'bomb.xml.gz', gzipSync(Buffer.alloc(70 * 1024 * 1024)), /more than 64 MiB.*\[file-too-large\]/u],
    ['100 MB', 'large.xml', Buffer.alloc(100 * 1024 * 1024, 32), /more than 64 MiB.*\[file-too-large\]/u],
    ['a page without navigation', 'plain.html', '<p>hello', /has no navigation.*\[nothing-found\]/u],
    ['an outline of another kind', 'plain.opml', '<opml><body/></opml>', /is no OPML outline/u],
    ['an ending of no format', 'file.txt', 'x', /says no format.*--from.*\[unknown-format\]/u],
  ])('%s', (_, name, content, message) => {
    const out = place('never.site.json');
    const { status, stdout, stderr } = run('convert', write(name, content), out);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(message);
    expect(stderr).not.toMatch(/\n {4}at /u);
    expect(existsSync(out)).toBe(false);
  });

  test.each<[string[], RegExp]>([
    [['convert', 'nowhere.xml', 'out.site.json'], /no file or folder "nowhere\.xml".*\[file-missing\]/u],
    [['convert', observatory, 'out.xyz'], /says no format to write.*--to.*\[unknown-format\]/u],
    [['convert', observatory, '-', '--to', 'pdf'], /Allowed choices.*\[bad-usage\]/u],
    [['convert', observatory, '-', '--records', 'nowhere.json'], /\[file-missing\]/u],
    [['convert', 'packages/cli/bin', 'out.site.json'], /No HTML page is in.*\[nothing-found\]/u],
  ])('%j', (args, message) => {
    const { status, stderr } = run(...args);
    expect(status).toBe(2);
    expect(stderr).toMatch(message);
  });

  test('a sitemap of a site without an origin, unless one is given', () => {
    const file = write('bare.site.json', JSON.stringify({ name: 'x', entries: [{ id: 'a', label: 'A', href: '/a' }] }));
    expect(run('convert', file, '-', '--to', 'sitemap').stderr).toMatch(/--origin.*\[needs-origin\]/u);
    const { stdout } = run('convert', file, '-', '--to', 'sitemap', '--origin', 'https://x.example');
    expect(stdout).toContain('<loc>https://x.example/a</loc>');
  });

  test('records that are none', () => {
    const bad = (content: unknown) =>
      run('show', observatory, '--records', write('records.json', JSON.stringify(content)));
    expect(bad([]).stderr).toMatch(/records\.json:1:1 \/: an object with a list.*\[records-syntax\]/u);
    expect(bad({ species: [{ params: { slug: 7 } }] }).stderr).toMatch(
      /\/species\/0\/params\/slug: text is needed here/u,
    );
  });
});

test('records from a file fill menus, labels and sitemaps', () => {
  const file = write('some.json', JSON.stringify({ species: [{ params: { slug: 'curlew' }, label: 'Curlew' }] }));
  const shown = run('show', observatory, '--at', '/species/curlew', '--records', file).stdout;
  expect(shown).toMatch(/Today › Species › Curlew/u);
  expect(run('convert', observatory, '-', '--to', 'sitemap', '--records', file).stdout).toContain(
    '/species/curlew</loc>',
  );
});
