import { mkdirSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import path from 'node:path';
import { openWebDriver, type Driver } from '../../packages/fair-trail/src/testing/webdriver.ts';
import { findWebKit } from '../../scripts/engines.mjs';
import { startDisplay } from './display.ts';
import { freshFolder, start } from './processes.ts';

/** A window of WebKit, driven over WebDriver. */
export async function openWebKit(env: NodeJS.ProcessEnv = {}): Promise<Driver> {
  const { driver: program, browser } = findWebKit() ?? { driver: '', browser: '' };
  const { folder, remove } = freshFolder('fair-trail-webkit');
  // The browser's own bar keeps its window wider than a phone is, unless what it consists of is small.
  mkdirSync(path.join(folder, 'gtk-3.0'));
  writeFileSync(
    path.join(folder, 'gtk-3.0/gtk.css'),
    'button, entry, image { min-width: 0; min-height: 0; padding: 0; margin: 0; font-size: 1px }',
  );
  const display = env['DISPLAY'] === undefined ? await startDisplay() : null;
  const port = await freePort();
  const server = start(program, [`--port=${port}`], {
    DISPLAY: display?.name,
    GDK_BACKEND: 'x11',
    XDG_CONFIG_HOME: folder,
    XDG_DATA_HOME: folder,
    XDG_CACHE_HOME: folder,
    ...env,
  });
  const address = `http://127.0.0.1:${port}`;
  await answers(`${address}/status`);
  const driver = await openWebDriver({
    server: address,
    capabilities: { 'webkitgtk:browserOptions': { binary: browser, args: ['--automation'] } },
  });
  return {
    ...driver,
    close: async () => {
      await driver.close().catch(() => undefined);
      await server.end();
      await display?.end();
      remove();
    },
  };
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });
}

async function answers(address: string): Promise<void> {
  for (;;) {
    try {
      await fetch(address);
      return;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  }
}
