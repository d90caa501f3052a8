import { describe, expect, test } from 'vitest';
import { breadcrumbs, foldBreadcrumbs } from './breadcrumbs.ts';
import { defineSite } from './define.ts';
import type { EntryDefinition } from './definition.ts';
import { forAudience } from './for-audience.ts';
import { locate } from './locate.ts';
import type { MenuItem } from './menu-item.ts';
import { menuItems, type Visit } from './menus.ts';
import { neighbors } from './neighbors.ts';
import { marram } from './site.samples.ts';
import type { Site } from './site.ts';

const definition = {
  name: 'x',
  entries: [
    { id: 'home', label: 'Home', href: '/' },
    {
      id: 'tides',
      label: 'Tides',
      href: '/tides',
      query: ['station', 'day'],
      movedFrom: ['/tide-tables', '/old/:year'],
    },
    { id: 'guest', label: 'Sign in', href: '/sign-in', audience: ['guest'], icon: 'door' },
    { id: 'mine', label: 'My page', href: '/mine', audience: ['ringer'], badge: 'new', summary: 'Your rings' },
    {
      id: 'area',
      label: 'Area',
      href: '/area',
      breadcrumb: false,
      icon: 'map',
      currentIcon: 'map-filled',
      entries: [{ id: 'spot', label: 'Spot', href: '/area/spot' }],
    },
    { id: 'bird', label: '{slug}', href: '/birds/:slug', records: 'birds' },
  ],
  menus: {
    main: [
      'home',
      { divider: true },
      'guest',
      { divider: true },
      'tides',
      { divider: true },
      'mine',
      { divider: true },
    ],
    account: ['home', { either: ['guest', 'mine'] }],
    birds: ['bird', { entry: 'bird', params: { slug: 'wren' } }],
    deep: [{ entry: 'area', depth: 2 }],
  },
} as const;
const site: Site = defineSite(definition);

function kinds(menu: string, visit: Visit = {}): string {
  const word = ({ kind, label, mark }: MenuItem) => {
    return kind === 'link' ? `${mark === 'page' ? '*' : mark === 'section' ? '+' : ''}${label}` : kind;
  };
  return menuItems(site, menu, visit).map(word).join(' ');
}

describe('keys of the query', () => {
  test('that an entry names make a different place; others do not', () => {
    const at = (url: string) => locate(site, url);
    expect(at('/tides?station=north+pier&x=1&day=').params).toEqual({ station: 'north pier', day: '' });
    expect(at('/tides?x=1').params).toEqual({});
    expect(at('/tides?station=a&station=b').params).toEqual({ station: 'a' });
    expect(at('/tides?station=%E0').params).toEqual({ station: '%E0' });
    expect(at('/tides?__proto__=1&toString=2').params).toEqual({});
  });
});

describe('an old address', () => {
  test('leads on to the new one', () => {
    expect(locate(site, '/tide-tables/?x')).toMatchObject({ status: 'exact', movedTo: '/tides' });
    expect(locate(site, '/old/1998').movedTo).toBe('/tides');
    expect(locate(site, '/tides').movedTo).toBeNull();
    expect(locate(site, '/old/1998/may').movedTo).toBeNull();
  });
});

test('case can be made not to count, and params keep theirs', () => {
  const loose = defineSite(
    {
      name: 'x',
      entries: [
        { id: 'a', label: 'A', href: '/Birds/:slug/:page.HTML' },
        { id: 'b', label: 'B', href: '/f/*.PDF' },
      ],
    },
    { caseSensitive: false, base: '/Site' },
  );
  expect(locate(loose, '/site/bIRDS/Wren/Two.html')).toMatchObject({
    status: 'exact',
    params: { slug: 'Wren', page: 'Two' },
  });
  expect(locate(loose, '/SITE/F/A/B.pdf').params).toEqual({ 0: 'A/B' });
  expect(locate(site, '/TIDES').status).toBe('unknown');
});

describe('while the audience is not known', () => {
  test('cells are kept for what may come, without saying what', () => {
    expect(kinds('main', { audience: 'unknown' })).toBe('Home divider reserved divider Tides divider reserved');
    const text = JSON.stringify(menuItems(site, 'account', { audience: 'unknown' }), ['kind', 'label', 'href', 'icon']);
    expect(text).not.toMatch(/Sign in|My page|door|sign-in/u);
  });

  test('one cell stands for a choice', () => {
    expect(kinds('account', { audience: 'unknown' })).toBe('Home reserved');
    expect(kinds('account', { audience: ['ringer'] })).toBe('Home My page');
    expect(kinds('account', { audience: ['guest'] })).toBe('Home Sign in');
    expect(kinds('account', { audience: ['guest', 'ringer'] })).toBe('Home Sign in');
    expect(kinds('account')).toBe('Home');
  });
});

test('dividers stand between items only', () => {
  expect(kinds('main')).toBe('Home divider Tides');
  expect(kinds('main', { audience: ['guest', 'ringer'] })).toBe('Home divider Sign in divider Tides divider My page');
});

test('records that load, fail or are none say so, once', () => {
  const birds = (list: NonNullable<Visit['records']>[string]) => kinds('birds', { records: { birds: list } });
  expect([birds('loading'), birds('failed'), birds([])]).toEqual(['loading wren', 'failed wren', 'empty wren']);
  expect(birds([{ params: { slug: 'tit' } }])).toBe('tit wren');
  expect(kinds('birds')).toBe('wren');
  expect(kinds('birds', { position: locate(site, '/birds/wren') })).toBe('*wren');
});

test('badges, summaries and icons come with the item, the current icon with the mark', () => {
  const ringer = { audience: ['ringer'] };
  expect(menuItems(site, 'account', ringer)[1]).toMatchObject({ badge: 'new', summary: 'Your rings' });
  expect(menuItems(site, 'account', { ...ringer, badges: { mine: '3' } })[1]?.badge).toBe('3');
  expect(menuItems(site, 'deep')[0]?.icon).toBe('map');
  expect(menuItems(site, 'deep', { position: locate(site, '/area/spot') })[0]?.icon).toBe('map-filled');
});

test('breadcrumbs leave out an entry that wants it, unless it is the page', () => {
  const labels = (url: string) => breadcrumbs(site, locate(site, url)).map(({ label }) => label);
  expect(labels('/area/spot')).toEqual(['Home', 'Spot']);
  expect(labels('/area')).toEqual(['Home', 'Area']);
});

describe('folding breadcrumbs', () => {
  const deep = defineSite({
    name: 'x',
    entries: ['/a', '/b', '/c', '/d', '/e'].reduceRight<EntryDefinition[]>(
      (entries, href) => [{ id: href.slice(1), label: href, href, entries }],
      [],
    ),
  });
  const steps = breadcrumbs(deep, locate(deep, '/e'));
  const fold = (keepFirst: number, keepLast: number) => {
    const { first, folded, last } = foldBreadcrumbs(steps, { keepFirst, keepLast });
    return [first, folded, last].map((part) => part.map(({ label }) => label).join('')).join(' ');
  };

  test.each([
    [1, 2, '/a /b/c /d/e'],
    [1, 1, '/a /b/c/d /e'],
    [0, 1, ' /a/b/c/d /e'],
    [2, 2, '/a/b/c/d/e  '],
    [9, 9, '/a/b/c/d/e  '],
  ])('keeping the first %i and the last %i', (keepFirst, keepLast, expected) => {
    expect(fold(keepFirst, keepLast)).toBe(expected);
  });
});

test('neighbors are the pages before and after in the menu’s order, and the one above', () => {
  const small: Site = defineSite(marram);
  const around = (url: string, audience: string[] = []) => {
    const { previous, next, parent } = neighbors(small, 'deep', locate(small, url), { audience });
    return [previous, next, parent].map((one) => one?.entry.id ?? '-').join(' ');
  };
  expect(around('/hides')).toBe('- lantern-room -');
  expect(around('/hides/lantern-room')).toBe('hides visit hides');
  expect(around('/hides/lantern-room', ['ringer'])).toBe('hides log hides');
  expect(around('/visit/book')).toBe('visit - -');
  expect(around('/nowhere')).toBe('- - -');
});

describe('a site pruned for an audience', () => {
  test('holds nothing of what is not for it, and is sound', () => {
    const pruned = forAudience(marram, []);
    expect(JSON.stringify(pruned)).not.toMatch(/log|ring|sessions|audience/iu);
    expect(defineSite(pruned).problems).toEqual([]);
    const ringer = forAudience(marram, ['ringer']);
    expect(JSON.stringify(ringer)).toMatch(/Ringing log/u);
    expect(JSON.stringify(ringer)).not.toMatch(/audience/u);
  });

  test('shows the same menus as the whole does to that audience', () => {
    const whole: Site = defineSite(marram);
    for (const audience of [[], ['ringer']]) {
      const pruned: Site = defineSite(forAudience(marram, audience));
      for (const menu of Object.keys(marram.menus)) {
        const shape = (items: readonly MenuItem[]): unknown =>
          items.map(({ label, href, items: below }) => [label, href, shape(below)]);
        expect(shape(menuItems(pruned, menu))).toEqual(shape(menuItems(whole, menu, { audience })));
      }
    }
  });
});
