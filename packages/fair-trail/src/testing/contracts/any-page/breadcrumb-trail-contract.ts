import { expect } from 'vitest';
import { isSamePage } from '../../../reading/addresses.ts';
import { breadcrumbs } from '../../../core/site/breadcrumbs.ts';
import { locate } from '../../../core/site/locate.ts';
import type { SiteRecords } from '../../../core/site/records.ts';
import type { Site } from '../../../core/site/site.ts';
import { NotJudged } from '../../failures.ts';
import type { Input } from '../../host.ts';
import { navigationMatchers } from '../../matchers.ts';
import type { Menu } from '../../menu.ts';
import type { Navigation } from '../../navigation.ts';
import type { BreadcrumbReading } from '../../../reading/page-reading.ts';
import { pathOf } from '../../path-of.ts';
import { type ContractPart, type SkippedParts, eachPage, registerParts } from '../contract.ts';

expect.extend(navigationMatchers);

/** A page, and the way to it. */
export interface BreadcrumbPage {
  /** Path and query. */
  readonly address: string;
  /** The steps as the page shows them, its own among them where it is shown; none where it shows no way. */
  readonly breadcrumbs: readonly string[];
}

/** Any breadcrumbs, and how the test reaches them. */
export interface BreadcrumbTrailSubject {
  /**
   * Shows the page at an address, in a window of 1280 × 800, and takes away what it showed before: a test may open
   * several pages, one after another.
   */
  readonly open: (address: string) => Promise<Navigation>;
  /** One of each kind is enough. What is asked of one page alone is asked of the one with the longest way. */
  readonly pages: readonly BreadcrumbPage[];
  /** Steps that have no page of their own, such as a group of pages, and are no links. Default: none. */
  readonly withoutPage?: readonly string[];
}

type BreadcrumbTrailPart = ContractPart<BreadcrumbTrailSubject>;

/**
 * The breadcrumbs of pages, as the site file has them. The home page has none.
 *
 * @throws TypeError for an address that is not a page of the site
 * @example
 * const pagesToTest = breadcrumbPages(site, ['/hides/causeway']);
 */
export function breadcrumbPages(
  site: Site,
  addresses: readonly string[],
  records: SiteRecords = {},
): readonly BreadcrumbPage[] {
  return addresses.map((address) => {
    const position = locate(site, address);
    if (position.status !== 'exact') {
      throw new TypeError(
        `breadcrumbPages: "${address}" is not a page of the site. Correct the address in the test, or add the page to the site file.`,
      );
    }
    const labels = breadcrumbs(site, position, records).map(({ label }) => label);
    return { address, breadcrumbs: labels.length > 1 ? labels : [] };
  });
}

/** @throws TypeError where no page has a way */
function longestOf({ pages }: BreadcrumbTrailSubject): BreadcrumbPage {
  const [first] = pages.toSorted((one, other) => other.breadcrumbs.length - one.breadcrumbs.length);
  if (first && first.breadcrumbs.length > 1) return first;
  throw new TypeError('breadcrumbTrailContract needs a page with two breadcrumbs or more. Add one to "pages".');
}

const eachAddress = eachPage(({ address }: BreadcrumbPage) => address);

interface BreadcrumbsUnderTest {
  readonly page: Navigation;
  readonly trail: Menu;
  /** The steps that lead to other pages. */
  readonly above: readonly LinkedStep[];
  /** Those that lead to the page itself. */
  readonly own: readonly LinkedStep[];
}

/** On the page with the longest way. */
function begin(subject: BreadcrumbTrailSubject): Promise<BreadcrumbsUnderTest> {
  return beginAt(subject, longestOf(subject));
}

async function beginAt(
  { open }: BreadcrumbTrailSubject,
  { address, breadcrumbs: way }: BreadcrumbPage,
): Promise<BreadcrumbsUnderTest> {
  const page = await open(address);
  await expect(page).toHaveBreadcrumbs(way);
  const { url, breadcrumbs: steps } = await page.read();
  const linked = (steps ?? []).filter(isLinked);
  const above = linked.filter((step) => !leadsTo(step, url));
  return { page, trail: trailIn(page), above, own: linked.filter((step) => leadsTo(step, url)) };
}

function trailIn(page: Navigation): Menu {
  return page.menu(({ kind }) => kind === 'breadcrumbs');
}

type LinkedStep = BreadcrumbReading & { readonly href: string };

/** Whether a step is a link to the page at that address itself; one to another page otherwise. */
function leadsTo({ href }: LinkedStep, url: string): boolean {
  return isSamePage(new URL(href), new URL(url));
}

function isLinked(step: BreadcrumbReading): step is LinkedStep {
  return step.href !== null;
}

/** Goes by each step to the page that it leads to. */
async function followEach(subject: BreadcrumbTrailSubject, input: Input): Promise<void> {
  const { breadcrumbs: way } = longestOf(subject);
  const { above } = await begin(subject);
  expect(above.length, 'steps that are links').toBeGreaterThan(0);
  for (const { name, href } of above) {
    const { page } = await begin(subject);
    await trailIn(page.by(input)).choose(name);
    await expect(page).toStandAt(pathOf(href));
    // The page shows the same way as far as itself, with or without itself, or none at all.
    const index = way.indexOf(name);
    const ways = [0, index, index + 1].map((length) => way.slice(0, length).join(' › '));
    const shown = async () => (await page.breadcrumbs()).join(' › ');
    await expect.poll(shown, { message: `the way at “${name}”`, timeout: page.patience }).toBeOneOf(ways);
  }
}

const names: BreadcrumbTrailPart = {
  name: 'names',
  wcag: ['1.3.1', '4.1.2'],
  aria: 'breadcrumb',
  clauses: [
    {
      name: 'the breadcrumbs are a landmark with a name of its own',
      run: async (subject) => {
        const { page, trail } = await begin(subject);
        const { name, element } = await trail.read();
        expect(name, 'the name of the landmark').not.toBe('');
        const others = (await page.read()).menus.filter((menu) => menu.element !== element);
        expect(
          others.map((menu) => menu.name),
          'the names of other landmarks',
        ).not.toContain(name);
      },
    },
  ],
};

const steps: BreadcrumbTrailPart = {
  name: 'steps',
  wcag: ['2.4.8', '2.4.4'],
  aria: 'breadcrumb',
  clauses: [
    {
      name: 'each page shows the way to it',
      run: async (subject) => {
        for (const page of subject.pages) await beginAt(subject, page);
      },
      cases: eachAddress,
    },
    {
      name: 'every step above the page is a link to another page',
      run: async (subject) => {
        const longest = longestOf(subject);
        const { page, above } = await begin(subject);
        const linked = above.map(({ name }) => name);
        const steps = longest.breadcrumbs.filter((name) => !subject.withoutPage?.includes(name));
        // The last may be the page itself.
        const expected = steps.slice(0, Math.max(linked.length, steps.length - 1));
        expect(linked, `links in ${await page.tree()}`).toEqual(expected);
        expect(new Set(above.map(({ href }) => href)).size, 'different addresses').toBe(above.length);
      },
    },
    { name: 'each step leads to the page that it names', run: (subject) => followEach(subject, 'mouse') },
  ],
};

const current: BreadcrumbTrailPart = {
  name: 'current',
  wcag: ['1.3.1', '2.4.8'],
  aria: 'aria-current',
  clauses: [
    {
      name: 'no step above the page says that it is the page',
      run: async (subject) => {
        for (const page of subject.pages) {
          const { above } = await beginAt(subject, page);
          const wrong = above.filter(({ isCurrent }) => isCurrent).map(({ name }) => name);
          expect(wrong, `marked at ${page.address}`).toEqual([]);
        }
      },
      cases: eachAddress,
    },
    {
      name: 'a link to the page itself says so',
      run: async (subject) => {
        const { own } = await begin(subject);
        // A text may say so too, and need not (ARIA Authoring Practices, breadcrumb pattern).
        if (own.length === 0) throw new NotJudged('this page', 'none of the steps is a link to the page itself');
        expect(own.map(({ isCurrent }) => isCurrent)).toEqual([true]);
      },
    },
  ],
};

const keyboard: BreadcrumbTrailPart = {
  name: 'keyboard',
  wcag: ['2.1.1', '2.4.3'],
  clauses: [
    { name: 'each step is followed with Tab and Enter alone', run: (subject) => followEach(subject, 'keyboard') },
  ],
};

/** Presses the button behind which a step is, if there is one: it may stand beside the step, and go as it is pressed. */
async function unfold(page: Navigation, name: string): Promise<void> {
  const { items } = await trailIn(page).read();
  if (items.some((item) => item.name === name && item.isShown)) return;
  const button = items.find(({ link, control }) => link === null && control?.isShown === true)?.control;
  if (button) await page.press(button.name);
}

/** Where there is less room, the step next above the page is available still: on a phone it is the way back. */
async function expectToFit(
  subject: BreadcrumbTrailSubject,
  input: Input,
  textSize: number,
  width: number,
): Promise<void> {
  const { page, above } = await begin(subject);
  await page.at({ width, textSize });
  expect(await page.beyondWindow(), `CSS pixels beyond a window of ${width}`).toBe(0);
  const next = above.at(-1);
  if (!next) expect.fail('No step is a link to another page.');
  await unfold(page.by(input), next.name);
  await trailIn(page.by(input)).choose(next.name);
  await expect(page).toStandAt(pathOf(next.href));
}

const touch: BreadcrumbTrailPart = {
  name: 'touch',
  clauses: [
    {
      name: 'in a window of 320 px the step above the page is followed with a finger',
      run: (subject) => expectToFit(subject, 'touch', 100, 320),
    },
  ],
};

const narrow: BreadcrumbTrailPart = {
  name: 'narrow',
  wcag: ['1.4.10'],
  clauses: [
    {
      name: 'in a window of 320 px nothing reaches beyond it, and the step above the page is available',
      run: (subject) => expectToFit(subject, 'mouse', 100, 320),
    },
  ],
};

const largeText: BreadcrumbTrailPart = {
  name: 'large text',
  wcag: ['1.4.4', '1.4.10'],
  clauses: [
    {
      name: 'with text of twice its size nothing reaches beyond the window, and the step above the page is available',
      run: (subject) => expectToFit(subject, 'mouse', 200, 1280),
    },
  ],
};

/** What is promised of breadcrumbs, in parts that may be left out. */
export const breadcrumbTrailParts: readonly BreadcrumbTrailPart[] = [
  names,
  steps,
  current,
  keyboard,
  touch,
  narrow,
  largeText,
];

/**
 * Runs any implementation of breadcrumbs through what is promised of them (ARIA Authoring Practices, breadcrumb pattern).
 * What the host cannot judge is skipped, and says so; a part that does not apply is declared.
 *
 * @param skipped parts that do not apply, each with the reason
 * @throws TypeError where no page has two steps or more, or a part is left out that there is not
 * @example
 * breadcrumbTrailContract({ open, pages: breadcrumbPages(site, ['/hides/causeway']) });
 */
export function breadcrumbTrailContract(subject: BreadcrumbTrailSubject, skipped: SkippedParts = {}): void {
  // Now, rather than in each test.
  longestOf(subject);
  registerParts('the breadcrumbs', breadcrumbTrailParts, subject, skipped);
}
