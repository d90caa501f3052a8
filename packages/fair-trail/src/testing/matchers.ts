// For the declaration at the end.
import type {} from 'vitest';
import { everyItem, isMeant, describeName, type Name } from './find.ts';
import { marksOf, type MarkReading, type Menu } from './menu.ts';
import type { Navigation, PageLocation } from './navigation.ts';
import { isSamePage } from '../reading/addresses.ts';
import type { MenuReading } from '../reading/page-reading.ts';
import { asWrittenByBrowsers } from './path-of.ts';
import { quoted, treeOf } from './tree.ts';
import { waitUntil } from './waiting.ts';

interface Outcome {
  readonly pass: boolean;
  readonly message: () => string;
}

/** What was expected, what was found, a likely reason, and the menu. */
function outcome(pass: boolean, wanted: string, found: string, likely: string | null, tree: string | null): Outcome {
  const lines = [pass ? `not expected: ${wanted}` : `expected: ${wanted}`, `found:    ${found}`];
  if (!pass && likely !== null) lines.push(`likely:   ${likely}`);
  if (tree !== null) lines.push('', tree);
  return { pass, message: () => lines.join('\n') };
}

/** As `expect` tells a matcher that it is meant the other way round: then what is waited for is the contrary. */
interface MatcherState {
  readonly isNot?: boolean;
}

async function soon<Answer>(
  state: MatcherState,
  { patience }: { readonly patience: number },
  look: () => Promise<Answer>,
  isSo: (answer: Answer) => boolean,
): Promise<{ readonly pass: boolean; readonly answer: Answer }> {
  const { answer } = await waitUntil(look, (one) => isSo(one) !== (state.isNot === true), patience);
  return { pass: isSo(answer), answer };
}

function pathText(way: readonly string[]): string {
  return way.map((name) => `“${name}”`).join(' › ');
}

function isMark({ path }: MarkReading, way: readonly string[]): boolean {
  return way.every((name, index) => isMeant(path[path.length - way.length + index] ?? '', name));
}

function markLikely(
  menu: MenuReading,
  marks: readonly MarkReading[],
  way: readonly string[],
  as: string,
  url: string,
): string {
  const item = everyItem(menu.items).find(({ name }) => isMeant(name, way.at(-1) ?? ''));
  const pages = marks.filter(({ mark }) => mark === 'page');
  if (!item) return `the menu has no ${pathText(way)}.`;
  if (marks.some((mark) => isMark(mark, way) && mark.mark !== as)) {
    return `it is marked as another kind: aria-current must be "${as === 'section' ? 'true' : as}".`;
  }
  if (pages.some((mark) => isMark(mark, way)))
    return 'two items are marked: one mark was set and the last one not taken away.';
  const leads = item.link ? new URL(item.link.href) : null;
  const here = new URL(url);
  if (as === 'page' && leads && !isSamePage(leads, here)) {
    return `the page is at “${here.pathname}”, and the item leads to “${leads.pathname}”: the page change has not taken place, or the test expects the mark of another page.`;
  }
  if (marks.length > 0) return 'the mark stands still: it was written down once and does not follow the address.';
  return 'aria-current is missing: a class alone is seen, and never heard.';
}

/**
 * Matchers for `expect.extend`. All of them are asynchronous, since they wait a moment for what is still on its way; all of
 * them tell what was expected, what was found, a likely reason, and the menu as a small tree.
 *
 * @example
 * expect.extend(navigationMatchers);
 */
export const navigationMatchers = {
  /** That these names, in this order, can be seen in the menu now. */
  async toOffer(this: MatcherState, menu: Menu, names: readonly string[]): Promise<Outcome> {
    const { pass, answer } = await soon(
      this,
      menu,
      async () => ({ offers: await menu.offers(), reading: await menu.read() }),
      ({ offers }) => JSON.stringify(offers) === JSON.stringify(names),
    );
    const missing = names.filter((name) => !answer.offers.includes(name));
    const surplus = answer.offers.filter((name) => !names.includes(name));
    const hidden = missing.filter((name) => everyItem(answer.reading.items).some((item) => item.name === name));
    const reasons = [
      hidden.length > 0 ? `${quoted(hidden)} ${hidden.length === 1 ? 'is' : 'are'} in the menu and hidden.` : null,
      missing.length > hidden.length ? `missing: ${quoted(missing.filter((name) => !hidden.includes(name)))}.` : null,
      surplus.length > 0 ? `too much: ${quoted(surplus)}.` : null,
    ].filter((reason) => reason !== null);
    const likely = reasons.length > 0 ? reasons.join(' ') : 'the order in the document is another one.';
    return outcome(pass, `the menu offers ${quoted(names)}`, quoted(answer.offers), likely, treeOf(answer.reading));
  },

  /** That this item is marked as the page, and no other is; or as the section that the page is in. */
  async toMark(
    this: MatcherState,
    menu: Menu,
    item: string | readonly string[],
    as: 'page' | 'section' = 'page',
  ): Promise<Outcome> {
    const way = typeof item === 'string' ? [item] : item;
    const { pass, answer } = await soon(
      this,
      menu,
      async () => menu.read(),
      (reading) => {
        const marks = marksOf(reading.items, []);
        const own = marks.some((mark) => isMark(mark, way) && mark.mark === as);
        return own && (as !== 'page' || marks.filter(({ mark }) => mark === 'page').every((mark) => isMark(mark, way)));
      },
    );
    const marks = marksOf(answer.items, []);
    // Only to explain a failure: each question to a browser takes its time.
    const likely = pass ? '' : markLikely(answer, marks, way, as, await menu.url());
    return outcome(pass, `${pathText(way)} is marked as the ${as}`, toldMarks(marks), likely, treeOf(answer));
  },

  /** That nothing in the menu is marked. */
  async toMarkNothing(this: MatcherState, menu: Menu): Promise<Outcome> {
    const { pass, answer } = await soon(
      this,
      menu,
      async () => menu.read(),
      (reading) => marksOf(reading.items, []).length === 0,
    );
    const likely = 'the page is none of this menu, and a mark of another page was left.';
    return outcome(pass, 'nothing is marked', toldMarks(marksOf(answer.items, [])), likely, treeOf(answer));
  },

  /** That what an item opens is open; without a name, the menu itself. */
  async toBeOpen(this: MatcherState, menu: Menu, ...way: Name[]): Promise<Outcome> {
    const { pass, answer } = await soon(
      this,
      menu,
      async () => ({ isOpen: await menu.isOpen(...way), reading: await menu.read() }),
      ({ isOpen }) => isOpen,
    );
    const what = way.length === 0 ? `the menu “${answer.reading.name}”` : way.map(describeName).join(' › ');
    const found = answer.isOpen ? 'it is open' : 'it is closed';
    const likely = 'nothing has opened it, or it was closed again by focus, by the pointer, or by a change of page.';
    return outcome(pass, `${what} is open`, found, likely, treeOf(answer.reading));
  },

  /** That the visitor is at this address, under this title and heading; what is not named is not asked. */
  async toStandAt(
    this: MatcherState,
    navigation: Navigation,
    wanted: string | Partial<PageLocation>,
  ): Promise<Outcome> {
    const given = typeof wanted === 'string' ? { address: wanted } : wanted;
    const asked = { ...given, ...(given.address !== undefined && { address: asWrittenByBrowsers(given.address) }) };
    const { pass, answer } = await soon(
      this,
      navigation,
      () => navigation.place(),
      (place) => Object.entries(asked).every(([name, value]) => place[name as keyof PageLocation] === value),
    );
    const only = Object.fromEntries(Object.keys(asked).map((name) => [name, answer[name as keyof PageLocation]]));
    const likely =
      answer.address === asked.address
        ? 'the address has changed and the page has not: its title or heading is still the last one.'
        : 'the link leads elsewhere, or the page has asked whether it may be left.';
    return outcome(pass, `the visitor is at ${JSON.stringify(asked)}`, JSON.stringify(only), likely, null);
  },

  /** That the way to the page has these steps, from home to the page itself. */
  async toHaveBreadcrumbs(this: MatcherState, navigation: Navigation, names: readonly string[]): Promise<Outcome> {
    const { pass, answer } = await soon(
      this,
      navigation,
      () => navigation.breadcrumbs(),
      (found) => JSON.stringify(found) === JSON.stringify(names),
    );
    const likely =
      answer.length === 0
        ? 'the page shows no breadcrumbs, or they stand in no <nav> that is called so.'
        : 'they are of another page, or a step between is missing.';
    return outcome(pass, `the way ${quoted(names)}`, quoted(answer), likely, null);
  },

  /** That focus is on what has this name; null for nothing, or the page. */
  async toHaveFocusOn(this: MatcherState, navigation: Navigation, name: string | null): Promise<Outcome> {
    const { pass, answer } = await soon(
      this,
      navigation,
      () => navigation.focus(),
      (found) => found === name,
    );
    const text = (one: string | null) => (one === null ? 'nothing, or the page' : `“${one}”`);
    const likely =
      answer === null
        ? 'what had focus was taken away or hidden, and focus was given to nothing else.'
        : 'focus stayed where it was, or was sent elsewhere.';
    return outcome(pass, `focus on ${text(name)}`, `focus on ${text(answer)}`, likely, null);
  },
};

function toldMarks(marks: readonly MarkReading[]): string {
  return marks.length === 0
    ? 'nothing is marked'
    : marks.map(({ path, mark }) => `${pathText(path)} as the ${mark}`).join(', ');
}

type Asked<Matcher> = Matcher extends (subject: never, ...given: infer Given) => unknown
  ? (...given: Given) => Promise<void>
  : never;

/** The matchers as `expect` offers them. */
export type NavigationMatchers = {
  readonly [Name in keyof typeof navigationMatchers]: Asked<OmitThisParameter<(typeof navigationMatchers)[Name]>>;
};

declare module 'vitest' {
  // The parameters of an interface that is extended must be the same.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any, @typescript-eslint/no-unused-vars, @typescript-eslint/no-empty-object-type
  interface Matchers<T = any> extends NavigationMatchers {}
}
