import type { TabsOptions } from '../../../core/view/component-options.ts';
import { beforeEach, describe, expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import type { SiteDefinition } from '../../../core/site/definition.ts';
import type { TabDescription } from '../../../core/view/tabs-view.ts';
import { desk } from '../../sites.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/** Tabs that a contract asks for. Each panel holds the text "About" with the tab's label, and a field. */
export interface TabsRequest extends TabsOptions {
  /** Where the visitor is; null for where the browser is, as after a reload. Default: `/`. */
  readonly url?: string | null;
}

/** Shows tabs with the label "Curlew"; their properties can be changed, and they can be taken away. */
export type MountTabs = (request: TabsRequest) => {
  readonly update: (request: TabsRequest) => void;
  readonly unmount: () => void;
};

const tablist = page.getByRole('tablist', { name: 'Curlew' });
const tab = (name: string) => tablist.getByRole('tab', { name, exact: true });
const panel = (name: string) => page.getByRole('tabpanel', { name, exact: true });
const html = (locator: { element: () => Element }) => locator.element() as HTMLElement;
const box = (locator: { element: () => Element }) => locator.element().getBoundingClientRect();

const named = (...labels: readonly string[]): readonly TabDescription[] =>
  labels.map((label) => ({ id: label.toLowerCase(), label }));
const four = named('Overview', 'Sightings', 'Sounds', 'Records');
const withDisabled = four.map((one) => (one.id === 'sounds' ? { ...one, disabled: true } : one));
const many = named(...Array.from({ length: 24 }, (_, index) => `Tab number ${index}`));

const selected = () =>
  tablist
    .getByRole('tab')
    .elements()
    .filter((element) => element.getAttribute('aria-selected') === 'true')
    .map((element) => element.textContent);

/**
 * What tabs with panels do, whichever framework prints them (ARIA Authoring Practices, tabs pattern).
 *
 * @example
 * tabsContract(mountTabs);
 */
export function tabsContract(mount: MountTabs, skipped: SkippedParts = {}): void {
  componentContract('a set of tabs', skipped, (part) => {
    part('tabs', { wcag: ['2.1.1', '2.4.3', '4.1.2'], aria: 'tabs' }, () => {
      test('show the panel of the selected one, and name it', async () => {
        mount({ tabs: four });
        await expect.element(panel('Overview')).toHaveTextContent('About Overview');
        await expect.element(tab('Overview')).toHaveAttribute('aria-selected', 'true');
        await tab('Records').click();
        await expect.element(panel('Records')).toBeVisible();
        await expect.element(panel('Overview')).not.toBeInTheDocument();
        expect(selected()).toEqual(['Records']);
        expect(document.getElementById(tab('Records').element().getAttribute('aria-controls') ?? '')).toBe(
          panel('Records').element(),
        );
      });

      test('are one stop for Tab, which leads on to the panel', async () => {
        mount({ tabs: four, initial: 'sightings' });
        await expect.element(tab('Sightings')).toBeVisible();
        html(page.getByRole('link', { name: 'Before' })).focus();
        await userEvent.tab();
        await expect.element(tab('Sightings')).toHaveFocus();
        await userEvent.tab();
        await expect.element(panel('Sightings')).toHaveFocus();
        await userEvent.tab({ shift: true });
        await expect.element(tab('Sightings')).toHaveFocus();
      });

      test.each(['ltr', 'rtl'] as const)('are walked by arrows, Home and End (%s)', async (direction) => {
        document.documentElement.dir = direction;
        const [forward, backward] = direction === 'ltr' ? ['ArrowRight', 'ArrowLeft'] : ['ArrowLeft', 'ArrowRight'];
        mount({ tabs: withDisabled });
        await expect.element(tab('Overview')).toBeVisible();
        html(tab('Overview')).focus();
        await userEvent.keyboard(`{${forward}}{${forward}}`);
        await expect.element(tab('Records')).toHaveFocus();
        expect(selected()).toEqual(['Records']);
        await userEvent.keyboard(`{${forward}}`);
        await expect.element(tab('Overview')).toHaveFocus();
        await userEvent.keyboard(`{${backward}}{Home}{End}`);
        await expect.element(tab('Records')).toHaveFocus();
      });

      test('that stand below each other are walked up and down', async () => {
        mount({ tabs: four, orientation: 'vertical' });
        await expect.element(tablist).toHaveAttribute('aria-orientation', 'vertical');
        html(tab('Overview')).focus();
        await userEvent.keyboard('{ArrowRight}');
        expect(selected()).toEqual(['Overview']);
        await userEvent.keyboard('{ArrowDown}');
        await expect.element(tab('Sightings')).toHaveFocus();
        expect(box(tab('Sightings')).top).toBeGreaterThanOrEqual(box(tab('Overview')).bottom - 1);
        expect(box(panel('Sightings')).left).toBeGreaterThan(box(tab('Overview')).right - 1);
      });

      test('activated by hand are selected by Enter or Space', async () => {
        mount({ tabs: four, activation: 'manual' });
        await expect.element(tab('Overview')).toBeVisible();
        html(tab('Overview')).focus();
        await userEvent.keyboard('{ArrowRight}');
        await expect.element(tab('Sightings')).toHaveFocus();
        expect(selected()).toEqual(['Overview']);
        await userEvent.keyboard('{Enter}');
        await expect.element(panel('Sightings')).toBeVisible();
        await userEvent.keyboard('{ArrowRight} ');
        await expect.element(panel('Sounds')).toBeVisible();
      });

      test('that are disabled can be read and not selected', async () => {
        mount({ tabs: withDisabled });
        await expect.element(tab('Sounds')).toBeDisabled();
        html(tab('Sounds')).click();
        expect(selected()).toEqual(['Overview']);
      });

      test('give way to the next one when the selected one goes, with focus only where it was within', async () => {
        const { update } = mount({ tabs: four, initial: 'sightings' });
        await expect.element(panel('Sightings')).toBeVisible();
        html(panel('Sightings')).focus();
        update({ tabs: four.filter(({ id }) => id !== 'sightings') });
        await expect.element(tab('Sounds')).toHaveFocus();
        html(page.getByRole('link', { name: 'Before' })).focus();
        update({ tabs: named('Overview') });
        await expect.element(panel('Overview')).toBeVisible();
        await expect.element(page.getByRole('link', { name: 'Before' })).toHaveFocus();
        update({ tabs: [] });
        await expect.element(panel('Overview')).not.toBeInTheDocument();
      });

      test('keep what was done in a panel that was visited, and have no other in the document', async () => {
        mount({ tabs: four, panels: 'visited' });
        await expect.element(panel('Overview')).toBeVisible();
        expect(document.querySelectorAll('[role=tabpanel]').length).toBe(1);
        await panel('Overview').getByRole('textbox').fill('written');
        await tab('Records').click();
        await expect.element(panel('Records')).toBeVisible();
        await tab('Overview').click();
        await expect.element(panel('Overview').getByRole('textbox')).toHaveValue('written');
        expect(document.querySelectorAll('[role=tabpanel]').length).toBe(2);
      });

      test('of which only the selected one is in the document name no other', async () => {
        mount({ tabs: four, panels: 'selected' });
        await tab('Records').click();
        await expect.element(panel('Records')).toBeVisible();
        expect(document.querySelectorAll('[role=tabpanel]').length).toBe(1);
        expect(document.querySelectorAll('[role=tab][aria-controls]').length).toBe(1);
      });
    });

    part('tabs in the address', { wcag: ['2.4.5'], aria: 'tabs' }, () => {
      describe.each([
        ['the query', { query: 'tab' }, '/?tab=sounds&x=1', '?tab=records'],
        ['the hash', 'hash', '/#sounds', '#records'],
      ] as const)('tabs in %s', (_, linkedTo, url, written) => {
        test('can be sent to someone, and do not fill the history', async () => {
          const { unmount } = mount({ tabs: four, linkedTo, url });
          await expect.element(panel('Sounds')).toBeVisible();
          const before = history.length;
          window.scrollTo(0, 40);
          html(tab('Records')).focus({ preventScroll: true });
          html(tab('Records')).click();
          await expect.element(panel('Records')).toBeVisible();
          expect(location.href).toContain(written.slice(1));
          expect(history.length).toBe(before);
          expect(window.scrollY).toBe(40);
          await expect.element(tab('Records')).toHaveFocus();
          unmount();
          mount({ tabs: four, linkedTo, url: null });
          await expect.element(panel('Records')).toBeVisible();
        });

        test('begin with the first where the address names none of them', async () => {
          mount({ tabs: four, linkedTo, url: '/?tab=nothing#%E0%A4%A' });
          await expect.element(panel('Overview')).toBeVisible();
        });
      });
    });

    part('a row of tabs', { wcag: ['1.4.10', '2.4.7'], aria: 'tabs' }, () => {
      test.each(['natural', 'filling'] as const)(
        'with %s widths stands in one row, and scrolls to the selected one',
        async (widths) => {
          await page.viewport(320, 700);
          mount({ tabs: many, widths, initial: 'tab number 15' });
          await expect.element(tab('Tab number 15')).toBeVisible();
          const inside = () => box(tab('Tab number 15')).left >= 0 && box(tab('Tab number 15')).right <= 320;
          await expect.poll(inside).toBe(true);
          const tops = new Set(many.map(({ label }) => Math.round(box(tab(label)).top)));
          expect(tops.size).toBe(1);
          expect(document.documentElement.scrollWidth).toBe(320);
          // There is more at both sides, and the edges show it.
          expect(getComputedStyle(html(tablist)).maskImage).toContain('gradient');
          html(tab('Tab number 15')).focus();
          await userEvent.keyboard('{End}');
          await expect.poll(() => box(tab('Tab number 23')).right).toBeLessThan(321);
        },
      );

      test('with room fills it as asked, and has no fading edge', async () => {
        mount({ tabs: four, widths: 'filling' });
        await expect.element(tab('Records')).toBeVisible();
        expect(Math.abs(box(tab('Records')).right - box(tablist).right)).toBeLessThan(2);
        expect(getComputedStyle(html(tablist)).maskImage).toBe('none');
      });
    });
  });
}

/** Links that look like tabs. */
export interface TabLinksRequest {
  readonly definition: SiteDefinition;
  readonly url: string;
  readonly widths?: 'natural' | 'filling';
}

/** Shows the menu `strip`, under the label "Beside each other". */
export type MountTabLinks = (request: TabLinksRequest) => void;

/**
 * What every strip of links that looks like tabs does, whichever framework prints it.
 *
 * @example
 * tabLinksContract(mountTabLinks);
 */
export function tabLinksContract(mount: MountTabLinks, skipped: SkippedParts = {}): void {
  const strip = page.getByRole('navigation', { name: 'Beside each other' });
  const link = (name: string) => strip.getByRole('link', { name, exact: true });
  const definition: SiteDefinition = {
    ...desk,
    menus: { main: [], strip: ['desk', 'rota', { entry: 'nets', depth: 2 }, 'spring'] },
  };
  const entries = Array.from({ length: 20 }, (_, index) => ({
    id: `e${index}`,
    label: `Page ${index}`,
    href: `/p${index}`,
  }));
  const long: SiteDefinition = { name: 'Marram', entries, menus: { main: [], strip: entries.map(({ id }) => id) } };

  componentContract('a strip of links', skipped, (part) => {
    part('links that look like tabs', { wcag: ['2.4.8', '4.1.2'], aria: 'aria-current' }, () => {
      beforeEach(() => page.viewport(1280, 800));

      test('say which page is current, and follow it', async () => {
        mount({ definition, url: '/rota' });
        await expect.element(link('Rota')).toHaveAttribute('aria-current', 'page');
        await link('Spring').click();
        await expect.element(link('Spring')).toHaveAttribute('aria-current', 'page');
        await expect.element(link('Rota')).not.toHaveAttribute('aria-current');
      });

      test('may hold one with a panel, which is not cut off where the strip scrolls', async () => {
        await page.viewport(320, 700);
        mount({ definition, url: '/' });
        const trigger = strip.getByRole('button', { name: 'Pages in Nets' });
        await trigger.click();
        await expect.element(link('Garden nets')).toBeVisible();
        await expect.poll(() => box(link('Garden nets')).right).toBeLessThanOrEqual(320);
        expect(box(link('Garden nets')).top).toBeGreaterThanOrEqual(box(trigger).bottom - 1);
        const { left, top } = box(link('Garden nets'));
        expect(document.elementFromPoint(left + 20, top + 10)?.closest('a')).toBe(html(link('Garden nets')));
        await userEvent.keyboard('{Escape}');
        await expect.element(trigger).toHaveFocus();
      });

      test('stand in one row that scrolls to the current one', async () => {
        await page.viewport(320, 700);
        mount({ definition: long, url: '/p12' });
        await expect.poll(() => box(link('Page 12')).right).toBeLessThanOrEqual(320);
        expect(box(link('Page 0')).top).toBe(box(link('Page 19')).top);
        expect(document.documentElement.scrollWidth).toBe(320);
      });

      test('share the room as asked', async () => {
        mount({ definition, url: '/', widths: 'filling' });
        await expect.element(link('Spring')).toBeVisible();
        expect(Math.abs(box(link('Spring')).right - box(strip).right)).toBeLessThan(2);
      });
    });
  });
}
