import { expect } from 'vitest';
import { NotJudged } from '../../failures.ts';
import { everyItem } from '../../find.ts';
import { asWrittenByBrowsers, pathOf } from '../../path-of.ts';
import { waitUntil } from '../../waiting.ts';
import {
  begin,
  eachAfterTheFirst,
  eachMenuPage,
  opener,
  type MenuPage,
  type MenuPart,
  type MenuSubject,
} from './menu-subject.ts';

export const names: MenuPart = {
  name: 'names',
  wcag: ['1.3.1', '2.4.4', '4.1.2'],
  aria: 'navigation landmark',
  clauses: [
    {
      name: 'the menu is a landmark with a name',
      run: async (subject) => {
        const { menu } = await begin(subject);
        const { kind, name } = await menu.read();
        expect({ kind, hasName: name !== '' }).toEqual({ kind: 'navigation', hasName: true });
      },
    },
    {
      name: 'everything in it has a name, and every link an address',
      run: async (subject) => {
        const { menu } = await begin(subject);
        const items = everyItem((await menu.read()).items);
        const nameless = items
          .filter(({ name }) => name === '')
          .map(({ link, control }) => link?.written ?? control?.name);
        expect(nameless, 'items without a name').toEqual([]);
        const dead = items.filter(({ link }) => link !== null && /^(?:#|javascript:.*)?$/u.test(link.written));
        expect(
          dead.map(({ name }) => name),
          'links that lead nowhere',
        ).toEqual([]);
      },
    },
    {
      name: 'it has every page, and each link has the address of its own',
      run: async (subject) => {
        const { menu } = await begin(subject);
        for (const { way, address } of subject.pages) {
          const leads = await menu.address(...way);
          const found = leads === null ? null : pathOf(leads);
          expect(found, `where “${way.join(' › ')}” leads`).toBe(asWrittenByBrowsers(address));
        }
      },
      cases: eachAfterTheFirst,
    },
  ],
};

/** The addresses at which titles were seen, by what opens the pages: the tests of one subject share it. */
const takenTitles = new WeakMap<MenuSubject['open'], Map<string, string>>();

export const titles: MenuPart = {
  name: 'title and heading',
  wcag: ['2.4.2', '2.4.6'],
  clauses: [
    {
      name: 'every page has its title, no other page’s, and a first heading',
      run: async (subject) => {
        const taken = takenTitles.get(subject.open) ?? new Map<string, string>();
        takenTitles.set(subject.open, taken);
        for (const { address, title, heading } of subject.pages) {
          const page = await subject.open(address);
          await expect(page).toStandAt({
            ...(title !== undefined && { title }),
            ...(heading !== undefined && { heading }),
          });
          const { answer: place } = await waitUntil(
            () => page.place(),
            (now) => now.heading !== null && now.title !== '',
            page.patience,
          );
          expect(place.heading, `the first heading at ${address}`).not.toBeNull();
          expect(place.title, `the title at ${address}`).not.toBe('');
          expect(taken.get(place.title) ?? address, `the page with the title “${place.title}”`).toBe(address);
          taken.set(place.title, address);
        }
      },
      cases: eachMenuPage,
    },
  ],
};

/** The pages that stand below another page in the menu. */
function pagesBelowOthers({ pages }: MenuSubject): readonly MenuPage[] {
  return pages.filter(
    ({ way }) => way.length > 1 && pages.some((one) => one.way.length === 1 && one.way[0] === way[0]),
  );
}

export const marks: MenuPart = {
  name: 'marks',
  wcag: ['1.3.1', '2.4.8'],
  aria: 'aria-current',
  clauses: [
    {
      name: 'each page is marked, and no other',
      run: async (subject) => {
        for (const { way, address } of subject.pages) {
          const page = await subject.open(address);
          await expect(page.menu(subject.menu)).toMark(way);
        }
      },
      cases: eachMenuPage,
    },
    {
      name: 'an item that holds the page says that it does',
      run: async (subject) => {
        const nested = pagesBelowOthers(subject);
        if (nested.length === 0) throw new NotJudged('this menu', 'none of the pages given is below another');
        for (const { way, address } of nested) {
          const page = await subject.open(address);
          await expect(page.menu(subject.menu)).toMark(way.slice(0, 1), 'section');
        }
      },
      cases: (subject) =>
        pagesBelowOthers(subject).map((page) => {
          const above = subject.pages.filter(({ way }) => way.length === 1 && way[0] === page.way[0]);
          return { name: page.way.join(' › '), subject: { ...subject, pages: [...above, page] } };
        }),
    },
    {
      name: 'the mark follows a page change',
      run: async (subject) => {
        const { page, menu, first } = await begin(subject);
        for (const { way } of [...subject.pages.slice(1, 3), first]) {
          await menu.choose(...way);
          await expect(page.menu(subject.menu)).toMark(way);
        }
      },
    },
    {
      name: 'an unknown address marks no page',
      run: async (subject) => {
        const page = await subject.open(subject.unknownAddress ?? '/no-such-page');
        const found = await page.menu(subject.menu).marks();
        expect(found.filter(({ mark }) => mark === 'page')).toEqual([]);
      },
    },
  ],
};

export const panels: MenuPart = {
  name: 'panels',
  wcag: ['1.3.1', '2.1.1', '2.4.3', '4.1.2'],
  aria: 'disclosure',
  clauses: [
    {
      name: 'a closed panel shows nothing, and says so',
      run: async (subject) => {
        const { menu } = await begin(subject);
        const { items, control } = await opener(menu);
        expect(control.isExpanded, `aria-expanded of “${control.name}”`).toBe(false);
        expect(
          items.filter(({ isShown }) => isShown).map((item) => item.name),
          'to be seen in it',
        ).toEqual([]);
      },
    },
    {
      name: 'a press opens it, and another closes it',
      run: async (subject) => {
        const { menu } = await begin(subject);
        const { name, items } = await opener(menu);
        await menu.open(name);
        const opened = (await opener(menu)).control;
        expect(opened.isExpanded, `aria-expanded of “${opened.name}”`).toBe(true);
        const offered = await menu.offers();
        for (const item of items) expect(offered).toContain(item.name);
        await menu.close(name);
        await expect(menu).not.toBeOpen(name);
      },
    },
    {
      name: 'Space opens it as Enter does',
      run: async (subject) => {
        const { page, menu } = await begin(subject);
        const { name, link, control } = await opener(menu);
        await page.by('keyboard').menu(subject.menu).focus(control.name);
        if (link && link.element !== control.element) await page.key('Tab');
        await page.key(' ');
        await expect(menu).toBeOpen(name);
      },
    },
    {
      name: 'Escape closes it, and focus is on what opened it',
      run: async (subject) => {
        const { page, menu } = await begin(subject);
        const { name, control } = await opener(menu);
        await menu.open(name);
        await page.key('Escape');
        await expect(menu).not.toBeOpen(name);
        await expect(page).toHaveFocusOn(control.name);
      },
    },
    {
      name: 'what is in a closed panel takes no focus',
      run: async (subject) => {
        const { page, menu } = await begin(subject);
        const { items } = await opener(menu);
        const hidden = new Set(everyItem(items).map(({ name }) => name));
        await menu.focus((await menu.read()).items[0]?.name ?? '');
        for (let stop = 0; stop < 4; stop += 1) {
          const focused = await page.focus();
          expect(hidden.has(focused ?? ''), `focus is on “${focused ?? ''}”, which is in a closed panel`).toBe(false);
          await page.key('Tab');
        }
      },
    },
  ],
};
