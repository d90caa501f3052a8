import { afterEach, describe, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { memoryKeys } from '../core/interaction/memory-keys.ts';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import { scriptedAttribute } from '../dom/scripted.ts';
import { desk, nested } from '../testing/sites.ts';
import { mount, SampleApp } from './mount.samples.tsx';
import { Notice } from './notice.tsx';
import { Sidebar } from './sidebar.tsx';
import { Trail } from './trail.tsx';

/** What fails around the components: they go on, and nothing is left half done. */

const navigation = page.getByRole('navigation', { name: 'Main' });
const link = (name: string) => navigation.getByRole('link', { name, exact: true });
const heading = page.getByRole('heading', { level: 1 });

const app = (url = '/') => <SampleApp definition={nested} history={memoryHistory(url)} />;
/** @param name under which it is remembered: where storage fails, that lasts as long as the page, which is all these tests */
const column = (name: string) => (
  <Trail site={defineSite(desk)} url="/">
    <Notice name={name}>Storm</Notice>
    <Sidebar menu="desk" name={name} rail search icon={() => <svg width="20" height="20" aria-hidden="true" />} />
  </Trail>
);

afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  localStorage.clear();
});

test('after 30 clicks within a second the last one counts: one mark, its page, its title', async () => {
  mount(app());
  await expect.element(link('Today')).toBeVisible();
  const links = ['Today', 'Hides', 'About'].map((name) => link(name).element() as HTMLElement);
  for (let click = 0; click < 30; click += 1) {
    links[click % 3]?.click();
    if (click % 5 === 0) await new Promise((resolve) => setTimeout(resolve, 20));
  }
  await expect.element(heading).toHaveTextContent('About');
  await expect.poll(() => document.querySelectorAll('nav [aria-current=page]').length).toBe(1);
  await expect.element(link('About')).toHaveAttribute('aria-current', 'page');
  await expect.poll(() => document.title).toContain('About');
});

describe('where storage', () => {
  test.each<[string, () => void]>([
    [
      'is full',
      () => {
        vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
          throw new DOMException('full', 'QuotaExceededError');
        });
      },
    ],
    [
      'is refused',
      () => {
        for (const name of ['getItem', 'setItem', 'removeItem'] as const) {
          vi.spyOn(Storage.prototype, name).mockImplementation(() => {
            throw new DOMException('refused', 'SecurityError');
          });
        }
      },
    ],
  ])('%s, a sidebar narrows and a notice goes, for as long as the page is there', async (how, fail) => {
    fail();
    document.documentElement.setAttribute(scriptedAttribute, '');
    mount(column(how));
    await page.getByRole('button', { name: 'Collapse sidebar' }).click();
    await expect.element(page.getByRole('button', { name: 'Expand sidebar' })).toBeVisible();
    await page.getByRole('button', { name: /^Dismiss/u }).click();
    await expect.element(page.getByText('Storm', { exact: true })).not.toBeInTheDocument();
  });

  const values = ['{', 'null', '[]', '[1, {}, null]', '"desk"', '{"desk": true}', '\u0000', '[["desk"]]', '[""]'];
  test.each([...values, JSON.stringify(Array.from({ length: 50_000 }, (_, index) => `n${index}`))])(
    'holds %.20s under every name, all begins as if it were empty',
    async (value) => {
      for (const key of Object.values(memoryKeys)) localStorage.setItem(key, value);
      mount(column('desk'));
      await expect.element(page.getByRole('button', { name: 'Collapse sidebar' })).toBeVisible();
      await expect.element(page.getByText('Storm', { exact: true })).toBeVisible();
    },
  );
});

test('in a tab that draws nothing, a page change is made all the same', async () => {
  vi.stubGlobal('requestAnimationFrame', () => 0);
  vi.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
  mount(app());
  await expect.poll(() => document.querySelector('nav a[href="/about"]')).not.toBe(null);
  document.querySelector<HTMLElement>('nav a[href="/about"]')?.click();
  await expect.poll(() => document.querySelector('h1')?.textContent).toContain('About');
  await expect.poll(() => document.title).toContain('About');
});

test.each([86_400_000, -86_400_000])(
  'a clock that jumps by %i ms leaves nothing open and nothing stuck',
  async (jump) => {
    mount(app());
    const trigger = navigation.getByRole('button', { name: 'Pages in Hides' });
    await trigger.click();
    await expect.element(link('Reedbed Hide')).toBeVisible();
    const now = performance.now.bind(performance);
    const begin = Date.now();
    vi.spyOn(Date, 'now').mockImplementation(() => begin + jump);
    vi.spyOn(performance, 'now').mockImplementation(() => now() + jump);
    await userEvent.keyboard('{Escape}');
    await expect.element(trigger).toHaveAttribute('aria-expanded', 'false');
    vi.restoreAllMocks();
    await expect.element(link('Reedbed Hide')).not.toBeInTheDocument();
    await link('About').click();
    await expect.element(heading).toHaveTextContent('About');
  },
);

test('where styles come late, the bar is behind its toggle as soon as they are there', async () => {
  document.documentElement.setAttribute(scriptedAttribute, '');
  const sheets = [...document.styleSheets];
  for (const sheet of sheets) sheet.disabled = true;
  await page.viewport(320, 800);
  mount(app());
  await expect.poll(() => document.querySelector('nav a')).not.toBe(null);
  await new Promise((resolve) => setTimeout(resolve, 100));
  for (const sheet of sheets) sheet.disabled = false;
  await expect.element(page.getByRole('button', { name: 'Menu' })).toBeVisible();
  await expect.element(link('About')).not.toBeInTheDocument();
  await page.getByRole('button', { name: 'Menu' }).click();
  await expect.element(link('About')).toBeVisible();
  document.documentElement.removeAttribute(scriptedAttribute);
});

test('a page that is shown again as the browser kept it is at its address, with one mark', async () => {
  mount(app('/about'));
  await expect.element(link('About')).toHaveAttribute('aria-current', 'page');
  window.dispatchEvent(new PageTransitionEvent('pagehide', { persisted: true }));
  window.dispatchEvent(new PageTransitionEvent('pageshow', { persisted: true }));
  await link('Today').click();
  await expect.element(link('Today')).toHaveAttribute('aria-current', 'page');
  expect(document.querySelectorAll('nav [aria-current=page]')).toHaveLength(1);
});
