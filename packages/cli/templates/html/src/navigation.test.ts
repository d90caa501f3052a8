import { readFileSync } from 'node:fs';
import { JSDOM } from 'jsdom';
import { navigation, simulatedHost } from 'fair-trail/testing';
import { menuPages, navigationMatchers } from 'fair-trail/testing/vitest';
import { expect, test } from 'vitest';
import { withNavigation } from './print-navigation.ts';
import site from './marram-point.site.json';

expect.extend(navigationMatchers);

/** A visitor who has just come to a page. */
function open(address: string) {
  const html = readFileSync(`.${address.replace(/\/?$/u, '/')}index.html`, 'utf8');
  const { window } = new JSDOM(withNavigation(html, address), {
    url: `http://localhost${address}`,
    pretendToBeVisual: true,
  });
  return navigation(simulatedHost(window as unknown as Window));
}

test.each(menuPages(site, 'main'))(
  '$address has its title, and is marked in the bar',
  async ({ address, way, title }) => {
    const visitor = open(address);
    await expect(visitor).toStandAt({ address, title });
    await expect(visitor.menu('Main')).toMark(way);
  },
);

test('the page about us is one step from home', async () => {
  const visitor = open('/about');
  await expect(visitor).toHaveBreadcrumbs(['Home', 'About']);
  expect(await visitor.menu('Main').offers()).toContain('Home');
});
