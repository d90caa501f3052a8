import { expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { link, button, hides, practical, element, seen, rectangles, focusOn, type MountBar } from './bar.ts';
import { nested } from '../../sites.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/**
 * What becomes of a bar where room is short, in each of its forms.
 *
 * @example
 * barNarrowContract(mountBar, { 'a strip': 'this bar has no strip' });
 */
export function barNarrowContract(mount: MountBar, skipped: SkippedParts = {}): void {
  const menu = button('Menu');
  const more = button('More');

  componentContract('a bar where room is short', skipped, (part) => {
    part('a narrow bar', { wcag: ['1.4.10', '2.1.1', '2.4.3', '4.1.2'], aria: 'disclosure' }, () => {
      test('its groups open in place, several at a time, and push what is below', async () => {
        await page.viewport(320, 700);
        mount({ definition: nested });
        await menu.click();
        await expect.element(practical).toBeVisible();
        // Of the toggle, since what is pressed may be scrolled into view.
        const distance = () =>
          element(link('About')).getBoundingClientRect().top - element(menu).getBoundingClientRect().top;
        const before = distance();
        await hides.click();
        await practical.click();
        await expect.poll(seen).toEqual(['Today', 'Hides', 'Reedbed Hide', 'Lantern Room', 'Visit', 'Book', 'About']);
        await expect.poll(distance).toBeGreaterThan(before + 100);
        await userEvent.keyboard('{Escape}');
        await expect.poll(seen).toEqual(['Today', 'Hides', 'Reedbed Hide', 'Lantern Room', 'About']);
      });

      test('stands in one row, and what does not fit beside the toggle goes into the menu', async () => {
        const brand = page.getByRole('link', { name: 'Marram', exact: true });
        const end = page.getByRole('button', { name: 'Sign in' });
        const box = (locator: { element: () => Element }) => element(locator).getBoundingClientRect();
        const middle = (locator: { element: () => Element }) => box(locator).top + box(locator).height / 2;
        await page.viewport(500, 700);
        mount({ definition: nested, end: true });
        await expect.element(end).toBeVisible();
        expect(Math.abs(middle(end) - middle(brand))).toBeLessThan(4);
        expect(box(menu).width).toBeGreaterThan(80);
        // The room between brand and toggle belongs to neither.
        const between = document.elementFromPoint((box(brand).right + box(menu).left) / 2, middle(brand));
        expect([between?.closest('a'), box(menu).left - box(brand).right > 100]).toEqual([null, true]);
        await page.viewport(240, 700);
        // The toggle's word goes, and stays its name; what is left of the button is the sign.
        await expect.poll(() => box(menu).width).toBeLessThan(70);
        expect(Math.abs(middle(end) - middle(brand))).toBeLessThan(4);
        const sign = element(menu).querySelector('.ft-toggle-sign');
        expect(Math.abs((sign ? middle({ element: () => sign }) : 0) - middle(menu))).toBeLessThan(4);
        await page.viewport(200, 700);
        await expect.element(end).not.toBeInTheDocument();
        expect(Math.abs(middle(menu) - middle(brand))).toBeLessThan(4);
        await menu.click();
        await expect.element(end).toBeVisible();
        expect(box(end).top).toBeGreaterThan(box(link('About')).bottom);
        const under = document.elementFromPoint(box(end).left + box(end).width / 2, middle(end));
        expect(under).toBe(element(end));
        await userEvent.keyboard('{Escape}');
        await page.viewport(500, 700);
        await expect.poll(() => Math.abs(middle(end) - middle(brand))).toBeLessThan(4);
      });

      test('becoming wide closes them, and one at a time is open again', async () => {
        await page.viewport(320, 700);
        mount({ definition: nested });
        await menu.click();
        await hides.click();
        await expect.element(link('Lantern Room')).toBeVisible();
        await page.viewport(1280, 800);
        await expect.poll(seen).toEqual(['Today', 'Hides', 'About']);
      });
    });

    part('a menu over the whole screen', { wcag: ['2.1.2', '2.4.3', '2.4.11'], aria: 'dialog (modal)' }, () => {
      test('covers the page, which is inert and does not scroll, until it is closed', async () => {
        await page.viewport(320, 700);
        mount({ definition: nested, whenNarrow: 'screen', end: true });
        await menu.click();
        const main = page.getByRole('main', { includeHidden: true }).element();
        await expect.element(button('Close')).toHaveFocus();
        expect(main.closest('[inert]') ?? main.parentElement?.closest('[inert]')).not.toBeNull();
        expect(getComputedStyle(document.documentElement).overflow).toBe('hidden');
        const panel = document.getElementById(element(button('Close')).getAttribute('aria-controls') ?? '');
        const { top, bottom, width } = panel?.getBoundingClientRect() ?? new DOMRect();
        expect([top, bottom, width]).toEqual([0, 700, 320]);
        await userEvent.keyboard('{Escape}');
        await expect.element(menu).toHaveFocus();
        expect([main.closest('[inert]'), document.documentElement.style.overflow]).toEqual([null, '']);
      });

      test('a link that is chosen gives the page back, and focus goes to its heading', async () => {
        await page.viewport(320, 700);
        mount({ definition: nested, whenNarrow: 'screen' });
        await menu.click();
        await link('About').click();
        await expect.element(page.getByRole('heading', { name: 'About' })).toHaveFocus();
        await expect.poll(() => document.querySelector('[inert]')).toBeNull();
      });

      test('can be had at every width', async () => {
        mount({ definition: nested, whenNarrow: 'screen', alwaysToggle: true });
        await expect.element(menu).toBeVisible();
        expect(seen()).toEqual([]);
        await menu.click();
        await expect.poll(seen).toEqual(['Today', 'Hides', 'About']);
      });
    });

    part('a strip', { wcag: ['1.4.10', '2.4.7'] }, () => {
      test('scrolls sideways by itself, without a toggle, and shows the marked item', async () => {
        await page.viewport(320, 700);
        mount({ definition: nested, whenNarrow: 'strip', url: '/about' });
        await expect.element(link('About')).toHaveAttribute('aria-current', 'page');
        await expect.poll(() => element(link('About')).getBoundingClientRect().right).toBeLessThanOrEqual(321);
        expect(document.documentElement.scrollWidth).toBe(320);
        await expect.element(menu).not.toBeInTheDocument();
        expect(new Set(rectangles(['nav ul > li > a']).map((one) => (one as DOMRect).top)).size).toBeGreaterThan(0);
      });

      test('a panel is not cut off by it', async () => {
        await page.viewport(320, 700);
        mount({ definition: nested, whenNarrow: 'strip' });
        await practical.click();
        await expect.element(link('Book')).toBeVisible();
        const box = () => element(link('Book')).getBoundingClientRect();
        expect([box().left >= 0, box().right <= 320]).toEqual([true, true]);
        const at = () => document.elementFromPoint(box().left + box().width / 2, box().top + box().height / 2);
        await expect.poll(() => at()?.closest('a')?.textContent).toBe('Book');
      });
    });

    part('a row of those that fit', { wcag: ['1.4.10', '2.4.3'], aria: 'disclosure' }, () => {
      const inRow = () => {
        const top = element(more).getBoundingClientRect().top;
        return seen().filter((name) => Math.abs(element(link(name)).getBoundingClientRect().top - top) < 10);
      };

      test('holds all of them with room, and no toggle', async () => {
        mount({ definition: nested, whenNarrow: 'more' });
        await expect.element(link('About')).toBeVisible();
        await expect.element(more).not.toBeInTheDocument();
      });

      test('keeps the first ones and the marked one; the others are behind the toggle', async () => {
        await page.viewport(420, 700);
        const { update } = mount({ definition: nested, whenNarrow: 'more', url: '/' });
        await expect.element(more).toBeVisible();
        await expect.poll(seen).not.toContain('About');
        expect(inRow()).toContain('Today');
        update({ definition: nested, whenNarrow: 'more', url: '/about' });
        await expect.poll(inRow).toContain('About');
        await more.click();
        await expect.poll(() => seen().length).toBe(3);
        expect(document.documentElement.scrollWidth).toBeLessThanOrEqual(420);
      });

      test('Tab goes from the toggle into what it shows, and from there on past it', async () => {
        await page.viewport(420, 700);
        mount({ definition: nested, whenNarrow: 'more', url: '/', end: true });
        await more.click();
        await expect.poll(seen).toContain('About');
        const [first] = [...document.querySelectorAll<HTMLElement>('[data-ft-beyond] :is(a, button)')];
        await userEvent.tab();
        expect(document.activeElement).toBe(first);
        await focusOn(link('About'));
        await userEvent.tab();
        await expect.element(page.getByRole('button', { name: 'Sign in' })).toHaveFocus();
      });

      test('focus stays on an entry as the row grows and shrinks', async () => {
        mount({ definition: nested, whenNarrow: 'more', url: '/' });
        await focusOn(link('Today'));
        for (const width of [420, 700, 320, 1280]) {
          await page.viewport(width, 700);
          await expect.element(link('Today')).toHaveFocus();
        }
      });
    });

    part('a pinned bar', { wcag: ['2.4.11', '1.4.10'] }, () => {
      /** How far the bar's row lies below the top of the window. */
      const top = () => {
        const { top: linkTop, height } = element(link('About')).getBoundingClientRect();
        return Math.round(linkTop + height / 2);
      };

      test.each(['sticky', 'fixed'] as const)(
        'stays in view (%s), and covers neither the content nor a target',
        async (pinned) => {
          mount({ definition: nested, pinned });
          await expect.element(link('About')).toBeVisible();
          const { bottom } = element(page.getByRole('banner')).getBoundingClientRect();
          expect(element(page.getByRole('heading', { level: 1 })).getBoundingClientRect().top).toBeGreaterThanOrEqual(
            bottom,
          );
          const before = top();
          window.scrollTo(0, 600);
          await expect.poll(top).toBe(before);
          document.querySelector('main p')?.scrollIntoView();
          expect(document.querySelector('main p')?.getBoundingClientRect().top).toBeGreaterThanOrEqual(bottom);
        },
      );

      test('lets go of a window so low that it would take a quarter of it', async () => {
        await page.viewport(1280, 240);
        mount({ definition: nested, pinned: 'sticky' });
        await expect.element(link('About')).toBeVisible();
        window.scrollTo(0, 300);
        await expect.poll(top).toBeLessThan(-100);
      });

      test('that hides goes on the way down, and is back on the way up and where focus is', async () => {
        mount({ definition: nested, pinned: 'sticky', givesWay: 'hide' });
        await expect.element(link('About')).toBeVisible();
        const hidden = () => top() < 0;
        window.scrollTo(0, 600);
        await expect.poll(hidden).toBe(true);
        window.scrollTo(0, 500);
        await expect.poll(hidden).toBe(false);
        window.scrollTo(0, 900);
        await expect.poll(hidden).toBe(true);
        await focusOn(link('About'));
        await expect.poll(hidden).toBe(false);
      });
    });
  });
}
