import type { ProblemCode } from './problem-codes.ts';
import type { SiteOptions } from './define.ts';

type Sample = readonly [definition: unknown, pointer: string, options?: SiteOptions];

const page = { id: 'a', label: 'A', href: '/a' };

/** For each code a definition that has the problem, and where. */
export const problemSamples: Partial<Record<ProblemCode, Sample>> = {
  'wrong-type': [{ name: 'x', entries: [{ ...page, planned: 'yes' }] }, '/entries/0/planned'],
  'missing-field': [{ entries: [] }, ''],
  'unknown-field': [{ name: 'x', entries: [{ ...page, lable: 'A' }] }, '/entries/0/lable'],
  'empty-text': [{ name: ' ', entries: [] }, '/name'],
  'name-syntax': [{ name: 'x', entries: [{ ...page, id: 'a b' }] }, '/entries/0/id'],
  'duplicate-id': [{ name: 'x', entries: [page, { ...page, href: '/b' }] }, '/entries/1/id'],
  'duplicate-address': [{ name: 'x', entries: [page, { ...page, id: 'b', href: '/%61/' }] }, '/entries/1/href'],
  'unsafe-href': [{ name: 'x', entries: [{ ...page, href: 'javascript:alert(1)' }] }, '/entries/0/href'],
  'path-syntax': [{ name: 'x', entries: [{ ...page, href: '/a/(\\d+)' }] }, '/entries/0/href'],
  'params-differ': [{ name: 'x', entries: [{ ...page, aliases: ['/b/:c'] }] }, '/entries/0/aliases/0'],
  'needs-path': [{ name: 'x', entries: [{ id: 'a', label: 'A', aliases: ['/b'] }] }, '/entries/0/aliases'],
  'query-name-taken': [{ name: 'x', entries: [{ ...page, href: '/:a', query: ['a'] }] }, '/entries/0/query/0'],
  'unknown-language': [{ name: 'x', entries: [{ ...page, label: { en: 'A', cy: 'B' } }] }, '/entries/0/label/cy'],
  'unknown-audience': [
    { name: 'x', audiences: ['staff'], entries: [{ ...page, audience: ['staf'] }] },
    '/entries/0/audience/0',
  ],
  'prefix-taken': [{ name: 'x', languages: ['cy'], entries: [{ ...page, href: '/cy/a' }] }, '/entries/0/href'],
  'menu-param-value': [
    { name: 'x', entries: [{ ...page, href: '/:b' }], menus: { main: [{ entry: 'a', params: { b: '..' } }] } },
    '/menus/main/0/params/b',
  ],
  'menu-holds-itself': [{ name: 'x', entries: [page], menus: { main: heldByItself() } }, '/menus/main/0/either'],
  'entry-repeats': [{ name: 'x', entries: [page, page] }, '/entries/1'],
  'hrefs-differ': [
    { name: 'x', languages: ['cy'], entries: [{ ...page, href: { en: '/a', cy: 'https://tides.example/' } }] },
    '/entries/0/href/cy',
  ],
  'base-syntax': [{ name: 'x', entries: [page] }, '', { base: '../x' }],
  'menu-param-name': [
    { name: 'x', entries: [page], menus: { main: [{ entry: 'a', params: { b: 'c' } }] } },
    '/menus/main/0/entry',
  ],
  'flex-syntax': [{ name: 'x', entries: [{ ...page, flex: '1 2 3 4' }] }, '/entries/0/flex'],
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

function heldByItself(): unknown[] {
  const either: unknown[] = [];
  either.push({ either });
  return either;
}

/** For each code of a review a definition that gives it, and where. */
export const reviewSamples: Partial<Record<ProblemCode, Sample>> = {
  'address-shadowed': [
    {
      name: 'x',
      entries: [
        { ...page, href: '/:x' },
        { ...page, id: 'b', href: '/:y:z' },
      ],
    },
    '/entries/0/href',
  ],
  'addresses-overlap': [
    {
      name: 'x',
      entries: [
        { ...page, href: '/a/:x' },
        { ...page, id: 'b', href: '/:y/b' },
      ],
    },
    '/entries/1/href',
  ],
  'placeholder-link': [{ name: 'x', entries: [{ ...page, href: 'http://localhost:3000/' }] }, '/entries/0/href'],
  'destination-repeats': [
    {
      name: 'x',
      entries: [
        { ...page, href: 'https://tides.example' },
        { id: 'b', label: 'B', href: 'https://tides.example/' },
      ],
    },
    '/entries/1/href',
  ],
  'label-repeats': [
    { name: 'x', entries: [page, { ...page, id: 'b', href: '/b' }], menus: { main: ['a', 'b'] } },
    '/menus/main/1',
  ],
  'unreachable-entry': [
    { name: 'x', entries: [page, { id: 'b', label: 'B', href: '/b' }], menus: { main: ['a'] } },
    '/entries/1',
  ],
  'menu-too-long': [
    {
      name: 'x',
      entries: Array.from({ length: 13 }, (_, index) => ({ id: `e${index}`, label: `E${index}`, href: `/${index}` })),
      menus: { main: Array.from({ length: 13 }, (_, index) => `e${index}`) },
    },
    '/menus/main',
  ],
  'label-too-long': [{ name: 'x', entries: [{ ...page, label: 'A'.repeat(31) }] }, '/entries/0/label'],
  'missing-language': [{ name: 'x', languages: ['cy'], entries: [page] }, '/entries/0/label'],
  'unused-audience': [{ name: 'x', audiences: ['staff'], entries: [page] }, '/audiences/0'],
  'missing-icon': [
    {
      name: 'x',
      entries: [page, { id: 'b', label: 'B', href: '/b', icon: 'sun' }],
      menus: { main: ['a', 'b'] },
    },
    '/menus/main/0',
  ],
  'planned-entry': [{ name: 'x', entries: [{ ...page, planned: true }] }, '/entries/0/planned'],
};
