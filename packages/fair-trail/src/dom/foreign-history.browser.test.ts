import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { defineSite, type SessionHistory } from '../core/index.ts';
import type { Departure } from './guards.ts';
import { openRouter } from './router.ts';
import { navigationHistory, windowHistory } from './window-history.ts';

const site = defineSite({
  name: 'x',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    { id: 'hides', label: 'Hides', href: '/hides' },
    { id: 'form', label: 'Form', href: '/form' },
    { id: 'tides', label: 'Tides', href: '/tides' },
  ],
});

let own: string;
let end: () => void = () => undefined;
beforeEach(() => {
  own = window.location.href;
  window.history.pushState(null, '', '/');
});
afterEach(() => {
  end();
  window.history.pushState(null, '', own);
});

function open(makeHistory: (window: Window) => SessionHistory) {
  const router = openRouter({ site, window, history: makeHistory(window), viewTransitions: false });
  const disconnect = router.connect();
  const asked: string[] = [];
  let answer: (mayLeave: boolean) => void = () => undefined;
  const guard = () =>
    router.guard(({ url }: Departure) => {
      asked.push(url);
      return new Promise<boolean>((resolve) => (answer = resolve));
    });
  end = () => {
    disconnect();
    end = () => undefined;
  };
  return { router, asked, guard, answer: (mayLeave: boolean) => answer(mayLeave) };
}

/** Goes through the history as a visitor does, and waits until the browser has done so, or was stopped. */
async function traverse(delta: number): Promise<void> {
  window.history.go(delta);
  await settle();
}

async function settle(): Promise<void> {
  await new Promise((resolve) => setTimeout(resolve, 200));
}

const path = () => window.location.pathname;

describe.each([
  ['the History API', windowHistory],
  ['the Navigation API', navigationHistory],
] as const)('beside a script that writes the history itself, by %s', (_, makeHistory) => {
  test('a guarded page is asked before Back leaves it for an entry of that script', async () => {
    const { router, asked, guard, answer } = open(makeHistory);
    router.navigate('/hides');
    window.history.pushState(null, '', '/theirs');
    router.navigate('/form');
    const release = guard();
    await traverse(-1);
    expect([path(), asked]).toEqual(['/form', ['/theirs']]);
    answer(false);
    await settle();
    expect(path()).toBe('/form');
    await traverse(-1);
    answer(true);
    await settle();
    expect([path(), asked.length]).toEqual(['/theirs', 2]);
    release();
  });

  test('and before it goes forward to one', async () => {
    const { router, asked, guard, answer } = open(makeHistory);
    router.navigate('/form');
    window.history.pushState(null, '', '/theirs');
    await traverse(-1);
    const release = guard();
    await traverse(1);
    expect([path(), asked]).toEqual(['/form', ['/theirs']]);
    answer(true);
    await settle();
    expect(path()).toBe('/theirs');
    release();
  });

  test('the distance counts the entries of that script', async () => {
    const { router, asked, guard, answer } = open(makeHistory);
    router.navigate('/hides');
    window.history.pushState(null, '', '/theirs');
    window.history.pushState(null, '', '/theirs/too');
    router.navigate('/form');
    const release = guard();
    await traverse(-3);
    expect([path(), asked]).toEqual(['/form', ['/hides']]);
    answer(true);
    await settle();
    expect(path()).toBe('/hides');
    release();
  });

  test('what that script keeps with its entries stays as it is', async () => {
    const { router } = open(makeHistory);
    const theirs = [[1, { a: 2 }], 'text', 7, new Date(0), { b: [1] }];
    for (const [index, state] of theirs.entries()) {
      window.history.pushState(state, '', `/theirs/${index}`);
      router.navigate('/hides', { history: 'push' });
      await traverse(-1);
      const kept: unknown = window.history.state;
      if (typeof state === 'object') expect(kept).toEqual(expect.objectContaining(state));
      else expect(kept).toBe(state);
      expect(Object.prototype.toString.call(kept)).toBe(Object.prototype.toString.call(state));
      expect(Array.isArray(kept)).toBe(Array.isArray(state));
      expect(router.state.current.url).toBe(`/theirs/${index}`);
    }
  });

  test('once a guard is released, Back goes on although its question is still open', async () => {
    const { router, asked, guard, answer } = open(makeHistory);
    router.navigate('/hides');
    router.navigate('/form');
    const release = guard();
    await traverse(-1);
    expect([path(), asked]).toEqual(['/form', ['/hides']]);
    release();
    await traverse(-1);
    expect([path(), router.state.current.url]).toEqual(['/hides', '/hides']);
    answer(true);
    await settle();
    expect(path()).toBe('/hides');
  });
});
