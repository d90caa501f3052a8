import { StrictMode, useState, type ReactNode } from 'react';
import { beforeEach, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import { mount } from './mount.samples.tsx';
import { Navbar } from './navbar.tsx';
import { Sidebar } from './sidebar.tsx';
import { Tab, Tablist, Tabs } from './tabs.tsx';
import { Trail } from './trail.tsx';

/** How React draws the parts: only what changed, and in whatever document they are. */

const pages = Array.from({ length: 300 }, (_, index) => ({
  id: `page-${index}`,
  label: `Page ${index}`,
  href: `/page-${index}`,
  icon: 'dot',
}));
const site = defineSite({
  name: 'Marram',
  entries: [
    { id: 'home', label: 'Home', href: '/' },
    { id: 'visit', label: 'Visit', href: '/visit', entries: [{ id: 'boats', label: 'Boats', href: '/visit/boats' }] },
    ...pages,
  ],
  menus: { main: [{ entry: 'visit', depth: 2 }], all: pages.map(({ id }) => id) },
});

const icon = vi.fn((name: string) => <i data-name={name} />);

beforeEach(() => {
  icon.mockClear();
});

const within = (content: ReactNode) => (
  <Trail site={site} history={memoryHistory('/page-1')} viewTransitions={false}>
    {content}
  </Trail>
);

const marked = () => [...document.querySelectorAll('[aria-current=page]')].map(({ textContent }) => textContent);

test('a page change draws the two links again whose marks change, of three hundred', async () => {
  mount(within(<Sidebar menu="all" icon={icon} />));
  await expect.poll(marked).toEqual(['Page 1']);
  const kept = [...document.querySelectorAll('.ft-link')];
  icon.mockClear();
  await page.getByRole('link', { name: 'Page 7', exact: true }).click();
  await expect.poll(marked).toEqual(['Page 7']);
  expect(icon).toHaveBeenCalledTimes(2);
  expect([...document.querySelectorAll('.ft-link')]).toEqual(kept);
});

test('an app that draws itself again draws no link again', async () => {
  function App(): ReactNode {
    const [count, setCount] = useState(0);
    return (
      <>
        <button onClick={() => setCount(count + 1)}>Drawn {count}</button>
        <Sidebar menu="all" icon={icon} start={<p>{count}</p>} />
      </>
    );
  }
  mount(within(<App />));
  await expect.poll(marked).toEqual(['Page 1']);
  icon.mockClear();
  await page.getByRole('button', { name: 'Drawn 0' }).click();
  await expect.element(page.getByRole('button', { name: 'Drawn 1' })).toBeVisible();
  await expect.element(page.getByText('1', { exact: true })).toBeVisible();
  expect(icon).not.toHaveBeenCalled();
});

test('in strict mode a part listens once, and in the document that it was moved to', async () => {
  const onToggle = vi.fn();
  const app = (label: string) => (
    <StrictMode>
      {within(<Navbar label={label} whenNarrow="panel" alwaysToggle onToggle={onToggle} brand={<b>Brand</b>} />)}
    </StrictMode>
  );
  const { container, render } = mount(app('Main'));
  const toggle = page.getByRole('button', { name: 'Menu' });
  await toggle.click();
  await userEvent.keyboard('{Escape}');
  expect(onToggle.mock.calls).toEqual([[true], [false]]);

  const frame = document.createElement('iframe');
  document.body.append(frame);
  const other = frame.contentDocument;
  if (!other) throw new Error('a frame without an address has a document at once');
  other.body.append(container);
  render(app('Elsewhere'));
  const button = () => container.querySelector<HTMLElement>('.ft-toggle');
  await expect.poll(() => container.querySelector('nav')?.getAttribute('aria-label')).toBe('Elsewhere');
  button()?.click();
  await expect.poll(() => button()?.getAttribute('aria-expanded')).toBe('true');
  other.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
  await expect.poll(() => button()?.getAttribute('aria-expanded')).toBe('false');
  frame.remove();
});

test('the app may listen on a tab, and takes nothing from it', async () => {
  const onClick = vi.fn();
  const tabs = [
    { id: 'map', label: 'Map' },
    { id: 'log', label: 'Log' },
  ];
  mount(
    within(
      <Tabs tabs={tabs} label="Hide">
        <Tablist>
          <Tab id="map" />
          <Tab id="log" onClick={onClick} />
        </Tablist>
      </Tabs>,
    ),
  );
  await page.getByRole('tab', { name: 'Log' }).click();
  expect(onClick).toHaveBeenCalledTimes(1);
  await expect.element(page.getByRole('tab', { name: 'Log' })).toHaveAttribute('aria-selected', 'true');
});

test('an annex that takes the place of another one has a field of its own that filters', async () => {
  const two = ['birds', 'boats'].map((id) => ({
    id,
    label: id,
    href: `/${id}`,
    entries: ['first', 'second'].map((name) => ({
      id: `${id}-${name}`,
      label: `${id} ${name}`,
      href: `/${id}/${name}`,
    })),
  }));
  const other = defineSite({
    name: 'Marram',
    entries: [{ id: 'home', label: 'Home', href: '/' }, ...two],
    menus: { main: two.map(({ id }) => ({ entry: id, depth: 2 })) },
  });
  mount(
    <Trail site={other} history={memoryHistory('/?annex=birds')}>
      <Sidebar search annex={['birds', 'boats']} />
    </Trail>,
  );
  const shown = () =>
    [...document.querySelectorAll<HTMLElement>('.ft-annex li')]
      .filter(({ hidden }) => !hidden)
      .map(({ textContent }) => textContent);
  await expect.poll(shown).toEqual(['birds first', 'birds second']);
  await page.getByRole('button', { name: 'boats', exact: true }).click();
  await expect.poll(shown).toEqual(['boats first', 'boats second']);
  await page.getByRole('navigation', { name: 'boats' }).getByRole('searchbox').fill('second');
  await expect.poll(shown).toEqual(['boats second']);
});
