import { spawnSync } from 'node:child_process';
import { describe, expect, test } from 'vitest';
import { observatory, root, run, withoutColors, write, type Outcome } from '../test-command.samples.ts';

/** Runs `show` on a file with this content. */
function runOn(content: string | Uint8Array, ...args: string[]): Outcome {
  return run('show', write('some.site.json', content), ...args);
}

/** The sections of a text answer, by their titles. */
function sections(text: string): Readonly<Record<string, string>> {
  const parts = text.trimEnd().split('\n\n').slice(1);
  return Object.fromEntries(parts.map((part) => [part.split('\n', 1)[0] ?? '', part.slice(part.indexOf('\n') + 1)]));
}

describe('as text', () => {
  test('shows the tree and the menus', () => {
    const { status, stdout, stderr } = run('show', observatory);
    expect([status, stderr]).toEqual([0, '']);
    const { Entries, 'Menu main': main } = sections(stdout);
    expect(Entries).toMatch(/^ {6}lantern-room +Lantern Room +\/hides\/lantern-room$/mu);
    expect(Entries).toMatch(/^ {4}log .* for ringer$/mu);
    expect(main).not.toContain('Ringing log');
  });

  test('for an address, shows the position, the marks and the breadcrumbs', () => {
    const { stdout } = run('show', observatory, '--at', '/hides/saltmarsh/?x=1#y');
    expect(stdout).toMatch(/^ {2}▮ {3}saltmarsh-hide/mu);
    expect(stdout).toMatch(/^ {2}▯ hides/mu);
    expect(sections(stdout)['At /hides/saltmarsh/?x=1#y']).toBe('  exactly saltmarsh-hide');
    expect(sections(stdout)['Menu main']).toMatch(/^ {2}▯ Hides +\/hides +section$/mu);
    expect(sections(stdout)['Breadcrumbs']).toBe('  Today › Hides › Saltmarsh Hide');
  });

  test('shows one menu, for an audience', () => {
    const { stdout } = run(
      'show',
      observatory,
      '--menu',
      'main',
      '--audience',
      'ringer,guest',
      '--at',
      '/log/sessions',
    );
    expect(sections(stdout)['Menu main']).toMatch(/▯ Ringing log/u);
    expect(sections(stdout)).not.toHaveProperty('Menu footer');
  });

  function firstLine(environment: NodeJS.ProcessEnv): string {
    const command = `"${process.execPath}" packages/cli/bin/fair-trail.js show ${observatory} | head -n 1`;
    const env = { ...process.env, ...environment };
    const { stdout, stderr } = spawnSync('sh', ['-c', command], { cwd: root, encoding: 'utf8', env });
    expect(stderr).toBe('');
    return stdout;
  }

  test('is piped without its reader being waited for', () => {
    expect(firstLine(withoutColors)).toBe('Marram Point Bird Observatory  https://marram.example\n');
  });

  test('into a pipe has colors only where they are asked for, on a build server too', () => {
    expect(firstLine({ ...withoutColors, CI: 'true' })).not.toContain('\u001B');
    expect(firstLine({ ...withoutColors, FORCE_COLOR: '0' })).not.toContain('\u001B');
    expect(firstLine({ ...withoutColors, FORCE_COLOR: '1' })).toContain('\u001B[1mMarram');
  });
});

describe('as JSON', () => {
  test.each([
    ['/birds/curlew?x', 'species-page', 'exact', { slug: 'curlew' }, ['species', 'species-page'], 'Species section'],
    ['/ringing/', 'log', 'exact', {}, ['log'], 'Ringing log page'],
    ['/log/2026', 'log', 'inside', {}, ['log'], 'Ringing log section'],
    ['https://marram.example/', 'today', 'exact', {}, ['today'], 'Today page'],
    ['https://elsewhere.example/', null, 'unknown', {}, [], ''],
    ['/nowhere', null, 'unknown', {}, [], ''],
  ])('%s', (url, entry, position, params, way, marks) => {
    const { status, stdout } = run('show', observatory, '--at', url, '--audience', 'ringer', '--format', 'json');
    const shown = JSON.parse(stdout) as { menus: { main: { label: string; mark: string | null }[] } };
    expect(status).toBe(0);
    expect(shown).toMatchObject({ url, entry, status: position, params, path: way });
    const marked = shown.menus.main.filter(({ mark }) => mark !== null);
    expect(marked.map(({ label, mark }) => `${label} ${mark ?? ''}`).join()).toBe(marks);
  });

  test('has exactly the documented fields', () => {
    const site = {
      name: 'x',
      entries: [{ id: 'a', label: 'A', href: '/a', entries: [{ id: 'b', label: 'B', href: '/a/b' }] }],
      menus: { main: [{ label: 'G', entries: [{ entry: 'a', depth: 2 }] }] },
    };
    const { stdout } = runOn(JSON.stringify(site), '--at', '/a/b', '--format', 'json');
    const b = { entry: 'b', label: 'B', href: '/a/b', mark: 'page', items: [] };
    const a = { entry: 'a', label: 'A', href: '/a', mark: 'section', items: [b] };
    expect(JSON.parse(stdout)).toEqual({
      url: '/a/b',
      entry: 'b',
      status: 'exact',
      params: {},
      path: ['a', 'b'],
      menus: { main: [{ entry: null, label: 'G', href: null, mark: 'section', items: [a] }] },
      breadcrumbs: [
        { label: 'A', href: '/a', current: false },
        { label: 'B', href: '/a/b', current: true },
      ],
    });
  });

  test('without an address says so with null', () => {
    const { stdout } = run('show', observatory, '--format', 'json');
    expect(JSON.parse(stdout)).toMatchObject({ url: null, entry: null, status: 'unknown', path: [], breadcrumbs: [] });
  });
});

describe('bad input ends with 2, says where and what to do, and prints no answer', () => {
  const valid = '{ "name": "x", "entries": [] }';

  test.each<[string, string | Uint8Array, RegExp]>([
    [
      'broken JSON',
      '{\n  "name": "x",\n  "entries": [}\n}',
      /some\.site\.json:3:15: this is not JSON: .*\[json-syntax\]/u,
    ],
    ['a comma too many', '{ "name": "x", "entries": [], }', /:1:31: this is not JSON: .*\[json-syntax\]/u],
    ['a comment', `// hello\n${valid}`, /:1:1: this is not JSON: JSON has no comments/u],
    ['truncated JSON', '{ "name": "x", "ent', /:1:16: this is not JSON/u],
    ['an empty file', ' \n', /is empty.*\[json-syntax\]/u],
    [
      'a field twice',
      '{ "name": "x",\n "name": "y", "entries": [] }',
      /:2:2: the field "name" stands twice.*\[duplicate-field\]/u,
    ],
    ['nesting without end', '['.repeat(100_000), /\[json-syntax\]/u],
    ['bytes that are not UTF-8', new Uint8Array([0x7b, 0xff, 0xfe]), /not text in UTF-8.*\[file-encoding\]/u],
    ['a list', '[]', /some\.site\.json:1:1 \/\n {2}error wrong-type: This is a list, but an object is needed/u],
  ])('%s', (_, content, message) => {
    const { status, stdout, stderr } = runOn(content);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(message);
    expect(stderr.split('\n').length).toBeLessThan(8);
  });

  test('every problem of the site file at once, each at its line and column', () => {
    const { status, stderr } = runOn(`{
  "name": "x", "__proto__": {},
  "entries": [
    { "id": "a", "label": "A", "href": "/a" },
    { "id": "a", "label": "A", "href": "/a/" },
    { "id": "c", "label": "C", "href": "javascript:alert(1)", "colour": "red" }
  ],
  "menus": { "main": ["a", "tides"] }
}`);
    expect(status).toBe(2);
    const places = [...stderr.matchAll(/json:(\d+:\d+) \S+\n {2}error (\S+):/gu)];
    expect(places.map(([, place, code]) => `${place ?? ''} ${code ?? ''}`)).toEqual([
      '2:29 unknown-field',
      '5:13 duplicate-id',
      '5:40 duplicate-address',
      '6:40 unsafe-href',
      '6:73 unknown-field',
      '8:28 unknown-entry',
    ]);
    expect(stderr).toMatch(/^6 problems to fix in .*\[site-problems\]$/mu);
  });

  test.each<[string[], RegExp]>([
    [['show'], /missing required argument 'site file' \[bad-usage\]/u],
    [['show', 'nowhere.site.json'], /There is no file "nowhere\.site\.json".*\[file-missing\]/u],
    [['show', 'examples'], /"examples" is a folder.*\[file-unreadable\]/u],
    [
      ['show', observatory, '--menu', 'side'],
      /no menu "side"\. The menus of this site are main, footer.*\[unknown-menu\]/u,
    ],
    [['show', observatory, '--at', 'http://['], /"http:\/\/\[" is not an address.*\[bad-address\]/u],
    [['show', observatory, '--at', ''], /is not an address/u],
    [['show', observatory, '--at', 'javascript:alert(1)'], /is not an address/u],
    [['show', observatory, '--format', 'xml'], /Allowed choices are text, json/u],
    [['show', observatory, '--colour'], /unknown option/u],
    [['draw'], /^fair-trail: unknown command 'draw' \[bad-usage\]$/mu],
  ])('%j', (args, message) => {
    const { status, stdout, stderr } = run(...args);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(message);
  });
});

test('an advisory problem is reported, and the answer given', () => {
  const site = { name: 'x', entries: [{ id: 'a', label: '{now}', href: '/' }] };
  const { status, stdout, stderr } = runOn(JSON.stringify(site));
  expect(status).toBe(0);
  expect(stderr).toMatch(/advice unknown-placeholder/u);
  expect(stdout).toContain('{now}');
});

test('an audience without entries is reported', () => {
  expect(run('show', observatory, '--audience', 'ringers').stderr).toBe(
    'advice: no entry is for the audience "ringers".\n',
  );
});

test('control characters from a file or an address do not reach the terminal', () => {
  const site = { name: 'x\u001b[2J', entries: [{ id: 'a', label: '\u001b[31mA\u202e', href: '/:a' }] };
  const { stdout } = runOn(JSON.stringify(site), '--at', '/%1b[2J');
  // eslint-disable-next-line no-control-regex -- finding control characters is the point
  expect(stdout).not.toMatch(/[\u0000-\u0009\u000b-\u001f\u202e]/u);
  expect(stdout).toContain('\\u{1b}[31mA\\u{202e}');
});

test('help and version are no mistakes', () => {
  expect(run('--help')).toMatchObject({ status: 0, stdout: expect.stringContaining('show') as string });
  expect(run('--version')).toMatchObject({ status: 0, stdout: '0.1.0\n' });
});
