import { renderToString } from 'react-dom/server';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { defineSite, memoryHistory, type SiteDefinition } from '../core/index.ts';
import { memoryKey } from '../dom/index.ts';
import { FooterNav, LanguageLinks, Layout, Navbar, Notice, SkipLink, Stage, Trail } from './index.ts';
import { EchoPage, mount, pagesOf, site } from './mount.samples.tsx';

const definition: SiteDefinition = {
  name: 'Marram',
  language: 'en',
  languages: ['cy'],
  home: 'today',
  entries: [
    { id: 'today', label: 'Today', href: '/', icon: 'sun' },
    { id: 'hides', label: { en: 'Hides', cy: 'Cuddfannau' }, href: { en: '/hides', cy: '/cuddfannau' }, icon: 'hut' },
    { id: 'visit', label: 'Visit', href: '/visit' },
  ],
  menus: {
    main: ['today', 'hides'],
    footer: [{ label: 'Watch', entries: ['hides', 'visit'] }, 'today', 'hides', 'visit'],
  },
};
const small = defineSite(definition);

beforeEach(() => localStorage.removeItem(memoryKey));
afterEach(() => localStorage.removeItem(memoryKey));

describe('a notice', () => {
  const region = page.getByRole('region', { name: 'Notice' });
  const dismiss = page.getByRole('button', { name: 'Dismiss' });
  const withNotice = (name: string) => (
    <Trail site={site} url="/">
      <Notice name={name}>The causeway floods at noon.</Notice>
      <Navbar />
      <main tabIndex={-1}>Page</main>
    </Trail>
  );

  test('goes for good when it is dismissed, and focus goes on to what comes after it', async () => {
    const { unmount } = mount(withNotice('flood'));
    await expect.element(region).toHaveTextContent('The causeway floods at noon.');
    (dismiss.element() as HTMLElement).focus();
    await userEvent.keyboard('{Enter}');
    await expect.element(region).not.toBeInTheDocument();
    await expect.element(page.getByRole('link', { name: 'Marram Point' })).toHaveFocus();
    unmount();
    mount(withNotice('flood'));
    await expect.element(page.getByRole('main')).toBeVisible();
    await expect.element(region).not.toBeInTheDocument();
  });

  test('of another name is another one', async () => {
    const { render } = mount(withNotice('one'));
    await dismiss.click();
    await expect.element(region).not.toBeInTheDocument();
    render(withNotice('two'));
    await expect.element(region).toBeVisible();
  });

  test('that storage will not remember goes all the same', async () => {
    const refuse = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    });
    mount(withNotice('refused'));
    await dismiss.click();
    await expect.element(region).not.toBeInTheDocument();
    refuse.mockRestore();
  });

  test.each(['no JSON', '{"flood":true}', '[1,null]'])('is shown where %s lies in its place', async (stored) => {
    localStorage.setItem(memoryKey, stored);
    mount(withNotice(`after ${stored}`));
    await expect.element(region).toBeVisible();
  });

  test('that was dismissed is not seen between the first drawing and the script', async () => {
    localStorage.setItem(memoryKey, JSON.stringify(['early "one"']));
    await import('../dom/early.ts');
    const printed = document.createElement('div');
    printed.innerHTML = renderToString(withNotice('early "one"')) + renderToString(withNotice('other'));
    document.body.prepend(printed);
    const shown = [...printed.querySelectorAll('.ft-notice')].map((element) => element.checkVisibility());
    expect(shown).toEqual([false, true]);
    expect(document.documentElement.hasAttribute('data-ft-scripted')).toBe(true);
    printed.remove();
    document.adoptedStyleSheets = [];
  });
});

describe('the footer', () => {
  const footer = (props = {}) => (
    <Trail site={small} history={memoryHistory('/hides')}>
      <Stage pages={pagesOf(small)} />
      <FooterNav {...props} />
    </Trail>
  );

  test('names each group’s list by its title, and marks where one is', async () => {
    mount(footer({ foot: <small>Invented, 2026</small> }));
    await expect.element(page.getByRole('navigation', { name: 'Footer' })).toBeVisible();
    await expect.element(page.getByRole('heading', { name: 'Watch', level: 2 })).toBeVisible();
    const list = page.getByRole('list', { name: 'Watch' });
    await expect.element(list.getByRole('link', { name: 'Hides' })).toHaveAttribute('aria-current', 'page');
    await list.getByRole('link', { name: 'Visit' }).click();
    await expect.element(list.getByRole('link', { name: 'Visit' })).toHaveAttribute('aria-current', 'page');
    await expect.element(list.getByRole('link', { name: 'Hides' })).not.toHaveAttribute('aria-current');
    await expect.element(page.getByText('Invented, 2026')).toBeVisible();
  });

  test('icons alone keep the names, and an item without an icon keeps its label', async () => {
    mount(footer({ iconsOnly: true, icon: (name: string) => <i data-icon={name}>*</i> }));
    const links = page.getByRole('navigation', { name: 'Footer' }).getByRole('link');
    await expect.poll(() => links.elements().length).toBe(5);
    const loose = [...document.querySelectorAll<HTMLElement>('.ft-icons-only .ft-label')];
    expect(loose.map((label) => [label.textContent, label.offsetWidth > 2])).toEqual([
      ['Today', false],
      ['Hides', false],
      ['Visit', true],
    ]);
    for (const link of document.querySelectorAll<HTMLElement>('.ft-icons-only .ft-link')) {
      expect(Math.min(link.offsetWidth, link.offsetHeight)).toBeGreaterThanOrEqual(24);
    }
  });
});

test('a language leads to the same page in it, and says which language it is in', async () => {
  mount(
    <Trail site={small} history={memoryHistory('/hides')}>
      <LanguageLinks names={{ cy: 'Cymraeg', en: 'English' }} />
      <Navbar />
      <Stage pages={{ hides: EchoPage }} />
    </Trail>,
  );
  const languages = page.getByRole('navigation', { name: 'Language' });
  await expect.element(languages.getByRole('link', { name: 'English' })).toHaveAttribute('aria-current', 'true');
  const welsh = languages.getByRole('link', { name: 'Cymraeg' });
  await expect.element(welsh).toHaveAttribute('href', '/cy/cuddfannau');
  await expect.element(welsh).toHaveAttribute('lang', 'cy');
  await welsh.click();
  await expect
    .element(page.getByRole('banner').getByRole('link', { name: 'Cuddfannau' }))
    .toHaveAttribute('aria-current', 'page');
});

test('several skip links each lead to their place, and are seen with focus alone', async () => {
  mount(
    <Trail site={site} url="/">
      <SkipLink targets={[{ id: 'search', label: 'Skip to search' }]} />
      <main id="main">Page</main>
      <input id="search" />
    </Trail>,
  );
  const second = page.getByRole('link', { name: 'Skip to search' });
  await expect.element(page.getByRole('link', { name: 'Skip to content' })).toHaveAttribute('href', '#main');
  await expect.element(second).toHaveAttribute('href', '#search');
  const isSeen = () => second.element().getBoundingClientRect().top >= 0;
  expect(isSeen()).toBe(false);
  (second.element() as HTMLElement).focus();
  await expect.poll(isSeen).toBe(true);
});

describe('a layout', () => {
  const parts = { bar: <Navbar />, sidebar: <p>Beside</p>, footer: <FooterNav /> };

  test('puts each part in its place, and the footer at the foot of the window', async () => {
    mount(
      <Trail site={small} history={memoryHistory('/')}>
        <Layout {...parts} notice={<Notice name="layout">Mind the step</Notice>}>
          <Stage pages={{ today: () => <h1>Short</h1> }} />
        </Layout>
      </Trail>,
    );
    await expect.element(page.getByRole('heading', { name: 'Short' })).toBeVisible();
    const box = (selector: string) => document.querySelector(selector)?.getBoundingClientRect() ?? new DOMRect();
    expect(box('.ft-notice').bottom).toBeLessThanOrEqual(box('.ft-bar').top);
    expect(box('.ft-bar').bottom).toBeLessThanOrEqual(box('main').top);
    expect(box('.ft-layout-sidebar').right).toBeLessThanOrEqual(box('main').left);
    expect(Math.round(box('.ft-footer').bottom)).toBe(800);
    await page.viewport(320, 700);
    expect(box('.ft-layout-sidebar').bottom).toBeLessThanOrEqual(box('main').top);
    expect(document.documentElement.scrollWidth).toBe(320);
  });

  test('lets a pinned bar stay as far as the page goes', async () => {
    mount(
      <Trail site={small} history={memoryHistory('/')}>
        <Layout {...parts} bar={<Navbar pinned="sticky" />}>
          <Stage pages={{ today: EchoPage }} />
        </Layout>
      </Trail>,
    );
    await expect.element(page.getByRole('heading', { name: 'Today' })).toBeVisible();
    window.scrollTo(0, 900);
    await expect.poll(() => document.querySelector('.ft-bar')?.getBoundingClientRect().top).toBe(0);
    expect(window.scrollY).toBe(900);
  });

  test('that shows no content says so while it is being made', async () => {
    const warned = vi.fn();
    mount(
      <Trail site={small} history={memoryHistory('/')} onWarning={warned}>
        <Layout {...parts} />
      </Trail>,
    );
    await expect.poll(() => warned.mock.calls).toEqual([[expect.objectContaining({ code: 'layout-without-content' })]]);
  });
});
