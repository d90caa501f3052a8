import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Driver } from '../../packages/fair-trail/src/testing/webdriver.ts';
import { startDisplay } from '../engines/display.ts';
import { openFirefox } from '../engines/firefox.ts';
import { freshFolder, start, type Running } from '../engines/processes.ts';

/** What is needed for a screen reader, and which of it is not here. */
export function missingForListening(): readonly string[] {
  const needed = {
    orca: '/usr/bin/orca',
    xdotool: '/usr/bin/xdotool',
    openbox: '/usr/bin/openbox',
    xvfb: '/usr/bin/Xvfb',
    'dbus-daemon': '/usr/bin/dbus-daemon',
  };
  return Object.entries(needed).flatMap(([name, file]) => (existsSync(file) ? [] : [name]));
}

/** A browser, a screen reader beside it, and what that says. */
export interface Listener {
  readonly driver: Driver;
  /** What is said until nothing more comes, after keys as the X Window System names them: `Tab`, `shift+Tab`, `Return`. */
  readonly hear: (...keys: readonly string[]) => Promise<readonly string[]>;
  /** What is said after something that is done. */
  readonly hearAfter: (act: () => Promise<unknown>) => Promise<readonly string[]>;
  readonly close: () => Promise<void>;
}

/** How long the first word may take, how long a pause ends what is said, and how long anything may, in milliseconds. */
const patience = 2500;
const silence = 900;
const longest = 20_000;

export async function openListener(): Promise<Listener> {
  const { folder, remove } = freshFolder('fair-trail-listen');
  for (const name of ['run', 'config', 'data', 'cache']) mkdirSync(path.join(folder, name), { mode: 0o700 });
  mkdirSync(path.join(folder, 'config/speech-dispatcher'));
  // What is said is read as text: nothing is to be made of it that waits for a loudspeaker.
  writeFileSync(
    path.join(folder, 'config/speech-dispatcher/speechd.conf'),
    'AddModule "dummy" "sd_dummy" ""\nDefaultModule dummy\nAudioOutputMethod "none"\n',
  );
  const display = await startDisplay();
  const running: Running[] = [];
  const env: Record<string, string> = {
    DISPLAY: display.name,
    HOME: folder,
    XDG_RUNTIME_DIR: path.join(folder, 'run'),
    XDG_CONFIG_HOME: path.join(folder, 'config'),
    XDG_DATA_HOME: path.join(folder, 'data'),
    XDG_CACHE_HOME: path.join(folder, 'cache'),
    GNOME_ACCESSIBILITY: '1',
    MOZ_ENABLE_WAYLAND: '0',
    LANG: 'C.UTF-8',
  };
  const run = (command: string, words: readonly string[]) => {
    const program = start(command, words, env);
    running.push(program);
    return program;
  };
  const bus = run('dbus-daemon', ['--session', '--nofork', '--print-address']);
  const [address = ''] = await bus.said(/unix:\S+/u);
  env['DBUS_SESSION_BUS_ADDRESS'] = address;
  run('openbox', []);
  const gsettings = ['set', 'org.gnome.desktop.interface', 'toolkit-accessibility', 'true'];
  spawnSync('gsettings', gsettings, { env: { ...process.env, ...env } });
  const notes = path.join(folder, 'spoken');
  run('orca', ['--replace', `--debug-file=${notes}`]);
  let heard = 0;
  const spoken = () => {
    if (!existsSync(notes)) return [];
    // The last line may be half written.
    const lines = readFileSync(notes, 'utf8').split('\n').slice(0, -1);
    return lines.flatMap((line) => {
      const found = / - SPEECH OUTPUT: '(.*)'\{/u.exec(line) ?? / - SPEECH OUTPUT: "(.*)"\{/u.exec(line);
      return found?.[1] === undefined || found[1].trim() === '' ? [] : [found[1].trim()];
    });
  };
  const untilSilent = async () => {
    const end = performance.now() + longest;
    let count = heard;
    let last = performance.now();
    while (performance.now() < end) {
      await new Promise((resolve) => setTimeout(resolve, 100));
      const now = spoken().length;
      if (now !== count) last = performance.now();
      count = now;
      if (performance.now() - last > (count === heard ? patience : silence)) break;
    }
    const all = spoken();
    const said = all.slice(heard);
    heard = all.length;
    return said;
  };
  while (!spoken().some((one) => one.startsWith('Screen reader on'))) {
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const preferences = { 'accessibility.force_disabled': -1, 'browser.tabs.warnOnClose': false };
  const driver = await openFirefox(preferences, ['--kiosk'], env);
  const press = async (key: string) => {
    spawnSync('xdotool', ['key', '--clearmodifiers', key], { env: { ...process.env, ...env } });
    await new Promise((resolve) => setTimeout(resolve, 150));
  };
  const hearAfter = async (act: () => Promise<unknown>) => {
    await act();
    await new Promise((resolve) => setTimeout(resolve, 700));
    // The reader writes its notes in blocks: keys that do nothing fill the last one.
    for (let key = 0; key < 6; key += 1) await press('Control_L');
    return untilSilent();
  };
  return {
    driver,
    hearAfter,
    hear: (...keys) =>
      hearAfter(async () => {
        for (const key of keys) await press(key);
      }),
    close: async () => {
      await driver.close();
      for (const program of running.toReversed()) await program.end();
      await display.end();
      remove();
    },
  };
}
