import { afterEach, expect, test } from 'vitest';
import { page } from 'vitest/browser';
import { defineComponent, h, shallowRef } from 'vue';
import { defineSite } from '../core/site/define.ts';
import { linkPaint } from '../testing/link-paint.samples.ts';
import { openOtherRouter, type OtherRouter } from '../testing/other-router.samples.ts';
import { Breadcrumbs } from './breadcrumbs.ts';
import type { LinkSlotProps } from './links.ts';
import { mount } from './mount.samples.ts';
import { Navbar } from './navbar.ts';
import { FooterNav } from './page-parts.ts';
import { Sidebar } from './sidebar.ts';
import { TrailAt } from './trail-at.ts';

const site = defineSite({
  name: 'Marram Point',
  languages: ['cy'],
  entries: [
    { id: 'today', label: { en: 'Today', cy: 'Heddiw' }, href: '/', icon: 'sun' },
    { id: 'hides', label: { en: 'Hides', cy: 'Cuddfannau' }, href: '/hides', icon: 'hut', currentIcon: 'hut-lit' },
    {
      id: 'species',
      label: { en: 'Species', cy: 'Rhywogaethau' },
      href: '/species',
      entries: [{ id: 'bird', label: '{slug}', href: '/species/:slug', records: 'birds' }],
    },
  ],
  menus: { main: ['today', 'hides', 'species'], birds: ['bird'] },
});

let router: OtherRouter | null = null;
afterEach(() => {
  router?.end();
  router = null;
  document.documentElement.lang = 'en';
});

/** A link component of another router, which puts all it is given on its link. */
const OwnLink = defineComponent({
  props: { to: { type: String, required: true } },
  setup:
    ({ to }, { slots }) =>
    () =>
      h(
        'a',
        {
          href: to,
          onClick: (event: Event) => {
            event.preventDefault();
            router?.go(to);
          },
        },
        slots['default']?.(),
      ),
});

const drawLink = ({ href, attributes, content }: LinkSlotProps) => [
  h(OwnLink, { key: 'own', to: href, ...attributes }, () => [h(content)]),
];

const Icon = ({ name }: { readonly name: string }) => [
  h('svg', { viewBox: '0 0 24 24', 'aria-hidden': 'true', 'data-icon': name }),
];

const bar = page.getByRole('navigation', { name: 'Main' });
const texts = () => [...bar.element().querySelectorAll('a')].map((link) => link.textContent);

test.each(['/', '/hides', '/species'])(
  'with the link component of a router, every link is painted as without one: at %s',
  async (url) => {
    const shell = (slots: object) => () => [
      h(
        TrailAt,
        { site, url, arrival: 'none' },
        {
          ...slots,
          default: () => [
            h(Navbar, null, { icon: Icon }),
            h(Sidebar, { label: 'Beside' }),
            h(Breadcrumbs),
            h(FooterNav, { menu: 'main', label: 'Foot' }),
          ],
        },
      ),
    ];
    const { container, unmount } = mount(shell({}));
    await expect.element(bar).toBeVisible();
    const plain = linkPaint(container);
    unmount();
    const other = mount(shell({ link: drawLink })).container;
    await expect.poll(() => other.querySelectorAll('[aria-current="false"]').length).toBeGreaterThan(2);
    expect(linkPaint(other)).toEqual(plain);
    expect(new Set(plain.map(({ paint }) => paint)).size).toBeGreaterThan(2);
  },
);

test('labels, icons, badges and records that change arrive through the link slot, without another element', async () => {
  const url = shallowRef('/hides');
  const badges = shallowRef<Record<string, string>>({});
  const records = shallowRef<{ birds: { params: { slug: string } }[] }>({ birds: [{ params: { slug: 'knot' } }] });
  mount(() => [
    h(
      TrailAt,
      { site, url: url.value, badges: badges.value, records: records.value },
      {
        link: drawLink,
        default: () => [h(Navbar, null, { icon: Icon }), h(FooterNav, { menu: 'birds', label: 'Birds' })],
      },
    ),
  ]);
  await expect.element(bar).toBeVisible();
  expect(texts()).toEqual(['Today', 'Hides', 'Species']);
  const link = bar.getByRole('link', { name: 'Today' }).element();
  expect(bar.element().querySelector('[data-icon="hut-lit"]')).not.toBe(null);
  badges.value = { today: '3' };
  await expect.poll(texts).toEqual(['Today3', 'Hides', 'Species']);
  url.value = '/cy/species';
  await expect.poll(texts).toEqual(['Heddiw3', 'Cuddfannau', 'Rhywogaethau']);
  expect(bar.element().querySelector('[data-icon="hut-lit"]')).toBe(null);
  expect(bar.element().querySelector('a')).toBe(link);
  records.value = { birds: [{ params: { slug: 'dunlin' } }] };
  await expect.element(page.getByRole('link', { name: 'dunlin' })).toBeVisible();
});

test('Back puts focus on the link that was followed', async () => {
  const of = (router = openOtherRouter('/'));
  const url = shallowRef(of.path());
  const stop = of.subscribe(() => (url.value = of.path()));
  mount(() => [
    h(
      TrailAt,
      { site, url: url.value },
      {
        link: drawLink,
        default: () => [h(Navbar), h('main', [h('h1', url.value)])],
      },
    ),
  ]);
  const heading = (name: string) => page.getByRole('heading', { level: 1, name, exact: true });
  await bar.getByRole('link', { name: 'Species' }).click();
  await expect.element(heading('/species')).toHaveFocus();
  window.history.back();
  await expect.element(bar.getByRole('link', { name: 'Species' })).toHaveFocus();
  of.go('/cy/hides');
  await expect.element(heading('/cy/hides')).toHaveFocus();
  expect([document.documentElement.lang, document.title]).toEqual(['cy', 'Cuddfannau · Marram Point']);
  stop();
});
