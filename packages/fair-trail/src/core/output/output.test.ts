import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { breadcrumbs } from '../site/breadcrumbs.ts';
import { defineSite } from '../site/define.ts';
import { locate } from '../site/locate.ts';
import { marram } from '../site/site.samples.ts';
import type { Site } from '../site/site.ts';
import { element, slot } from '../view/view.ts';
import { breadcrumbJsonLd } from './breadcrumb-data.ts';
import { toHtml } from './html.ts';
import { nestedListHtml } from './nested-list.ts';
import { outline } from './outline.ts';
import { sitemap } from './sitemap.ts';

const site: Site = defineSite(marram);
const records = { species: [{ params: { slug: 'curlew' }, label: 'Curlew' }, { params: { slug: 'a&b <c>' } }] };

function addresses(text: string | undefined): string[] {
  return [...(text ?? '').matchAll(/<loc>([^<]*)<\/loc>/gu)].map((found) => found[1] ?? '');
}

describe('sitemap', () => {
  test('has the public pages, records among them, and nothing else', () => {
    const [file, ...others] = sitemap(site, { records });
    expect(others).toEqual([]);
    expect(file?.name).toBe('sitemap.xml');
    expect(addresses(file?.text)).toEqual(
      [
        '',
        'hides',
        'hides/lantern-room',
        'species',
        'species/curlew',
        'species/a%26b%20%3Cc%3E',
        'visit',
        'visit/book',
      ].map((path) => `https://marram.example/${path}`),
    );
  });

  test('escapes what XML would read', () => {
    const odd = defineSite({
      name: 'x',
      origin: 'https://x.example',
      entries: [{ id: 'a', label: 'a', href: "/a&b'é" }],
    });
    expect(addresses(sitemap(odd)[0]?.text)).toEqual(['https://x.example/a&amp;b&#39;%C3%A9']);
  });

  test('splits past the limits, with an index that names the parts', () => {
    const entries = Array.from({ length: 7 }, (_, index) => ({ id: `e${index}`, label: 'x', href: `/p${index}` }));
    const many = defineSite({ name: 'x', origin: 'https://x.example', entries }, { base: '/deep' });
    const [index, ...parts] = sitemap(many, { limits: { addresses: 3 } });
    expect(addresses(index?.text)).toEqual([1, 2, 3].map((part) => `https://x.example/deep/sitemap-${part}.xml`));
    expect(parts.map(({ name, text }) => `${name} ${addresses(text).length}`)).toEqual([
      'sitemap-1.xml 3',
      'sitemap-2.xml 3',
      'sitemap-3.xml 1',
    ]);
    const bySize = sitemap(many, { limits: { bytes: 700 } });
    for (const { text } of bySize.slice(1)) expect(new TextEncoder().encode(text).length).toBeLessThanOrEqual(700);
    expect(bySize.slice(1).flatMap(({ text }) => addresses(text)).length).toBe(7);
  });

  test('gives each language its own address, and all of them as alternates', () => {
    const both = defineSite({
      name: 'x',
      origin: 'https://x.example',
      languages: ['cy'],
      entries: [{ id: 'a', label: 'a', href: { en: '/tides', cy: '/llanw' } }],
    });
    const text = sitemap(both)[0]?.text ?? '';
    expect(addresses(text)).toEqual(['https://x.example/tides', 'https://x.example/cy/llanw']);
    expect(text.match(/hreflang="cy" href="https:\/\/x\.example\/cy\/llanw"/gu)?.length).toBe(2);
  });

  test('is no file if there is no page for everyone: the protocol knows no empty one', () => {
    const planned = { id: 'a', label: 'a', href: '/a', planned: true };
    expect(sitemap(defineSite({ name: 'x', origin: 'https://x.example', entries: [planned] }))).toEqual([]);
  });

  test('leaves out addresses that are longer than the protocol allows, and says so', () => {
    const long = defineSite({
      name: 'x',
      origin: 'https://x.example',
      entries: [
        { id: 'a', label: 'a', href: '/a' },
        { id: 'b', label: 'b', href: `/${'b'.repeat(2047 - 'https://x.example/'.length)}` },
        { id: 'c', label: 'c', href: `/${'c'.repeat(2048 - 'https://x.example/'.length)}` },
      ],
    });
    const leftOut: string[] = [];
    const [file] = sitemap(long, { onLeftOut: (url) => leftOut.push(url) });
    expect(addresses(file?.text).map((url) => url.length)).toEqual([19, 2047]);
    expect(leftOut.map((url) => url.length)).toEqual([2048]);
  });

  test('names its parts so that they are found again, whatever they are called', () => {
    const entries = Array.from({ length: 3 }, (_, index) => ({ id: `e${index}`, label: 'x', href: `/p${index}` }));
    const many = defineSite({ name: 'x', origin: 'https://x.example', entries }, { base: '/öl b' });
    const [index] = sitemap(many, { name: 'a b?#.xml', limits: { addresses: 2 } });
    expect(addresses(index?.text)).toEqual(
      [1, 2].map((part) => `https://x.example/%C3%B6l%20b/a%20b%3F%23-${part}.xml`),
    );
  });

  test('needs an origin', () => {
    expect(() => sitemap(defineSite({ name: 'x', entries: [] }))).toThrow(/origin/u);
  });
});

describe('structured data', () => {
  test('writes addresses as URLs', () => {
    const entries = [{ id: 'a', label: 'a', href: '/é b', entries: [{ id: 'c', label: 'c', href: '/é b/c' }] }];
    const odd = defineSite({ name: 'x', origin: 'https://x.example', entries });
    const json = breadcrumbJsonLd(odd, breadcrumbs(odd, locate(odd, '/é b/c')));
    expect(json).toContain('"item":"https://x.example/%C3%A9%20b"');
  });

  test('is a BreadcrumbList with absolute addresses', () => {
    const steps = breadcrumbs(site, locate(site, '/visit/book'));
    expect(JSON.parse(breadcrumbJsonLd(site, steps))).toEqual({
      '@context': 'https://schema.org',
      '@type': 'BreadcrumbList',
      itemListElement: [
        { '@type': 'ListItem', position: 1, name: 'Today', item: 'https://marram.example/' },
        { '@type': 'ListItem', position: 2, name: 'Book' },
      ],
    });
  });

  test('cannot end the script that it stands in, whatever the labels are', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (tail) => {
        const label = `</script><!--${tail}`;
        const odd = defineSite({ name: 'x', origin: 'https://x.example', entries: [{ id: 'a', label, href: '/' }] });
        const json = breadcrumbJsonLd(odd, breadcrumbs(odd, locate(odd, '/')));
        expect(json).not.toMatch(/[<>&]/u);
        expect(JSON.parse(json)).toMatchObject({ itemListElement: [{ name: label }] });
      }),
    );
  });
});

test('an outline has what a visitor may see, with records in their place', () => {
  const lines = (items: ReturnType<typeof outline>): string =>
    items.map(({ label, items: below }) => label + (below.length > 0 ? `(${lines(below)})` : '')).join(' ');
  expect(lines(outline(site, { records }))).toBe(
    'Today Hides(Lantern Room) Species(Curlew a&b <c>) Practical(Visit Book) Tide office',
  );
  expect(lines(outline(site, { audience: ['ringer'] }))).toContain('Ringing log(Sessions)');
});

test('a nested list is HTML that shows labels as text', () => {
  const html = nestedListHtml(outline(site, { records }));
  expect(html).toContain('    <a href="/species/curlew">Curlew</a>'.trim());
  expect(html).toContain('a&amp;b &lt;c&gt;</a>');
  expect(html.match(/<ul>/gu)?.length).toBe(html.match(/<\/ul>/gu)?.length);
});

test('a view without a framework is its HTML, with slots filled', () => {
  const view = element('p', { title: '"<&', hidden: true, class: null }, [
    'a<b',
    element('br', {}),
    slot('icon', 'sun'),
  ]);
  expect(toHtml(view, { icon: (name) => `<i>${name}</i>` })).toBe(
    '<p title="&quot;&lt;&amp;" hidden="">a&lt;b<br><!--trail-slot--><i>sun</i><!--/trail-slot--></p>',
  );
});
