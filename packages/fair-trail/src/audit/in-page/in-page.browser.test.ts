import { afterEach, expect, test } from 'vitest';
import { userEvent } from 'vitest/browser';

const added: Element[] = [];
afterEach(() => {
  for (const element of added.splice(0)) element.remove();
});

test('draws frames round what it finds, leaves the page as it is, and goes away on Escape', async () => {
  const menu = document.createElement('nav');
  menu.innerHTML = '<a href="/"></a> <a href="/hides">Hides</a>';
  document.body.append(menu);
  added.push(menu);
  const before = menu.outerHTML;
  await import('./in-page-script.ts');
  const host = document.querySelector('fair-trail-findings');
  expect(host?.parentElement).toBe(document.documentElement);
  // Closed: the page's scripts and stylesheets do not get in.
  expect(host?.shadowRoot).toBeNull();
  expect(menu.outerHTML).toBe(before);
  await userEvent.keyboard('{Escape}');
  expect(document.querySelector('fair-trail-findings')).toBeNull();
});
