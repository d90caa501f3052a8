import { expect, test } from 'vitest';
import { breadcrumbs } from './breadcrumbs.ts';
import { defineSite } from './define.ts';
import { locate } from './locate.ts';
import { marram } from './site.samples.ts';

const site = defineSite(marram);
const records = { species: [{ params: { slug: 'little tern' }, label: 'Little tern' }] };

function way(url: string): string {
  return breadcrumbs(site, locate(site, url), records)
    .map(({ label, href, current }) => `${current ? '*' : ''}${label} ${href ?? '-'}`)
    .join(' > ');
}

test.each([
  ['/', '*Today /'],
  ['/hides/lantern-room?x', 'Today / > Hides /hides > *Lantern Room /hides/lantern-room'],
  ['/species/little%20tern', 'Today / > Species /species > *Little tern /species/little%20tern'],
  ['/birds', 'Today / > *Species /species'],
  ['/visit/book', 'Today / > Practical - > *Book /visit/book'],
  ['/hides/unknown', 'Today / > Hides /hides'],
  ['/unknown', 'Today /'],
])('the way to %s is %s', (url, expected) => {
  expect(way(url)).toBe(expected);
});

test('home stands once, even where the tree has it above the rest', () => {
  const nested = defineSite({
    name: 'x',
    entries: [{ id: 'home', label: 'Home', href: '/', entries: [{ id: 'a', label: 'A', href: '/a' }] }],
  });
  const labels = breadcrumbs(nested, locate(nested, '/a')).map(({ label }) => label);
  expect(labels).toEqual(['Home', 'A']);
});
