import { afterEach, describe, expect, test } from 'vitest';
import { commands, page, userEvent } from 'vitest/browser';
import type { NarrowForm, SiteDefinition } from '../../core/index.ts';

/** A bar that a contract asks for. */
export interface BarRequest {
  readonly definition: SiteDefinition;
  /** Where the visitor is. Default: `/`. */
  readonly url?: string;
  readonly whenNarrow?: NarrowForm;
  readonly alwaysToggle?: boolean;
  readonly hoverOpens?: boolean;
  readonly held?: string;
  readonly pinned?: 'sticky' | 'fixed';
  readonly givesWay?: 'shrink' | 'hide';
  readonly backdrop?: 'panels' | 'menu' | 'both';
  /** Whether there is a button after the menu. */
  readonly end?: boolean;
}

/** Shows a bar for the menu `main`, and below it a page long enough to be scrolled; takes the last one away. */
export type MountBar = (request: BarRequest) => { readonly update: (request: BarRequest) => void };

/** Pages with others below them, a group without a page, and plain ones, among them one after the panels. */
export const nested: SiteDefinition = {
  name: 'Marram',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    {
      id: 'hides',
      label: 'Hides',
      href: '/hides',
      entries: [
        { id: 'reedbed', label: 'Reedbed Hide', href: '/hides/reedbed' },
        { id: 'lantern', label: 'Lantern Room', href: '/hides/lantern' },
      ],
    },
    {
      id: 'practical',
      label: 'Practical',
      entries: [
        { id: 'visit', label: 'Visit', href: '/visit' },
        { id: 'book', label: 'Book', href: '/book' },
      ],
    },
    { id: 'about', label: 'About', href: '/about' },
  ],
  menus: { main: ['today', { entry: 'hides', depth: 2 }, { entry: 'practical', depth: 2 }, 'about'] },
};

const navigation = page.getByRole('navigation', { name: 'Main' });
const link = (name: string) => navigation.getByRole('link', { name, exact: true });
const button = (name: string) => navigation.getByRole('button', { name, exact: true });
const hides = button('Pages in Hides');
const practical = button('Practical');
const element = (locator: { element: () => Element }) => locator.element() as HTMLElement;

/** The links that can be seen, in the order of the document. */
function seen(): string[] {
  return [...document.querySelectorAll('nav[aria-label="Main"] a')]
    .filter((one) => one.checkVisibility({ visibilityProperty: true }) && one.closest('[inert]') === null)
    .map((one) => one.textContent);
}

function rectangles(selectors: readonly string[]): unknown[] {
  return selectors.flatMap((selector) =>
    [...document.querySelectorAll(selector)].map((one) => one.getBoundingClientRect().toJSON() as unknown),
  );
}

async function focusOn(locator: { element: () => Element }): Promise<void> {
  await expect.poll(() => element(locator).isConnected).toBe(true);
  element(locator).focus();
}

/** What every bar with panels does, whichever framework prints it. */
export function barPanelsContract(mount: MountBar): void {
  describe('panels under the items of a bar', () => {
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
      await page.getByRole('main').click({ position: { x: 5, y: 300 } });
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
      await page.getByRole('main').click({ position: { x: 5, y: 300 } });
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
  });

  describe('hover', () => {
    const over = async (locator: { element: () => Element }) => {
      await userEvent.hover(element(locator));
    };

    test('opens nothing where nobody asked for it', async () => {
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
}

/** What becomes of a bar where room is short, in each of its forms. */
export function barNarrowContract(mount: MountBar): void {
  const menu = button('Menu');
  const more = button('More');

  describe('a narrow bar', () => {
    test('its groups open in place, several at a time, and push what is below', async () => {
      await page.viewport(320, 700);
      mount({ definition: nested });
      await menu.click();
      await expect.element(practical).toBeVisible();
      // Of the toggle, since what is pressed may be scrolled into view.
      const distance = () =>
        element(link('About')).getBoundingClientRect().top - element(menu).getBoundingClientRect().top;
      const before = distance();
      await hides.click();
      await practical.click();
      await expect.poll(seen).toEqual(['Today', 'Hides', 'Reedbed Hide', 'Lantern Room', 'Visit', 'Book', 'About']);
      await expect.poll(distance).toBeGreaterThan(before + 100);
      await userEvent.keyboard('{Escape}');
      await expect.poll(seen).toEqual(['Today', 'Hides', 'Reedbed Hide', 'Lantern Room', 'About']);
    });

    test('becoming wide closes them, and one at a time is open again', async () => {
      await page.viewport(320, 700);
      mount({ definition: nested });
      await menu.click();
      await hides.click();
      await expect.element(link('Lantern Room')).toBeVisible();
      await page.viewport(1280, 800);
      await expect.poll(seen).toEqual(['Today', 'Hides', 'About']);
    });
  });

  describe('a menu over the whole screen', () => {
    test('covers the page, which is inert and does not scroll, until it is closed', async () => {
      await page.viewport(320, 700);
      mount({ definition: nested, whenNarrow: 'screen', end: true });
      await menu.click();
      const main = page.getByRole('main', { includeHidden: true }).element();
      await expect.element(button('Close')).toHaveFocus();
      expect(main.closest('[inert]') ?? main.parentElement?.closest('[inert]')).not.toBeNull();
      expect(getComputedStyle(document.documentElement).overflow).toBe('hidden');
      const panel = document.getElementById(element(button('Close')).getAttribute('aria-controls') ?? '');
      const { top, bottom, width } = panel?.getBoundingClientRect() ?? new DOMRect();
      expect([top, bottom, width]).toEqual([0, 700, 320]);
      await userEvent.keyboard('{Escape}');
      await expect.element(menu).toHaveFocus();
      expect([main.closest('[inert]'), document.documentElement.style.overflow]).toEqual([null, '']);
    });

    test('a link that is chosen gives the page back, and focus goes to its heading', async () => {
      await page.viewport(320, 700);
      mount({ definition: nested, whenNarrow: 'screen' });
      await menu.click();
      await link('About').click();
      await expect.element(page.getByRole('heading', { name: 'About' })).toHaveFocus();
      await expect.poll(() => document.querySelector('[inert]')).toBeNull();
    });

    test('can be had at every width', async () => {
      mount({ definition: nested, whenNarrow: 'screen', alwaysToggle: true });
      await expect.element(menu).toBeVisible();
      expect(seen()).toEqual([]);
      await menu.click();
      await expect.poll(seen).toEqual(['Today', 'Hides', 'About']);
    });
  });

  describe('a strip', () => {
    test('scrolls sideways by itself, without a toggle, and shows the marked item', async () => {
      await page.viewport(320, 700);
      mount({ definition: nested, whenNarrow: 'strip', url: '/about' });
      await expect.element(link('About')).toHaveAttribute('aria-current', 'page');
      await expect.poll(() => element(link('About')).getBoundingClientRect().right).toBeLessThanOrEqual(321);
      expect(document.documentElement.scrollWidth).toBe(320);
      await expect.element(menu).not.toBeInTheDocument();
      expect(new Set(rectangles(['nav ul > li > a']).map((one) => (one as DOMRect).top)).size).toBeGreaterThan(0);
    });

    test('a panel is not cut off by it', async () => {
      await page.viewport(320, 700);
      mount({ definition: nested, whenNarrow: 'strip' });
      await practical.click();
      await expect.element(link('Book')).toBeVisible();
      const box = () => element(link('Book')).getBoundingClientRect();
      expect([box().left >= 0, box().right <= 320]).toEqual([true, true]);
      const at = () => document.elementFromPoint(box().left + box().width / 2, box().top + box().height / 2);
      await expect.poll(() => at()?.closest('a')?.textContent).toBe('Book');
    });
  });

  describe('a row of those that fit', () => {
    const inRow = () => {
      const top = element(more).getBoundingClientRect().top;
      return seen().filter((name) => Math.abs(element(link(name)).getBoundingClientRect().top - top) < 10);
    };

    test('holds all of them with room, and no toggle', async () => {
      mount({ definition: nested, whenNarrow: 'more' });
      await expect.element(link('About')).toBeVisible();
      await expect.element(more).not.toBeInTheDocument();
    });

    test('keeps the first ones and the marked one; the others are behind the toggle', async () => {
      await page.viewport(420, 700);
      const { update } = mount({ definition: nested, whenNarrow: 'more', url: '/' });
      await expect.element(more).toBeVisible();
      await expect.poll(seen).not.toContain('About');
      expect(inRow()).toContain('Today');
      update({ definition: nested, whenNarrow: 'more', url: '/about' });
      await expect.poll(inRow).toContain('About');
      await more.click();
      await expect.poll(() => seen().length).toBe(3);
      expect(document.documentElement.scrollWidth).toBeLessThanOrEqual(420);
    });

    test('Tab goes from the toggle into what it shows, and from there on past it', async () => {
      await page.viewport(420, 700);
      mount({ definition: nested, whenNarrow: 'more', url: '/', end: true });
      await more.click();
      await expect.poll(seen).toContain('About');
      const [first] = [...document.querySelectorAll<HTMLElement>('[data-ft-beyond] :is(a, button)')];
      await userEvent.tab();
      expect(document.activeElement).toBe(first);
      await focusOn(link('About'));
      await userEvent.tab();
      await expect.element(page.getByRole('button', { name: 'Sign in' })).toHaveFocus();
    });

    test('focus stays on an entry as the row grows and shrinks', async () => {
      mount({ definition: nested, whenNarrow: 'more', url: '/' });
      await focusOn(link('Today'));
      for (const width of [420, 700, 320, 1280]) {
        await page.viewport(width, 700);
        await expect.element(link('Today')).toHaveFocus();
      }
    });
  });

  describe('a pinned bar', () => {
    /** How far the bar's row lies below the top of the window. */
    const top = () => {
      const { top: linkTop, height } = element(link('About')).getBoundingClientRect();
      return Math.round(linkTop + height / 2);
    };

    test.each(['sticky', 'fixed'] as const)(
      'stays in view (%s), and covers neither the content nor a target',
      async (pinned) => {
        mount({ definition: nested, pinned });
        await expect.element(link('About')).toBeVisible();
        const { bottom } = element(page.getByRole('banner')).getBoundingClientRect();
        expect(element(page.getByRole('heading', { level: 1 })).getBoundingClientRect().top).toBeGreaterThanOrEqual(
          bottom,
        );
        const before = top();
        window.scrollTo(0, 600);
        await expect.poll(top).toBe(before);
        document.querySelector('main p')?.scrollIntoView();
        expect(document.querySelector('main p')?.getBoundingClientRect().top).toBeGreaterThanOrEqual(bottom);
      },
    );

    test('lets go of a window so low that it would take a quarter of it', async () => {
      await page.viewport(1280, 240);
      mount({ definition: nested, pinned: 'sticky' });
      await expect.element(link('About')).toBeVisible();
      window.scrollTo(0, 300);
      await expect.poll(top).toBeLessThan(-100);
    });

    test('that hides goes on the way down, and is back on the way up and where focus is', async () => {
      mount({ definition: nested, pinned: 'sticky', givesWay: 'hide' });
      await expect.element(link('About')).toBeVisible();
      const hidden = () => top() < 0;
      window.scrollTo(0, 600);
      await expect.poll(hidden).toBe(true);
      window.scrollTo(0, 500);
      await expect.poll(hidden).toBe(false);
      window.scrollTo(0, 900);
      await expect.poll(hidden).toBe(true);
      await focusOn(link('About'));
      await expect.poll(hidden).toBe(false);
    });
  });
}
