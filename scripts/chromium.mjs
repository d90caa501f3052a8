import { spawnSync } from 'node:child_process';
import { accessSync, constants, readFileSync } from 'node:fs';

/**
 * Where systems keep one, and how it is started, as the command knows it too.
 *
 * @type {{ places: string[], arguments: string[] }}
 */
const chromium = JSON.parse(readFileSync(new URL('../packages/cli/chromium.json', import.meta.url), 'utf8'));

/** A browser under test has no business with the network beyond the page it is given. */
export const chromiumArguments = [
  ...chromium.arguments,
  // Chromium refuses to run as root within its sandbox.
  ...(process.getuid?.() === 0 ? ['--no-sandbox'] : []),
];

/** The path of a Chromium: the one that CHROMIUM_PATH names, else one where systems keep it; null if there is none. */
export function findChromium() {
  const named = process.env.CHROMIUM_PATH;
  return (named ? [named] : chromium.places).find(isExecutable) ?? null;
}

function isExecutable(file) {
  try {
    accessSync(file, constants.X_OK);
    return true;
  } catch {
    return false;
  }
}

/** Chromium without windows, which takes less than half the time to show a page, and Chromium itself. */
const debianPackages = ['chromium-headless-shell', 'chromium'];

/** Makes sure that there is a Chromium: installs Debian's where that is possible, and otherwise says what to do. */
export function ensureChromium() {
  if (process.env.CHROMIUM_PATH) {
    if (findChromium()) return;
    console.error(`CHROMIUM_PATH is "${process.env.CHROMIUM_PATH}", but no program that can be run is there.`);
    process.exit(3);
  }
  if (isExecutable(`/usr/bin/${debianPackages[0]}`)) return;
  // One that is there already will do where the faster one is not available.
  if (installsFromDebian() || findChromium()) return;
  console.error(
    'The tests need a Chromium, and none was found. Install one, or set CHROMIUM_PATH to the program, such as\n' +
      '  CHROMIUM_PATH=/opt/chromium/chrome npm test',
  );
  process.exit(3);
}

/** Whether one of Debian's packages could be installed. */
function installsFromDebian() {
  if (process.getuid?.() !== 0 || !succeeds('apt-get', ['--version'])) return false;
  console.log('Installing Chromium from Debian…');
  // Where Debian cannot be reached, that is to be known soon.
  const options = ['-y', '-qq', '-o', 'Acquire::http::Timeout=30', '-o', 'Acquire::Retries=1'];
  succeeds('apt-get', ['update', ...options]);
  return debianPackages.some(
    (name) => isExecutable(`/usr/bin/${name}`) || succeeds('apt-get', ['install', ...options, name]),
  );
}

function succeeds(command, words) {
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  return spawnSync(command, words, { stdio: 'ignore', env }).status === 0;
}
