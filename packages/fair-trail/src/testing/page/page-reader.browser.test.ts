import fc from 'fast-check';
import { afterEach, describe, expect, test } from 'vitest';
import { treesOf } from '../tree.ts';
import { DocumentReader } from './page-reader.ts';
import type { ItemReading } from '../../reading/page-reading.ts';

afterEach(() => document.body.replaceChildren());

/** The menus of some markup, as small trees. */
function read(html: string): string {
  document.body.innerHTML = html;
  return treesOf(new DocumentReader(document).read());
}

describe('whatever a menu is made of, it is read as it is heard', () => {
  test.each<[string, string, string]>([
    [
      'lists in lists, with a button beside a link',
      '<nav aria-label="Main"><ul><li><a href="/a">Ant</a><button aria-expanded="false" aria-controls="p">More</button><ul id="p" hidden><li><a href="/b">Bee</a></ul></ul></nav>',
      'navigation “Main”\n    + Ant → /a\n      (Bee) → /b',
    ],
    [
      'buttons with panels beside them',
      '<nav aria-label="Main"><button aria-expanded="true" aria-controls="p">Birds</button><div id="p"><a href="/a">Ant</a></div><a href="/c">Cat</a></nav>',
      'navigation “Main”\n    - Birds\n      Ant → /a\n    Cat → /c',
    ],
    [
      'details that are closed',
      '<nav aria-label="Main"><details><summary>Birds</summary><a href="/a">Ant</a></details><a href="/c">Cat</a></nav>',
      'navigation “Main”\n    + Birds\n      (Ant) → /a\n    Cat → /c',
    ],
    [
      'a popover elsewhere',
      '<nav aria-label="Main"><a href="/c">Cat</a><button popovertarget="p">Birds</button><div popover id="p"><a href="/a">Ant</a></div></nav>',
      'navigation “Main”\n    Cat → /c\n    + Birds\n      (Ant) → /a',
    ],
    [
      'a button for the whole of it, inside',
      '<nav aria-label="Main"><button aria-expanded="false" aria-controls="p">Menu</button><ul id="p" style="display: none"><li><a href="/a">Ant</a><li><a href="/b">Bee</a></ul></nav>',
      'navigation “Main”, closed by “Menu”\n    (Ant) → /a\n    (Bee) → /b',
    ],
    [
      'a button for the whole of it, outside',
      '<button aria-expanded="true" aria-controls="p">Open menu</button><div id="p"><nav aria-label="Main"><a href="/a">Ant</a></nav></div>',
      'navigation “Main”, opened by “Open menu”\n    Ant → /a',
    ],
    [
      'titled lists',
      '<nav aria-label="Footer"><h2>Visit</h2><ul><li><a href="/a">Ant</a></ul><div><h2>Watch</h2></div><ul><li><a href="/b">Bee</a></ul></nav>',
      'navigation “Footer”\n    Visit\n      Ant → /a\n    Watch\n      Bee → /b',
    ],
    [
      'groups by their text',
      '<nav aria-label="Main"><ul><li><span aria-current="true">Birds</span><ul><li><a href="/a" aria-current="page">Ant</a></ul></ul></nav>',
      'navigation “Main”\n  ~ Birds\n    * Ant → /a',
    ],
    [
      'names by images, labels and hidden text',
      '<nav aria-label="Main"><a href="/a"><img alt="Ant" src="data:," width="16" height="16"></a><a href="/b" aria-label="Bee">x</a><a href="/c"><svg width="16" height="16"></svg><span style="position: absolute; clip-path: inset(50%)">Cat</span></a></nav>',
      'navigation “Main”\n    Ant → /a\n    Bee → /b\n    Cat → /c',
    ],
    [
      'what is hidden from screen readers, or outside the window',
      '<nav aria-label="Main"><a href="/a" aria-hidden="true">Ant</a><a href="/b" style="position: absolute; left: -5000px">Bee</a><a href="/c">Cat</a></nav>',
      'navigation “Main”\n    (Bee) → /b\n    Cat → /c',
    ],
    [
      'what is in sight only by scrolling a part of the page',
      '<nav aria-label="Main" style="block-size: 40px; overflow: auto"><a href="/a" style="display: block; block-size: 200px">Ant</a><a href="/b">Bee</a></nav>',
      'navigation “Main”\n    Ant → /a\n    Bee → /b',
    ],
    [
      'links in no landmark',
      '<div><a href="/a">Ant</a><a href="/b">Bee</a><a href="/c">Cat</a></div>',
      'list of links without a name\n    Ant → /a\n    Bee → /b\n    Cat → /c',
    ],
    ['nothing at all', '<p>Read on <a href="/a">here</a>.</p>', '(no menus)'],
  ])('%s', (_, html, tree) => {
    expect(read(html)).toBe(tree);
  });

  test('an open shadow root', () => {
    const host = document.createElement('x-bar');
    host.attachShadow({ mode: 'open' }).innerHTML = '<nav aria-label="Main"><slot></slot></nav>';
    host.innerHTML = '<a href="/a">Ant</a>';
    document.body.append(host);
    expect(treesOf(new DocumentReader(document).read())).toBe('navigation “Main”\n    Ant → /a');
  });
});

interface Branch {
  readonly label: string;
  readonly items: readonly Branch[];
}

const label = fc.stringMatching(/^[a-zäß&<"' ]*[a-z]$/u).map((text) => text.trim());
const branch = (depth: number): fc.Arbitrary<Branch> =>
  fc.record({ label, items: depth === 0 ? fc.constant([]) : fc.array(branch(depth - 1), { maxLength: 3 }) });

test('any tree of lists is read as that tree, however labels are written', () => {
  const list = (items: readonly Branch[]): string => {
    const text = document.createElement('p');
    const written = items.map(({ label, items: below }) => {
      text.textContent = label;
      return `<li><a href="/x">${text.innerHTML}</a>${list(below)}</li>`;
    });
    return items.length === 0 ? '' : `<ul>${written.join('')}</ul>`;
  };
  const reported = (items: readonly ItemReading[]): readonly Branch[] =>
    items.map(({ name, items: below }) => ({ label: name, items: reported(below) }));
  const tidy = (items: readonly Branch[]): readonly Branch[] =>
    items.map(({ label, items: below }) => ({ label: label.replaceAll(/\s+/gu, ' '), items: tidy(below) }));
  fc.assert(
    fc.property(fc.array(branch(3), { minLength: 1, maxLength: 4 }), (items) => {
      document.body.innerHTML = `<nav aria-label="Main">${list(items)}</nav>`;
      const [menu] = new DocumentReader(document).read().menus;
      expect(reported(menu?.items ?? [])).toEqual(tidy(items));
    }),
    { numRuns: 100 },
  );
});

test.each<[string, string, string | null]>([
  ['of the main content', '<header><h1>Point</h1></header><main><h1>Tides</h1></main>', 'Tides'],
  ['of the page, where the main content has none', '<h1>Tides</h1><main></main>', 'Tides'],
  ['of no menu', '<nav><h2>Visit</h2></nav><main></main>', null],
  ['of nothing at its foot or side', '<main></main><aside><h2>News</h2></aside><footer><h2>Visit</h2></footer>', null],
  ['after those of menus', '<nav><h2>Visit</h2></nav><div><h2>Tides</h2></div>', 'Tides'],
])('the heading of a page is the one %s', (_, html, heading) => {
  document.body.innerHTML = html;
  expect(new DocumentReader(document).place().heading).toBe(heading);
});

test('an element keeps its number, and one that has gone is known to', () => {
  document.body.innerHTML = '<nav aria-label="Main"><a href="/a">Ant</a></nav>';
  const reader = new DocumentReader(document);
  const number = reader.read().menus[0]?.items[0]?.link?.element ?? -1;
  expect(reader.element(number)).toBe(document.querySelector('a'));
  expect(reader.read().menus[0]?.items[0]?.link?.element).toBe(number);
  document.body.replaceChildren();
  expect(reader.element(number)).toBe(null);
});

test('a menu of thousands of links is read in one go', () => {
  const links = Array.from({ length: 5000 }, (_, index) => `<li><a href="/${index}">Page ${index}</a></li>`);
  document.body.innerHTML = `<nav aria-label="Main"><ul>${links.join('')}</ul></nav>`;
  const [menu] = new DocumentReader(document).read().menus;
  expect(menu?.items.length).toBe(5000);
  expect(menu?.items.at(-1)?.name).toBe('Page 4999');
});

test('a page that never rests is not waited for', async () => {
  const timer = setInterval(() => document.body.append('.'), 10);
  await expect(new DocumentReader(document).settle()).resolves.toBeUndefined();
  clearInterval(timer);
});
