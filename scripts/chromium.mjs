import { spawnSync } from 'node:child_process';
import { accessSync, constants, readFileSync } from 'node:fs';
import { run } from './run.mjs';

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

/** The path of a Chromium: the one that CHROMIUM_PATH names, else one where systems keep it; null where there is none. */
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

/** Makes sure that there is a Chromium: installs Debian's where that is possible, and otherwise says what to do. */
export function ensureChromium() {
  if (findChromium()) return;
  if (process.env.CHROMIUM_PATH) {
    console.error(`CHROMIUM_PATH is "${process.env.CHROMIUM_PATH}", but no program that can be run is there.`);
    process.exit(3);
  }
  const hasApt = spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0;
  if (hasApt && process.getuid?.() === 0) {
    console.log('Installing Chromium from Debian…');
    run('apt-get', ['update', '-qq']);
    run('apt-get', ['install', '-y', '-qq', 'chromium'], {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    if (findChromium()) return;
  }
  console.error(
    'The tests need a Chromium, and none was found. Install one, or set CHROMIUM_PATH to the program, such as\n' +
      '  CHROMIUM_PATH=/opt/chromium/chrome npm test',
  );
  process.exit(3);
}
