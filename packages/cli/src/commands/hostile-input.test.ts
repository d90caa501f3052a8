import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { checkSite, defineSite, locate, type EntryDefinition, type SiteDefinition } from 'fair-trail';
import { describe, expect, test } from 'vitest';
import { observatory, place, root, run, write, type Outcome } from '../test-command.samples.ts';

/** That a command ended with one clear message, and what it was. */
function failure({ status, stdout, stderr }: Outcome): string {
  expect(stderr).not.toMatch(/\n {4}at |node:internal/u);
  expect([status, stdout]).toEqual([2, '']);
  expect(stderr).toMatch(/^fair-trail: .* \[[a-z-]+\]\n$/su);
  return stderr;
}

interface Converted {
  readonly definition: SiteDefinition;
  readonly notes: string;
}

function converted(input: string, ...options: string[]): Converted {
  const { status, stdout, stderr } = run('convert', input, '-', ...options);
  expect([status, status === 0 ? '' : stderr]).toEqual([0, '']);
  const definition = JSON.parse(stdout) as SiteDefinition;
  expect(checkSite(definition).problems.filter(({ severity }) => severity === 'fatal')).toEqual([]);
  return { definition, notes: stderr };
}

function hrefs(entries: readonly EntryDefinition[]): string[] {
  return entries.flatMap(({ href, entries: below = [] }) => [
    ...(typeof href === 'string' ? [href] : []),
    ...hrefs(below),
  ]);
}

function sitemap(...addresses: string[]): string {
  const rows = addresses.map((address) => `<url><loc>${address}</loc></url>`);
  return `<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${rows.join('')}</urlset>`;
}

function site(entries: readonly object[], more: object = {}): string {
  return JSON.stringify({ name: 'x', origin: 'https://x.example', entries, ...more });
}

const html = (title: string, body = '', lang = 'en') =>
  `<!doctype html><html lang="${lang}"><title>${title}</title><body>${body}</body></html>`;

describe('one flaw does not refuse a whole conversion', () => {
  test('addresses of any characters are those of the sitemap', () => {
    const paths = ['/(intro)', '/+page', '/:x', '/{x}', '/*', '/a%3Fb', '/a%23b', '/a%5Cb', '/a%25b', '/a%C2%A0'];
    const file = write('odd.xml', sitemap(...paths.map((one) => `https://x.example${one}`)));
    const { definition, notes } = converted(file);
    const made = defineSite(definition);
    expect(paths.map((one) => locate(made, one).status)).toEqual(paths.map(() => 'exact'));
    expect(notes).not.toContain('left out');
  });

  test('one address in two encodings is one page, and the other is left out by name', () => {
    const file = write(
      'encodings.xml',
      sitemap('https://x.example/a-b', 'https://x.example/a%2Db', 'https://x.example/c%2Fd', 'https://x.example/c%2fd'),
    );
    const { definition, notes } = converted(file);
    expect(hrefs(definition.entries).length).toBe(2);
    expect(notes.match(/^left out: .*$/gmu)?.length).toBe(2);
    const strict = run('convert', file, '-', '--strict');
    expect(strict.status).toBe(1);
    expect(JSON.parse(strict.stdout)).toEqual(definition);
  });

  test.each([
    ['en_US', 'en-US'],
    ['', undefined],
    ['not a language', undefined],
  ])('a page whose lang is %j has the language %s', (lang, expected) => {
    const file = write('lang.html', html('X', '<nav><a href="/a">A</a> <a href="/b">B</a></nav>', lang));
    expect(converted(file).definition.language).toBe(expected);
    write('lang/index.html', html('X', '', lang));
    expect(converted(place('lang')).definition.language).toBe(expected);
  });

  test('two index pages of one folder', () => {
    write('twice/index.htm', html('Old'));
    write('twice/index.html', html('New'));
    const { definition, notes } = converted(place('twice'));
    expect(hrefs(definition.entries)).toEqual(['/', '/index.htm']);
    expect(notes).not.toContain('left out');
  });

  test('an address that is too deep for a site', () => {
    const deep = `https://x.example/${Array.from({ length: 10_000 }, () => 'a').join('/')}`;
    const { definition, notes } = converted(write('deep.xml', sitemap('https://x.example/b', deep)));
    expect(hrefs(definition.entries)).toEqual(['/b']);
    expect(notes).toMatch(/left out: .*segments/u);
  });

  test('a part of an index with an address that is none', () => {
    write('index/one.xml', sitemap('https://x.example/one'));
    const index = write(
      'index/sitemap.xml',
      '<sitemapindex><sitemap><loc>http://[</loc></sitemap><sitemap><loc>https://x.example/one.xml</loc></sitemap></sitemapindex>',
    );
    const { definition, notes } = converted(index);
    expect(hrefs(definition.entries)).toEqual(['/one']);
    expect(notes).toMatch(/left out: .*http:\/\/\[/u);
  });

  test('links of a folder that lead nowhere or in a circle, and names that are no text', () => {
    write('links/a.html', html('A'));
    symlinkSync('gone.html', path.join(place('links'), 'dangling.html'));
    symlinkSync('loop.html', path.join(place('links'), 'loop.html'));
    const name = Buffer.concat([Buffer.from(`${place('links')}/`), Buffer.from([0xe9]), Buffer.from('.html')]);
    writeFileSync(name, html('Latin'));
    const { definition, notes } = converted(place('links'));
    expect(hrefs(definition.entries)).toEqual(['/a.html']);
    expect(notes).toMatch(/left out: dangling\.html/u);
    expect(notes).toMatch(/left out: loop\.html/u);
    expect(notes.match(/^left out: /gmu)?.length).toBe(3);
  });

  test('two navigations that order the same pages differently', () => {
    const first =
      '<nav><ul><li><a href="/a">A</a><ul><li><a href="/b">B</a><ul><li><a href="/c">C</a></ul></ul></ul></nav>';
    const second = '<nav><ul><li><a href="/c">C</a><ul><li><a href="/a">A</a></ul></ul></nav>';
    const { definition } = converted(write('orders.html', html('X', first + second)));
    expect(hrefs(definition.entries).toSorted()).toEqual(['/a', '/b', '/c']);
  });
});

describe('what holds nothing of use says so', () => {
  test('a sitemap of addresses elsewhere, and a folder of pages that only lead on', () => {
    expect(failure(run('convert', write('ftp.xml', sitemap('ftp://x.example/a')), '-'))).toMatch(/\[nothing-found\]/u);
    const refresh = '<meta http-equiv="refresh" content="0; url=https://x.example/">';
    write('redirects/a.html', `<title>A</title>${refresh}`);
    expect(failure(run('convert', place('redirects'), '-'))).toMatch(/\[nothing-found\]/u);
    const planned = write('planned.site.json', site([{ id: 'a', label: 'A', href: '/a', planned: true }]));
    expect(failure(run('convert', planned, '-', '--to', 'sitemap'))).toMatch(/\[nothing-found\]/u);
  });
});

describe('messages name what is wrong', () => {
  test.each<[string[], RegExp]>([
    [['convert', observatory, '-', '--origin', 'foo'], /--origin "foo" is not an origin.*\[bad-usage\]/u],
    [['convert', 'nowhere-at-all', 'out.json'], /There is no file or folder "nowhere-at-all".*\[file-missing\]/u],
    [['convert', 'nowhere-at-all', 'out.json', '--from', 'folder'], /no file or folder.*\[file-missing\]/u],
    [['convert', observatory, '-', '--from', 'folder'], /is not a folder.*\[file-unreadable\]/u],
    [['check', `${'a'.repeat(300)}.site.json`], /cannot be read \(ENAMETOOLONG\).*\[file-unreadable\]/u],
    [['check', `${'a'.repeat(300)}.ts`], /cannot be read \(ENAMETOOLONG\).*\[file-unreadable\]/u],
    [['check', 'package.json/x.ts'], /There is no file "package\.json\/x\.ts".*\[file-missing\]/u],
  ])('%j', (args, message) => {
    expect(failure(run(...args))).toMatch(message);
  });

  test('another language of the same site is that alone', () => {
    const file = (language: string) =>
      write(`${language}.site.json`, site([{ id: 'a', label: 'A', href: '/a' }], { language }));
    const { stdout, status } = run('compare', file('en'), file('de'));
    expect([stdout.match(/\[[a-z-]+\]/gu), status]).toEqual([['[language-changed]'], 0]);
    expect(stdout).toContain('The language of the site was "en" and is "de".');
  });

  test('compare reads addresses that are no text', () => {
    const before = write(
      'before.site.json',
      site([
        { id: 'a', label: 'A', href: '/100%' },
        { id: 'b', label: 'B', href: '/caf%E9' },
      ]),
    );
    const after = write('after.site.json', site([]));
    const { status, stdout } = run('compare', before, after);
    expect(status).toBe(1);
    expect(stdout).toContain('The address /100% of');
    expect(stdout).toContain('The address /caf%E9 of');
  });
});

describe('modules', () => {
  test('that throw when they are read, or never finish', () => {
    const getter = write('getter.mjs', `export default { get name() { throw new Error('no name today'); } };`);
    expect(failure(run('check', getter))).toMatch(/getter\.mjs.*no name today.*\[module-failed\]/u);
    const never = write('never.mjs', 'await new Promise(() => undefined); export default {};');
    expect(failure(run('check', never))).toMatch(/never\.mjs.*never finishes.*\[module-failed\]/u);
    const proxy = write('proxy.mjs', `export default new Proxy({}, { ownKeys() { throw new Error('no keys'); } });`);
    expect(failure(run('check', proxy))).toMatch(/no keys.*\[module-failed\]/u);
  });

  test('whose entries or groups hold themselves', () => {
    const loop = write(
      'loop.mjs',
      `const a = { id: 'a', label: 'A', href: '/a' }; a.entries = [a, a];
       const group = { label: 'G' }; group.entries = [group, 'a'];
       export default { name: 'x', entries: [a], menus: { main: [group] } };`,
    );
    const { status, stdout } = run('check', loop);
    expect(status).toBe(1);
    expect(stdout).toContain('[entry-repeats]');
    expect(stdout).toContain('[menu-holds-itself]');
  });

  test('with a language that is a field of every object', () => {
    const file = write('value-of.site.json', site([{ id: 'a', label: 'A', href: '/a' }], { languages: ['valueOf'] }));
    expect(run('show', file, '--at', '/valueOf/a')).toMatchObject({ status: 0 });
    expect(run('convert', file, '-', '--to', 'sitemap').stdout).toContain('https://x.example/valueOf/a');
  });
});

describe('input without end', () => {
  test.skipIf(!existsSync('/dev/zero'))('is read to the limit, and no further', () => {
    expect(failure(run('check', '/dev/zero'))).toMatch(/\[file-too-large\]/u);
  });

  test('a label as long as a book is checked at once', () => {
    const file = write('book.site.json', site([{ id: 'a', label: 'e\u0301'.repeat(500_000), href: '/a' }]));
    expect(run('check', file).stdout).toMatch(/label-too-long/u);
  });
});

describe('all or nothing is written', () => {
  const large = () => {
    const entries = Array.from({ length: 50_001 }, (_, index) => ({ id: `e${index}`, label: 'x', href: `/p${index}` }));
    return write('large.site.json', site(entries));
  };

  test('nothing is replaced where one of the places is a folder', () => {
    const file = large();
    const folder = path.dirname(write('partly/maps.xml', 'old index'));
    write('partly/maps-1.xml', 'old part');
    mkdirSync(path.join(folder, 'maps-2.xml'));
    expect(failure(run('convert', file, path.join(folder, 'maps.xml'), '--force'))).toMatch(
      /maps-2\.xml" is a folder.*\[file-unreadable\]/u,
    );
    expect(readFileSync(path.join(folder, 'maps.xml'), 'utf8')).toBe('old index');
    expect(readFileSync(path.join(folder, 'maps-1.xml'), 'utf8')).toBe('old part');
    expect(readdirSync(folder).toSorted()).toEqual(['maps-1.xml', 'maps-2.xml', 'maps.xml']);
  });

  test('more than one document is not put on one stream', () => {
    expect(failure(run('convert', large(), '-', '--to', 'sitemap'))).toMatch(/3 files.*\[bad-usage\]/u);
  });

  test('names of parts with spaces and signs are read back', () => {
    const out = path.join(path.dirname(write('signs/x', '')), 'a b?#.xml');
    expect(run('convert', large(), out)).toMatchObject({ status: 0 });
    const back = place('signs/back.json');
    // It notes a guess for each page, which is more than is read here.
    const command = ['packages/cli/bin/fair-trail.js', 'convert', out, back];
    expect(spawnSync(process.execPath, command, { cwd: root, stdio: 'ignore' }).status).toBe(0);
    const { entries } = JSON.parse(readFileSync(back, 'utf8')) as SiteDefinition;
    expect(hrefs(entries).length).toBe(50_001);
  });

  test('a file keeps its mode, and a link stays a link', () => {
    const file = write('kept/private.json', 'old');
    chmodSync(file, 0o640);
    const link = path.join(place('kept'), 'link.json');
    symlinkSync('private.json', link);
    expect(run('convert', observatory, link, '--force', '--to', 'site')).toMatchObject({ status: 0 });
    expect(lstatSync(link).isSymbolicLink()).toBe(true);
    expect(statSync(file).mode & 0o777).toBe(0o640);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ name: 'Marram Point Bird Observatory' });
  });

  test.skipIf(!existsSync('/dev/full'))('a device stays a device, and one that is full is named', () => {
    expect(run('convert', observatory, '/dev/null', '--to', 'site', '--force')).toMatchObject({ status: 0 });
    expect(lstatSync('/dev/null').isCharacterDevice()).toBe(true);
    expect(failure(run('convert', observatory, '/dev/full', '--to', 'site', '--force'))).toMatch(
      /"\/dev\/full" cannot be written \(ENOSPC\).*\[file-unreadable\]/u,
    );
    expect(lstatSync('/dev/full').isCharacterDevice()).toBe(true);
    for (const args of ['convert {} - --to opml', 'show {}', 'check {}']) {
      const command = `node packages/cli/bin/fair-trail.js ${args.replace('{}', observatory)} > /dev/full`;
      const { status, stderr } = spawnSync('sh', ['-c', command], { cwd: root, encoding: 'utf8' });
      expect([args, status]).toEqual([args, 2]);
      expect(stderr).toMatch(/standard output cannot be written \(ENOSPC\).*\[file-unreadable\]/u);
      expect(stderr).not.toMatch(/\n {4}at /u);
    }
  });

  test('a name as long as the file system allows is written', () => {
    const out = place(`${'n'.repeat(240)}.json`);
    expect(run('convert', observatory, out)).toMatchObject({ status: 0 });
    expect(existsSync(out)).toBe(true);
  });

  test('a place that cannot be looked at is named', () => {
    const loop = place('to-itself.json');
    symlinkSync('to-itself.json', loop);
    expect(failure(run('convert', observatory, loop))).toMatch(/to-itself\.json" cannot be written \(ELOOP\)/u);
    expect(failure(run('convert', observatory, place(`${'n'.repeat(300)}.json`)))).toMatch(/\(ENAMETOOLONG\)/u);
  });

  test('an interrupted command leaves no temporary file', async () => {
    const folder = path.dirname(write('interrupted/x', ''));
    const file = large();
    const child = spawn(
      process.execPath,
      ['packages/cli/bin/fair-trail.js', 'convert', file, path.join(folder, 'maps.xml')],
      { cwd: root },
    );
    const ended = new Promise<number | null>((resolve) => child.on('close', (code) => resolve(code)));
    const timer = setInterval(() => {
      // As soon as it has begun to write.
      if (readdirSync(folder).some((name) => name.includes('.part'))) child.kill('SIGINT');
    }, 1);
    await ended;
    clearInterval(timer);
    const left = readdirSync(folder).filter((name) => name !== 'x');
    expect(left.filter((name) => name.includes('.part'))).toEqual([]);
    expect([0, 3]).toContain(left.length);
  });
});
