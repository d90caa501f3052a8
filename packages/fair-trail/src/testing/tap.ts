// For the declaration at the end.
import type {} from 'vitest/browser';

/** As much as is used of what a command of Vitest's browser mode is given. */
interface CommandContext {
  readonly frame: () => Promise<{
    readonly locator: (selector: string) => { readonly tap: () => Promise<void> };
  }>;
}

/**
 * A command for Vitest's browser mode (`browser.commands` in its configuration) that taps the middle of what a selector finds,
 * with a finger. It runs beside the browser, which alone can make real touches. The context needs `hasTouch`.
 *
 * @example
 * import { defineConfig } from 'vitest/config';
 *
 * export default defineConfig({ test: { browser: { commands: { tap } } } });
 */
export async function tap(context: CommandContext, selector: string): Promise<void> {
  await (await context.frame()).locator(selector).tap();
}

declare module 'vitest/browser' {
  interface BrowserCommands {
    /** Taps what a selector finds: `tap` of `fair-trail/testing/tap`, given to Vitest as a command. */
    tap: (selector: string) => Promise<void>;
  }
}
