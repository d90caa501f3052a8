import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { foundEngines } from '../../../../scripts/engines.mjs';
import { openFirefox } from '../../../../tests/engines/firefox.ts';
import { openWebKit } from '../../../../tests/engines/webkit.ts';
import { navigation, type Navigation } from './navigation.ts';
import { subjectDocument } from './subject.samples.ts';
import { tenTests } from './ten-tests.samples.ts';
import { driverHost, openWebDriver, type Driver } from './webdriver.ts';

let server: Server;
const addressOf = (path: string) => `http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`;

beforeAll(async () => {
  server = createServer((_, response) => {
    response.writeHead(200, { 'Content-Type': 'text/html' }).end(subjectDocument());
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterAll(() => {
  server.close();
});

const opened = { firefox: () => openFirefox(), webkit: () => openWebKit() };

describe.each(foundEngines())('%s', (engine) => {
  let driver: Driver;
  beforeAll(async () => {
    driver = await opened[engine]();
  });
  afterAll(() => driver.close());

  async function open(path: string): Promise<Navigation> {
    await driver.resize({ width: 1280, height: 800 });
    const visitor = navigation(driverHost(driver, { hasTouch: engine === 'firefox' }), { patience: 5000 });
    await visitor.visit(addressOf(path));
    await driver.focus();
    return visitor;
  }

  tenTests(open);

  test('answers with data, waits for promises, and says what a script failed with', async () => {
    await open('/');
    const value = '({ list: [1, "two", null, undefined, { three: true }], not: NaN === NaN })';
    expect(await driver.evaluate(value)).toEqual({ list: [1, 'two', null, null, { three: true }], not: false });
    expect(await driver.evaluate('new Promise((end) => setTimeout(() => end("late"), 50))')).toBe('late');
    await expect(driver.evaluate('nowhere.at.all')).rejects.toThrow('nowhere');
    expect(await driver.find('document.querySelector(".nothing")')).toBe(null);
  });

  test('what lies over a link is named, where that is to be pressed', async () => {
    const visitor = await open('/');
    await driver.evaluate(`void document.body.insertAdjacentHTML('beforeend',
      '<div class="veil" style="position: fixed; inset: 0; z-index: 9"></div>')`);
    await expect(visitor.menu('Main').choose('Tides')).rejects.toThrow('veil');
  });

  test('a reload and a path are followed', async () => {
    const visitor = await open('/tides');
    await visitor.reload();
    await visitor.visit('/visit');
    expect((await visitor.place()).heading).toBe('Visit');
  });
});

test('where no server answers, that is said', async () => {
  await expect(openWebDriver({ server: 'http://127.0.0.1:1' })).rejects.toThrow('No WebDriver server answers');
});
