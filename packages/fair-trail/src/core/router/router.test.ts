import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { defineSite } from '../site/define.ts';
import { marram } from '../site/site.samples.ts';
import { memoryHistory } from './memory-history.ts';
import { initialRouter, nextRouter, waitsForPage, type RouterEvent } from './router.ts';

const site = defineSite(marram);

function after(from: string, event: RouterEvent): string[] {
  const { effects } = nextRouter(site, initialRouter(site, { url: from, key: 'old' }), event);
  return effects.map((effect) => ('hash' in effect ? `${effect.type} ${effect.hash}`.trim() : effect.type));
}

const goTo = (url: string, history: 'auto' | 'push' | 'replace' = 'auto'): RouterEvent => {
  return { type: 'navigate', url, key: 'new', history };
};
const backTo = (url: string): RouterEvent => ({ type: 'traverse', entry: { url, key: 'new' } });

describe('going to another page', () => {
  test.each<[string, string, RouterEvent, string[]]>([
    ['a page', '/', goTo('/hides'), ['keep-scroll', 'push', 'focus-content', 'scroll-to-hash']],
    ['a place on a page', '/', goTo('/hides#map'), ['keep-scroll', 'push', 'focus-content', 'scroll-to-hash #map']],
    ['another query', '/hides?a', goTo('/hides?b'), ['keep-scroll', 'push']],
    ['an address put right', '/ringing', goTo('/log', 'replace'), ['keep-scroll', 'replace']],
    ['the same address', '/hides', goTo('/hides'), ['keep-scroll', 'replace', 'focus-content', 'scroll-to-hash']],
    ['an earlier page', '/hides', backTo('/'), ['keep-scroll', 'focus-content', 'restore-scroll']],
    ['an earlier query', '/hides?b', backTo('/hides?a'), ['keep-scroll', 'restore-scroll']],
  ])('%s', (_, from, event, expected) => {
    expect(after(from, event)).toEqual(expected);
  });
});

test('what waits for the page comes after what does not', () => {
  const event = fc.oneof(
    fc.record({
      type: fc.constant('navigate' as const),
      url: fc.constantFrom('/', '/hides', '/hides?a', '/hides#b', '/nowhere'),
      key: fc.string(),
      history: fc.constantFrom('auto' as const, 'push' as const, 'replace' as const),
    }),
    fc.constantFrom('/', '/hides?a', '/hides#b').map(backTo),
  );
  fc.assert(
    fc.property(fc.array(event), (events) => {
      let state = initialRouter(site, { url: '/', key: 'first' });
      for (const each of events) {
        const { state: next, effects } = nextRouter(site, state, each);
        const waits = effects.map(waitsForPage);
        expect(waits.lastIndexOf(false)).toBeLessThan(waits.includes(true) ? waits.indexOf(true) : waits.length);
        expect(next.arrivals).toBe(state.arrivals + 1);
        expect(effects.filter(({ type }) => type === 'push' || type === 'replace').length).toBe(
          each.type === 'navigate' ? 1 : 0,
        );
        state = next;
      }
    }),
  );
});

test('a change of query keeps the position itself', () => {
  const state = initialRouter(site, { url: '/hides', key: 'a' });
  expect(nextRouter(site, state, goTo('/hides?x')).state.position).toBe(state.position);
});

describe('the history in memory', () => {
  test('behaves like a list with a place in it', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.constantFrom('push', 'replace'), fc.integer({ min: -3, max: 3 }))), (moves) => {
        const history = memoryHistory('/0');
        const told: string[] = [];
        history.listen(({ url }) => told.push(url));
        const model = { urls: ['/0'], index: 0 };
        moves.forEach((move, step) => {
          const url = `/${step + 1}`;
          const before = told.length;
          if (move === 'push') {
            history.push({ url, key: url });
            model.index += 1;
            model.urls = [...model.urls.slice(0, model.index), url];
          } else if (move === 'replace') {
            history.replace({ url, key: url });
            model.urls[model.index] = url;
          } else if (typeof move === 'number') {
            history.traverse(move);
            const isThere = move !== 0 && model.urls[model.index + move] !== undefined;
            if (isThere) model.index += move;
            expect(told.length - before).toBe(isThere ? 1 : 0);
          }
          expect(history.current.url).toBe(model.urls[model.index]);
        });
      }),
    );
  });
});
