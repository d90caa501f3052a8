import { expect, inject, test, vi } from 'vitest';
import { page, userEvent } from 'vitest/browser';
import {
  createApp,
  createSSRApp,
  defineComponent,
  h,
  KeepAlive,
  nextTick,
  reactive,
  ref,
  shallowRef,
  Suspense,
  Teleport,
  Transition,
  type Component,
} from 'vue';
import { renderToString } from 'vue/server-renderer';
import { memoryHistory } from '../core/router/memory-history.ts';
import { marram } from '../core/site/site.samples.ts';
import { countObservers } from '../dom/count-observers.samples.ts';
import type { LinkSlotProps } from './links.ts';
import { useCurrentEntry, useHistoryState, useMayLeave } from './composables.ts';
import { lazyPage } from './page.ts';
import { mount, pagesOf, siteFor } from './mount.samples.ts';
import { Navbar } from './navbar.ts';
import { FooterNav, Layout, Notice, SkipLink } from './page-parts.ts';
import { Part } from './parts-in-slot.ts';
import { Breadcrumbs } from './breadcrumbs.ts';
import { Sidebar } from './sidebar.ts';
import { Stage } from './stage.ts';
import { Tab, Tablist, Tabpanel, Tabs } from './tabs.ts';
import { TrailAt } from './trail-at.ts';
import { useLocation, usePosition, useSite, useTrail } from './trail-context.ts';
import { TrailLink } from './trail-link.ts';
import { Trail } from './trail.ts';

/** What only Vue's components have to do, besides the contracts that all components keep. */

const site = siteFor(marram);
const nav = page.getByRole('navigation', { name: 'Main' });
const link = (name: string) => nav.getByRole('link', { name, exact: true });

const within = (content: () => unknown, url = '/') => {
  const history = memoryHistory(url);
  return () => [h(Trail, { site, history, viewTransitions: false }, () => [content()])];
};

test('what a server renders is hydrated without a warning, and keeps its elements', async () => {
  const App = defineComponent({
    render: () =>
      h(Trail, { site, history: memoryHistory('/hides'), renderedUrl: '/hides' }, () => [
        h(SkipLink),
        h(Layout, null, {
          notice: () => [h(Notice, { name: 'tide' }, () => ['The causeway floods.'])],
          bar: () => [h(Navbar, { class: 'own' }, { brand: () => ['Brand'], end: () => [h('b', 'End')] })],
          sidebar: () => [h(Sidebar, { search: true, rail: true })],
          footer: () => [h(FooterNav, { menu: 'main' })],
          default: () => [h(Breadcrumbs, { siblings: true }), h(Stage, { pages: pagesOf(site) })],
        }),
      ]),
  });
  const container = document.body.appendChild(document.createElement('div'));
  container.innerHTML = await renderToString(createSSRApp(App));
  const links = [...container.querySelectorAll('a')];
  expect(container.querySelector('header')?.className).toBe('ft-bar own');
  const app = createSSRApp(App);
  app.config.warnHandler = (message) => console.error(message);
  app.mount(container);
  await nextTick();
  expect([...container.querySelectorAll('a')]).toEqual(links);
  await link('Species').click();
  await expect.element(link('Species')).toHaveAttribute('aria-current', 'page');
  app.unmount();
  container.remove();
});

test('v-model says whether a menu is open, and a refusal is asked for again', async () => {
  await page.viewport(320, 700);
  const expanded = ref(false);
  const asked = vi.fn();
  const ask = (wanted: boolean) => {
    asked(wanted);
  };
  mount(
    within(() =>
      h(Navbar, {
        expanded: expanded.value,
        'onUpdate:expanded': ask,
        onToggle: [ask],
      }),
    ),
  );
  const menu = page.getByRole('button', { name: 'Menu' });
  await menu.click();
  await menu.click();
  expect(asked.mock.calls).toEqual([[true], [true], [true], [true]]);
  await expect.element(menu).toHaveAttribute('aria-expanded', 'false');
  expanded.value = true;
  await expect.element(menu).toHaveAttribute('aria-expanded', 'true');
  await expect.element(link('Hides')).toBeVisible();
});

test('the tabs of a reactive list, by v-model', async () => {
  const tabs = reactive([{ id: 'map', label: 'Map' }]);
  const selected = ref('map');
  mount(
    within(() =>
      h(
        Tabs,
        { tabs, label: 'Hide', selected: selected.value, 'onUpdate:selected': (id) => (selected.value = id) },
        () => [
          h(Tablist, null, () => tabs.map(({ id, label }) => h(Tab, { key: id, id }, () => [h('b', label)]))),
          tabs.map(({ id, label }) => h(Tabpanel, { key: id, id }, () => [`About ${label}`])),
        ],
      ),
    ),
  );
  await expect.element(page.getByText('About Map')).toBeVisible();
  tabs.push({ id: 'log', label: 'Log' });
  await page.getByRole('tab', { name: 'Log' }).click();
  await expect.element(page.getByText('About Log')).toBeVisible();
  expect(selected.value).toBe('log');
});

test('records that change in place are in the menus at once', async () => {
  const definition = {
    name: 'Marram',
    entries: [{ id: 'bird', label: '{slug}', href: '/birds/:slug', records: 'birds' }],
    menus: { main: ['bird'] },
  };
  const records = reactive({ birds: [{ params: { slug: 'avocet' }, label: 'Avocet' }] });
  mount(() => [h(Trail, { site: siteFor(definition), history: memoryHistory('/'), records }, () => [h(Navbar)])]);
  await expect.element(link('Avocet')).toBeVisible();
  records.birds.push({ params: { slug: 'curlew' }, label: 'Curlew' });
  await expect.element(link('Curlew')).toBeVisible();
});

test('a page change draws again only what it changes', async () => {
  const drawn = vi.fn();
  const icon = ({ name }: { readonly name: string }) => {
    drawn(name);
    return [h('i', { 'aria-hidden': 'true' }, name)];
  };
  const definition = {
    name: 'Marram',
    entries: Array.from({ length: 50 }, (_, index) => ({
      id: `e${index}`,
      label: `Page ${index}`,
      href: index === 0 ? '/' : `/e${index}`,
      icon: `icon-${index}`,
    })),
    menus: { main: Array.from({ length: 50 }, (_, index) => `e${index}`) },
  };
  mount(() => [
    h(Trail, { site: siteFor(definition), history: memoryHistory('/'), viewTransitions: false }, () => [
      h(Sidebar, { label: 'Main' }, { icon }),
    ]),
  ]);
  await expect.element(link('Page 0')).toHaveAttribute('aria-current', 'page');
  const elements = [...document.querySelectorAll('.ft-link')];
  drawn.mockClear();
  await link('Page 7').click();
  await expect.element(link('Page 7')).toHaveAttribute('aria-current', 'page');
  expect(drawn.mock.calls.length).toBeLessThanOrEqual(2);
  expect([...document.querySelectorAll('.ft-link')]).toEqual(elements);
});

test('what the app puts into a slot follows what it reads', async () => {
  const count = ref(0);
  mount(
    within(() =>
      h(Navbar, { onClick: () => (count.value += 10) }, { end: () => [h('output', `Seen ${count.value}`)] }),
    ),
  );
  await expect.element(page.getByText('Seen 0')).toBeVisible();
  count.value += 1;
  await expect.element(page.getByText('Seen 1')).toBeVisible();
  await page.getByText('Seen 1').click();
  await expect.element(page.getByText('Seen 11')).toBeVisible();
});

test('the app arranges the parts of a bar among its own markup', async () => {
  mount(
    within(() =>
      h(Navbar, null, () => [
        h(Part, { name: 'navigation', 'data-own': 'yes' }),
        h('input', { 'aria-label': 'Search' }),
        h(Part, { name: 'brand' }),
        h(Part, { name: 'nothing' }),
      ]),
    ),
  );
  await link('Hides').click();
  await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
  await expect.element(nav).toHaveAttribute('data-own', 'yes');
  const row = [...(document.querySelector('.ft-bar-row')?.children ?? [])].map(({ localName }) => localName);
  expect(row).toEqual(['nav', 'input', 'a']);
});

test('beside another router its link component draws the links, and our marks win', async () => {
  const url = shallowRef('/hides');
  const RouterLink = defineComponent({
    props: { to: { type: String, required: true } },
    setup: (props, { slots, attrs }) => {
      const go = (event: Event) => {
        event.preventDefault();
        url.value = props.to;
      };
      return () =>
        h('a', { 'aria-current': 'location', ...attrs, href: `/app${props.to}`, onClick: go }, slots['default']?.());
    },
  });
  mount(() => [
    h(
      TrailAt,
      { site, url: url.value, onNavigate: (to: string) => (url.value = to) },
      {
        link: ({ href, attributes, content }: LinkSlotProps) => [
          h(RouterLink, { to: href, ...attributes }, () => [h(content)]),
        ],
        default: () => [
          h(Navbar),
          h('main', { id: 'main', tabindex: -1 }, [h('h1', 'Page'), h(TrailLink, { entry: 'hides' })]),
        ],
      },
    ),
  ]);
  await expect.element(link('Hides')).toHaveAttribute('aria-current', 'page');
  await expect.element(link('Hides')).toHaveAttribute('href', '/app/hides');
  await link('Species').click();
  await expect.element(link('Species')).toHaveAttribute('aria-current', 'page');
  await expect.element(link('Hides')).toHaveAttribute('aria-current', 'false');
  await expect.element(page.getByRole('heading', { name: 'Page' })).toHaveFocus();
});

test('within KeepAlive, Transition, Suspense and Teleport all parts work, and stop when they are put away', async () => {
  const shown = ref<'one' | 'two'>('one');
  const Late = defineComponent({
    setup: async () => {
      await Promise.resolve();
      return () => h(Navbar, { label: 'Late' });
    },
  });
  const One = defineComponent({ name: 'One', setup: () => () => h(Navbar) });
  const Two = defineComponent({ name: 'Two', setup: () => () => h('p', 'Two') });
  const warn = vi.spyOn(console, 'info').mockImplementation(() => undefined);
  mount(
    within(() => [
      h(Transition, { name: 'fade' }, () => [
        h(KeepAlive, null, () => [h((shown.value === 'one' ? One : Two) as Component, { key: shown.value })]),
      ]),
      h(Suspense, null, { default: () => [h('div', [h(Late)])] }),
      h(Teleport, { to: 'body' }, [h('div', { id: 'teleported' }, [h(Navbar, { label: 'Elsewhere' })])]),
    ]),
  );
  await expect.element(link('Hides')).toBeVisible();
  const late = page.getByRole('navigation', { name: 'Late' });
  const elsewhere = page.getByRole('navigation', { name: 'Elsewhere' });
  await late.getByRole('link', { name: 'Hides' }).click();
  await expect.element(elsewhere.getByRole('link', { name: 'Hides' })).toHaveAttribute('aria-current', 'page');
  shown.value = 'two';
  await expect.element(page.getByText('Two')).toBeVisible();
  await elsewhere.getByRole('link', { name: 'Species' }).click();
  shown.value = 'one';
  await expect.element(link('Species')).toHaveAttribute('aria-current', 'page');
  await page.viewport(320, 700);
  await nav.getByRole('button', { name: 'Menu' }).click();
  await expect.element(link('Hides')).toBeVisible();
  await userEvent.keyboard('{Escape}');
  await expect.element(link('Hides')).not.toBeInTheDocument();
  warn.mockRestore();
});

test('a page is loaded when it is needed, and tried again where it could not be loaded', async () => {
  let attempts = 0;
  const pages = {
    ...pagesOf(site),
    hides: lazyPage(async () => {
      attempts += 1;
      await new Promise((resolve) => setTimeout(resolve, 20));
      if (attempts === 1) throw new Error('No line');
      return { default: { render: () => h('h1', 'Hides, loaded') } };
    }),
    species: { render: () => fail() },
  };
  const fail = () => {
    throw new Error('Broken');
  };
  const codes: string[] = [];
  mount(() => [
    h(
      Trail,
      {
        site,
        history: memoryHistory('/'),
        eagerness: null,
        viewTransitions: false,
        onWarning: ({ code }) => codes.push(code),
      },
      () => [h(Navbar), h(Stage, { pages })],
    ),
  ]);
  await link('Hides').click();
  await expect.element(page.getByRole('heading', { name: 'This page could not be shown' })).toHaveFocus();
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect.element(page.getByRole('heading', { name: 'Hides, loaded' })).toHaveFocus();
  await link('Species').click();
  await expect.element(page.getByRole('button', { name: 'Try again' })).toBeVisible();
  expect(codes).toEqual(['page-failed', 'page-failed']);
});

test('the audience loses the page that has focus: it goes to the new heading', async () => {
  const definition = { ...marram, audiences: ['ringer'] };
  const own = siteFor({
    ...definition,
    entries: [...marram.entries, { id: 'data-desk', label: 'Data desk', href: '/data-desk', audience: ['ringer'] }],
  });
  const audience = ref<readonly string[]>(['ringer']);
  const pages = { 'data-desk': () => [h('h1', 'Data desk'), h('button', { type: 'button' }, 'Enter a ring')] };
  const history = memoryHistory('/data-desk');
  mount(() => [h(Trail, { site: own, history, audience: audience.value }, () => [h(Stage, { pages })])]);
  const button = page.getByRole('button', { name: 'Enter a ring' });
  await expect.element(button).toBeVisible();
  button.element().focus();
  audience.value = [];
  await expect.element(page.getByRole('heading').first()).toHaveFocus();
  expect(page.getByRole('heading').first().element().textContent).not.toBe('Data desk');
});

test('the composables follow the address, and a page may refuse to be left', async () => {
  const may = ref(false);
  const Page = defineComponent({
    setup: () => {
      const position = usePosition();
      const entry = useCurrentEntry();
      const name = useSite();
      const trail = useTrail();
      const location = useLocation();
      const state = useHistoryState();
      useMayLeave(() => (may.value ? null : () => false));
      return () => [
        h('h1', `${entry.value?.label ?? ''} ${position.value.status} ${name.value.name} ${location.value.url}`),
        h(
          'button',
          { type: 'button', onClick: () => (state.value = Number(state.value ?? 0) + 1) },
          `Kept ${String(state.value)}`,
        ),
        h('button', { type: 'button', onClick: () => trail.value.navigate('/species') }, 'Go'),
      ];
    },
  });
  mount(within(() => [h(Stage, { pages: pagesOf(site, Page) })], '/hides?x'));
  await expect.element(page.getByRole('heading', { name: 'Hides exact Marram Point /hides?x' })).toBeVisible();
  await page.getByRole('button', { name: 'Kept undefined' }).click();
  await page.getByRole('button', { name: 'Kept 1' }).click();
  await expect.element(page.getByRole('button', { name: 'Kept 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Go' }).click();
  await expect.element(page.getByRole('heading', { name: /^Hides/u })).toBeVisible();
  may.value = true;
  await nextTick();
  await page.getByRole('button', { name: 'Go' }).click();
  await expect.element(page.getByRole('heading', { name: /^Species/u })).toBeVisible();
});

test('outside of a trail a component says what it needs', () => {
  const app = createApp({ render: () => h(Navbar) });
  app.config.warnHandler = () => undefined;
  expect(() => app.mount(document.createElement('div'))).toThrow('needs a Trail around it');
});

test('nothing is left behind after many mounts', { timeout: 600_000 }, async () => {
  const observers = countObservers();
  try {
    for (let turn = 0; turn < inject('mounts'); turn += 1) {
      const content = () => [h(Navbar, { pinned: 'sticky', givesWay: 'hide' }), h(Sidebar), h(Breadcrumbs)];
      const { unmount } = mount(within(() => [content(), h(Stage, { pages: pagesOf(site) })], '/hides/lantern-room'));
      await expect.element(page.getByRole('main')).toBeVisible();
      expect(observers.watching()).toBeGreaterThan(0);
      unmount();
      expect(observers.watching()).toBe(0);
    }
  } finally {
    observers.end();
  }
  expect(document.documentElement.hasAttribute('data-ft-scripted')).toBe(false);
  expect(document.documentElement.getAttribute('style') ?? '').toBe('');
});
