import { readFileSync } from 'node:fs';
import type { Driver, WebElement } from '../drivers/driver.ts';
import { DriverFailure } from '../drivers/driver-failure.ts';
import { keyPress, pointerAway, pointerOver, pointerPress } from '../drivers/input.ts';
import { readyToPress } from '../drivers/ready-to-press.ts';
import { NavigationFailure } from '../failures.ts';
import type { Host } from '../host.ts';
import { pause, within } from '../waiting.ts';
import { noAnswer, pageClosed, wholeAddress } from './driven-failures.ts';

/** What the driver’s window can do besides. */
export interface DriverHostOptions {
  /** Whether the window takes touches. Default: touch is not judged. */
  readonly hasTouch?: boolean;
  /** How long the page may take to answer, and to be there again after it was left, in milliseconds. Default: 10 000. */
  readonly answersWithin?: number;
}

/** How long a press may take to find its target in rest, in milliseconds. */
const timeout = 5000;

/** The same from the source and from what was built of it. */
const script = new URL('../../../dist/testing-page/reader.js', import.meta.url);

/**
 * A page in any browser that speaks WebDriver or WebDriver BiDi: it judges everything, loading too.
 *
 * @param driver of `openWebDriver` or `openBidi`
 * @example
 * const visitor = navigation(driverHost(driver));
 */
export function driverHost(driver: Driver, { hasTouch = false, answersWithin = 10_000 }: DriverHostOptions = {}): Host {
  const source = readFileSync(script, 'utf8');
  let address = 'about:blank';
  const asFailure = (error: unknown) => {
    return error instanceof DriverFailure && /no answer|invalid session|no such window/u.test(error.code)
      ? pageClosed()
      : error;
  };
  const ask: Host['ask'] = async (question, ...given) => {
    const call = `(async (reader) => {
      if (!reader) return null;
      return JSON.stringify({ answer: await reader.${question}(...${JSON.stringify(given)}), at: location.href });
    })(window.fairTrailTesting)`;
    const end = performance.now() + answersWithin;
    const evaluate = (expression: string) =>
      within(answersWithin, driver.evaluate(expression), () => noAnswer(address, answersWithin));
    for (;;) {
      try {
        const answered = (await evaluate(call)) as string | null;
        if (answered !== null) {
          const { answer, at } = JSON.parse(answered) as { answer: never; at: string };
          address = at;
          return answer;
        }
        // A page that was reloaded knows nothing of the reader.
        await evaluate(`void (() => { ${source} })()`);
      } catch (error) {
        const failure = asFailure(error);
        if (!(failure instanceof DriverFailure) || performance.now() > end) throw failure;
        await pause(20);
      }
    }
  };
  const act = async <Answer>(promise: Promise<Answer>): Promise<Answer> => {
    try {
      return await promise;
    } catch (error) {
      throw asFailure(error);
    }
  };
  const elementOf = async (number: number): Promise<WebElement> => {
    const expression = `window.fairTrailTesting?.element(${number}) ?? null`;
    const inTheWay = await act(driver.evaluate(readyToPress(expression, timeout)));
    const found = await act(driver.find(expression));
    if (inTheWay === '' && found) return found;
    throw new NavigationFailure('not-pressed', {
      wanted: 'Something that was there a moment ago was to be used.',
      found: inTheWay === '' ? `it has gone from ${address}` : String(inTheWay),
      likely: 'something lies over it, it moves on and on, or the page was left meanwhile.',
    });
  };
  return {
    name: driver.name,
    cannot: hasTouch ? {} : { touch: 'the window was opened without touch (`hasTouch`)' },
    ask,
    press: async (number, by) => act(driver.perform(pointerPress(await elementOf(number), by))),
    hover: async (number) => act(driver.perform(pointerOver(await elementOf(number)))),
    unhover: () => act(driver.perform(pointerAway())),
    key: (key) => act(driver.perform(keyPress(key))),
    resize: (size) => act(driver.resize(size)),
    visit: async (to) => {
      const whole = wholeAddress(to, address);
      await act(driver.visit(whole));
      address = whole;
    },
    reload: () => act(driver.reload()),
    traverse: async (delta) => {
      await act(driver.evaluate(`void setTimeout(() => history.go(${delta}))`));
    },
  };
}
