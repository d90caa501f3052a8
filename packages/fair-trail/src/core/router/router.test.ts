import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { defineSite } from '../site/define.ts';
import { locate } from '../site/locate.ts';
import { marram } from '../site/site.samples.ts';
import { addressOf } from './history.ts';
import { initialRouter, nextRouter, waitsForPage, type RouterEvent, type RouterState } from './router.ts';

const site = defineSite(marram);

const goTo = (url: string, history: 'auto' | 'push' | 'replace' = 'auto'): RouterEvent => {
  return { type: 'navigate', url, key: 'new', history };
};
const backTo = (url: string, delta: number | null = -1): RouterEvent => {
  return { type: 'traverse', entry: { url, key: `key of ${url}` }, delta };
};
const at = (url: string): RouterState => initialRouter(site, { url, key: `key of ${url}` });

/** The events one after another: the last state, and the effects of the last event. */
function after(from: string, ...events: RouterEvent[]): { state: RouterState; effects: string[] } {
  let state = at(from);
  let effects: string[] = [];
  for (const event of events) {
    const next = nextRouter(site, state, event);
    state = next.state;
    effects = next.effects.map((effect) => {
      const { type, ...details } = effect;
      return [type, ...Object.values(details as Record<string, unknown>).map((value) => describeValue(value))].join(
        ' ',
      );
    });
  }
  return { state, effects };
}

function describeValue(value: unknown): string {
  return typeof value === 'object' && value !== null ? (value as { url: string }).url : String(value);
}

const keep = (url: string) => `keep-place key of ${url}`;

describe('going to another page', () => {
  test.each<[string, string, RouterEvent, string[]]>([
    ['a page', '/', goTo('/hides'), ['push /hides', 'arrive  null', 'scroll-to-hash  true']],
    ['a place on a page', '/', goTo('/hides#map'), ['push /hides#map', 'arrive #map null', 'scroll-to-hash #map true']],
    ['another place on the same page', '/hides', goTo('/hides#map'), ['push /hides#map', 'scroll-to-hash #map false']],
    ['another query', '/hides?a', goTo('/hides?b'), ['push /hides?b']],
    ['an address put right', '/visit', goTo('/log', 'replace'), ['replace /log']],
    ['the same address', '/hides', goTo('/hides'), ['replace /hides', 'arrive  null', 'scroll-to-hash  true']],
    [
      'the same address again',
      '/hides',
      goTo('/hides', 'push'),
      ['push /hides', 'arrive  null', 'scroll-to-hash  true'],
    ],
    ['an earlier page', '/hides', backTo('/'), ['arrive  key of /', 'restore-scroll key of /']],
    ['an earlier query', '/hides?b', backTo('/hides?a'), ['restore-scroll key of /hides?a']],
  ])('%s', (_, from, event, expected) => {
    expect(after(from, event).effects).toEqual([keep(from), ...expected]);
  });

  test('that has moved goes to where it is now, with query and hash', () => {
    const moved = defineSite({
      name: 'x',
      entries: [
        { id: 'a', label: 'A', href: '/' },
        { id: 'b', label: 'B', href: '/birds/:slug', movedFrom: ['/species/:slug'] },
      ],
    });
    const state = initialRouter(moved, { url: '/', key: 'a' });
    const { state: next, effects } = nextRouter(moved, state, goTo('/species/curlew?x=1#song'));
    expect(next.current.url).toBe('/birds/curlew?x=1#song');
    expect(effects).toContainEqual({ type: 'push', entry: { url: '/birds/curlew?x=1#song', key: 'new' } });
    const back = nextRouter(moved, state, backTo('/species/avocet'));
    expect(back.effects.map(({ type }) => type)).toContain('replace');
    expect(back.state.current.url).toBe('/birds/avocet');
  });

  test('keeps what the app gives to the entry', () => {
    const { state } = after('/', {
      type: 'navigate',
      url: '/hides',
      key: 'k',
      history: 'auto',
      state: { from: 'map' },
    });
    expect(state.current).toEqual({ url: '/hides', key: 'k', state: { from: 'map' } });
  });
});

describe('a page that must be asked before it is left', () => {
  const hold: RouterEvent = { type: 'hold', held: true };
  const answer = (mayLeave: boolean): RouterEvent => ({ type: 'answer', mayLeave });

  test('is asked, and nothing changes meanwhile', () => {
    const { state, effects } = after('/visit', hold, goTo('/hides'));
    expect(effects).toEqual(['ask /hides']);
    expect([state.current.url, state.position.entry?.id]).toEqual(['/visit', 'visit']);
  });

  test('is not asked for another query or place of its own', () => {
    expect(after('/visit', hold, goTo('/visit?day=2')).effects).toEqual([keep('/visit'), 'push /visit?day=2']);
    expect(after('/visit', hold, backTo('/visit#top')).effects).not.toContain('ask /visit#top');
  });

  test('is left once it agrees, and stays if not', () => {
    expect(after('/visit', hold, goTo('/hides'), answer(true)).state.current.url).toBe('/hides');
    const refused = after('/visit', hold, goTo('/hides'), answer(false));
    expect([refused.state.current.url, refused.state.wish, refused.effects]).toEqual(['/visit', null, []]);
    // An answer without a question changes nothing.
    expect(after('/visit', answer(true)).effects).toEqual([]);
  });

  test('is gone back to when the history has moved already, and left again by the same way', () => {
    const { effects } = after('/visit', hold, backTo('/', -2));
    expect(effects).toEqual(['traverse 2 key of /visit', 'ask /']);
    expect(after('/visit', hold, backTo('/', -2), backTo('/visit', 2)).effects).toEqual([]);
    const agreed = [hold, backTo('/', -2), backTo('/visit', 2), answer(true)];
    expect(after('/visit', ...agreed).effects).toEqual(['traverse -2 key of /']);
    expect(after('/visit', ...agreed, backTo('/', -2)).state.current.url).toBe('/');
  });

  test('stops the history where it can be stopped', () => {
    const will: RouterEvent = { type: 'will-traverse', entry: { url: '/', key: 'x' }, delta: -1 };
    expect(after('/visit', hold, will).state.wish).not.toBeNull();
    expect(after('/visit', will).state.wish).toBeNull();
    expect(after('/visit', hold, will, answer(true)).effects).toEqual(['traverse -1 x']);
    // Let through, it is not asked again.
    expect(after('/visit', hold, will, answer(true), will).state.wish).toBeNull();
  });

  test('cannot be kept where no one knows how far the history has moved', () => {
    expect(after('/visit', hold, backTo('/', null)).state.current.url).toBe('/');
    // By zero, the browser would reload the page.
    expect(after('/visit', hold, backTo('/', 0)).effects.join()).not.toContain('traverse');
  });

  test('is asked once, and the newest wish is granted', () => {
    const { effects } = after('/visit', hold, goTo('/hides'), goTo('/species'));
    expect(effects).toEqual([]);
    expect(after('/visit', hold, goTo('/hides'), goTo('/species'), answer(true)).state.current.url).toBe('/species');
  });
});

describe('a page that is on its way', () => {
  const load: RouterEvent = { type: 'load' };
  const late = (arrivals: number): RouterEvent => ({ type: 'late', arrivals });

  test('is waited for in silence at first', () => {
    expect(after('/', goTo('/hides'), load)).toMatchObject({ state: { page: 'loading' }, effects: ['wait 120 1'] });
    expect(after('/', goTo('/hides'), load, late(1))).toMatchObject({
      state: { page: 'late' },
      effects: ['show-pending'],
    });
    expect(after('/', goTo('/hides'), load, late(1), { type: 'loaded' })).toMatchObject({
      state: { page: 'ready' },
      effects: ['hide-pending'],
    });
  });

  test('is no longer waited for once another one is wanted', () => {
    const { state, effects } = after('/', goTo('/hides'), load, late(1), goTo('/species'));
    expect([state.page, effects[0]]).toEqual(['ready', 'hide-pending']);
    expect(after('/', goTo('/hides'), load, goTo('/species'), load, late(1)).state.page).toBe('loading');
  });
});

const urls = fc.constantFrom('/', '/hides', '/hides?a', '/hides#b', '/nowhere', '/species/curlew');
const anyEvent: fc.Arbitrary<RouterEvent> = fc.oneof(
  fc.record({
    type: fc.constant('navigate' as const),
    url: urls,
    key: fc.string(),
    history: fc.constantFrom('auto' as const, 'push' as const, 'replace' as const),
  }),
  fc.tuple(urls, fc.option(fc.integer({ min: -3, max: 3 }))).map(([url, delta]) => backTo(url, delta)),
  fc.tuple(urls, fc.integer({ min: -3, max: 3 })).map(([url, delta]) => ({
    type: 'will-traverse' as const,
    entry: { url, key: `key of ${url}` },
    delta,
  })),
  fc.boolean().map((held) => ({ type: 'hold' as const, held })),
  fc.boolean().map((mayLeave) => ({ type: 'answer' as const, mayLeave })),
  fc.constantFrom({ type: 'load' as const }, { type: 'loaded' as const }),
  fc.nat({ max: 9 }).map((arrivals) => ({ type: 'late' as const, arrivals })),
);

test('whatever happens, position follows address, and what waits for the page comes last', () => {
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 40 }), (events) => {
      let state = at('/');
      for (const event of events) {
        const { state: next, effects } = nextRouter(site, state, event);
        const waits = effects.map(waitsForPage);
        expect(waits.lastIndexOf(false)).toBeLessThan(waits.includes(true) ? waits.indexOf(true) : waits.length);
        expect(next.position).toEqual(locate(site, addressOf(next.current.url)));
        const writes = effects.filter(({ type }) => type === 'push' || type === 'replace');
        const arrives = next.arrivals > state.arrivals;
        expect(next.arrivals - state.arrivals).toBe(arrives ? 1 : 0);
        // A page that was asked for is asked once, and none is left while it is being asked.
        if (effects.some(({ type }) => type === 'ask')) expect([state.wish, arrives]).toEqual([null, false]);
        if (!arrives) expect([writes, next.current]).toEqual([[], state.current]);
        if (arrives) expect(next.wish).toBeNull();
        state = next;
      }
    }),
  );
});

test('a change of query keeps the position itself', () => {
  const state = at('/hides');
  expect(nextRouter(site, state, goTo('/hides?x')).state.position).toBe(state.position);
});
