import { expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { box, html, instruments, link, forgetBetweenTests, type MountSidebar } from './sidebar.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/**
 * What every sidebar does that can be narrowed to its icons.
 *
 * @example
 * sidebarRailContract(mountSidebar);
 */
export function sidebarRailContract(mount: MountSidebar, skipped: SkippedParts = {}): void {
  forgetBetweenTests();

  componentContract('a sidebar that narrows to icons', skipped, (part) => {
    part('a rail', { wcag: ['1.4.13', '4.1.2'] }, () => {
      const narrow = page.getByRole('button', { name: 'Collapse sidebar' });
      const widen = page.getByRole('button', { name: 'Expand sidebar' });
      const tip = () => {
        const shown = [...document.querySelectorAll('[aria-hidden=true]')].find(
          (element) => getComputedStyle(element).position === 'fixed' && element.checkVisibility(),
        );
        return shown?.textContent ?? null;
      };

      test('is what a sidebar narrows to, says what it will do, and keeps the names', async () => {
        mount({ rail: true });
        const width = () => box(page.getByRole('main')).left;
        await expect.element(narrow).toBeVisible();
        const before = width();
        await narrow.click();
        await expect.element(widen).toHaveFocus();
        expect(width()).toBeLessThan(before / 2);
        await expect.element(link('Data desk')).toHaveAccessibleName('Data desk');
        await expect.element(link('Rota')).toBeVisible();
        await widen.click();
        await expect.element(narrow).toBeVisible();
        expect(width()).toBe(before);
      });

      test('lays the content out once, and not for every frame of its motion', async () => {
        mount({ rail: true });
        await expect.element(narrow).toBeVisible();
        document.documentElement.style.setProperty('--ft-open', '300ms');
        const widths = new Set<number>();
        const observer = new ResizeObserver(([entry]) => widths.add(Math.round(entry?.contentRect.width ?? 0)));
        observer.observe(html(page.getByRole('main')));
        await expect.poll(() => widths.size).toBe(1);
        await narrow.click();
        await new Promise((resolve) => setTimeout(resolve, 450));
        observer.disconnect();
        expect(widths.size).toBe(2);
      });

      test('shows a label for a pointer that rests and for focus; it can be pointed at, and Escape sends it away', async () => {
        mount({ rail: true });
        await narrow.click();
        await link('Data desk').hover();
        await expect.poll(tip).toBe('Data desk');
        const shown = [...document.querySelectorAll<HTMLElement>('[aria-hidden=true]')].find(
          (element) => element.textContent === 'Data desk',
        );
        await userEvent.hover(shown ?? document.body);
        await new Promise((resolve) => setTimeout(resolve, 600));
        expect(tip()).toBe('Data desk');
        await userEvent.keyboard('{Escape}');
        await expect.poll(tip).toBe(null);
        await page.getByRole('main').hover();
        html(widen).focus();
        await userEvent.tab();
        await expect.poll(tip).toBe('Data desk');
        await userEvent.tab();
        await expect.poll(tip).toBe('Rota');
      });

      test('is remembered, and where storage refuses, kept until the page is left', async () => {
        const { unmount } = mount({ rail: true });
        await narrow.click();
        unmount();
        const again = mount({ rail: true });
        await expect.element(widen).toBeVisible();
        again.unmount();
        const refuse = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
          throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
        });
        mount({ rail: true });
        await widen.click();
        await expect.element(narrow).toBeVisible();
        refuse.mockRestore();
      });

      test('widens for a group, which it has no room for', async () => {
        mount({ rail: true });
        await narrow.click();
        await instruments.click();
        await expect.element(narrow).toBeVisible();
        await expect.element(link('Tide gauge')).toBeVisible();
      });
    });
  });
}
