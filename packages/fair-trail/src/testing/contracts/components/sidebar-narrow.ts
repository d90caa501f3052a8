import { beforeEach, expect, test } from 'vitest';
import type {} from '../../tap.ts';
import { commands, page, userEvent } from 'vitest/browser';
import { box, html, link, menu, navigation, forgetBetweenTests, type MountSidebar } from './sidebar.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/**
 * What every sidebar does where room is short.
 *
 * @example
 * sidebarNarrowContract(mountSidebar);
 */
export function sidebarNarrowContract(mount: MountSidebar, skipped: SkippedParts = {}): void {
  forgetBetweenTests();

  componentContract('a sidebar where room is short', skipped, (part) => {
    part('where room is short', { wcag: ['1.4.10', '2.1.2', '2.4.3'], aria: 'dialog (modal)' }, () => {
      beforeEach(() => page.viewport(400, 700));

      test('it lies over the page behind a toggle, and the page behind waits', async () => {
        mount({});
        await expect.element(link('Rota')).not.toBeInTheDocument();
        await menu.click();
        await expect.element(link('Data desk')).toHaveFocus();
        expect(html(page.getByText('Content', { exact: true })).closest('[inert]')).not.toBe(null);
        expect(getComputedStyle(document.documentElement).overflowY).toBe('hidden');
        await userEvent.keyboard('{Escape}');
        await expect.element(menu).toHaveFocus();
        expect(document.querySelector('main')?.closest('[inert]') ?? null).toBe(null);
        await expect.element(link('Rota')).not.toBeInTheDocument();
      });

      test('a press on what is behind closes it, and so does its button', async () => {
        mount({});
        await menu.click();
        await expect.element(link('Rota')).toBeVisible();
        await page.getByRole('button', { name: 'Close' }).click();
        await expect.element(menu).toHaveFocus();
        await menu.click();
        await expect.element(link('Rota')).toBeVisible();
        await userEvent.click(document.documentElement, { position: { x: 390, y: 300 } });
        await expect.element(menu).toHaveAttribute('aria-expanded', 'false');
      });

      test('a chosen page closes it and has focus', async () => {
        mount({});
        await menu.click();
        await link('Rota').click();
        await expect.element(menu).toHaveAttribute('aria-expanded', 'false');
        await expect.element(page.getByRole('heading', { name: 'Rota' })).toHaveFocus();
      });

      test('with room again it stands beside the page, which is given back', async () => {
        mount({});
        await menu.click();
        await expect.element(link('Rota')).toBeVisible();
        await page.viewport(1200, 700);
        await expect.element(menu).not.toBeInTheDocument();
        await expect.poll(() => document.querySelector('[inert]')).toBe(null);
        await expect.element(link('Rota')).toBeVisible();
        await page.viewport(400, 700);
        await expect.element(link('Rota')).not.toBeInTheDocument();
      });

      test('the toggle is not among what Tab goes through while it lies under the open sidebar', async () => {
        mount({});
        await menu.click();
        await expect.element(link('Data desk')).toHaveFocus();
        await expect.poll(() => box(navigation).left).toBe(0);
        for (let step = 0; step < 12; step += 1) {
          await userEvent.tab();
          const { activeElement } = document;
          const { left, top, width, height } = activeElement?.getBoundingClientRect() ?? new DOMRect();
          const isSeen = activeElement === document.body || top + height > window.innerHeight;
          const above = document.elementFromPoint(left + width / 2, top + height / 2);
          expect(isSeen || activeElement?.contains(above) === true, activeElement?.outerHTML.slice(0, 80)).toBe(true);
        }
      });

      test('focus stays in it across the switch: on its toggle, and on its first page', async () => {
        await page.viewport(1200, 700);
        mount({});
        await expect.element(link('Rota')).toBeVisible();
        html(link('Rota')).focus();
        await page.viewport(400, 700);
        await expect.element(menu).toHaveFocus();
        await page.viewport(1200, 700);
        await expect.element(link('Data desk')).toHaveFocus();
      });

      test('it works by touch, and a finger shows no label beside an icon', async () => {
        mount({ rail: true });
        await expect.element(menu).toBeVisible();
        await commands.tap('role=button[name="Menu"]');
        await expect.element(link('Rota')).toBeVisible();
        await commands.tap('nav a[href="/rota"]');
        await expect.element(page.getByRole('heading', { name: 'Rota' })).toHaveFocus();
        await expect.element(menu).toHaveAttribute('aria-expanded', 'false');
        await page.viewport(1200, 700);
        await page.getByRole('button', { name: 'Collapse sidebar' }).click();
        await commands.tap('nav a[href="/"]');
        await new Promise((resolve) => setTimeout(resolve, 300));
        const shown = [...document.querySelectorAll('[aria-hidden=true]')].filter(
          (element) => getComputedStyle(element).position === 'fixed' && element.checkVisibility(),
        );
        expect(shown).toEqual([]);
      });

      test('it stands in the flow above the content, as asked', async () => {
        mount({ whenNarrow: 'above' });
        await menu.click();
        await expect.element(link('Rota')).toBeVisible();
        expect(document.querySelector('[inert]')).toBe(null);
        expect(box(navigation).bottom).toBeLessThanOrEqual(box(page.getByRole('main')).top + 1);
        await menu.click();
        await expect.element(link('Rota')).not.toBeInTheDocument();
      });
    });

    test('at any width it may stay behind its toggle', async () => {
      mount({ alwaysToggle: true });
      await expect.element(menu).toBeVisible();
      await expect.element(link('Rota')).not.toBeInTheDocument();
      // There is no column for it: the content begins at the gutter.
      expect(box(page.getByRole('main')).left).toBeLessThan(40);
      await menu.click();
      await expect.element(link('Rota')).toBeVisible();
    });
  });
}
