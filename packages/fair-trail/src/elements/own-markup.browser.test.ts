import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { page } from 'vitest/browser';
import './index.ts';
import '../styles/index.css';

/** What people have in their navigation, beyond links to pages. Nothing of it may go away. */

let warned: string[] = [];
let container: HTMLElement;

beforeEach(() => {
  history.replaceState(null, '', '/');
  warned = [];
  vi.spyOn(console, 'warn').mockImplementation((text: unknown) => {
    warned.push(/\[([a-z-]+)\]/u.exec(String(text))?.[1] ?? String(text));
  });
});

afterEach(async () => {
  vi.restoreAllMocks();
  container.remove();
  await page.viewport(1280, 800);
});

function write(html: string): void {
  container = document.createElement('div');
  container.innerHTML = html;
  document.body.prepend(container);
}

const nav = page.getByRole('navigation', { name: 'Main' });
const bar = (items: string) =>
  write(`<trail-bar><nav aria-label="Main"><ul>${items}</ul></nav></trail-bar><main><p id="part">Part</p></main>`);

/** The texts of the bar's items that a person sees, from left to right. */
function seen(): string[] {
  return [...container.querySelectorAll<HTMLElement>('.ft-bar-panel > .ft-menu > li')]
    .filter((item) => item.checkVisibility({ visibilityProperty: true }) && item.textContent.trim() !== '')
    .sort((one, other) => one.getBoundingClientRect().left - other.getBoundingClientRect().left)
    .map((item) => (item.querySelector('.ft-link, .ft-label') ?? item).textContent.replace(/\s+/gu, ' ').trim());
}

const today = '<li><a href="/">Today</a></li>';
const visit = '<li><a href="/visit">Visit</a></li>';

test.each([
  ['a link to #', '<a href="#">Webcam</a>'],
  ['a link to nothing', '<a href="">Webcam</a>'],
  ['a link without an address', '<a>Webcam</a>'],
  ['a link that runs a script', '<a href="javascript:void(0)">Webcam</a>'],
  ['a link that is disabled', '<a href="/webcam" aria-disabled="true">Webcam</a>'],
])('%s stays in its place, disabled, with a warning', async (_, link) => {
  bar(`${today}<li>${link}</li>${visit}`);
  await expect.poll(seen).toEqual(['Today', 'Webcam', 'Visit']);
  expect(warned).toEqual(['list-placeholder']);
  const item = nav.getByRole('link', { name: 'Webcam' });
  await expect.element(item).toHaveAttribute('aria-disabled', 'true');
  const { left, top, width, height } = item.element().getBoundingClientRect();
  expect(document.elementFromPoint(left + width / 2, top + height / 2)?.closest('a')).toBe(item.element());
  // It differs from its neighbors, and the pointer shows that too.
  const style = getComputedStyle(item.element());
  expect([style.cursor, style.color]).not.toContain(getComputedStyle(nav.getByText('Visit').element()).color);
  (item.element() as HTMLElement).click();
  expect(location.pathname + location.hash).toBe('/');
});

test('a link to a part of the page is a link', async () => {
  bar(`${today}<li><a href="#part">Part</a></li>`);
  await expect.poll(seen).toEqual(['Today', 'Part']);
  await nav.getByRole('link', { name: 'Part' }).click();
  expect(location.hash).toBe('#part');
  await expect.element(nav.getByRole('link', { name: 'Today' })).toHaveAttribute('aria-current', 'page');
  expect(warned).toEqual([]);
});

test('a placeholder over placeholders is a group', async () => {
  const below = '<ul><li><a href="#">North</a></li><li><a href="#">South</a></li></ul>';
  bar(`${today}<li><a href="#">Hides</a>${below}</li>`);
  await nav.getByRole('button', { name: 'Hides' }).click();
  await expect.element(nav.getByRole('link', { name: 'North' })).toBeVisible();
  await expect.element(nav.getByRole('link', { name: 'South' })).toHaveAttribute('aria-disabled', 'true');
});

test('buttons, fields, text and what has a handler of its own stay as they are', async () => {
  const asked = vi.fn();
  Object.assign(window, { asked });
  bar(
    `${today}<li>Open daily</li><li><button type="button" onclick="asked('search')">Search</button></li>` +
      `<li><a href="#" onclick="asked('sign-in'); return false">Sign in</a></li>` +
      `<li><form><input aria-label="Find"></form></li>${visit}`,
  );
  await expect.poll(seen).toEqual(['Today', 'Open daily', 'Search', 'Sign in', 'Visit']);
  await nav.getByRole('button', { name: 'Search' }).click();
  await nav.getByRole('link', { name: 'Sign in' }).click();
  expect(asked.mock.calls.flat()).toEqual(['search', 'sign-in']);
  await expect.element(nav.getByRole('textbox', { name: 'Find' })).toBeVisible();
  expect(warned).toEqual([]);
});

test.each([
  ['hr in an item', '<li><hr></li>'],
  ['hr in the list', '<hr>'],
  ['a separator', '<li role="separator"></li>'],
])('%s is a divider: a line upright in the row, and across in the narrow menu', async (_, divider) => {
  const more = Array.from({ length: 4 }, (_, place) => `<li><a href="/hide-${place}">Hide number ${place}</a></li>`);
  bar(`${today}${divider}${visit}${more.join('')}`);
  await expect.element(nav.getByText('Visit')).toBeInTheDocument();
  const line = () => {
    const found = container.querySelector('.ft-divider');
    const { width, height } = found?.getBoundingClientRect() ?? new DOMRect();
    const style = found && getComputedStyle(found);
    return { isUpright: height > 4 * width, isDrawn: style?.borderInlineStartWidth !== '0px' || height <= 2 };
  };
  await expect.poll(line).toEqual({ isUpright: true, isDrawn: true });
  await page.viewport(320, 700);
  await nav.getByRole('button', { name: 'Menu' }).click();
  await expect.poll(() => line().isUpright).toBe(false);
});

test('a heading is a title', async () => {
  bar(`${today}<li><h3>Hides</h3></li>${visit}`);
  await expect.poll(seen).toEqual(['Today', 'Hides', 'Visit']);
  await expect.element(nav.getByRole('heading', { name: 'Hides' })).toBeVisible();
});

test('two lists in one landmark are one menu, in one row', async () => {
  write(`<trail-bar><nav aria-label="Main"><ul>${today}</ul><ul>${visit}</ul></nav></trail-bar>`);
  await expect.poll(seen).toEqual(['Today', 'Visit']);
  const tops = [...container.querySelectorAll('a')].map((link) => link.getBoundingClientRect().top);
  expect(new Set(tops).size).toBe(1);
  expect(warned).toEqual(['lists-joined']);
});

test('links without a list are a menu', async () => {
  write('<trail-bar><nav aria-label="Main"><a href="/">Today</a> <a href="/visit">Visit</a></nav></trail-bar>');
  await expect.poll(seen).toEqual(['Today', 'Visit']);
  await expect.element(nav.getByRole('link', { name: 'Today' })).toHaveAttribute('aria-current', 'page');
});

test('a list that a script changes is read again', async () => {
  bar(`${today}${visit}`);
  await expect.poll(seen).toEqual(['Today', 'Visit']);
  const list = container.querySelector('.ft-menu');
  list?.insertAdjacentHTML(
    'beforeend',
    '<li><a href="/species">Species</a><ul><li><a href="/a">Avocet</a></li></ul></li>',
  );
  await expect.element(nav.getByRole('button', { name: 'Pages in Species' })).toBeVisible();
  expect(seen()).toEqual(['Today', 'Visit', 'Species']);
  const link = nav.getByRole('link', { name: 'Visit' }).element();
  link.setAttribute('href', '/');
  container.querySelector('a[href="/"]')?.closest('li')?.remove();
  await expect.poll(seen).toEqual(['Visit', 'Species']);
  await expect.element(nav.getByRole('link', { name: 'Visit' })).toHaveAttribute('aria-current', 'page');
  link.textContent = 'Plan a visit';
  await expect.poll(seen).toEqual(['Plan a visit', 'Species']);
  await nav.getByRole('button', { name: 'Pages in Species' }).click();
  await expect.element(nav.getByRole('link', { name: 'Avocet' })).toBeVisible();
});

test('a second bar on the same list is no copy of it, and says why it is empty', async () => {
  write(
    `<trail-bar list="one"></trail-bar><trail-bar list="one"></trail-bar><nav id="one" aria-label="Main"><ul>${today}${visit}</ul></nav>`,
  );
  await expect.poll(seen).toEqual(['Today', 'Visit']);
  await expect.poll(() => warned).toEqual(['list-in-use']);
  expect(container.querySelectorAll('a')).toHaveLength(2);
});

test('a bar without any list keeps what it holds, and says so', async () => {
  write(
    `<trail-bar><nav aria-label="Main"><ul>${today}</ul></nav></trail-bar><trail-bar><b>Marram Point</b></trail-bar>`,
  );
  await expect.poll(() => warned).toEqual(['site-missing']);
  await expect.element(page.getByText('Marram Point')).toBeVisible();
  expect(container.querySelectorAll('.ft-bar')).toHaveLength(1);
});
