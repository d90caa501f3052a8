import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import WebSocket from 'ws';
import { openBidi, type Driver } from '../../packages/fair-trail/src/testing/webdriver.ts';
import { findFirefox } from '../../scripts/engines.mjs';
import { freshFolder, start } from './processes.ts';

/** What a visitor has set in the browser: preferences, by their names in Firefox. */
export type Preferences = Readonly<Record<string, string | number | boolean>>;

const usual: Preferences = {
  // Without a window it says that nothing hovers and nothing points.
  'ui.primaryPointerCapabilities': 6,
  'ui.allPointerCapabilities': 6,
  'dom.w3c_touch_events.enabled': 1,
  // A window of 320 pixels has 320 for the page, as on a phone.
  'ui.useOverlayScrollbars': 1,
  // Reads the style sheet below.
  'toolkit.legacyUserProfileCustomizations.stylesheets': true,
  // A page under test has no business with the network beyond itself.
  'app.update.enabled': false,
  'browser.safebrowsing.malware.enabled': false,
  'browser.safebrowsing.phishing.enabled': false,
  'datareporting.policy.dataSubmissionEnabled': false,
  'network.captive-portal-service.enabled': false,
  'network.connectivity-service.enabled': false,
  'services.settings.server': 'http://127.0.0.1:1',
  'browser.shell.checkDefaultBrowser': false,
  'browser.startup.page': 0,
  'dom.disable_open_during_load': false,
  'remote.active-protocols': 1,
};

/** A window of Firefox, driven over WebDriver BiDi. */
export async function openFirefox(
  preferences: Preferences = {},
  words: readonly string[] = ['--headless'],
  env = {},
): Promise<Driver> {
  const { folder, remove } = freshFolder('fair-trail-firefox');
  const lines = Object.entries({ ...usual, ...preferences }).map(
    ([name, value]) => `user_pref(${JSON.stringify(name)}, ${JSON.stringify(value)});`,
  );
  writeFileSync(path.join(folder, 'user.js'), lines.join('\n'));
  // The browser's own bars would take the focus that Tab moves out of a page, and never give it back to a script.
  mkdirSync(path.join(folder, 'chrome'));
  writeFileSync(path.join(folder, 'chrome/userChrome.css'), '#navigator-toolbox { display: none }');
  const browser = start(
    findFirefox() ?? '',
    ['--no-remote', '--profile', folder, '--remote-debugging-port=0', ...words, 'about:blank'],
    env,
  );
  const [, address = ''] = await browser.said(/WebDriver BiDi listening on (ws:\S+)/u);
  const driver = await openBidi({ socket: new WebSocket(`${address}/session`) });
  return {
    ...driver,
    close: async () => {
      await driver.close().catch(() => undefined);
      await browser.end();
      remove();
    },
  };
}
