import { expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import {
  annex,
  autumn,
  box,
  link,
  navigation,
  spring,
  withSessions,
  forgetBetweenTests,
  html,
  type MountSidebar,
  type SidebarRequest,
} from './sidebar.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/**
 * What every sidebar does with a second panel.
 *
 * @example
 * sidebarAnnexContract(mountSidebar);
 */
export function sidebarAnnexContract(mount: MountSidebar, skipped: SkippedParts = {}): void {
  forgetBetweenTests();

  componentContract('a sidebar with a second panel', skipped, (part) => {
    part('an annex', { wcag: ['2.4.3', '4.1.2'], aria: 'disclosure' }, () => {
      const request: SidebarRequest = { annex: ['autumn', 'spring'], ...withSessions, panel: true, rail: true };

      test('opens beside the sidebar with what is below an item, and focus goes to its heading', async () => {
        mount(request);
        await autumn.click();
        await expect.element(annex('Autumn').getByRole('heading', { name: 'Autumn' })).toHaveFocus();
        await expect.element(autumn).toHaveAttribute('aria-expanded', 'true');
        await expect.element(annex('Autumn').getByRole('link', { name: 'Session of 22-sep' })).toBeVisible();
        await expect.element(annex('Autumn').getByText('More about Autumn')).toBeVisible();
        await expect.poll(() => box(annex('Autumn')).left).toBeGreaterThanOrEqual(box(navigation).right - 1);
        expect(box(annex('Autumn')).right).toBeLessThanOrEqual(box(page.getByRole('main')).left + 1);
      });

      test('closes by Escape and by its button, and focus goes back to the item', async () => {
        mount(request);
        await autumn.click();
        await expect.element(annex('Autumn').getByRole('heading')).toHaveFocus();
        await userEvent.keyboard('{Escape}');
        await expect.element(autumn).toHaveFocus();
        await expect.element(annex('Autumn')).not.toBeInTheDocument();
        await spring.click();
        await annex('Spring').getByRole('button', { name: 'Close' }).click();
        await expect.element(spring).toHaveFocus();
        await expect.element(annex('Spring')).not.toBeInTheDocument();
      });

      test('that Back closes gives focus back to its item', async () => {
        mount(request);
        await expect.element(autumn).toBeVisible();
        html(autumn).focus();
        await userEvent.keyboard('{Enter}');
        await expect.element(annex('Autumn').getByRole('heading')).toHaveFocus();
        history.back();
        await expect.element(autumn).toHaveFocus();
        await expect.element(annex('Autumn')).not.toBeInTheDocument();
      });

      test('leaves before the next one enters', async () => {
        mount(request);
        document.documentElement.style.setProperty('--ft-close', '200ms');
        await autumn.click();
        await expect.element(annex('Autumn').getByRole('heading')).toHaveFocus();
        await spring.click();
        await expect.poll(() => document.querySelectorAll('nav[inert]').length).toBe(1);
        await expect.element(annex('Spring').getByRole('heading', { name: 'Spring' })).toHaveFocus();
        await expect.element(annex('Autumn')).not.toBeInTheDocument();
      });

      test('is in the address: a reload and Back restore it, and its own links keep it', async () => {
        const { unmount } = mount(request);
        await autumn.click();
        await expect.element(annex('Autumn')).toBeVisible();
        unmount();
        const again = mount({ ...request, url: null });
        await expect.element(annex('Autumn')).toBeVisible();
        // A page that was loaded with it leaves focus where the browser has it.
        expect(document.activeElement).toBe(document.body);
        await annex('Autumn').getByRole('link', { name: 'Session of 13-sep' }).click();
        await expect
          .element(annex('Autumn').getByRole('link', { name: 'Session of 13-sep' }))
          .toHaveAttribute('aria-current', 'page');
        await annex('Autumn').getByRole('button', { name: 'Close' }).click();
        await expect.element(annex('Autumn')).not.toBeInTheDocument();
        history.back();
        await expect.element(annex('Autumn')).toBeVisible();
        again.unmount();
      });

      test('is closed by any change of the rail, and stands beside it', async () => {
        mount(request);
        await autumn.click();
        await expect.element(annex('Autumn')).toBeVisible();
        await page.getByRole('button', { name: 'Collapse sidebar' }).click();
        await expect.element(annex('Autumn')).not.toBeInTheDocument();
        await autumn.click();
        await expect.element(annex('Autumn')).toBeVisible();
        expect(box(annex('Autumn')).left).toBeLessThan(120);
        // A rail has no room for labels; what stands beside it has.
        expect(box(annex('Autumn').getByText('Session of 22-sep')).width).toBeGreaterThan(50);
        await page.getByRole('button', { name: 'Expand sidebar' }).click();
        await expect.element(annex('Autumn')).not.toBeInTheDocument();
      });

      test('has a field of its own, which leaves the sidebar alone', async () => {
        mount({ ...request, search: true });
        await autumn.click();
        const own = annex('Autumn').getByRole('searchbox');
        await own.click();
        await userEvent.keyboard('22');
        await expect.element(annex('Autumn').getByRole('link', { name: 'Session of 04-sep' })).not.toBeInTheDocument();
        await expect.element(link('Rota')).toBeVisible();
        await userEvent.keyboard('{Escape}');
        await expect.element(annex('Autumn').getByRole('link', { name: 'Session of 04-sep' })).toBeVisible();
        await userEvent.keyboard('{Escape}');
        await expect.element(autumn).toHaveFocus();
      });

      test('has groups that hold the page open, as a sidebar has, and remembers those of the reader', async () => {
        const within: SidebarRequest = { annex: ['nets'], url: '/nets/reedbed/east?annex=nets' };
        const { unmount } = mount(within);
        const rides = annex('Nets').getByRole('button', { name: 'Pages in Reedbed rides' });
        await expect.element(rides).toHaveAttribute('aria-expanded', 'true');
        await expect
          .element(annex('Nets').getByRole('link', { name: 'East ride' }))
          .toHaveAttribute('aria-current', 'page');
        unmount();
        const elsewhere = mount({ ...within, url: '/?annex=nets' });
        await expect.element(rides).toHaveAttribute('aria-expanded', 'false');
        await rides.click();
        await expect.element(annex('Nets').getByRole('link', { name: 'West ride' })).toBeVisible();
        elsewhere.unmount();
        mount({ ...within, url: '/?annex=nets' });
        await expect.element(rides).toHaveAttribute('aria-expanded', 'true');
      });

      // Without `inert`, Tab can leave what lies over the page, and that closes then.
      const keepsFocus = test.runIf('inert' in HTMLElement.prototype);
      keepsFocus('lies over the open sidebar where room is short, and Escape closes one after the other', async () => {
        await page.viewport(400, 700);
        mount(request);
        await page.getByRole('button', { name: 'Menu' }).click();
        await autumn.click();
        await expect.element(annex('Autumn').getByRole('heading')).toHaveFocus();
        await expect.element(annex('Autumn').getByRole('link', { name: 'Session of 22-sep' })).toBeVisible();
        expect(box(annex('Autumn')).right).toBeLessThanOrEqual(400);
        // What lies beneath takes no focus.
        for (let step = 0; step < 8; step += 1) {
          await userEvent.tab();
          expect(document.activeElement?.closest('nav[aria-label="Sidebar"]') ?? null).toBe(null);
        }
        html(annex('Autumn').getByRole('button', { name: 'Close' })).focus();
        await userEvent.keyboard('{Escape}');
        await expect.element(autumn).toHaveFocus();
        await expect.element(annex('Autumn')).not.toBeInTheDocument();
        await userEvent.keyboard('{Escape}');
        await expect.element(page.getByRole('button', { name: 'Menu' })).toHaveFocus();
      });

      test('that was left open is where the sidebar begins when it is opened again over the page', async () => {
        await page.viewport(400, 700);
        mount({ ...request, url: '/?annex=autumn' });
        await page.getByRole('button', { name: 'Menu' }).click();
        await expect.element(annex('Autumn').getByRole('heading')).toHaveFocus();
      });

      test('that the address asks for and there is none is none', async () => {
        mount({ ...request, url: '/?annex=gone' });
        await expect.element(link('Data desk')).toBeVisible();
        expect(document.querySelectorAll('nav').length).toBe(1);
      });
    });
  });
}
