import type { WarningCode } from '../../../core/warning-codes.ts';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryKeys } from '../../../core/interaction/memory-keys.ts';
import type { SiteDefinition } from '../../../core/site/definition.ts';
import { bilingual, nested } from '../../sites.ts';
import { componentContract } from './component-contract.ts';
import type { SkippedParts } from '../contract.ts';

/** A page that a contract asks for: those of its parts that are named, in a layout, around the site's pages. */
export interface PageRequest {
  readonly definition: SiteDefinition;
  /** Where the visitor is. */
  readonly url: string;
  readonly notice?: { readonly name: string; readonly text: string };
  readonly bar?: 'static' | 'sticky';
  /** A text beside the content. */
  readonly sidebar?: string;
  /** The names of the languages in their links. */
  readonly languages?: Readonly<Record<string, string>>;
  readonly footer?: { readonly iconsOnly?: boolean; readonly foot?: string };
  /** How high the page's content is: no more than its heading, higher than the window, or there is none at all. */
  readonly content: 'short' | 'long' | 'none';
  readonly onWarning?: (code: WarningCode) => void;
}

/** Shows the page; its properties can be changed, and it can be taken away. */
export type MountPage = (request: PageRequest) => {
  readonly update: (request: PageRequest) => void;
  readonly unmount: () => void;
};

const box = (selector: string) => document.querySelector(selector)?.getBoundingClientRect() ?? new DOMRect();

/**
 * What every notice does, whichever framework prints it.
 *
 * @example
 * noticeContract(mountPage);
 */
export function noticeContract(mount: MountPage, skipped: SkippedParts = {}): void {
  const region = page.getByRole('region', { name: 'Notice' });
  const dismiss = page.getByRole('button', { name: 'Dismiss notice' });
  const withNotice = (name: string): PageRequest => ({
    definition: bilingual,
    url: '/',
    notice: { name, text: 'The causeway floods at noon.' },
    bar: 'static',
    content: 'short',
  });

  componentContract('a strip on top', skipped, (part) => {
    part('a notice', { wcag: ['2.4.3', '1.3.1'], aria: 'region landmark' }, () => {
      beforeEach(() => localStorage.removeItem(memoryKeys.dismissed));
      afterEach(() => localStorage.removeItem(memoryKeys.dismissed));

      test('goes for good when it is dismissed, and focus goes on to what comes after it', async () => {
        const { unmount } = mount(withNotice('flood'));
        await expect.element(region).toHaveTextContent('The causeway floods at noon.');
        (dismiss.element() as HTMLElement).focus();
        await userEvent.keyboard('{Enter}');
        await expect.element(region).not.toBeInTheDocument();
        await expect.element(page.getByRole('link', { name: 'Marram' })).toHaveFocus();
        unmount();
        mount(withNotice('flood'));
        await expect.element(page.getByRole('main')).toBeVisible();
        await expect.element(region).not.toBeInTheDocument();
      });

      test('of another name is another one', async () => {
        const { update } = mount(withNotice('one'));
        await dismiss.click();
        await expect.element(region).not.toBeInTheDocument();
        update(withNotice('two'));
        await expect.element(region).toBeVisible();
      });

      test('that storage will not remember goes all the same', async () => {
        const refuse = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
          throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
        });
        mount(withNotice('refused'));
        await dismiss.click();
        await expect.element(region).not.toBeInTheDocument();
        refuse.mockRestore();
      });

      test.each(['no JSON', '{"flood":true}', '[1,null]'])('is shown where %s lies in its place', async (stored) => {
        localStorage.setItem(memoryKeys.dismissed, stored);
        mount(withNotice(`after ${stored}`));
        await expect.element(region).toBeVisible();
      });
    });
  });
}

/**
 * What every footer does.
 *
 * @example
 * footerContract(mountPage);
 */
export function footerContract(mount: MountPage, skipped: SkippedParts = {}): void {
  const footer = page.getByRole('navigation', { name: 'Footer' });
  const request: PageRequest = { definition: bilingual, url: '/hides', content: 'short' };

  componentContract('the foot of a page', skipped, (part) => {
    part('the footer', { wcag: ['1.3.1', '2.4.5'], aria: 'navigation landmark' }, () => {
      test('names each group’s list by its title, and marks where one is', async () => {
        mount({ ...request, footer: { foot: 'Invented, 2026' } });
        await expect.element(footer).toBeVisible();
        await expect.element(page.getByRole('heading', { name: 'Watch', level: 2 })).toBeVisible();
        const list = page.getByRole('list', { name: 'Watch' });
        await expect.element(list.getByRole('link', { name: 'Hides' })).toHaveAttribute('aria-current', 'page');
        await list.getByRole('link', { name: 'Visit' }).click();
        await expect.element(list.getByRole('link', { name: 'Visit' })).toHaveAttribute('aria-current', 'page');
        await expect.element(list.getByRole('link', { name: 'Hides' })).not.toHaveAttribute('aria-current');
        await expect.element(page.getByText('Invented, 2026')).toBeVisible();
      });

      test('marks a page that titles its group only where one is on it, and else what is in it', async () => {
        const definition = { ...nested, menus: { main: [], footer: [{ entry: 'hides', depth: 2 }] } };
        mount({ definition, url: '/hides', footer: {}, content: 'short' });
        const link = (name: string) => footer.getByRole('link', { name, exact: true });
        await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
        await link('Reedbed Hide').click();
        await expect.element(link('Reedbed Hide')).toHaveAttribute('aria-current', 'page');
        await expect.element(link('Hides')).not.toHaveAttribute('aria-current');
      });

      test('icons alone keep the names, and an item without an icon keeps its label', async () => {
        mount({ ...request, footer: { iconsOnly: true } });
        await expect.poll(() => footer.getByRole('link').elements().length).toBe(5);
        for (const [name, isHidden] of [
          ['Today', true],
          ['Hides', true],
          ['Visit', false],
        ] as const) {
          const link = footer.getByRole('link', { name, exact: true }).last().element() as HTMLElement;
          const label = [...link.querySelectorAll<HTMLElement>('*')].find(({ textContent }) => textContent === name);
          expect([name, (label?.offsetWidth ?? 0) <= 2]).toEqual([name, isHidden]);
          expect(Math.min(link.offsetWidth, link.offsetHeight)).toBeGreaterThanOrEqual(24);
        }
      });
    });
  });
}

/**
 * What every list of languages does.
 *
 * @example
 * languagesContract(mountPage);
 */
export function languagesContract(mount: MountPage, skipped: SkippedParts = {}): void {
  componentContract('a list of languages', skipped, (part) => {
    part('languages', { wcag: ['3.1.2', '2.4.5'], aria: 'navigation landmark' }, () => {
      test('a language leads to the same page in it, and says which language it is in', async () => {
        const names = { cy: 'Cymraeg', en: 'English' };
        mount({ definition: bilingual, url: '/hides', languages: names, bar: 'static', content: 'short' });
        const languages = page.getByRole('navigation', { name: 'Language' });
        await expect.element(languages.getByRole('link', { name: 'English' })).toHaveAttribute('aria-current', 'true');
        const welsh = languages.getByRole('link', { name: 'Cymraeg' });
        await expect.element(welsh).toHaveAttribute('href', '/cy/cuddfannau');
        await expect.element(welsh).toHaveAttribute('lang', 'cy');
        await welsh.click();
        await expect
          .element(page.getByRole('banner').getByRole('link', { name: 'Cuddfannau' }))
          .toHaveAttribute('aria-current', 'page');
      });
    });
  });
}

/**
 * What every layout does.
 *
 * @example
 * layoutContract(mountPage);
 */
export function layoutContract(mount: MountPage, skipped: SkippedParts = {}): void {
  const request: PageRequest = {
    definition: bilingual,
    url: '/',
    bar: 'static',
    sidebar: 'Beside',
    footer: {},
    content: 'short',
  };

  componentContract('the parts of a page', skipped, (part) => {
    part('a layout', { wcag: ['1.3.1', '2.4.1'], aria: 'landmark regions' }, () => {
      test('puts each part in its place, and the footer at the foot of the window', async () => {
        mount({ ...request, notice: { name: 'layout', text: 'Mind the step' } });
        await expect.element(page.getByRole('heading', { name: 'Today' })).toBeVisible();
        const beside = () => page.getByText('Beside').element().getBoundingClientRect();
        expect(page.getByText('Mind the step').element().getBoundingClientRect().bottom).toBeLessThanOrEqual(
          box('header').top,
        );
        expect(box('header').bottom).toBeLessThanOrEqual(box('main').top);
        expect(beside().right).toBeLessThanOrEqual(box('main').left);
        expect(Math.round(box('footer').bottom)).toBe(800);
        await page.viewport(320, 700);
        expect(beside().bottom).toBeLessThanOrEqual(box('main').top);
        expect(document.documentElement.scrollWidth).toBe(320);
      });

      test('lets a pinned bar stay as far as the page goes', async () => {
        mount({ ...request, bar: 'sticky', content: 'long' });
        await expect.element(page.getByRole('heading', { name: 'Today' })).toBeVisible();
        window.scrollTo(0, 900);
        await expect.poll(() => box('header').top).toBe(0);
        expect(window.scrollY).toBe(900);
      });

      test('that shows no content says so while it is being made', async () => {
        const warned = vi.fn();
        mount({ ...request, content: 'none', onWarning: warned });
        await expect.poll(() => warned.mock.calls).toEqual([['layout-without-content']]);
      });
    });
  });
}
