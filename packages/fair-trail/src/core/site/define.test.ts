import { severityOf, type ProblemCode } from './problem-codes.ts';
import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { checkSite, defineSite } from './define.ts';
import type { SiteDefinition } from './definition.ts';
import { locate } from './locate.ts';
import { menuItems } from './menus.ts';
import { problemSamples } from './problem.samples.ts';
import { SiteError } from './problems.ts';
import { anyAddress, anySite, marram } from './site.samples.ts';
import type { Site } from './site.ts';

const page = { id: 'a', label: 'A', href: '/a' };

describe('each problem', () => {
  test.each(Object.entries(problemSamples))(
    '%s names its place and its remedy',
    (code, [definition, pointer, options]) => {
      const { site, problems } = checkSite(definition, options);
      expect(problems).toEqual([expect.objectContaining({ code, pointer, severity: severityOf(code as ProblemCode) })]);
      expect(problems[0]?.message).toMatch(/\S.*\.$/u);
      expect(problems[0]?.remedy).toMatch(/\S.*[.?]$/u);
      expect(site === null).toBe(severityOf(code as ProblemCode) === 'fatal');
    },
  );
});

test('a sound site has no problems', () => {
  expect(defineSite(marram).problems).toEqual([]);
});

test('all problems are reported at once, and the error lists them', () => {
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

test('addresses that differ in case are one, where the site says that case does not count', () => {
  const entries = [page, { id: 'b', label: 'B', href: page.href.toUpperCase() }];
  expect(checkSite({ name: 'x', entries }).problems).toEqual([]);
  expect(checkSite({ name: 'x', entries }, { caseSensitive: false }).problems).toEqual([
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

test('on random sites, what is written as JSON is the same site again', () => {
  fc.assert(
    fc.property(anySite, anyAddress, (definition, url) => {
      const site = defineSite(definition);
      const again = defineSite(JSON.parse(JSON.stringify(site.definition)) as SiteDefinition);
      const read = (of: Site) => {
        const position = locate(of, url);
        const items = menuItems(of, 'main', { position });
        return JSON.stringify([
          position.entry?.id,
          position.params,
          items.map(({ label, href, mark }) => [label, href, mark]),
        ]);
      };
      expect(read(again)).toBe(read(site));
    }),
  );
});

test('a value that holds itself is a problem, not endless', () => {
  const loop: Record<string, unknown> = { id: 'a', label: 'x' };
  loop['entries'] = [loop, loop];
  expect(checkSite({ name: 'x', entries: [loop] }).problems).toEqual([
    expect.objectContaining({ code: 'entry-repeats', pointer: '/entries/0/entries/0' }),
    expect.objectContaining({ code: 'entry-repeats', pointer: '/entries/0/entries/1' }),
  ]);
  const group: Record<string, unknown> = { label: 'x' };
  group['entries'] = [group, group, 'a'];
  const either: unknown[] = [];
  either.push({ either }, { either });
  const menus = { main: [group], other: either };
  const shared = { name: 'x', entries: [page], menus };
  expect(new Set(checkSite(shared).problems.map(({ code }) => code))).toEqual(new Set(['menu-holds-itself']));
});

test('a group that stands in two menus is none of that', () => {
  const help = { label: 'Help', entries: ['a'] };
  expect(checkSite({ name: 'x', entries: [page], menus: { main: [help], footer: [help] } }).problems).toEqual([]);
});
