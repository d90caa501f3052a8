import { expect } from 'vitest';
import { NotJudged } from '../../failures.ts';
import { everyItem } from '../../find.ts';
import { begin, eachAfterTheFirst, reachEach, toggleOf, type MenuPart } from './menu-subject.ts';

export const mouse: MenuPart = {
  name: 'mouse',
  clauses: [{ name: 'every page is reached', run: (subject) => reachEach(subject, 'mouse'), cases: eachAfterTheFirst }],
};

export const history: MenuPart = {
  name: 'history',
  clauses: [
    {
      name: 'Back and Forward lead to pages that are marked as they were',
      run: async (subject) => {
        const { page, menu, first, second } = await begin(subject);
        await menu.choose(...second.way);
        await page.back();
        await expect(page).toStandAt(first.address);
        await expect(page.menu(subject.menu)).toMark(first.way);
        await page.forward();
        await expect(page).toStandAt(second.address);
        await expect(page.menu(subject.menu)).toMark(second.way);
      },
    },
  ],
};

export const keyboard: MenuPart = {
  name: 'keyboard',
  wcag: ['2.1.1', '2.1.2', '2.4.3'],
  aria: 'keyboard interaction of links and buttons',
  clauses: [
    {
      name: 'every page is reached with Tab and Enter alone',
      run: (subject) => reachEach(subject, 'keyboard'),
      cases: eachAfterTheFirst,
    },
    {
      name: 'Tab leads out of the menu at its end',
      run: async (subject) => {
        const { page, menu } = await begin(subject);
        const { items } = await menu.read();
        const own = new Set(everyItem(items).flatMap(({ link, control }) => [link?.element, control?.element]));
        await menu.focus(items[0]?.name ?? '');
        for (let stop = 0; stop <= own.size + 1; stop += 1) {
          const focus = (await page.read()).focus;
          if (!own.has(focus?.element)) return;
          await page.key('Tab');
        }
        if ((await menu.read()).isLast) {
          const reason = 'nothing that takes focus comes after the menu: give the page a link after it';
          throw new NotJudged('this page', reason);
        }
        expect.fail(
          `After ${own.size + 2} presses of Tab focus is in the menu still, on “${(await page.focus()) ?? ''}”.`,
        );
      },
    },
  ],
};

export const narrow: MenuPart = {
  name: 'narrow',
  wcag: ['1.4.10', '4.1.2'],
  aria: 'disclosure',
  clauses: [
    {
      name: 'a button opens the menu and closes it, and says so',
      run: async (subject) => {
        const { page, menu } = await begin(subject);
        await page.at({ width: 320 });
        await toggleOf(menu);
        await expect(menu).not.toBeOpen();
        expect((await menu.read()).toggle?.isExpanded, 'aria-expanded of the button').toBe(false);
        await menu.open();
        expect((await menu.read()).toggle?.isExpanded, 'aria-expanded of the button').toBe(true);
        await menu.close();
        await expect(menu).not.toBeOpen();
      },
    },
    {
      name: 'nothing reaches beyond the window, open or closed',
      run: async (subject) => {
        const { page, menu } = await begin(subject);
        await page.at({ width: 320 });
        expect(await page.beyondWindow(), 'CSS pixels beyond a window of 320').toBe(0);
        await toggleOf(menu);
        await menu.open();
        expect(await page.beyondWindow(), 'CSS pixels beyond a window of 320, with the menu open').toBe(0);
      },
    },
    {
      name: 'it offers what it offers where there is room',
      run: async (subject) => {
        const { page, menu } = await begin(subject);
        const wide = (await menu.read()).items.filter(({ isShown }) => isShown).map(({ name }) => name);
        await page.at({ width: 320 });
        await toggleOf(menu);
        await menu.open();
        const offered = (await menu.read()).items.filter(({ isShown }) => isShown).map(({ name }) => name);
        expect(offered).toEqual(wide);
      },
    },
    {
      name: 'it closes when a page is chosen, and at Escape',
      run: async (subject) => {
        const { page, menu, first, second } = await begin(subject);
        await page.at({ width: 320 });
        await toggleOf(menu);
        const other = subject.pages.find(({ way }) => way.length === 1 && way !== first.way) ?? second;
        await menu.choose(...other.way);
        await expect(page.menu(subject.menu)).not.toBeOpen();
        await menu.open();
        await page.key('Escape');
        await expect(menu).not.toBeOpen();
      },
    },
  ],
};

export const touch: MenuPart = {
  name: 'touch',
  clauses: [
    {
      name: 'every page is reached with a finger',
      run: async (subject) => {
        const { page, last } = await begin(subject);
        await page.at({ width: 320 });
        await page
          .by('touch')
          .menu(subject.menu)
          .choose(...last.way);
        await expect(page).toStandAt(last.address);
      },
    },
  ],
};

export const largeText: MenuPart = {
  name: 'large text',
  wcag: ['1.4.4', '1.4.10'],
  clauses: [
    {
      name: 'with text of twice its size every page is still available',
      run: async (subject) => {
        const { page, last } = await begin(subject);
        await page.at({ width: 1280, textSize: 200 });
        expect(await page.beyondWindow(), 'CSS pixels beyond a window of 1280').toBe(0);
        await page.menu(subject.menu).choose(...last.way);
        await expect(page).toStandAt(last.address);
      },
    },
  ],
};
