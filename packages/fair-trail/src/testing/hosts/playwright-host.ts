import { readFileSync } from 'node:fs';
import { NavigationFailure } from '../failures.ts';
import type { Host } from '../host.ts';
import { pause, within } from '../waiting.ts';
import { noAnswer, pageClosed, wholeAddress } from './driven-failures.ts';

/** As much as is used of a page of Playwright. */
export interface DrivenPage {
  readonly evaluate: (expression: string) => Promise<unknown>;
  readonly evaluateHandle: (expression: string) => Promise<{ readonly asElement: () => DrivenElement | null }>;
  readonly keyboard: { readonly press: (key: string) => Promise<void> };
  readonly mouse: { readonly move: (x: number, y: number) => Promise<void> };
  readonly setViewportSize: (size: { readonly width: number; readonly height: number }) => Promise<void>;
  readonly goto: (address: string) => Promise<unknown>;
  readonly reload: () => Promise<unknown>;
  readonly isClosed: () => boolean;
  readonly url: () => string;
}

interface DrivenElement {
  readonly scrollIntoViewIfNeeded: (options?: { readonly timeout?: number }) => Promise<void>;
  readonly click: (options?: { readonly timeout?: number }) => Promise<void>;
  readonly tap: (options?: { readonly timeout?: number }) => Promise<void>;
  readonly hover: (options?: { readonly timeout?: number }) => Promise<void>;
}

/** What a page that Playwright drives can do besides. */
export interface PlaywrightOptions {
  /** Whether the page can be touched (`hasTouch` of its context). Default: touch is not judged. */
  readonly hasTouch?: boolean;
  /** How long the page may take to answer, and to be there again after it was left, in milliseconds. Default: 10 000. */
  readonly answersWithin?: number;
}

interface PageAnswer {
  readonly answer: never;
}

const name = 'a driven page';

/** How long a press may take to find its target in rest, in milliseconds. */
const timeout = 5000;

/** The same from the source and from what was built of it. */
const script = new URL('../../../dist/testing-page/reader.js', import.meta.url);

/**
 * A page that Playwright drives from outside: it judges everything, loading too.
 *
 * @example
 * const page = navigation(playwrightHost(drivenPage));
 */
export function playwrightHost(
  page: DrivenPage,
  { hasTouch = false, answersWithin = 10_000 }: PlaywrightOptions = {},
): Host {
  const source = readFileSync(script, 'utf8');
  const element = async (number: number): Promise<DrivenElement> => {
    const handle = await page.evaluateHandle(`window.fairTrailTesting?.element(${number}) ?? null`);
    const found = handle.asElement();
    if (found) return found;
    throw new NavigationFailure('not-pressed', {
      wanted: 'Something that was there a moment ago was to be used.',
      found: `it has gone from ${page.url()}`,
      likely: 'the page was left meanwhile, or the menu is made again over and over.',
    });
  };
  const ask: Host['ask'] = async (question, ...given) => {
    const call = `(async (reader) => {
      if (!reader) return null;
      const answered = { answer: await reader.${question}(...${JSON.stringify(given)}) };
      // Text goes through the wire in a third of the time; a page that has its own way of writing JSON is not asked to.
      return [[], {}].some((value) => 'toJSON' in value) ? answered : JSON.stringify(answered);
    })(window.fairTrailTesting)`;
    const end = performance.now() + answersWithin;
    const evaluate = (expression: string) => {
      // A page whose script runs on and on answers never, and says nothing of it.
      return within(answersWithin, page.evaluate(expression), () => noAnswer(page.url(), answersWithin));
    };
    for (;;) {
      try {
        const answered = (await evaluate(call)) as string | PageAnswer | null;
        if (answered !== null)
          return (typeof answered === 'string' ? (JSON.parse(answered) as PageAnswer) : answered).answer;
        // A page that was reloaded knows nothing of the reader.
        await evaluate(`void (() => { ${source} })()`);
      } catch (error) {
        if (page.isClosed() || performance.now() > end || !isLeaving(error)) throw asFailure(error, page);
        await pause(20);
      }
    }
  };
  const act = async (promise: Promise<unknown>) => {
    try {
      await promise;
    } catch (error) {
      throw page.isClosed() ? asFailure(error, page) : error;
    }
  };
  return {
    name,
    cannot: hasTouch ? {} : { touch: 'the page was opened without touch (`hasTouch`)' },
    ask,
    press: async (number, by) => {
      const target = await element(number);
      // A bar that comes back as the page scrolls must have come before the press.
      await act(target.scrollIntoViewIfNeeded({ timeout }));
      await act(by === 'mouse' ? target.click({ timeout }) : target.tap({ timeout }));
    },
    hover: async (number) => act((await element(number)).hover({ timeout })),
    unhover: () => act(page.mouse.move(0, 0)),
    key: (key) => act(page.keyboard.press(key === ' ' ? 'Space' : key)),
    resize: (size) => act(page.setViewportSize(size)),
    visit: async (address) => act(page.goto(wholeAddress(address, page.url()))),
    reload: () => act(page.reload()),
    traverse: (delta) => act(page.evaluate(`void setTimeout(() => history.go(${delta}))`)),
  };
}

/** Whether the page is just being left for another one. */
function isLeaving(error: unknown): boolean {
  return (
    error instanceof Error &&
    /navigat|context was destroyed|frame was detached|cannot find context/iu.test(error.message)
  );
}

function asFailure(error: unknown, page: DrivenPage): unknown {
  if (!page.isClosed()) return error;
  return pageClosed();
}
