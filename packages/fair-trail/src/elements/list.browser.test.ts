import { beforeEach, describe, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { write } from './mount.samples.ts';

/** Lists that the author has written become menus, and stay the author's. */

const nav = page.getByRole('navigation', { name: 'Main' });
const link = (name: string) => nav.getByRole('link', { name, exact: true });
const button = (name: string) => nav.getByRole('button', { name, exact: true });
const element = (locator: { element: () => Element }) => locator.element() as HTMLElement;

beforeEach(() => {
  history.replaceState(null, '', '/hides/reedbed');
  return () => history.replaceState(null, '', '/');
});

const list = `
  <ul class="plain">
    <li><a href="/">Today</a></li>
    <li>
      <a href="/hides" id="hides-link">Hides <b>(4)</b></a>
      <ul>
        <li><a href="/hides/reedbed">Reedbed Hide</a></li>
        <li><a href="/hides/lantern-room">Lantern Room</a></li>
      </ul>
    </li>
    <li>
      <a href="#">Practical</a>
      <ol>
        <li><a href="/visit">Visit</a></li>
        <li><a href="https://tides.example/">Tides elsewhere</a></li>
      </ol>
    </li>
    <li><details><summary>More</summary><ul><li><a href="/about">About</a></li></ul></details></li>
  </ul>`;

const bar = (content = `<nav aria-label="Main">${list}</nav>`, attributes = '') =>
  write(`<trail-bar ${attributes}>${content}</trail-bar>`);

test('the list is the menu, with the elements that the author wrote, and marks by the address of the page', async () => {
  const container = write('');
  container.innerHTML = `<trail-bar><nav aria-label="Main">${list}</nav></trail-bar>`;
  const own = [...container.querySelectorAll('nav, ul, ol, li, a:not([href="#"])')];
  const wroteLink = container.querySelector('#hides-link');
  await expect.element(button('Pages in Hides (4)')).toBeVisible();
  expect([...container.querySelectorAll('nav, ul, ol, li, a')].filter((one) => !own.includes(one))).toEqual([]);
  expect(own.every((one) => container.contains(one))).toBe(true);
  expect(element(link('Hides (4)'))).toBe(wroteLink);
  expect(wroteLink?.innerHTML).toBe('<span class="ft-label">Hides <b>(4)</b></span>');
  await expect.element(link('Hides (4)')).toHaveAttribute('aria-current', 'true');
  expect([...container.querySelectorAll('[aria-current]')].map((one) => one.textContent.trim())).toEqual([
    'Hides (4)',
    'Reedbed Hide',
  ]);
});

test('its nested lists are panels behind buttons, whatever stood for the button', async () => {
  bar();
  await button('Pages in Hides (4)').click();
  await expect.element(link('Lantern Room')).toBeVisible();
  await button('Practical').click();
  await expect.element(link('Visit')).toBeVisible();
  await expect.element(link('Lantern Room')).not.toBeInTheDocument();
  await userEvent.keyboard('{ArrowDown}{ArrowDown}');
  await expect.element(link('Tides elsewhere')).toHaveFocus();
  await userEvent.keyboard('{Escape}');
  await expect.element(button('Practical')).toHaveFocus();
  await button('More').click();
  await expect.element(link('About')).toBeVisible();
  expect(document.querySelector('details, summary')).toBe(null);
});

test('where room is short it is behind a toggle', async () => {
  bar();
  await page.viewport(320, 700);
  const menu = nav.getByRole('button', { name: 'Menu' });
  await expect.element(menu).toBeVisible();
  await expect.element(link('Today')).not.toBeInTheDocument();
  await menu.click();
  await expect.element(link('Today')).toBeVisible();
});

describe('what people write', () => {
  const names = () =>
    [...document.querySelectorAll('.ft-bar-panel > .ft-menu > li')].map((one) => one.textContent.trim());

  test.each([
    ['a list alone', '<ul><li><a href="/">Today</a></li><li><a href="/visit">Visit</a></li></ul>'],
    ['an ordered list', '<nav><ol><li><a href="/">Today</a></li><li><a href="/visit">Visit</a></li></ol></nav>'],
    [
      'a list further in, beside other things',
      '<nav><h2>Menu</h2><div><ul><li><a href="/">Today</a></li><!-- --><li><a href="/visit">Visit</a></li></ul></div></nav>',
    ],
    [
      'items with more around the link',
      '<nav><ul><li><div><a href="/">Today</a></div></li><li class="active"><span><a href="/visit">Visit</a></span></li></ul></nav>',
    ],
  ])('%s', async (_, content) => {
    bar(content);
    await expect.poll(names).toEqual(['Today', 'Visit']);
    expect(document.querySelectorAll('nav')).toHaveLength(1);
    expect(document.querySelectorAll('.ft-bar-panel .ft-menu .ft-link')).toHaveLength(2);
  });

  test.each([
    ['a button', '<button>Practical</button>'],
    ['text', 'Practical'],
    ['an element around text', '<span class="title">Practical</span>'],
    ['a link without an address', '<a>Practical</a>'],
    ['a link that does nothing', '<a href="javascript:void(0)">Practical</a>'],
  ])('%s over a nested list', async (_, lead) => {
    bar(`<nav aria-label="Main"><ul><li>${lead}<ul><li><a href="/visit">Visit</a></li></ul></li></ul></nav>`);
    await button('Practical').click();
    await expect.element(link('Visit')).toBeVisible();
    expect(document.querySelector('nav')?.textContent.match(/Practical/gu)).toHaveLength(1);
  });

  test('marks of their own give way to ours, where the page is in the list', async () => {
    const marked = '<ul><li><a href="/" aria-current="page">Today</a></li><li><a href="/hides">Hides</a></li></ul>';
    bar(`<nav aria-label="Main">${marked}</nav>`);
    await expect.element(link('Hides')).toHaveAttribute('aria-current', 'true');
    await expect.element(link('Today')).not.toHaveAttribute('aria-current');
  });

  test('and stay where it is not', async () => {
    history.replaceState(null, '', '/somewhere');
    const marked =
      '<ul><li><a href="/visit" aria-current="page">Visit</a></li><li><a href="/hides">Hides</a></li></ul>';
    bar(`<nav aria-label="Main">${marked}</nav>`);
    await expect.element(nav.getByRole('button', { name: 'Menu', includeHidden: true })).toBeInTheDocument();
    await expect.element(link('Visit')).toHaveAttribute('aria-current', 'page');
  });

  test('addresses of files are those of pages', async () => {
    history.replaceState(null, '', '/site/hides.html');
    bar(
      '<nav aria-label="Main"><ul><li><a href="index.html">Today</a></li><li><a href="hides.html">Hides</a></li></ul></nav>',
    );
    await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
    await expect.element(link('Hides')).toHaveAttribute('href', 'hides.html');
    await expect.element(link('Today')).not.toHaveAttribute('aria-current');
  });

  test('the same address twice is marked once in a list', async () => {
    const below = '<ul><li><a href="/hides/reedbed">Overview</a></li></ul>';
    bar(`<nav aria-label="Main"><ul><li><a href="/hides/reedbed">Reedbed</a>${below}</li></ul></nav>`);
    await expect.element(link('Reedbed')).toHaveAttribute('aria-current', 'page');
    expect(document.querySelectorAll('[aria-current]')).toHaveLength(1);
  });
});

test('a list elsewhere in the page is named by its id, and comes into the bar', async () => {
  write(`<trail-bar list="site-menu"></trail-bar><nav id="site-menu" aria-label="Main">${list}</nav>`);
  await expect.element(link('Today')).toBeVisible();
  expect(document.querySelector('#site-menu')?.closest('trail-bar')).not.toBe(null);
  expect(document.querySelectorAll('nav')).toHaveLength(1);
});

test('breadcrumbs come from the list, if there is no site', async () => {
  write(`<trail-bar><nav aria-label="Main">${list}</nav></trail-bar><trail-breadcrumbs></trail-breadcrumbs>`);
  const way = page.getByRole('navigation', { name: 'Breadcrumbs' });
  await expect.element(way).toBeVisible();
  expect(element(way).textContent).toBe('TodayHides (4)Reedbed Hide');
  await expect.element(way.getByRole('link', { name: 'Today' })).toHaveAttribute('href', '/');
});

describe('what is no menu', () => {
  const warned = () => vi.spyOn(console, 'warn').mockImplementation(() => undefined);

  test('a list without links is left as it is, and reported once', async () => {
    const warn = warned();
    const container = bar('<nav><ul><li>Nothing</li></ul></nav>');
    await expect.poll(() => warn.mock.calls.length).toBe(1);
    expect(String(warn.mock.calls[0]?.[0])).toContain('list-without-links');
    expect(container.querySelector('ul')?.outerHTML).toBe('<ul><li>Nothing</li></ul>');
    expect(container.querySelector('.ft-bar')).toBe(null);
    warn.mockRestore();
  });

  test('the list of another element is left to it', async () => {
    const warn = warned();
    write(
      `<trail-bar list="one"></trail-bar><trail-sidebar list="one"></trail-sidebar><nav id="one" aria-label="Main">${list}</nav>`,
    );
    await expect.element(link('Today')).toBeVisible();
    await expect
      .poll(() => warn.mock.calls.map(([text]) => /\[(.*)\]/u.exec(String(text))?.[1]))
      .toEqual(['list-in-use']);
    warn.mockRestore();
  });
});
