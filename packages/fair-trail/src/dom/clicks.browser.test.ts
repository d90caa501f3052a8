import { afterEach, expect, test } from 'vitest';
import { followedLink } from './clicks.ts';

afterEach(() => {
  document.body.replaceChildren();
});

/** Clicks on an element, and says where the router would go. The browser goes nowhere. */
function clicked(target: Element, init: MouseEventInit = {}): string | null {
  let url: string | null = null;
  const onClick = (event: MouseEvent) => {
    const followed = followedLink(event)?.url;
    url = followed?.origin === location.origin ? followed.pathname + followed.search + followed.hash : null;
    event.preventDefault();
  };
  document.addEventListener('click', onClick);
  target.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true, composed: true, ...init }));
  document.removeEventListener('click', onClick);
  return url;
}

function first(html: string): Element {
  document.body.innerHTML = html;
  const target = document.querySelector('[data-target]') ?? document.body.firstElementChild;
  if (!target) throw new Error('nothing to click');
  return target;
}

test.each([
  ['<a href="/hides?x#y">', '/hides?x#y'],
  ['<a href="/hides" target="_self">', '/hides'],
  ['<a href="/hides"><b><i data-target>x</i></b></a>', '/hides'],
  ['<svg><a href="/hides"><text data-target>x</text></a></svg>', '/hides'],
  ['<svg><a xlink:href="/hides"><text data-target>x</text></a></svg>', '/hides'],
  ['<a href="//other.example/hides">', null],
  ['<a href="https://other.example/">', null],
  ['<a href="mailto:a@b.example">', null],
  ['<a href="javascript:void 0">', null],
  ['<a href="http://[">', null],
  ['<a href="/hides" target="_blank">', null],
  ['<a href="/hides" download>', null],
  ['<div contenteditable><a href="/hides" data-target>x</a></div>', null],
  ['<div><base target="_blank"><a href="/hides" data-target>x</a></div>', null],
  ['<map><area href="/hides" data-target></map>', '/hides'],
  ['<a>', null],
  ['<button>', null],
])('%s leads to %s', (html, expected) => {
  expect(clicked(first(html))).toBe(expected);
});

test.each([{ ctrlKey: true }, { metaKey: true }, { shiftKey: true }, { altKey: true }, { button: 1 }])(
  'a click with %j is the browser’s',
  (init) => {
    expect(clicked(first('<a href="/hides">'), init)).toBeNull();
  },
);

test('a click that someone has taken is theirs', () => {
  const link = first('<a href="/hides">');
  link.addEventListener('click', (event) => event.preventDefault());
  expect(clicked(link)).toBeNull();
});

test('a link inside a shadow root is followed', () => {
  const host = first('<div></div>');
  const shadow = host.attachShadow({ mode: 'open' });
  shadow.innerHTML = '<a href="/hides"><b>x</b></a>';
  expect(clicked(shadow.querySelector('b') ?? host)).toBe('/hides');
});
