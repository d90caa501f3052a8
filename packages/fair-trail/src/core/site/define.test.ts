import { describe, expect, test } from 'vitest';
import { checkSite, defineSite } from './define.ts';
import type { SiteDefinition } from './definition.ts';
import { problemCodes, severityOf, SiteError, type ProblemCode } from './problems.ts';
import { marram } from './site.samples.ts';

const page = { id: 'a', label: 'A', href: '/a' };

/** For each code a definition that has the problem, and where. */
const samples: Readonly<Record<ProblemCode, readonly [definition: unknown, pointer: string]>> = {
  'wrong-type': [{ name: 'x', entries: [{ ...page, planned: 'yes' }] }, '/entries/0/planned'],
  'missing-field': [{ entries: [] }, ''],
  'unknown-field': [{ name: 'x', entries: [{ ...page, lable: 'A' }] }, '/entries/0/lable'],
  'empty-text': [{ name: ' ', entries: [] }, '/name'],
  'name-syntax': [{ name: 'x', entries: [{ ...page, id: 'a b' }] }, '/entries/0/id'],
  'duplicate-id': [{ name: 'x', entries: [page, { ...page, href: '/b' }] }, '/entries/1/id'],
  'duplicate-address': [{ name: 'x', entries: [page, { ...page, id: 'b', href: '/%61/' }] }, '/entries/1/href'],
  'unsafe-href': [{ name: 'x', entries: [{ ...page, href: 'javascript:alert(1)' }] }, '/entries/0/href'],
  'path-syntax': [{ name: 'x', entries: [{ ...page, href: '/a/(\\d+)' }] }, '/entries/0/href'],
  'alias-params': [{ name: 'x', entries: [{ ...page, aliases: ['/b/:c'] }] }, '/entries/0/aliases/0'],
  'needs-path': [{ name: 'x', entries: [{ id: 'a', label: 'A', aliases: ['/b'] }] }, '/entries/0/aliases'],
  'records-without-params': [{ name: 'x', entries: [{ ...page, records: 'birds' }] }, '/entries/0/records'],
  'unknown-home': [{ name: 'x', home: 'b', entries: [page] }, '/home'],
  'unknown-entry': [{ name: 'x', entries: [page], menus: { main: ['a', 'tides'] } }, '/menus/main/1'],
  'menu-params': [{ name: 'x', entries: [{ ...page, href: '/:a' }], menus: { main: ['a'] } }, '/menus/main/0'],
  'menu-repeats': [{ name: 'x', entries: [page], menus: { main: ['a', { entry: 'a' }] } }, '/menus/main/1'],
  'origin-syntax': [{ name: 'x', origin: 'https://x.example/path', entries: [] }, '/origin'],
  'language-syntax': [{ name: 'x', language: 'e', entries: [] }, '/language'],
  'unknown-placeholder': [{ name: 'x', entries: [{ ...page, label: '{slug}' }] }, '/entries/0/label'],
  'too-deep': [{ name: 'x', entries: nested(33) }, `${'/entries/0'.repeat(32)}/entries`],
};

function nested(levels: number): unknown[] {
  let entries: unknown[] = [];
  for (let level = 0; level < levels; level += 1) entries = [{ id: `e${level}`, label: 'x', entries }];
  return entries;
}

describe('each problem', () => {
  test.each(problemCodes)('%s names its place and its remedy', (code) => {
    const [definition, pointer] = samples[code];
    const { site, problems } = checkSite(definition);
    expect(problems).toEqual([expect.objectContaining({ code, pointer, severity: severityOf(code) })]);
    expect(problems[0]?.message).toMatch(/\S.*\.$/u);
    expect(problems[0]?.remedy).toMatch(/\S.*[.?]$/u);
    expect(site === null).toBe(severityOf(code) === 'fatal');
  });
});

test('a sound site has no problems', () => {
  expect(defineSite(marram).problems).toEqual([]);
});

test('all problems are told at once, and the error lists them', () => {
  const broken = { name: 'x', hom: 'a', entries: [page, { ...page, href: 'data:x' }], menus: { main: ['z'] } };
  const codes = checkSite(broken).problems.map(({ code }) => code);
  expect(codes.toSorted()).toEqual(['duplicate-id', 'unknown-entry', 'unknown-field', 'unsafe-href']);
  expect(() => defineSite(broken as SiteDefinition)).toThrow(SiteError);
  expect(() => defineSite(broken as SiteDefinition)).toThrow(
    /4 problems[^]*\/menus\/main\/0: No entry has the id "z"/u,
  );
});

test('an advisory problem does not stop the site', () => {
  const site = defineSite({ name: 'x', entries: [{ ...page, label: 'Birds {of} note' }] });
  expect(site.problems.map(({ code }) => code)).toEqual(['unknown-placeholder']);
  expect(site.entry('a')?.label).toBe('Birds {of} note');
});

test.each([null, undefined, 7, 'text', [], () => 0])('%s is one problem, not an exception', (value) => {
  expect(checkSite(value).problems.map(({ code }) => code)).toEqual(['wrong-type']);
});

test('fields named __proto__ and the like are unknown fields, and harm nothing', () => {
  const text = `{ "name": "x", "__proto__": { "polluted": 1 }, "constructor": 1,
    "entries": [{ "id": "__proto__", "label": "x", "__proto__": { "href": "/evil" } }],
    "menus": { "__proto__": [], "main": [{ "__proto__": 1 }] } }`;
  const { problems } = checkSite(JSON.parse(text));
  expect(problems.map(({ code, pointer }) => `${code} ${pointer}`)).toEqual([
    'unknown-field /__proto__',
    'unknown-field /constructor',
    'unknown-field /entries/0/__proto__',
    'name-syntax /entries/0/id',
    'name-syntax /menus/__proto__',
    'unknown-field /menus/main/0/__proto__',
    'missing-field /menus/main/0',
    'missing-field /menus/main/0',
  ]);
  expect({}).not.toHaveProperty('polluted');
});

test('a field left undefined is a field left out', () => {
  const entry = { ...page, icon: undefined, entries: undefined };
  expect(checkSite({ name: 'x', title: undefined, entries: [entry] }).problems).toEqual([]);
});

test.each([
  '#',
  '',
  'tides',
  './tides',
  '//evil.example',
  '/\\evil.example',
  'JavaScript:alert(1)',
  ' javascript:alert(1)',
  'java\nscript:alert(1)',
  '/a\tb',
  'data:text/html,x',
  'vbscript:x',
  'file:///etc',
])('the href %j is refused', (href) => {
  const { problems } = checkSite({ name: 'x', entries: [{ ...page, href }] });
  expect(problems.map(({ code }) => code)).toEqual(['unsafe-href']);
});

test.each(['https://tides.example/x', 'http://tides.example', 'mailto:a@b.example', 'tel:+44123', '/', '/é/%20'])(
  'the href %j is taken',
  (href) => {
    expect(checkSite({ name: 'x', entries: [{ ...page, href }] }).problems).toEqual([]);
  },
);

test.each([
  ['/a/:', 'a name'],
  ['/a/{b', 'not closed'],
  ['/a/b}', 'no "{" before it'],
  ['/a/{b/{c}?}?', 'inside'],
  ['/a/x:y+', 'right after a slash'],
  ['/a/**', 'is not read'],
  ['/a/{b}+', 'repeat'],
  ['/a/:x/:x', 'stands twice'],
  ['/a?b', 'query'],
  ['/a#b', 'hash'],
  ['/a/../b', 'taken away'],
  ['/a\\', 'ends in'],
  [`/${'{a}?'.repeat(9)}`, 'more than 16'],
])('the path %s is refused, for %s', (href, reason) => {
  const { problems } = checkSite({ name: 'x', entries: [{ ...page, href }] });
  expect(problems).toEqual([expect.objectContaining({ code: 'path-syntax' })]);
  expect(problems[0]?.message).toContain(reason);
});

test('optional parts count as the addresses they stand for', () => {
  const entries = [page, { id: 'b', label: 'B', href: '/a{/:x}?' }];
  expect(checkSite({ name: 'x', entries }).problems).toEqual([
    expect.objectContaining({ code: 'duplicate-address', pointer: '/entries/1/href' }),
  ]);
});

test('what depends on a wrong href is not reported as well', () => {
  const entry = { ...page, href: 'birds', records: 'birds', aliases: ['/b'], label: '{slug}' };
  expect(checkSite({ name: 'x', entries: [entry] }).problems.map(({ code }) => code)).toEqual(['unsafe-href']);
});

test('a slip of the finger is answered with what was meant', () => {
  const { problems } = checkSite({ name: 'x', entries: [page], menus: { main: ['b'] }, entrys: [] });
  expect(problems.map(({ remedy }) => remedy)).toContain('Did you mean "entries"?');
});

test('home is the entry at "/" where none is named', () => {
  expect(defineSite({ name: 'x', entries: [page, { id: 'b', label: 'B', href: '/' }] }).home?.id).toBe('b');
  expect(defineSite({ name: 'x', entries: [page] }).home).toBeNull();
});

test('a value that holds itself is too deep, not endless', () => {
  const loop: Record<string, unknown> = { id: 'a', label: 'x' };
  loop['entries'] = [loop];
  expect(checkSite({ name: 'x', entries: [loop] }).problems.map(({ code }) => code)).toContain('too-deep');
});
