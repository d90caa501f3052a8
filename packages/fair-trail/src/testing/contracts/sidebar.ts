import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import type { SiteDefinition, SiteRecords } from '../../core/index.ts';
import { memoryKeys } from '../../dom/index.ts';

/** A sidebar that a contract asks for, with the menu `desk`, in a layout beside the site's pages. */
export interface SidebarRequest {
  /** Default: `desk`. */
  readonly definition?: SiteDefinition;
  /** Where the visitor is; null for where the browser is, as after a reload. Default: `/`. */
  readonly url?: string | null;
  readonly records?: SiteRecords;
  readonly groups?: 'one' | 'many';
  readonly search?: boolean;
  readonly rail?: boolean;
  readonly whenNarrow?: 'cover' | 'above';
  readonly alwaysToggle?: boolean;
  readonly annex?: readonly string[];
  /** Whether it carries a text below an annex's list. */
  readonly panel?: boolean;
  readonly markers?: Readonly<Record<string, string>>;
}

/** Shows it. The visitor's way is kept in the browser's own history. */
export type MountSidebar = (request: SidebarRequest) => {
  readonly update: (request: SidebarRequest) => void;
  readonly unmount: () => void;
};

const navigation = page.getByRole('navigation', { name: 'Sidebar' });
const link = (name: string) => navigation.getByRole('link', { name, exact: true });
const button = (name: string) => navigation.getByRole('button', { name, exact: true });
const nets = button('Pages in Nets');
const instruments = button('Instruments');
const menu = page.getByRole('button', { name: 'Menu' });
const autumn = button('Autumn');
const spring = button('Spring');
const annex = (name: string) => page.getByRole('navigation', { name, exact: true });
const html = (locator: { element: () => Element }) => locator.element() as HTMLElement;
const box = (locator: { element: () => Element }) => locator.element().getBoundingClientRect();

/** The links of the sidebar that can be seen, in the order of the document. */
function seen(): string[] {
  return [...document.querySelectorAll('nav[aria-label="Sidebar"] a')]
    .filter((one) => one.checkVisibility({ visibilityProperty: true }) && one.closest('[inert]') === null)
    .map((one) => one.textContent);
}

const sessions = ['04-sep', '13-sep', '22-sep'].map((day) => ({ params: { day }, label: `Session of ${day}` }));
const withSessions = { records: { sessions } };

export function sidebarContract(mount: MountSidebar): void {
  const forget = () => {
    for (const key of Object.values(memoryKeys)) localStorage.removeItem(key);
  };
  beforeEach(forget);
  afterEach(forget);

  describe('the groups of a sidebar', () => {
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

    test('have lists that are on their way, empty, or could not be had', async () => {
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

  describe('a long list', () => {
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

  describe('a field that filters', () => {
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

  describe('a rail', () => {
    const narrow = page.getByRole('button', { name: 'Narrow to icons' });
    const widen = page.getByRole('button', { name: 'Widen to labels' });
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

  describe('an annex', () => {
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
      await page.getByRole('button', { name: 'Narrow to icons' }).click();
      await expect.element(annex('Autumn')).not.toBeInTheDocument();
      await autumn.click();
      await expect.element(annex('Autumn')).toBeVisible();
      expect(box(annex('Autumn')).left).toBeLessThan(120);
      await page.getByRole('button', { name: 'Widen to labels' }).click();
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

    test('that the address asks for and there is none is none', async () => {
      mount({ ...request, url: '/?annex=gone' });
      await expect.element(link('Data desk')).toBeVisible();
      expect(document.querySelectorAll('nav').length).toBe(1);
    });
  });

  describe('where room is short', () => {
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
    expect(box(page.getByRole('main')).left).toBeLessThan(20);
    await menu.click();
    await expect.element(link('Rota')).toBeVisible();
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
}
