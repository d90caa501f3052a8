import type { DefinedSite } from 'fair-trail';
import { markOf } from 'fair-trail/internal/testing';
import type { PageReading } from 'fair-trail/testing';
import { everyItem } from 'fair-trail/internal/testing';
import { linksByKey, type SiteMenus } from './site-menus.ts';
import { keyOf, pathOf, type ExpectedPage } from './expected-pages.ts';
import { WalkNotes } from './walk-report.ts';

/** What a page is compared with. */
export interface WalkContext {
  readonly site: DefinedSite;
  readonly menus: SiteMenus;
  readonly notes: WalkNotes;
  /** How long is waited for what must come, in milliseconds. */
  readonly patience: number;
  /** Kinds of faults that have not gone away by waiting. */
  readonly staying: Set<string>;
}

/**
 * Holds what a page shows against its stop: marks in each menu, title, breadcrumbs.
 *
 * @param how the visitor has come, where that was not by its address
 */
export function checkPage(held: WalkContext, stop: ExpectedPage, reading: PageReading, how?: string): void {
  checkMarks(held, stop, reading, how);
  const { notes } = held;
  notes.tried(stop, 'titled');
  if (reading.title !== stop.title) {
    const message = `It is titled “${reading.title}”, and “${stop.title}” in the site file.`;
    notes.fault(stop, { code: 'wrong-title', blame: 'page', message, how });
  }
  checkBreadcrumbs(held, stop, reading, how);
}

/** What kinds of faults a page has as it is now. */
export function kindsOfFaults(held: WalkContext, stop: ExpectedPage, reading: PageReading): readonly string[] {
  const notes = new WalkNotes();
  checkPage({ ...held, notes }, stop, reading);
  return notes.faults.map(({ code, menu }) => `${code} ${menu ?? ''}`);
}

function checkMarks({ site, menus, notes }: WalkContext, stop: ExpectedPage, reading: PageReading, how?: string): void {
  for (const menu of reading.menus) {
    const name = menus.nameOf(menu);
    if (name === null) continue;
    notes.tried(stop, 'marked');
    const expected = menus.marksAt(name, stop);
    const wrong: { readonly text: string; readonly lacks: readonly (string | null)[] | null }[] = [];
    let hasPage = false;
    for (const [key, items] of linksByKey(site, menu)) {
      const own = expected.get(key);
      for (const item of items) {
        const mark = markOf(item);
        hasPage ||= mark === 'page' && key === stop.key;
        // What the site file does not have in this menu may say of itself that it is the page.
        const isRight = own ? own.has(mark) : mark === null || (mark === 'page' && key === stop.key);
        if (isRight) continue;
        const lacks = mark === null ? [...(own ?? [])] : null;
        const text = lacks
          ? `“${item.name}” is not marked, and should be as the ${lacks.join(' or ')}`
          : `“${item.name}”, which leads to ${pathOf(item.link?.href ?? '')}, is marked as the ${mark ?? ''}`;
        wrong.push({ text, lacks });
      }
    }
    // Where the page itself is marked, a section above it may be left to be seen.
    const telling = wrong.filter(({ lacks }) => !(hasPage && lacks?.every((mark) => mark === 'section')));
    if (telling.length === 0) continue;
    const message = `${telling.map(({ text }) => text).join('; ')}.`;
    notes.fault(stop, { code: 'wrong-mark', blame: 'page', menu: name, message, how });
  }
}

function checkBreadcrumbs(
  { notes }: WalkContext,
  stop: ExpectedPage,
  { breadcrumbs, menus }: PageReading,
  how?: string,
): void {
  if (breadcrumbs === null) {
    // Nothing leads back from the home page.
    if (stop.breadcrumbs.length < 2) notes.tried(stop, 'breadcrumbs');
    else notes.notJudged(stop, 'breadcrumbs', 'The page shows no breadcrumbs.');
    return;
  }
  notes.tried(stop, 'breadcrumbs');
  const names = breadcrumbs.map(({ name }) => name);
  const trail = menus.find(({ kind }) => kind === 'breadcrumbs');
  // Steps are folded away behind a button between others; one at the end is for what stands beside the page.
  const isFolded = trail?.items.slice(0, -1).some(({ link, control }) => control !== null && link === null) === true;
  const expected = stop.breadcrumbs;
  // The way up to the page may leave out the page itself, which its heading says.
  const isRight = [expected, expected.slice(0, -1)].some((way) => (isFolded ? isFold(names, way) : isSame(names, way)));
  if (isRight) return;
  const message = `They are ${reported(names)}, and ${reported(expected)} in the site file.`;
  notes.fault(stop, { code: 'wrong-breadcrumbs', blame: 'page', message, how });
}

function isSame(one: readonly string[], other: readonly string[]): boolean {
  return one.length === other.length && one.every((name, index) => name === other[index]);
}

/** Whether some steps between are folded away, and all else is there. */
function isFold(names: readonly string[], way: readonly string[]): boolean {
  let at = -1;
  const inOrder = names.every((name) => (at = way.indexOf(name, at + 1)) >= 0);
  return inOrder && names[0] === way[0] && names.at(-1) === way.at(-1);
}

function reported(names: readonly string[]): string {
  return names.length === 0 ? 'none' : names.map((name) => `“${name}”`).join(' › ');
}

/** What of a page must be the same after a reload: its address, its title and its marks. */
export function essence(site: DefinedSite, reading: PageReading): string {
  const marks = reading.menus.map((menu) =>
    everyItem(menu.items).flatMap((item) => (item.current === null ? [] : [`${item.name} ${item.current}`])),
  );
  return JSON.stringify([keyOf(site, new URL(reading.url)), reading.title, reading.heading, marks]);
}
