import { NotJudged } from './failures.ts';

/** As much as is used of what Vitest gives to a test. */
interface TestContext {
  readonly skip: (note?: string) => never;
}

/**
 * Makes a test that is skipped, with the reason, where the host cannot judge what it asks: never passed.
 *
 * ```ts
 * test('the menu fits', judged(async () => { await nav.at({ width: 320 }); … }));
 * ```
 *
 * @example
 * test('Tab reaches the menu', judged(async () => page.key('Tab')));
 */
export function judged<Context extends TestContext>(
  run: (context: Context) => Promise<void>,
): (context: Context) => Promise<void> {
  return async (context) => {
    try {
      await run(context);
    } catch (error) {
      if (!(error instanceof NotJudged)) throw error;
      context.skip(error.message);
    }
  };
}
