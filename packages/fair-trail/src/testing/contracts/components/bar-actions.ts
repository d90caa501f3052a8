import { expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { withActions } from '../../sites.ts';
import type { SkippedParts } from '../contract.ts';
import { button, element, focusOn, link, practical, type MountBar } from './bar.ts';
import { componentContract } from './component-contract.ts';

/**
 * What every bar does with the actions of its menu, whichever framework prints it.
 *
 * @example
 * barActionsContract(mountBar);
 */
export function barActionsContract(mount: MountBar, skipped: SkippedParts = {}): void {
  componentContract('a bar with actions', skipped, (part) => {
    part('actions', { wcag: ['2.1.1', '2.4.3', '4.1.2'], aria: 'button' }, () => {
      test.each(['{Enter}', ' '])('are buttons that report their names, by mouse and by %j', async (key) => {
        const onAction = vi.fn();
        mount({ definition: withActions, onAction });
        await button('Sign in').click();
        await userEvent.keyboard(key);
        expect(onAction.mock.calls).toEqual([['sign-in'], ['sign-in']]);
        expect(element(button('Sign in')).getAttribute('type')).toBe('button');
      });

      test('of a panel close it, and focus is on its trigger', async () => {
        const onAction = vi.fn();
        mount({ definition: withActions, onAction });
        await practical.click();
        await button('Switch scheme').click();
        expect(onAction.mock.calls).toEqual([['switch-scheme']]);
        await expect.element(practical).toHaveFocus();
        await expect.element(practical).toHaveAttribute('aria-expanded', 'false');
      });

      test('of a closed panel take no focus', async () => {
        mount({ definition: withActions });
        await focusOn(practical);
        await userEvent.tab();
        await expect.element(button('Sign in')).toHaveFocus();
      });

      test('of a choice keep focus as one takes the place of the other', async () => {
        const { update } = mount({ definition: withActions });
        await focusOn(button('Sign in'));
        update({ definition: withActions, audience: ['ringer'] });
        await expect.element(button('Sign out')).toHaveFocus();
      });

      test('of a choice have the room of the longest, whoever the visitor turns out to be', async () => {
        const { update } = mount({ definition: withActions, audience: 'unknown' });
        const left = () => element(link('Today')).getBoundingClientRect().left;
        await expect.element(link('Today')).toBeVisible();
        await expect.element(button('Sign in')).not.toBeInTheDocument();
        expect(document.body.textContent).not.toContain('Sign');
        const before = left();
        update({ definition: withActions, audience: ['ringer'] });
        await expect.element(button('Sign out')).toBeVisible();
        expect(left()).toBe(before);
        update({ definition: withActions, audience: [] });
        await expect.element(button('Sign in')).toBeVisible();
        expect(left()).toBe(before);
      });

      test.each(['panel', 'screen'] as const)('of a narrow %s close it, and focus is on its toggle', async (form) => {
        await page.viewport(320, 700);
        const onAction = vi.fn();
        mount({ definition: withActions, onAction, whenNarrow: form });
        const toggle = button('Menu');
        await toggle.click();
        await practical.click();
        await expect.element(link('Visit')).toBeVisible();
        await button('Switch scheme').click();
        expect(onAction.mock.calls).toEqual([['switch-scheme']]);
        await expect.element(toggle).toHaveFocus();
        await expect.element(toggle).toHaveAttribute('aria-expanded', 'false');
      });

      test('stand in the row as links do', async () => {
        mount({ definition: withActions });
        const box = (locator: { element: () => Element }) => element(locator).getBoundingClientRect();
        await expect.element(link('Today')).toBeVisible();
        expect(box(button('Sign in')).top).toBe(box(link('Today')).top);
        expect(box(button('Sign in')).height).toBe(box(link('Today')).height);
      });
    });
  });
}
