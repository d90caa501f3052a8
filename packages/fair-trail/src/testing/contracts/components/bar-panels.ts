import { afterEach, expect, test } from 'vitest';
import type {} from '../../tap.ts';
import { commands, page, userEvent } from 'vitest/browser';
import { link, hides, practical, element, seen, rectangles, focusOn, type MountBar } from './bar.ts';
import { nested, summarized } from '../../sites.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/**
 * What every bar with panels does, whichever framework prints it.
 *
 * @example
 * barPanelsContract(mountBar);
 */
export function barPanelsContract(mount: MountBar, skipped: SkippedParts = {}): void {
  componentContract('a bar with panels', skipped, (part) => {
    part(
      'panels under the items of a bar',
      { wcag: ['2.1.1', '2.4.3', '4.1.2'], aria: 'disclosure navigation menu' },
      () => {
        test('open and close by mouse, one at a time, and the trigger says so', async () => {
          mount({ definition: nested });
          await expect.element(hides).toHaveAttribute('aria-expanded', 'false');
          await expect.element(link('Reedbed Hide')).not.toBeInTheDocument();
          await hides.click();
          await expect.element(link('Reedbed Hide')).toBeVisible();
          await practical.click();
          await expect.element(link('Visit')).toBeVisible();
          await expect.element(hides).toHaveAttribute('aria-expanded', 'false');
          await expect.poll(seen).toEqual(['Today', 'Hides', 'Visit', 'Book', 'About']);
          await practical.click();
          await expect.poll(seen).toEqual(['Today', 'Hides', 'About']);
        });

        test.each(['{Enter}', ' '])(
          '%j opens one, Tab goes through it, Escape closes it and gives focus back',
          async (key) => {
            mount({ definition: nested });
            await focusOn(hides);
            await userEvent.keyboard(key);
            await expect.element(link('Reedbed Hide')).toBeVisible();
            await userEvent.tab();
            await expect.element(link('Reedbed Hide')).toHaveFocus();
            await userEvent.keyboard('{Escape}');
            await expect.element(hides).toHaveFocus();
            await expect.element(hides).toHaveAttribute('aria-expanded', 'false');
          },
        );

        test('show the summaries of their entries, which belong to the names of the links', async () => {
          mount({ definition: summarized });
          await hides.click();
          await expect.element(link('Reedbed Hide Bitterns, if you wait')).toBeVisible();
          await expect.element(link('Lantern Room The whole point')).toBeVisible();
        });

        test('a closed one takes no focus: Tab passes it by', async () => {
          mount({ definition: nested });
          await focusOn(hides);
          await userEvent.tab();
          await expect.element(practical).toHaveFocus();
          await userEvent.tab();
          await expect.element(link('About')).toHaveFocus();
        });

        test('arrow keys walk the row, down into an open panel, and up out of it', async () => {
          mount({ definition: nested });
          await focusOn(link('Today'));
          await userEvent.keyboard('{ArrowRight}{ArrowRight}');
          await expect.element(hides).toHaveFocus();
          await userEvent.keyboard('{Enter}');
          await expect.element(link('Lantern Room')).toBeVisible();
          await userEvent.keyboard('{ArrowDown}{ArrowDown}');
          await expect.element(link('Lantern Room')).toHaveFocus();
          await userEvent.keyboard('{ArrowUp}{ArrowUp}');
          await expect.element(hides).toHaveFocus();
          await userEvent.keyboard('{End}');
          await expect.element(link('About')).toHaveFocus();
        });

        test('focus that goes on closes it, and so does a press beside it', async () => {
          mount({ definition: nested });
          await hides.click();
          await focusOn(link('Lantern Room'));
          await userEvent.tab();
          await expect.element(practical).toHaveFocus();
          await expect.element(hides).toHaveAttribute('aria-expanded', 'false');
          await practical.click();
          await expect.element(link('Visit')).toBeVisible();
          await page.getByRole('heading', { level: 1 }).click({ position: { x: 5, y: 5 } });
          await expect.element(practical).toHaveAttribute('aria-expanded', 'false');
        });

        test('a finger opens one, and a tap beside it closes it', async () => {
          mount({ definition: nested, hoverOpens: true });
          await expect.element(hides).toBeVisible();
          await commands.tap('nav [aria-label="Pages in Hides"]');
          await expect.element(link('Reedbed Hide')).toBeVisible();
          await commands.tap('main p');
          await expect.element(link('Reedbed Hide')).not.toBeInTheDocument();
        });

        test('a link that is chosen closes it, and its trigger shows where one is', async () => {
          mount({ definition: nested });
          await practical.click();
          await link('Book').click();
          await expect.element(practical).toHaveAttribute('aria-expanded', 'false');
          await expect.element(practical).toHaveAttribute('aria-current', 'true');
          await expect.element(page.getByRole('heading', { name: 'Book' })).toHaveFocus();
          await hides.click();
          await link('Reedbed Hide').click();
          await expect.element(link('Hides')).toHaveAttribute('aria-current', 'true');
          await expect.element(practical).not.toHaveAttribute('aria-current');
        });

        test('opening moves nothing, and the panel stays inside the window', async () => {
          mount({ definition: nested });
          await expect.element(practical).toBeVisible();
          const outside = ['header', 'main', 'h1', 'nav > * > ul > li > :is(a, button)'];
          for (const [direction, width] of [
            ['ltr', 1280],
            ['rtl', 1280],
            ['ltr', 960],
            ['rtl', 960],
          ] as const) {
            document.documentElement.dir = direction;
            await page.viewport(width, 400);
            await expect.element(practical).toBeVisible();
            await new Promise((resolve) => requestAnimationFrame(resolve));
            const before = rectangles(outside);
            for (const trigger of [hides, practical]) {
              await trigger.click();
              await expect.element(trigger).toHaveAttribute('aria-expanded', 'true');
              expect(rectangles(outside)).toEqual(before);
              const panel = document.getElementById(element(trigger).getAttribute('aria-controls') ?? '');
              await expect.poll(() => panel?.checkVisibility({ visibilityProperty: true })).toBe(true);
              const { left, right, bottom, top } = panel?.getBoundingClientRect() ?? new DOMRect();
              expect([left >= 0, right <= width, bottom <= 400, top > 0]).toEqual([true, true, true, true]);
            }
            await userEvent.keyboard('{Escape}');
          }
        });

        test('each link stands in the document once', async () => {
          mount({ definition: nested });
          await expect.element(hides).toBeVisible();
          const hrefs = [...document.querySelectorAll('nav a')].map((one) => one.getAttribute('href'));
          expect(new Set(hrefs).size).toBe(hrefs.length);
        });

        test('one that is held open stays open', async () => {
          mount({ definition: nested, held: 'hides' });
          await expect.element(link('Reedbed Hide')).toBeVisible();
          await userEvent.keyboard('{Escape}');
          await page.getByRole('heading', { level: 1 }).click({ position: { x: 5, y: 5 } });
          await expect.element(hides).toHaveAttribute('aria-expanded', 'true');
        });

        test('an item that goes away while its panel is open leaves nothing behind', async () => {
          const { update } = mount({ definition: nested });
          await hides.click();
          await expect.element(link('Reedbed Hide')).toBeVisible();
          update({ definition: { ...nested, menus: { main: ['today', { entry: 'practical', depth: 2 }, 'about'] } } });
          await expect.poll(seen).toEqual(['Today', 'About']);
          await practical.click();
          await expect.element(link('Visit')).toBeVisible();
        });
      },
    );

    part('hover', { wcag: ['1.4.13'] }, () => {
      const over = async (locator: { element: () => Element }) => {
        await userEvent.hover(element(locator));
      };

      test('opens nothing where no one asked for it', async () => {
        mount({ definition: nested });
        await expect.element(practical).toBeVisible();
        await over(practical);
        await new Promise((resolve) => setTimeout(resolve, 400));
        await expect.element(practical).toHaveAttribute('aria-expanded', 'false');
      });

      test('opens a panel, which stays while the pointer is in it, and closes when it has gone', async () => {
        mount({ definition: nested, hoverOpens: true });
        await expect.element(practical).toBeVisible();
        await over(practical);
        await expect.element(link('Book')).toBeVisible();
        await over(link('Book'));
        await new Promise((resolve) => setTimeout(resolve, 500));
        await expect.element(link('Book')).toBeVisible();
        await over(page.getByRole('heading', { level: 1 }));
        await expect.element(practical).toHaveAttribute('aria-expanded', 'false');
      });

      test('a click on its trigger keeps it open, and Escape closes it under the pointer', async () => {
        mount({ definition: nested, hoverOpens: true });
        await expect.element(practical).toBeVisible();
        await over(practical);
        await expect.element(link('Book')).toBeVisible();
        await practical.click();
        await over(page.getByRole('heading', { level: 1 }));
        await new Promise((resolve) => setTimeout(resolve, 500));
        await expect.element(practical).toHaveAttribute('aria-expanded', 'true');
        await userEvent.keyboard('{Escape}');
        await expect.element(practical).toHaveAttribute('aria-expanded', 'false');
      });
    });

    afterEach(() => {
      document.documentElement.removeAttribute('dir');
    });
  });
}
