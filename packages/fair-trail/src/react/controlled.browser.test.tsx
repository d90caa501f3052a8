import { StrictMode, useState, type ReactNode } from 'react';
import { beforeAll, describe, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import { Layout } from './layout.tsx';
import { Navbar } from './navbar.tsx';
import { Sidebar } from './sidebar.tsx';
import { Stage } from './stage.tsx';
import { Tablist, Tabpanel, Tabs } from './tabs.tsx';
import { Trail } from './trail.tsx';
import { desk, nested } from '../testing/sites.ts';
import { mount } from './mount.samples.tsx';

/** What the app controls changes when the app says so, however often the reader asks. */

const bar = defineSite(nested);
const side = defineSite(desk);
const times = 6;

const within = (site: typeof bar, content: ReactNode) => (
  <StrictMode>
    <Trail site={site} url="/">
      {content}
    </Trail>
  </StrictMode>
);

const withSidebar = (sidebar: ReactNode) =>
  within(
    side,
    <Layout sidebar={sidebar}>
      <Stage />
    </Layout>,
  );

const button = (name: string | RegExp) => page.getByRole('button', { name }).first();
const tabs = [
  { id: 'overview', label: 'Overview' },
  { id: 'records', label: 'Records' },
];

interface Refusal {
  readonly name: string;
  readonly width: number;
  readonly app: (report: (value: unknown) => void) => ReactNode;
  readonly press: () => ReturnType<typeof button>;
  readonly asks: unknown;
}

const refusals: readonly Refusal[] = [
  ...(['panel', 'screen', 'more'] as const).flatMap((form) =>
    [false, true].map((expanded) => ({
      name: `a bar with expanded={${expanded}} and whenNarrow="${form}"`,
      width: 320,
      app: (report: (value: unknown) => void) =>
        within(bar, <Navbar expanded={expanded} onToggle={report} whenNarrow={form} alwaysToggle={form !== 'more'} />),
      press: () => button(/^(?:Menu|Close|More)/u),
      asks: !expanded,
    })),
  ),
  {
    name: 'a sidebar with expanded={false}',
    width: 360,
    app: (report) => withSidebar(<Sidebar menu="desk" expanded={false} onToggle={report} />),
    press: () => button('Menu'),
    asks: true,
  },
  {
    name: 'a sidebar with expanded={true}',
    width: 360,
    app: (report) => withSidebar(<Sidebar menu="desk" expanded onToggle={report} />),
    press: () => button(/^Close/u),
    asks: false,
  },
  {
    name: 'a sidebar with expanded={true} above the content',
    width: 360,
    app: (report) => withSidebar(<Sidebar menu="desk" expanded onToggle={report} whenNarrow="above" />),
    press: () => button('Menu'),
    asks: false,
  },
  ...[false, true].map((narrowed) => ({
    name: `a sidebar with narrowed={${narrowed}}`,
    width: 1280,
    app: (report: (value: unknown) => void) =>
      withSidebar(<Sidebar menu="desk" rail narrowed={narrowed} onNarrow={report} />),
    press: () => page.getByRole('button', { name: /sidebar|icons|labels/iu }).first(),
    asks: !narrowed,
  })),
  {
    name: 'tabs with selected="overview"',
    width: 1280,
    app: (report) =>
      within(
        bar,
        <Tabs tabs={tabs} label="Parts" selected="overview" onSelect={report}>
          <Tablist />
          {tabs.map(({ id }) => (
            <Tabpanel key={id} id={id}>
              {id}
            </Tabpanel>
          ))}
        </Tabs>,
      ),
    press: () => page.getByRole('tab', { name: 'Records' }),
    asks: 'records',
  },
];

// There is no router here: a link that is followed by mistake would take the test's own page away, and all tests with it.
beforeAll(() => {
  document.addEventListener('click', (event) => {
    if (event.target instanceof Element && event.target.closest('a[href]')) event.preventDefault();
  });
});

/** The runner answers before the window has its new size, and what moves focus as it changes would do so in the test. */
async function resize(width: number): Promise<void> {
  await page.viewport(width, 800);
  await expect.poll(() => window.innerWidth).toBe(width);
}

describe('refused, it asks the same again', () => {
  test.each(refusals)('$name', async ({ width, app, press, asks }) => {
    await resize(width);
    const report = vi.fn();
    mount(app(report));
    for (let count = 0; count < times; count += 1) await press().click();
    expect(report.mock.calls).toEqual(Array.from({ length: times }, () => [asks]));
  });

  test.each(refusals)('$name, by keyboard', async ({ width, app, press, asks }) => {
    await resize(width);
    const report = vi.fn();
    mount(app(report));
    await expect.element(press()).toBeVisible();
    (press().element() as HTMLElement).focus();
    for (let count = 0; count < times; count += 1) await userEvent.keyboard('{Enter}');
    expect(report.mock.calls).toEqual(Array.from({ length: times }, () => [asks]));
  });
});

test('a bar that covered the screen gives the page back where there is room, though the app keeps it open', async () => {
  await page.viewport(320, 800);
  const report = vi.fn();
  mount(
    within(
      bar,
      <>
        <Navbar expanded onToggle={report} whenNarrow="screen" />
        <Stage />
      </>,
    ),
  );
  const main = () => document.querySelector('main')?.closest('[inert]') ?? null;
  await expect.poll(main).not.toBeNull();
  await page.viewport(1280, 800);
  await expect.poll(main).toBeNull();
  expect(report.mock.calls).toEqual([[false]]);
  await page.viewport(320, 800);
  await expect.poll(main).not.toBeNull();
});

test('a sidebar that the app keeps open through a change of room is open when it is narrow again', async () => {
  await page.viewport(360, 800);
  const report = vi.fn();
  mount(withSidebar(<Sidebar menu="desk" expanded onToggle={report} />));
  const main = () => document.querySelector('main')?.closest('[inert]') ?? null;
  await expect.poll(main).not.toBeNull();
  await page.viewport(1280, 800);
  await expect.poll(main).toBeNull();
  expect(report.mock.calls).toEqual([[false]]);
  await page.viewport(360, 800);
  await expect.poll(main).not.toBeNull();
  await button(/^Close/u).click();
  expect(report.mock.calls).toEqual([[false], [false]]);
});

test('a bar that the app closes at last gives focus back, as the reader asked by Escape', async () => {
  await page.viewport(320, 800);
  function Slow(): ReactNode {
    const [expanded, setExpanded] = useState(true);
    return <Navbar expanded={expanded} onToggle={(next) => setTimeout(() => setExpanded(next), 50)} />;
  }
  mount(within(bar, <Slow />));
  const link = page.getByRole('link', { name: 'Today' });
  await expect.element(link).toBeVisible();
  (link.element() as HTMLElement).focus();
  await userEvent.keyboard('{Escape}');
  await expect.element(button('Menu')).toHaveFocus();
  await expect.element(button('Menu')).toHaveAttribute('aria-expanded', 'false');
});

test('tabs that the app controls take focus along by arrow keys once it agrees', async () => {
  function Agreeing(): ReactNode {
    const [selected, setSelected] = useState('overview');
    return (
      <Tabs tabs={tabs} label="Parts" selected={selected} onSelect={setSelected}>
        <Tablist />
      </Tabs>
    );
  }
  mount(within(bar, <Agreeing />));
  const overview = page.getByRole('tab', { name: 'Overview' });
  await overview.click();
  await userEvent.keyboard('{ArrowRight}');
  await expect.element(page.getByRole('tab', { name: 'Records' })).toHaveFocus();
  await expect.element(page.getByRole('tab', { name: 'Records' })).toHaveAttribute('aria-selected', 'true');
});
