import { h as preact, render } from 'preact';
import { createComponent, createSignal } from 'solid-js';
import { render as solid } from 'solid-js/web';
import html from 'solid-js/html';
import { mount, unmount } from 'svelte';
import { afterEach, describe, expect, inject, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import { createApp, h, ref } from 'vue';
import { compileSite } from '../core/site/compile.ts';
import { defineSite } from '../core/site/define.ts';
import { marram } from '../core/site/site.samples.ts';
import { followedLink } from '../dom/clicks.ts';
import { countObservers } from '../dom/count-observers.samples.ts';
import { pageHtml } from '../html/page-html.ts';
import SvelteApp from './own-router.samples.svelte';
import { make, set, show, write } from './mount.samples.ts';

/** What only custom elements have to do, besides the contracts that all components keep. */

const site = defineSite(marram);
const nav = page.getByRole('navigation', { name: 'Main' });
const link = (name: string) => nav.getByRole('link', { name, exact: true });
const tick = () => new Promise((resolve) => setTimeout(resolve));

afterEach(() => history.replaceState(null, '', '/'));

describe('where the site comes from', () => {
  const json = JSON.stringify(marram);

  test.each([
    ['the property, as a site', () => make('trail-site', { site, url: '/hides' }, make('trail-bar'))],
    [
      'the property, as the content of a file',
      () => make('trail-site', { site: marram, url: '/hides' }, make('trail-bar')),
    ],
    ['the property, compiled', () => make('trail-site', { site: compileSite(site), url: '/hides' }, make('trail-bar'))],
    [
      'JSON in it',
      () =>
        write(
          `<trail-site url="/hides"><script type="application/json">${json}</script><trail-bar></trail-bar></trail-site>`,
        ),
    ],
    [
      'a file',
      () =>
        write(
          `<trail-site url="/hides" src="data:application/json,${encodeURIComponent(json)}"><trail-bar></trail-bar></trail-site>`,
        ),
    ],
    ['one beside the element', () => show(make('trail-bar'), make('trail-site', { site, url: '/hides' }))],
  ])('%s', async (_, build) => {
    show(build());
    await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
  });

  test('a compiled site from a server draws no link that runs a script', async () => {
    const ran = vi.fn();
    Object.assign(window, { ran });
    const bad = { id: 'bad', label: 'Bad', href: 'javascript:ran()', outside: true };
    const compiled = compileSite(site) as unknown as Record<string, unknown>;
    const entries = [...(compiled['entries'] as object[]), bad];
    const source = JSON.stringify({ ...compiled, entries, menus: { main: ['today', 'bad'] } });
    const container = write(
      `<trail-site url="/" src="data:application/json,${encodeURIComponent(source)}"><trail-bar></trail-bar></trail-site>`,
    );
    await expect.element(link('Today')).toBeVisible();
    container.addEventListener('click', (event) => {
      if (!(event.target as Element).closest('a[href^="javascript:" i]')) event.preventDefault();
    });
    for (const one of container.querySelectorAll<HTMLElement>('a, li')) one.click();
    await tick();
    expect(ran).not.toHaveBeenCalled();
    expect(container.innerHTML).not.toContain('javascript:');
  });

  test.each([[{}], [5], ['/nowhere.json'], [[]], [{ compiled: 1 }], [{ find: () => null }]])(
    'the property %j is reported as no site, once, and nothing is thrown',
    async (given) => {
      const codes: string[] = [];
      const noted = (event: Event) => {
        event.preventDefault();
        codes.push((event as CustomEvent<{ code: string }>).detail.code);
      };
      document.addEventListener('trail-warning', noted, { once: true });
      show(make('trail-site', { site: given, url: '/hides' }, make('trail-bar')));
      await expect.poll(() => codes).toEqual(['site-not-loaded']);
    },
  );

  test('a file that is not available, or is no site, is reported once, and what was there stays', async () => {
    const codes: string[] = [];
    const noted = (event: Event) => {
      event.preventDefault();
      codes.push((event as CustomEvent<{ code: string }>).detail.code);
    };
    document.addEventListener('trail-warning', noted);
    const content = '<nav aria-label="Main"><ul><li><a href="/hides">Hides</a></li></ul></nav>';
    for (const source of ['/nothing-here.json', 'data:application/json,{', 'data:application/json,{"entries":7}']) {
      write(`<trail-site src='${source}'><trail-bar>${content}</trail-bar><trail-footer></trail-footer></trail-site>`);
    }
    await expect.poll(() => codes).toEqual(['site-not-loaded', 'site-not-loaded', 'site-not-loaded']);
    expect(document.querySelectorAll('trail-bar')).toHaveLength(3);
    expect([...document.querySelectorAll('trail-bar')].map((bar) => bar.innerHTML)).toEqual([
      content,
      content,
      content,
    ]);
    document.removeEventListener('trail-warning', noted);
  });

  test('an element without any says so once, and keeps what it holds', async () => {
    const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined);
    const bar = make('trail-bar', {}, make('a', { href: '/' }, 'Today'));
    show(bar);
    await expect.poll(() => warn.mock.calls.length).toBe(1);
    bar.setAttribute('when-narrow', 'strip');
    await tick();
    expect(String(warn.mock.calls[0]?.[0])).toContain('[site-missing]');
    expect(warn.mock.calls.length).toBe(1);
    expect(bar.innerHTML).toBe('<a href="/">Today</a>');
    warn.mockRestore();
  });
});

test('attributes are options, properties go before them, and what means nothing is reported', async () => {
  const warn = vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  const bar = make('trail-bar', { 'when-narrow': 'strip', 'when-narow': 'more', 'always-toggle': '', pinned: 'top' });
  bar.setAttribute('pinned', 'top');
  show(make('trail-site', { site, url: '/' }, bar));
  const row = () => document.querySelector('.ft-bar-row')?.getAttribute('data-ft-form');
  await expect.poll(row).toBe('strip');
  set(bar, { whenNarrow: 'more' });
  await expect.poll(row).toBe('more');
  set(bar, { whenNarrow: undefined });
  bar.setAttribute('when-narrow', 'screen');
  await expect.poll(row).toBe('screen');
  expect((bar as HTMLElement & { whenNarrow: string }).whenNarrow).toBe('screen');
  const texts = warn.mock.calls.map(([text]) => String(text));
  expect(texts.some((text) => text.includes('when-narow') && text.includes('"when-narrow"'))).toBe(true);
  expect(texts.some((text) => text.includes('"top"') && text.includes('"sticky", "fixed"'))).toBe(true);
  warn.mockRestore();
});

test('what is written by a server is taken over as it is: no element is another one, and nothing moves', async () => {
  const server = pageHtml({ site, url: '/hides/lantern-room' });
  const icon = (name: string) => `<i aria-hidden="true">${name}</i>`;
  const written = [
    server.notice({ name: 'tide', content: '<p>The causeway floods.</p>' }),
    server.bar({
      brand: '<b>Brand</b>',
      end: '<button type="button" id="own">End</button>',
      icon,
      whenNarrow: 'screen',
    }),
    server.breadcrumbs({ siblings: true }),
    server.tabs({
      label: 'Hide',
      tabs: [
        { id: 'map', label: 'Map', icon: 'map' },
        { id: 'log', label: 'Log' },
      ],
      contents: { map: '<p>The map</p>', log: '<p>The log</p>' },
      icon,
    }),
    server.sidebar({ search: true, foot: '<p>Foot</p>', icon }),
    server.footer({ menu: 'main' }),
  ].join('');
  const container = document.createElement('div');
  container.innerHTML = written;
  document.documentElement.setAttribute('data-ft-scripted', '');
  const parts = [...container.querySelectorAll('*')].filter((one) => !one.localName.startsWith('trail-'));
  const siteElement = make('trail-site', { site, url: '/hides/lantern-room' });
  const rectangles = () => parts.map((one) => JSON.stringify(one.getBoundingClientRect()));
  // Not yet defined where they are parsed: a document of its own has no elements of ours.
  const inert = document.implementation.createHTMLDocument();
  inert.body.append(container);
  show(container);
  const before = rectangles();
  container.prepend(siteElement);
  await tick();
  await tick();
  expect([...container.querySelectorAll('*')].filter((one) => !one.localName.startsWith('trail-'))).toEqual(parts);
  expect(rectangles()).toEqual(before);
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect.element(page.getByText('The log')).toBeVisible();
  await expect.element(page.getByText('The map')).not.toBeVisible();
  await page.getByRole('button', { name: 'Dismiss notice' }).click();
  await expect.element(page.getByText('The causeway floods.')).not.toBeInTheDocument();
  localStorage.clear();
});

test('it is moved, taken away and put back, and works as before', async () => {
  const bar = make('trail-bar', {}, make('button', { type: 'button', slot: 'end' }, 'Book'));
  const one = make('div');
  const two = make('div', {}, bar);
  show(make('trail-site', { site, url: '/hides' }, one, two));
  await page.viewport(320, 700);
  const menu = nav.getByRole('button', { name: 'Menu' });
  await menu.click();
  const header = document.querySelector('.ft-bar');
  one.append(bar);
  await tick();
  expect(document.querySelector('.ft-bar')).toBe(header);
  await expect.element(menu).toHaveAttribute('aria-expanded', 'true');
  bar.remove();
  await tick();
  two.append(bar);
  await expect.element(page.getByRole('button', { name: 'Book' })).toBeVisible();
  await menu.click();
  await expect.element(menu).toHaveAttribute('aria-expanded', 'false');
  await menu.click();
  await expect.element(menu).toHaveAttribute('aria-expanded', 'true');
  expect(document.querySelectorAll('.ft-bar')).toHaveLength(1);
});

test('in a shadow root it finds the site around it', async () => {
  const host = make('div');
  const root = host.attachShadow({ mode: 'open' });
  root.append(make('trail-bar'));
  show(make('trail-site', { site, url: '/hides' }, host));
  await expect.poll(() => root.querySelector('[aria-current=page]')?.textContent).toBe('Hides');
});

test('a page that was kept by the browser shows where it is when it comes back', async () => {
  history.replaceState(null, '', '/');
  show(make('trail-site', { site }, make('trail-bar')));
  await expect.element(link('Today')).toHaveAttribute('aria-current', 'page');
  // What no event tells of in every browser.
  const silent = Object.getPrototypeOf(history) as History;
  silent.replaceState.call(history, null, '', '/hides');
  window.dispatchEvent(new PageTransitionEvent('pageshow', { persisted: true }));
  await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
  await page.viewport(320, 700);
  const menu = nav.getByRole('button', { name: 'Menu' });
  await menu.click();
  await expect.element(menu).toHaveAttribute('aria-expanded', 'true');
  // The menu was left open by the link that was chosen in it.
  window.dispatchEvent(new PageTransitionEvent('pageshow', { persisted: true }));
  await expect.element(menu).toHaveAttribute('aria-expanded', 'false');
  await menu.click();
  await expect.element(menu).toHaveAttribute('aria-expanded', 'true');
});

test('what happens is reported by events, and the app may decide', async () => {
  const bar = make('trail-bar', { alwaysToggle: true, expanded: false });
  const asked = vi.fn();
  bar.addEventListener('trail-toggle', (event) => {
    asked((event as CustomEvent<{ expanded: boolean }>).detail.expanded);
  });
  show(make('trail-site', { site, url: '/' }, bar));
  const menu = nav.getByRole('button', { name: 'Menu' });
  await menu.click();
  await menu.click();
  expect(asked.mock.calls).toEqual([[true], [true]]);
  await expect.element(menu).toHaveAttribute('aria-expanded', 'false');
  set(bar, { expanded: true });
  await expect.element(menu).toHaveAttribute('aria-expanded', 'true');
});

test('without storage, a notice goes all the same', async () => {
  const refuse = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
  });
  const dismissed = vi.fn();
  const notice = make('trail-notice', { name: 'refused' }, 'The tower is closed.');
  notice.addEventListener('trail-dismiss', dismissed);
  show(notice);
  await page.getByRole('button', { name: 'Dismiss notice' }).click();
  await expect.element(page.getByText('The tower is closed.')).not.toBeInTheDocument();
  expect(dismissed).toHaveBeenCalledTimes(1);
  refuse.mockRestore();
});

test('tabs are the sections that the author wrote, in the address where that is asked for', async () => {
  write(`
    <trail-tabs label="Avocet" linked-to="?part">
      <section><h2>Overview</h2><p>Black and white.</p></section>
      <section data-tab="sounds" data-label="Sounds" data-badge="2"><p>A clear kluit.</p></section>
    </trail-tabs>`);
  await expect.element(page.getByRole('tab', { name: 'Overview' })).toHaveAttribute('aria-selected', 'true');
  await page.getByRole('tab', { name: 'Sounds 2' }).click();
  await expect.element(page.getByText('A clear kluit.')).toBeVisible();
  await expect.element(page.getByText('Black and white.')).not.toBeVisible();
  expect(location.search).toBe('?part=sounds');
});

describe('made by a framework', () => {
  const menu = nav.getByRole('button', { name: 'Menu' });

  test('Preact with a router of its own gets every plain click, and gives the address', async () => {
    const container = show();
    const asked: string[] = [];
    const draw = (url: string) =>
      render(
        preact('trail-site' as 'div', { site, url } as object, [
          preact('trail-bar' as 'div', {}),
          preact('main', {}, preact('h1', {}, url === '/' ? 'Today' : url)),
        ]),
        container,
      );
    const go = (url: string) => {
      asked.push(url);
      draw(url);
    };
    const listening = new AbortController();
    // As the page on custom elements says it.
    document.addEventListener(
      'click',
      (event) => {
        const followed = followedLink(event);
        if (followed?.url.origin !== location.origin) return;
        event.preventDefault();
        go(followed.url.pathname + followed.url.search + followed.url.hash);
      },
      { signal: listening.signal },
    );
    draw('/');
    await link('Hides').click();
    await expect.element(page.getByRole('heading', { name: '/hides' })).toHaveFocus();
    await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
    await expect.element(link('Today')).not.toHaveAttribute('aria-current');
    expect(asked).toEqual(['/hides']);
    listening.abort();
  });

  test('Svelte with a router of its own gets every plain click, and gives the address', async () => {
    const asked = vi.fn();
    const app = mount(SvelteApp, { target: show(), props: { site, asked } });
    await link('Hides').click();
    await expect.element(page.getByRole('heading', { name: '/hides' })).toHaveFocus();
    await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
    await expect.element(link('Today')).not.toHaveAttribute('aria-current');
    await page.getByRole('link', { name: "Today's tides" }).click();
    await expect.element(page.getByRole('heading', { name: '/tides' })).toBeVisible();
    await expect.element(link('Hides')).not.toHaveAttribute('aria-current');
    expect(asked.mock.calls).toEqual([['/hides'], ['/tides']]);
    await unmount(app);
  });

  test('Preact sets properties, listens, and changes what is in the slots', async () => {
    const toggled = vi.fn();
    const container = show();
    const App = ({ form, ends }: { form: string; ends: readonly string[] }) =>
      preact(
        'trail-site' as 'div',
        { site, url: '/hides' } as object,
        preact(
          'trail-bar' as 'div',
          { whenNarrow: form, 'ontrail-toggle': toggled } as object,
          ends.map((text) => preact('button', { key: text, slot: 'end', type: 'button' }, text)),
        ),
      );
    render(preact(App, { form: 'panel', ends: ['One', 'Two'] }), container);
    await expect.element(page.getByRole('button', { name: 'Two' })).toBeVisible();
    render(preact(App, { form: 'screen', ends: ['Zero', 'One', 'Three'] }), container);
    await expect.element(page.getByRole('button', { name: 'Three' })).toBeVisible();
    await expect.element(page.getByRole('button', { name: 'Two' })).not.toBeInTheDocument();
    expect(document.querySelector('.ft-bar-row')?.getAttribute('data-ft-form')).toBe('screen');
    expect([...document.querySelectorAll('.ft-bar-end button')].map((one) => one.textContent)).toEqual([
      'Zero',
      'One',
      'Three',
    ]);
    await page.viewport(320, 700);
    await menu.click();
    expect(toggled).toHaveBeenCalledTimes(1);
    render(preact(App, { form: 'panel', ends: [] }), container);
    await expect.poll(() => document.querySelector('.ft-bar-end')).toBe(null);
    render(null, container);
    expect(container.innerHTML).toBe('');
  });

  test('Solid sets properties, listens, and changes what is in the slots', async () => {
    const toggled = vi.fn();
    const container = show();
    const [label, setLabel] = createSignal('First');
    const [isShown, setShown] = createSignal(true);
    const App = () => html`
      <trail-site prop:site=${site} prop:url="/hides">
        <trail-bar prop:alwaysToggle=${true} prop:label=${label} on:trail-toggle=${toggled}>
          <b slot="brand">${label}</b>
          ${() => (isShown() ? html`<i slot="end">End</i>` : null)}
        </trail-bar>
      </trail-site>
    `;
    const dispose = solid(() => createComponent(App, {}), container);
    await expect.element(page.getByText('First')).toBeVisible();
    await expect.element(page.getByText('End')).toBeVisible();
    setLabel('Second');
    setShown(false);
    await expect.element(page.getByRole('navigation', { name: 'Second' })).toBeVisible();
    await expect.element(page.getByText('Second')).toBeVisible();
    await expect.element(page.getByText('End')).not.toBeInTheDocument();
    await page.getByRole('button', { name: 'Menu' }).click();
    expect(toggled).toHaveBeenCalledTimes(1);
    dispose();
    expect(container.innerHTML).toBe('');
  });

  test('Vue, as elements of its own compiler', async () => {
    const container = show();
    const ends = ref(['One']);
    const app = createApp({
      render: () =>
        h('trail-site', { site, url: '/hides' }, [
          h('trail-bar', { whenNarrow: 'strip' }, [
            ends.value.map((text) => h('button', { key: text, slot: 'end', type: 'button' }, text)),
          ]),
        ]),
    });
    app.config.warnHandler = () => undefined;
    app.mount(container);
    await expect.element(page.getByRole('button', { name: 'One' })).toBeVisible();
    ends.value = ['Zero', 'One', 'Two'];
    await expect.element(page.getByRole('button', { name: 'Two' })).toBeVisible();
    ends.value = ['Two'];
    await expect.element(page.getByRole('button', { name: 'One' })).not.toBeInTheDocument();
    await expect.element(page.getByRole('button', { name: 'Two' })).toBeVisible();
    app.unmount();
  });
});

test('properties that were set before the element was defined count', async () => {
  const frame = document.createElement('iframe');
  show(frame);
  const inner = frame.contentDocument ?? document;
  const early = inner.createElement('trail-site');
  // In a document without our definitions it is any element.
  Object.assign(early, { site, url: '/hides' });
  early.append(inner.createElement('trail-bar'));
  show(early);
  await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
});

test('several skip from one to the other by keys, each by itself', async () => {
  show(
    make('trail-site', { site, url: '/' }, make('trail-bar'), make('trail-bar', { label: 'Second', element: 'div' })),
  );
  const second = page.getByRole('navigation', { name: 'Second' });
  await expect.element(second.getByRole('link', { name: 'Today' })).toBeVisible();
  (second.getByRole('link', { name: 'Today' }).element() as HTMLElement).focus();
  await userEvent.keyboard('{ArrowRight}');
  await expect.element(second.getByRole('link', { name: 'Hides' })).toHaveFocus();
  const ids = [...document.querySelectorAll('[id]')].map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
});

test('nothing is left behind after many have come and gone', { timeout: 600_000 }, async () => {
  const observers = countObservers();
  try {
    for (let turn = 0; turn < inject('mounts'); turn += 1) {
      const all = make('trail-site', { site, url: '/hides/lantern-room' });
      for (const name of ['bar', 'sidebar', 'breadcrumbs', 'footer'])
        all.append(make(`trail-${name}`, name === 'footer' ? { menu: 'main' } : {}));
      const container = show(all);
      await expect.element(nav).toBeVisible();
      expect(observers.watching()).toBeGreaterThan(0);
      container.remove();
      await tick();
      expect(observers.watching()).toBe(0);
    }
  } finally {
    observers.end();
  }
  expect(document.documentElement.hasAttribute('data-ft-scripted')).toBe(false);
  expect(document.documentElement.getAttribute('style') ?? '').toBe('');
});
