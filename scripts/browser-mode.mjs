import { playwright } from '@vitest/browser-playwright';
import { chromiumArguments, findChromium } from './chromium.mjs';

/**
 * How a project of tests runs in the browser: a fresh value for each, since the runner writes into what it is given.
 *
 * @param {number} actionTimeout how long a press may look for its target, in milliseconds: what is not there to be pressed
 *   is reported by name, well before the whole test ends
 * @param {Record<string, import('vitest/node').BrowserCommand<any>>} commands what tests may ask for beside the browser
 */
export function browserMode(actionTimeout, commands) {
  return {
    enabled: true,
    headless: true,
    screenshotFailures: false,
    provider: playwright({
      launchOptions: { executablePath: findChromium() ?? '', args: chromiumArguments },
      contextOptions: { hasTouch: true },
      actionTimeout,
    }),
    viewport: { width: 1280, height: 800 },
    instances: [{ browser: /** @type {const} */ ('chromium') }],
    commands,
  };
}
