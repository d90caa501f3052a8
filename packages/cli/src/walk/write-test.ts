import type { DefinedSite } from 'fair-trail';
import type { VisitedPages } from './visited-pages.ts';
import { SiteMenus } from './site-menus.ts';
import { prefixOf, type ExpectedPage, type Visitor } from './expected-pages.ts';
import type { WalkNotes } from './walk-report.ts';

export interface TestOf {
  readonly site: DefinedSite;
  readonly visitor: Visitor;
  readonly stops: readonly ExpectedPage[];
  readonly notes: WalkNotes;
  readonly seen: VisitedPages;
  /** Where the site runs. */
  readonly running: string;
}

/** A file of tests for Vitest that asks what the walk has asked: a table of the pages, and what is to be so of each. */
export function writeTest({ site, visitor, stops, notes, seen, running }: TestOf): string {
  const { menus } = seen;
  const expected = new SiteMenus(site, visitor);
  const rows = stops.map((stop) => {
    const ways = [...stop.ways].flatMap(([name, way]) => {
      const shown = menus.get(name);
      return shown ? [[shown.name, way] as const] : [];
    });
    const marked = [...menus].flatMap(([name, shown]) => {
      const mark = expected.marksAt(name, stop).get(stop.key);
      return mark?.has('page') === true ? [shown.name] : [];
    });
    const breadcrumbs = breadcrumbsOf(stop, seen, notes);
    return [
      '  {',
      `    address: ${quoted(stop.address)},`,
      `    title: ${quoted(stop.title)},`,
      ...(breadcrumbs.length > 0 ? [`    breadcrumbs: ${list(breadcrumbs)},`] : []),
      ...(ways.length > 0
        ? [`    ways: { ${ways.map(([menu, way]) => `${key(menu)}: ${list(way)}`).join(', ')} },`]
        : []),
      ...(marked.length > 0 ? [`    marked: ${list(marked)},`] : []),
      ...(stop.moved.length > 0 ? [`    moved: ${list(stop.moved)},`] : []),
      '  },',
    ].join('\n');
  });
  const { language = site.language } = visitor;
  const locale = language === site.language ? '' : `, locale: ${quoted(language)}`;
  const home = stops.find(({ entry }) => entry === site.home)?.address ?? stops[0]?.address ?? '/';
  const starts = [...menus.values()].flatMap(({ name, shownOn: [first] }) => {
    return first && first.address !== home ? [`${key(name)}: ${quoted(first.address)}`] : [];
  });
  return `import { chromium, type Browser, type Page } from 'playwright';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { navigation, type Navigation } from 'fair-trail/testing';
import { playwrightHost } from 'fair-trail/testing/playwright';
import { navigationMatchers } from 'fair-trail/testing/vitest';

expect.extend(navigationMatchers);

/** Where the site runs while it is tested. */
const site = process.env['SITE_ADDRESS'] ?? ${quoted(running)};

/** Where a visitor begins. */
const home = ${quoted(home)};
${
  starts.length === 0
    ? ''
    : `
/** Where a visitor begins to use a menu that the home page does not show. */
const starts: Readonly<Record<string, string>> = { ${starts.join(', ')} };
`
}
/** A page, and what its navigation says of it. */
interface Expected {
  readonly address: string;
  readonly title: string;
  /** From home to the page. */
  readonly breadcrumbs?: readonly string[];
  /** The labels that lead to it, from the top of a menu down, by the menu's name. */
  readonly ways?: Readonly<Record<string, readonly string[]>>;
  /** The menus that mark it. */
  readonly marked?: readonly string[];
  /** Old addresses that lead on to it. */
  readonly moved?: readonly string[];
}

const pages: readonly Expected[] = [
${rows.join('\n')}
];

let browser: Browser;
let page: Page;
let visitor: Navigation;

beforeAll(async () => {
  browser = await chromium.launch({ executablePath: process.env['CHROMIUM_PATH'] });
});
beforeEach(async () => {
  page = await browser.newPage({ viewport: { width: 1280, height: 800 }${locale} });
  visitor = navigation(playwrightHost(page));
});
afterEach(() => page.close());
afterAll(() => browser.close());

const visit = (address: string) => visitor.visit(new URL(address, site).href);

describe.each(pages)('$address', ({ address, title, breadcrumbs = [], ways = {}, marked = [], moved = [] }) => {
  /** What must be so however the visitor has come. */
  async function isRight(): Promise<void> {
    await expect(visitor).toStandAt({ address, title });
    for (const menu of marked) await expect(visitor.menu(menu)).toMark(ways[menu]?.at(-1) ?? '');
    if (breadcrumbs.length > 0) await expect(visitor).toHaveBreadcrumbs(breadcrumbs);
  }

  test('is right, and stays so when it is loaded again', async () => {
    await visit(address);
    await isRight();
    await visitor.reload();
    await isRight();
  });

  test.each(Object.entries(ways))('is reached through the menu “%s”, and left again by Back', async (menu, way) => {
    for (const input of ['mouse', 'keyboard'] as const) {
      const start = await visit(${starts.length === 0 ? 'home' : 'starts[menu] ?? home'});
      await visitor.by(input).menu(menu).choose(...way);
      await isRight();
      if (start.address === address) continue;
      await visitor.back();
      await expect(visitor).toStandAt(start);
    }
  });

  test.each(moved)('is found at its old address %s', async (old) => {
    await visit(old);
    await isRight();
  });
});

test('an address that no one made marks no page', async () => {
  await visit(${quoted(`${prefixOf(site, language)}/no-such-page`)});
  for (const menu of ${list([...menus.values()].map(({ name }) => name).filter((name) => name !== ''))}) {
    if (!(await visitor.menus()).includes(menu)) continue;
    const marks = await visitor.menu(menu).marks();
    expect(marks.filter(({ mark }) => mark === 'page')).toEqual([]);
  }
});
`;
}

/** As the page shows them, where the walk has found that right: some leave out the page itself, and some show none. */
function breadcrumbsOf(stop: ExpectedPage, seen: VisitedPages, { faults }: WalkNotes): readonly string[] {
  if (stop.breadcrumbs.length < 2) return [];
  const isWrong = faults.some(({ code, address }) => code === 'wrong-breadcrumbs' && address === stop.address);
  const page = isWrong ? null : seen.page(stop.key);
  return page ? (page.breadcrumbs ?? []) : stop.breadcrumbs;
}

function quoted(text: string): string {
  const escaped = JSON.stringify(text).slice(1, -1).replaceAll('\\"', '"');
  return text.includes("'") && !text.includes('"') ? JSON.stringify(text) : `'${escaped.replaceAll("'", "\\'")}'`;
}

function list(texts: readonly string[]): string {
  return `[${texts.map(quoted).join(', ')}]`;
}

function key(name: string): string {
  return /^[A-Za-z_]\w*$/u.test(name) ? name : quoted(name);
}
