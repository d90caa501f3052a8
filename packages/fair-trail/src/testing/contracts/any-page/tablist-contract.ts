import { expect } from 'vitest';
import { NotJudged } from '../../failures.ts';
import type { Input } from '../../host.ts';
import type { Navigation } from '../../navigation.ts';
import type { TablistReading, TabReading } from '../../../reading/page-reading.ts';
import type { Tablist } from '../../tablist.ts';
import { type ContractPart, type SkippedParts, registerParts } from '../contract.ts';

/** Any tab implementation, and how the test reaches it. */
export interface TablistSubject {
  /**
   * Shows the page that they are on again, in a window of 1280 × 800, and takes away what it showed before: a test may open
   * it several times, once after another.
   */
  readonly open: () => Promise<Navigation>;
  /** Default: the only tabs there are. */
  readonly tabs?: string;
}

type TablistPart = ContractPart<TablistSubject>;

interface TablistUnderTest extends TablistReading {
  readonly page: Navigation;
  readonly tablist: Tablist;
  /** Those that can be selected. */
  readonly enabled: readonly TabReading[];
}

async function begin({ open, tabs: name }: TablistSubject): Promise<TablistUnderTest> {
  const page = await open();
  const tablist = page.tabs(name);
  const reading = await tablist.read();
  const enabled = reading.tabs.filter(({ isDisabled }) => !isDisabled);
  expect(enabled.length, 'tabs that can be selected').toBeGreaterThan(1);
  return { ...reading, page, tablist, enabled };
}

const selectedIn = ({ tabs }: TablistReading) => tabs.filter(({ isSelected }) => isSelected).map(({ name }) => name);

/** Each once, the first last, since it may be selected already. */
function inTurn([first, ...others]: readonly TabReading[]): readonly TabReading[] {
  return first ? [...others, first] : others;
}

/** Selects each, and sees that its panel comes. */
async function selectEach(subject: TablistSubject, input: Input): Promise<void> {
  const { page, enabled } = await begin(subject);
  const tablist = page.by(input).tabs(subject.tabs);
  for (const { name } of inTurn(enabled)) {
    await tablist.select(name);
    await expectPanelOf({ page, tablist }, name);
  }
}

/** A panel may be fetched first. */
async function expectPanelOf(
  { page, tablist }: Pick<TablistUnderTest, 'page' | 'tablist'>,
  name: string,
): Promise<void> {
  const timeout = page.patience;
  const selected = async () => selectedIn(await tablist.read());
  await expect.poll(selected, { message: 'tabs with aria-selected="true"', timeout }).toEqual([name]);
  const shown = async () =>
    (await tablist.read()).tabs.filter(({ panel }) => panel?.isShown === true).map((tab) => tab.name);
  const message =
    `tabs whose panels are shown, with “${name}” selected ` +
    '(a tab says which is its own by aria-controls, or the tabpanel by aria-labelledby)';
  await expect.poll(shown, { message, timeout }).toEqual([name]);
}

const none = 'none of the tabs';

/** The name of the tab that has focus. */
async function focused(page: Navigation, { tabs }: TablistReading): Promise<string> {
  const { focus } = await page.read();
  return tabs.find(({ element }) => element === focus?.element)?.name ?? none;
}

/** Presses a key until a tab has focus that can be selected: others may be passed over, or come to. */
async function step(begun: TablistUnderTest, key: string): Promise<string> {
  for (let press = 0; press <= begun.tabs.length - begun.enabled.length; press += 1) {
    await begun.page.key(key);
    const name = await focused(begun.page, begun);
    if (name === none || begun.enabled.some((tab) => tab.name === name)) return name;
  }
  return focused(begun.page, begun);
}

function arrowsOf({ orientation, direction }: TablistReading): readonly [forward: string, backward: string] {
  if (orientation === 'vertical') return ['ArrowDown', 'ArrowUp'];
  return direction === 'rtl' ? ['ArrowLeft', 'ArrowRight'] : ['ArrowRight', 'ArrowLeft'];
}

const names: TablistPart = {
  name: 'names',
  wcag: ['1.3.1', '2.4.6', '4.1.2'],
  aria: 'tabs',
  clauses: [
    {
      name: 'each tab has a name of its own',
      run: async (subject) => {
        const { tabs } = await begin(subject);
        const all = tabs.map(({ name }) => name);
        expect(all, 'the names of the tabs').not.toContain('');
        expect(all, 'names, each once').toEqual([...new Set(all)]);
      },
    },
    {
      name: 'one tab says that it is selected',
      run: async (subject) => {
        const begun = await begin(subject);
        expect(selectedIn(begun).length, 'tabs with aria-selected="true"').toBe(1);
      },
    },
    {
      name: 'the panel of the selected tab has its name',
      run: async (subject) => {
        const { tabs } = await begin(subject);
        const selected = tabs.find(({ isSelected }) => isSelected);
        expect(selected?.panel?.name, 'the name of the tabpanel').toBe(selected?.name ?? 'a tab');
      },
    },
  ],
};

const mouse: TablistPart = {
  name: 'mouse',
  wcag: ['4.1.2'],
  aria: 'tabs',
  clauses: [
    {
      name: 'a press selects a tab, and its panel is the one that is shown',
      run: (subject) => selectEach(subject, 'mouse'),
    },
    {
      name: 'focus stays on the tab that was pressed',
      run: async (subject) => {
        const begun = await begin(subject);
        const last = begun.enabled.at(-1)?.name ?? '';
        await begun.tablist.select(last);
        expect(await focused(begun.page, begun), 'the tab that has focus').toBe(last);
      },
    },
  ],
};

const keyboard: TablistPart = {
  name: 'keyboard',
  wcag: ['2.1.1', '2.1.2', '2.4.3'],
  aria: 'tabs',
  clauses: [
    {
      name: 'Tab comes to the selected one, leads on out of the tabs, and back',
      run: async (subject) => {
        // With the last selected another stop before it shows, and with the first one after it.
        for (const end of [-1, 0]) {
          const begun = await begin(subject);
          const name = begun.enabled.at(end)?.name ?? '';
          await begun.tablist.select(name);
          await begun.tablist.focus(name);
          await begun.page.key('Tab');
          expect(await focused(begun.page, begun), `the tab that has focus after Tab from “${name}”`).toBe(none);
          await begun.page.key('Shift+Tab');
          expect(await focused(begun.page, begun), 'the tab that has focus after Shift+Tab').toBe(name);
        }
      },
    },
    {
      name: 'arrow keys walk through them, and round',
      run: async (subject) => {
        const begun = await begin(subject);
        const [forward, backward] = arrowsOf(begun);
        const [first, ...others] = begun.enabled.map(({ name }) => name);
        await begun.tablist.focus(first ?? '');
        for (const name of [...others, first])
          expect(await step(begun, forward), `the tab that has focus after ${forward}`).toBe(name);
        expect(await step(begun, backward), `the tab that has focus after ${backward}`).toBe(others.at(-1));
      },
    },
    {
      name: 'what the arrow keys come to is selected at once, or with Enter and with Space',
      run: async (subject) => {
        for (const key of ['Enter', ' ']) {
          const begun = await begin(subject);
          const [forward] = arrowsOf(begun);
          await begun.tablist.select(begun.enabled[0]?.name ?? '');
          await begun.tablist.focus(begun.enabled[0]?.name ?? '');
          const name = await step(begun, forward);
          if ((await begun.tablist.selected()) !== name) await begun.page.key(key);
          const message = `the tab that is selected after ${forward}${key === 'Enter' ? ' and Enter' : ' and Space'}`;
          await expect.poll(() => begun.tablist.selected(), { message, timeout: begun.page.patience }).toBe(name);
          await expectPanelOf(begun, name);
        }
      },
    },
  ],
};

const homeAndEnd: TablistPart = {
  name: 'Home and End',
  aria: 'tabs',
  clauses: [
    {
      name: 'lead to the first and the last',
      run: async (subject) => {
        const begun = await begin(subject);
        const [first, last] = [begun.enabled[0]?.name ?? '', begun.enabled.at(-1)?.name];
        await begun.tablist.focus(first);
        expect(await step(begun, 'End'), 'the tab that has focus after End').toBe(last);
        expect(await step(begun, 'Home'), 'the tab that has focus after Home').toBe(first);
      },
    },
  ],
};

const disabled: TablistPart = {
  name: 'disabled',
  wcag: ['4.1.2'],
  clauses: [
    {
      name: 'a tab that is disabled is not selected, by arrow keys, Enter or Space',
      run: async (subject) => {
        const begun = await begin(subject);
        const one = begun.tabs.find(({ isDisabled }) => isDisabled);
        if (!one) throw new NotJudged('this page', 'none of the tabs is disabled');
        const [forward] = arrowsOf(begun);
        await begun.tablist.focus(begun.enabled[0]?.name ?? '');
        for (const tab of begun.tabs) {
          await begun.page.key(forward);
          // Arrow keys may come to it, so that it is known to be there, or pass it over.
          if ((await focused(begun.page, begun)) === one.name)
            for (const key of ['Enter', ' ']) await begun.page.key(key);
          expect(await begun.tablist.selected(), `selected after ${tab.name}`).not.toBe(one.name);
        }
      },
    },
  ],
};

const touch: TablistPart = {
  name: 'touch',
  clauses: [{ name: 'each is selected with a finger', run: (subject) => selectEach(subject, 'touch') }],
};

const narrow: TablistPart = {
  name: 'narrow',
  wcag: ['1.4.10', '2.1.1'],
  clauses: (['mouse', 'keyboard'] as const).map((input) => ({
    name: `in a window of 320 px each can be selected by ${input}, and nothing reaches beyond it`,
    run: async (subject) => {
      const { page, enabled } = await begin(subject);
      await page.at({ width: 320 });
      for (const { name } of inTurn(enabled)) {
        await page.by(input).tabs(subject.tabs).select(name);
        expect(await page.beyondWindow(), `CSS pixels beyond a window of 320, with “${name}” selected`).toBe(0);
      }
    },
  })),
};

const largeText: TablistPart = {
  name: 'large text',
  wcag: ['1.4.4', '1.4.10'],
  clauses: [
    {
      name: 'with text of twice its size each can be selected still',
      run: async (subject) => {
        const { page, tablist, enabled } = await begin(subject);
        await page.at({ width: 1280, textSize: 200 });
        expect(await page.beyondWindow(), 'CSS pixels beyond a window of 1280').toBe(0);
        for (const { name } of enabled.toReversed()) await tablist.select(name);
      },
    },
  ],
};

/** What is promised of tabs, in parts that may be left out. */
export const tablistParts: readonly TablistPart[] = [
  names,
  mouse,
  keyboard,
  homeAndEnd,
  disabled,
  touch,
  narrow,
  largeText,
];

/**
 * Runs any implementation of tabs through what is promised of them (ARIA Authoring Practices, tabs pattern). What the host
 * cannot judge is skipped, and says so; a part that does not apply is declared.
 *
 * @param skipped parts that do not apply, each with the reason
 * @throws TypeError where a part is left out that there is not
 * @example
 * tablistContract({ open: () => open('/hides/causeway'), tabs: 'Causeway Hide' });
 */
export function tablistContract(subject: TablistSubject, skipped: SkippedParts = {}): void {
  registerParts(`the tabs ${subject.tabs ?? 'of the page'}`, tablistParts, subject, skipped);
}
