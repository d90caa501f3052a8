import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { page } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import type { NarrowForm } from '../core/view/bar-view.ts';
import { scriptedAttribute } from '../dom/scripted.ts';
import { Navbar } from './navbar.tsx';
import { Trail } from './trail.tsx';
import { nested } from '../testing/sites.ts';
import './mount.samples.tsx';

const site = defineSite(nested);
const forms: readonly NarrowForm[] = ['panel', 'screen', 'strip', 'more'];

const app = (whenNarrow: NarrowForm) => (
  // The first item is marked: one that does not fit in a row comes into it only once that is measured.
  <Trail site={site} url="/">
    <Navbar whenNarrow={whenNarrow} end={<button type="button">Sign in</button>} />
    <main>Page</main>
  </Trail>
);

let printed = document.createElement('div');

function print(form: NarrowForm): void {
  printed = document.createElement('div');
  printed.innerHTML = renderToString(app(form));
  document.body.prepend(printed);
}

afterEach(() => {
  printed.remove();
  document.documentElement.removeAttribute(scriptedAttribute);
});

describe.each(forms)('where room is short a %s:', (form) => {
  test.each([320, 1280])(
    'without scripts at %i px every link is to be seen, inside the window, and no dead toggle',
    async (width) => {
      await page.viewport(width, 800);
      print(form);
      const links = [...printed.querySelectorAll<HTMLElement>('nav a')];
      expect(links.map((link) => link.textContent)).toEqual([
        'Today',
        'Hides',
        'Reedbed Hide',
        'Lantern Room',
        'Visit',
        'Book',
        'About',
      ]);
      for (const link of links) {
        const { left, right, height } = link.getBoundingClientRect();
        const where = `${link.textContent} at ${left} to ${right}`;
        // A strip scrolls, by the browser's own means.
        const isReached = form === 'strip' || (left >= 0 && right <= width);
        expect([isReached, height > 0], where).toEqual([true, true]);
        expect(link.checkVisibility({ visibilityProperty: true, opacityProperty: true }), where).toBe(true);
        link.focus();
        expect(document.activeElement).toBe(link);
      }
      expect([...printed.querySelectorAll('nav button')].filter((button) => button.checkVisibility())).toEqual([]);
      expect(document.documentElement.scrollWidth).toBeLessThanOrEqual(width);
    },
  );

  test.each([320, 640, 1280])(
    'at %i px nothing moves when the app takes over what the server printed',
    async (width) => {
      await page.viewport(width, 800);
      document.documentElement.setAttribute(scriptedAttribute, '');
      print(form);
      const seen = () =>
        [...printed.querySelectorAll('.ft-bar, .ft-brand, .ft-toggle, .ft-bar-end, .ft-bar-panel > ul > li > *, main')]
          .filter((element) => element.checkVisibility({ visibilityProperty: true }))
          .filter((element) => {
            const list = element.closest('.ft-bar-panel > ul')?.getBoundingClientRect();
            // What wraps out of a row of those that fit is there, and not to be seen.
            return !list || form !== 'more' || element.getBoundingClientRect().top < list.bottom;
          })
          .map((element) => {
            const { left, top, width: wide, height } = element.getBoundingClientRect();
            return [element.className || element.tagName, left, top, wide, height].join(' ');
          });
      const before = seen();
      expect(before.length).toBeGreaterThan(3);
      const errors = vi.spyOn(console, 'error');
      const root = hydrateRoot(printed, app(form));
      // Two frames and more: effects have run, and measuring has had its say.
      await new Promise((resolve) => setTimeout(resolve, 120));
      expect(seen()).toEqual(before);
      expect(errors.mock.calls).toEqual([]);
      errors.mockRestore();
      root.unmount();
    },
  );
});
