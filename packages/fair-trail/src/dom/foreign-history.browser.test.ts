import { afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest';
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

/** Goes through the history as a visitor does. */
function traverse(delta: number): void {
  window.history.go(delta);
}

/** Waits until the address and the questions asked are these. */
async function becomes(pathname: string, asked: readonly string[], questions: readonly string[]): Promise<void> {
  await expect.poll(() => [window.location.pathname, [...asked]]).toEqual([pathname, questions]);
}

const path = () => window.location.pathname;

/** Adds so many entries that the browser forgets the first, and counts no further. */
async function fill(): Promise<void> {
  for (let count = 0; count < 50; count += 1) window.history.pushState(null, '', '/');
  // A browser takes some two hundred changes of its history in ten seconds, and no more.
  await new Promise((resolve) => setTimeout(resolve, 5000));
}

const cases = [
  ['the History API', windowHistory, false],
  ['the Navigation API', navigationHistory, false],
  ['the History API at its limit', windowHistory, true],
  ['the Navigation API at its limit', navigationHistory, true],
] as const;

describe.each(cases)('beside a script that writes the history itself, by %s', (_, makeHistory, isFull) => {
  beforeAll(() => (isFull && window.history.length < 50 ? fill() : undefined));

  test('a guarded page is asked before Back leaves it for an entry of that script', async () => {
    const { router, asked, guard, answer } = open(makeHistory);
    router.navigate('/hides');
    window.history.pushState(null, '', '/theirs');
    router.navigate('/form');
    const release = guard();
    traverse(-1);
    await becomes('/form', asked, ['/theirs']);
    answer(false);
    traverse(-1);
    await becomes('/form', asked, ['/theirs', '/theirs']);
    answer(true);
    await becomes('/theirs', asked, ['/theirs', '/theirs']);
    release();
  });

  test('and before it goes forward to one', async () => {
    const { router, asked, guard, answer } = open(makeHistory);
    router.navigate('/form');
    window.history.pushState(null, '', '/theirs');
    traverse(-1);
    await becomes('/form', asked, []);
    const release = guard();
    traverse(1);
    await becomes('/form', asked, ['/theirs']);
    answer(true);
    await becomes('/theirs', asked, ['/theirs']);
    release();
  });

  test('the distance counts the entries of that script', async () => {
    const { router, asked, guard, answer } = open(makeHistory);
    router.navigate('/hides');
    window.history.pushState(null, '', '/theirs');
    window.history.pushState(null, '', '/theirs/too');
    router.navigate('/form');
    const release = guard();
    traverse(-3);
    await becomes('/form', asked, ['/hides']);
    answer(true);
    await becomes('/hides', asked, ['/hides']);
    release();
  });

  test('what that script keeps with its entries stays as it is', async () => {
    const { router } = open(makeHistory);
    const theirs = [[1, { a: 2 }], 'text', 7, new Date(0), { b: [1] }];
    for (const [index, state] of theirs.entries()) {
      window.history.pushState(state, '', `/theirs/${index}`);
      router.navigate('/hides', { history: 'push' });
      traverse(-1);
      await expect.poll(() => router.state.current.url).toBe(`/theirs/${index}`);
      const kept: unknown = window.history.state;
      if (typeof state === 'object') expect(kept).toEqual(expect.objectContaining(state));
      else expect(kept).toBe(state);
      expect(Object.prototype.toString.call(kept)).toBe(Object.prototype.toString.call(state));
      expect(Array.isArray(kept)).toBe(Array.isArray(state));
    }
  });

  test('once a guard is released, Back goes on although its question is still open', async () => {
    const { router, asked, guard, answer } = open(makeHistory);
    router.navigate('/hides');
    router.navigate('/form');
    const release = guard();
    traverse(-1);
    await becomes('/form', asked, ['/hides']);
    release();
    traverse(-1);
    await becomes('/hides', asked, ['/hides']);
    // The answer comes too late to change anything.
    answer(true);
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect([path(), router.state.current.url]).toEqual(['/hides', '/hides']);
  });
});
