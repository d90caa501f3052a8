import type { BreadcrumbsOptions } from '../../../core/view/component-options.ts';
import { expect, test } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import type { SiteRecords } from '../../../core/site/records.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/** Breadcrumbs of the site `deep` that a contract asks for, above a page that begins with the text "Content". */
export interface BreadcrumbsRequest extends BreadcrumbsOptions {
  readonly url: string;
  readonly records?: SiteRecords;
  /** A text between steps. */
  readonly separator?: string;
}

/** Shows them; their properties can be changed. */
export type MountBreadcrumbs = (request: BreadcrumbsRequest) => {
  readonly update: (request: BreadcrumbsRequest) => void;
};

const way = page.getByRole('navigation', { name: 'Breadcrumbs' });
const link = (name: string) => way.getByRole('link', { name, exact: true });
const html = (locator: { element: () => Element }) => locator.element() as HTMLElement;
const box = (locator: { element: () => Element }) => locator.element().getBoundingClientRect();
const round = '/log/seasons/autumn/11-oct/2';
const unfold = way.getByRole('button', { name: /^Show \d more steps$/u });

/** The steps that can be seen, in their order. */
const seen = () =>
  [...html(way).querySelectorAll('ol > li > :is(a, span[class*="text"], button)')]
    .filter((element) => element.checkVisibility())
    .map((element) => element.getAttribute('aria-label') ?? element.textContent);

const lines = () =>
  new Set(
    [...html(way).querySelectorAll('ol > li')]
      .filter((element) => element.checkVisibility())
      .map((element) => Math.round(element.getBoundingClientRect().top)),
  ).size;

/**
 * What every way to a page does, whichever framework prints it.
 *
 * @example
 * breadcrumbsContract(mountBreadcrumbs);
 */
export function breadcrumbsContract(mount: MountBreadcrumbs, skipped: SkippedParts = {}): void {
  componentContract('the way to a page', skipped, (part) => {
    part('breadcrumbs', { wcag: ['2.4.8', '1.4.10', '1.3.1'], aria: 'breadcrumb' }, () => {
      test('lead from the home page to the current one, which says so and is no link', async () => {
        mount({ url: round });
        await expect.element(link('Today')).toBeVisible();
        expect(seen()).toEqual([
          'Today',
          'Ringing log',
          'Seasons of the observatory',
          'Autumn migration 2026',
          '11-oct',
          'Net round 2',
        ]);
        await expect.element(way.getByText('Net round 2')).toBeVisible();
        expect([...html(way).querySelectorAll('[aria-current=page]')].map(({ textContent }) => textContent)).toEqual([
          'Net round 2',
        ]);
        await expect.element(way.getByRole('link', { name: 'Net round 2' })).not.toBeInTheDocument();
      });

      test('may have the current one as a link', async () => {
        mount({ url: round, current: 'link' });
        await expect.element(link('Net round 2')).toHaveAttribute('aria-current', 'page');
        await expect.element(link('Net round 2')).toHaveAttribute('href', round);
      });

      test('are none on the home page, and have no current one where the page is unknown', async () => {
        const { update } = mount({ url: '/' });
        await expect.element(page.getByText('Content')).toBeVisible();
        await expect.element(way).not.toBeInTheDocument();
        update({ url: '/log/nothing' });
        await expect.element(link('Ringing log')).toBeVisible();
        expect(html(way).querySelector('[aria-current]')).toBe(null);
      });

      test('fold to fit one line, and unfold in place with focus on the first that was hidden', async () => {
        mount({ url: round });
        await page.viewport(480, 700);
        await expect.element(unfold).toHaveAttribute('aria-expanded', 'false');
        expect(lines()).toBe(1);
        expect(document.documentElement.scrollWidth).toBe(480);
        expect(seen()[0]).toBe('Today');
        expect(seen().slice(-2)).toEqual(['11-oct', 'Net round 2']);
        html(unfold).focus();
        await userEvent.keyboard('{Enter}');
        await expect.element(link('Ringing log')).toHaveFocus();
        expect(seen().length).toBe(6);
        expect(document.documentElement.scrollWidth).toBe(480);
        await expect.element(unfold).not.toBeInTheDocument();
      });

      test('fold no more than must, and again as the room changes', async () => {
        mount({ url: round });
        await expect.element(link('Ringing log')).toBeVisible();
        expect(seen().length).toBe(6);
        await page.viewport(620, 700);
        await expect.element(unfold).toHaveAccessibleName('Show 2 more steps');
        await page.viewport(320, 700);
        await expect.element(unfold).toHaveAccessibleName('Show 3 more steps');
        await page.viewport(1280, 700);
        await expect.element(unfold).not.toBeInTheDocument();
      });

      test('fold again for another page with as many steps', async () => {
        await page.viewport(620, 700);
        const { update } = mount({ url: '/log/seasons/spring' });
        await expect.element(link('Ringing log')).toBeVisible();
        await expect.element(unfold).not.toBeInTheDocument();
        update({ url: '/log/seasons/winter' });
        await expect.element(unfold).toBeVisible();
        update({ url: '/log/seasons/spring' });
        await expect.element(unfold).not.toBeInTheDocument();
      });

      test('fold as asked, whatever the room', async () => {
        const { update } = mount({ url: round, fold: 'always', keepFirst: 2, keepLast: 1 });
        await expect.element(unfold).toHaveAccessibleName('Show 3 more steps');
        expect(seen()).toEqual(['Today', 'Ringing log', 'Show 3 more steps', 'Net round 2']);
        update({ url: round, fold: 'never' });
        await page.viewport(320, 700);
        await expect.element(link('Ringing log')).toBeVisible();
        expect(seen().length).toBe(6);
        expect(document.documentElement.scrollWidth).toBe(320);
      });

      test('cut what does not fit into the smallest window, and never wrap by themselves', async () => {
        mount({ url: round });
        document.documentElement.style.fontSize = '200%';
        await page.viewport(320, 700);
        await expect.element(unfold).toBeVisible();
        await expect.poll(lines).toBe(1);
        expect(document.documentElement.scrollWidth).toBe(320);
      });

      test('show the parent alone where room is short, as asked', async () => {
        mount({ url: round, whenNarrow: 'parent' });
        await expect.element(link('Today')).toBeVisible();
        await page.viewport(320, 700);
        await expect.poll(seen).toEqual(['11-oct']);
        await expect.element(link('11-oct')).toHaveAttribute('href', '/log/seasons/autumn/11-oct');
      });

      test('take labels from records that come late, and nothing below them moves', async () => {
        const { update } = mount({ url: round, records: { sessions: 'loading' } });
        await expect.element(link('11-oct')).toBeVisible();
        const { top } = box(page.getByText('Content'));
        update({ url: round, records: { sessions: [{ params: { day: '11-oct' }, label: 'Session of 11 October' }] } });
        await expect.element(link('Session of 11 October')).toBeVisible();
        expect(box(page.getByText('Content')).top).toBe(top);
        update({ url: round, records: { sessions: 'failed' } });
        await expect.element(link('11-oct')).toBeVisible();
      });

      test('have a separator that no one hears', async () => {
        mount({ url: round, separator: '→' });
        await expect.element(link('Today')).toBeVisible();
        const separators = [...html(way).querySelectorAll('[aria-hidden=true]')];
        expect(separators.map(({ textContent }) => textContent)).toEqual(['→', '→', '→', '→', '→']);
        await expect.element(way.getByRole('listitem').nth(1)).toHaveTextContent('Ringing log');
      });

      test('show what stands beside a step', async () => {
        mount({ url: '/log/seasons/autumn', siblings: true });
        const beside = way.getByRole('button', { name: 'Pages beside Autumn migration 2026' });
        await beside.click();
        await expect.element(link('Spring migration 2026')).toBeVisible();
        await expect.element(link('Autumn migration 2026')).toHaveAttribute('aria-current', 'page');
        await expect.poll(() => box(link('Spring migration 2026')).top).toBeGreaterThanOrEqual(box(beside).bottom - 1);
        html(beside).focus();
        await userEvent.keyboard('{ArrowDown}{ArrowDown}');
        await expect.element(link('Spring migration 2026')).toHaveFocus();
        await userEvent.keyboard('{Escape}');
        await expect.element(beside).toHaveFocus();
        await expect.element(link('Spring migration 2026')).not.toBeInTheDocument();
        await expect
          .element(way.getByRole('button', { name: 'Pages beside Seasons of the observatory' }))
          .not.toBeInTheDocument();
      });

      test('are in the document for machines too, as asked', async () => {
        mount({ url: '/log/seasons', structuredData: true });
        await expect.element(link('Today')).toBeVisible();
        const data = document.querySelector('script[type="application/ld+json"]')?.textContent ?? '{}';
        const { itemListElement } = JSON.parse(data) as { itemListElement: { name: string; item?: string }[] };
        expect(itemListElement.map(({ name, item }) => [name, item])).toEqual([
          ['Today', 'https://marram.example/'],
          ['Ringing log', 'https://marram.example/log'],
          ['Seasons of the observatory', undefined],
        ]);
      });
    });
  });
}
