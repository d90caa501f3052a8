import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** The other engines that tests run in: Firefox and WebKit, as Debian has them. */

const programs = '/usr/bin';

/** The path of Firefox: the one that FIREFOX_PATH names, else Debian's; null if there is none. */
export function findFirefox() {
  const places = process.env.FIREFOX_PATH
    ? [process.env.FIREFOX_PATH]
    : [`${programs}/firefox-esr`, `${programs}/firefox`];
  return places.find((file) => existsSync(file)) ?? null;
}

/** WebKit's driver and a browser of it; null if one of them, or a display for it, is missing. */
export function findWebKit() {
  const driver = `${programs}/WebKitWebDriver`;
  if (!existsSync(driver) || !existsSync(`${programs}/Xvfb`)) return null;
  for (const libraries of ['/usr/lib/x86_64-linux-gnu', '/usr/lib/aarch64-linux-gnu', '/usr/lib', '/usr/libexec']) {
    if (!existsSync(libraries)) continue;
    const folder = readdirSync(libraries).find((name) => name.startsWith('webkit2gtk-4'));
    const browser = path.join(libraries, folder ?? '', 'MiniBrowser');
    if (folder !== undefined && existsSync(browser)) return { driver, browser };
  }
  return null;
}

/**
 * Which of the other engines are here.
 *
 * @returns {('firefox' | 'webkit')[]}
 */
export function foundEngines() {
  return /** @type {const} */ (['firefox', 'webkit']).filter((engine) =>
    engine === 'firefox' ? findFirefox() : findWebKit(),
  );
}

/** Installs what is missing where that is possible, and says what will be skipped where it is not. */
export function ensureEngines() {
  const wanted = [...(findFirefox() ? [] : ['firefox-esr']), ...(findWebKit() ? [] : ['webkit2gtk-driver', 'xvfb'])];
  if (wanted.length > 0 && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log(`Installing ${wanted.join(', ')} from Debian…`);
    const options = ['-y', '-qq', '-o', 'Acquire::http::Timeout=30', '-o', 'Acquire::Retries=1'];
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('apt-get', ['update', ...options], { stdio: 'ignore', env });
    for (const name of wanted) spawnSync('apt-get', ['install', ...options, name], { stdio: 'ignore', env });
  }
  const found = foundEngines();
  for (const [engine, what] of [
    ['firefox', 'Firefox (firefox-esr, or its path in FIREFOX_PATH)'],
    ['webkit', 'WebKit (webkit2gtk-driver and xvfb)'],
  ]) {
    if (!found.includes(engine)) console.warn(`Skipped: the tests in ${what}, which is not here.`);
  }
}
