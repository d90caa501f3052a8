import { expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryKeys } from '../../../core/interaction/memory-keys.ts';
import {
  box,
  html,
  instruments,
  link,
  navigation,
  nets,
  seen,
  withSessions,
  forgetBetweenTests,
  type MountSidebar,
} from './sidebar.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/**
 * What every sidebar does with its groups, long lists and the field that filters.
 *
 * @example
 * sidebarGroupsContract(mountSidebar);
 */
export function sidebarGroupsContract(mount: MountSidebar, skipped: SkippedParts = {}): void {
  forgetBetweenTests();

  componentContract('a sidebar with groups', skipped, (part) => {
    part('the groups of a sidebar', { wcag: ['2.1.1', '4.1.2', '1.3.1'], aria: 'disclosure' }, () => {
      test('that hold the current page are open, at any depth, and open as the page changes', async () => {
        mount({ url: '/nets/reedbed/east' });
        await expect.element(link('East ride')).toBeVisible();
        await expect.element(link('East ride')).toHaveAttribute('aria-current', 'page');
        await expect.element(nets).toHaveAttribute('aria-expanded', 'true');
        await expect.element(instruments).toHaveAttribute('aria-expanded', 'false');
        await page.getByRole('link', { name: 'Go to the mast' }).click();
        await expect.element(link('Weather mast')).toHaveAttribute('aria-current', 'page');
        await expect.element(instruments).toHaveAttribute('aria-expanded', 'true');
      });

      test('open and close by mouse and keys, and a closed one takes no focus', async () => {
        mount({});
        await nets.click();
        await expect.element(link('Garden nets')).toBeVisible();
        await nets.click();
        await expect.poll(seen).toEqual(['Data desk', 'Rota', 'Nets', 'Autumn', 'Spring']);
        html(nets).focus();
        await userEvent.tab();
        await expect.element(instruments).toHaveFocus();
        await userEvent.keyboard('{Enter}');
        await userEvent.tab();
        await expect.element(link('Tide gauge')).toHaveFocus();
      });

      test('are open beside each other, or one at a time', async () => {
        const { update } = mount({ groups: 'many' });
        await nets.click();
        await instruments.click();
        await expect.element(link('Garden nets')).toBeVisible();
        await expect.element(link('Tide gauge')).toBeVisible();
        update({ groups: 'one' });
        await expect.element(nets).toHaveAttribute('aria-expanded', 'false');
        await expect.element(instruments).toHaveAttribute('aria-expanded', 'true');
        await nets.click();
        await expect.element(link('Garden nets')).toBeVisible();
        await expect.element(instruments).toHaveAttribute('aria-expanded', 'false');
      });

      test('are as the reader left them after the page is loaded again', async () => {
        const { unmount } = mount({});
        await instruments.click();
        await expect.element(link('Tide gauge')).toBeVisible();
        unmount();
        mount({});
        await expect.element(instruments).toHaveAttribute('aria-expanded', 'true');
        await expect.element(nets).toHaveAttribute('aria-expanded', 'false');
      });

      test.each(['no JSON', '["desk"]', '["desk\\ngone"]', '{}'])(
        'are closed where %s lies in storage',
        async (stored) => {
          localStorage.setItem(memoryKeys.open, stored);
          mount({});
          await expect.element(nets).toHaveAttribute('aria-expanded', 'false');
          await nets.click();
          await expect.element(link('Garden nets')).toBeVisible();
        },
      );

      test('have lists that are on their way, empty, or could not be loaded', async () => {
        const { update } = mount({ url: '/autumn', records: { sessions: 'loading' } });
        await expect.element(navigation.getByText('Loading…')).toBeVisible();
        update({ url: '/autumn', records: { sessions: 'failed' } });
        await expect.element(navigation.getByText('Could not be loaded')).toBeVisible();
        update({ url: '/autumn', records: { sessions: [] } });
        await expect.element(navigation.getByText('Nothing here yet')).toBeVisible();
        update({ url: '/autumn', ...withSessions });
        await expect.element(link('Session of 13-sep')).toBeVisible();
      });

      test('stand in sections whose titles name their lists', async () => {
        mount({});
        await expect.element(page.getByRole('heading', { name: 'Seasons', level: 2 })).toBeVisible();
        await expect.element(page.getByRole('list', { name: 'Seasons' })).toBeVisible();
        expect(box(page.getByRole('list', { name: 'Ringing' })).bottom).toBeLessThanOrEqual(
          box(page.getByRole('heading', { name: 'Seasons' })).top,
        );
      });
    });

    part('a long list', { wcag: ['2.4.5'] }, () => {
      test('has the current item in view, and leaves the page where it is', async () => {
        const entries = Array.from({ length: 200 }, (_, index) => ({
          id: `e${index}`,
          label: `Page ${index}`,
          href: `/p${index}`,
        }));
        const definition = { name: 'Marram', entries, menus: { main: [], desk: entries.map(({ id }) => id) } };
        mount({ definition, url: '/p150' });
        await expect.element(link('Page 150')).toHaveAttribute('aria-current', 'page');
        const inside = () => {
          const { top, bottom } = box(link('Page 150'));
          return top >= 0 && bottom <= window.innerHeight;
        };
        await expect.poll(inside).toBe(true);
        expect(window.scrollY).toBe(0);
      });
    });

    part('a field that filters', { wcag: ['4.1.3', '3.2.2'], aria: 'status' }, () => {
      const field = page.getByRole('searchbox', { name: 'Filter by name' });
      const status = page.getByRole('status').filter({ hasText: /match/u });

      test('leaves what matches, marks it, and says how much that is', async () => {
        mount({ search: true });
        await field.click();
        await userEvent.keyboard('ride');
        await expect.poll(seen).toEqual(['Nets', 'Reedbed rides', 'East ride', 'West ride']);
        await expect.element(status).toHaveTextContent('3 pages match');
        const matches = [...html(navigation).querySelectorAll('mark')].map(({ textContent }) => textContent);
        expect(matches).toEqual(['ride', 'ride', 'ride']);
        await expect.element(link('East ride')).toBeVisible();
        // All that is left is open: its buttons say that they do nothing now, and nothing is lost.
        await expect.element(nets).toHaveAttribute('aria-disabled', 'true');
        html(nets).click();
        await expect.element(link('West ride')).toBeVisible();
        await field.click();
        await userEvent.keyboard('zzz');
        await expect.element(status).toHaveTextContent('Nothing matches');
        await expect.poll(seen).toEqual([]);
      });

      test('is cleared by Escape, and all is as it was', async () => {
        mount({ search: true });
        await instruments.click();
        await expect.element(link('Tide gauge')).toBeVisible();
        const before = seen();
        await field.click();
        await userEvent.keyboard('rota');
        await expect.poll(seen).toEqual(['Rota']);
        await userEvent.keyboard('{Escape}');
        await expect.element(field).toHaveValue('');
        await expect.poll(seen).toEqual(before);
        await expect.element(nets).not.toHaveAttribute('aria-disabled');
        await expect.element(field).toHaveFocus();
      });

      test('is left by arrow keys along what matches, and come back to', async () => {
        mount({ search: true });
        await field.click();
        await userEvent.keyboard('gauge');
        await expect.poll(seen).toEqual(['Tide gauge']);
        await userEvent.keyboard('{ArrowDown}');
        await expect.element(instruments).toHaveFocus();
        await userEvent.keyboard('{ArrowDown}');
        await expect.element(link('Tide gauge')).toHaveFocus();
        await userEvent.keyboard('{ArrowUp}{ArrowUp}');
        await expect.element(field).toHaveFocus();
      });
    });

    test.each(['ltr', 'rtl'])('nothing that took no part moves as a group opens (%s)', async (direction) => {
      document.documentElement.dir = direction;
      mount({ search: true, markers: { nets: '#b5482a' } });
      await expect.element(link('Rota')).toBeVisible();
      const places = () =>
        [page.getByRole('main'), link('Data desk'), link('Nets'), page.getByRole('heading', { name: 'Ringing' })].map(
          (one) => JSON.stringify(box(one)),
        );
      const before = places();
      await nets.click();
      await expect.element(link('Garden nets')).toBeVisible();
      expect(places()).toEqual(before);
      expect(document.documentElement.scrollWidth).toBeLessThanOrEqual(1280);
    });
  });
}
