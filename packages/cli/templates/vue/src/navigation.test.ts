import { createApp, type App as VueApp } from 'vue';
import { navigation, simulatedHost } from 'fair-trail/testing';
import {
  breadcrumbPages,
  breadcrumbTrailContract,
  menuContract,
  menuPages,
  navigationMatchers,
} from 'fair-trail/testing/vitest';
import { afterEach, expect, test } from 'vitest';
import App from './app.vue';
import site from './marram-point.site.json';

expect.extend(navigationMatchers);

let app: VueApp | null = null;

/** A visitor who has just come to an address of the app. */
async function open(address: string) {
  app?.unmount();
  history.replaceState(null, '', address);
  document.body.innerHTML = '<div id="app"></div>';
  app = createApp(App);
  app.mount('#app');
  await expect.poll(() => document.querySelector('h1')).not.toBeNull();
  return navigation(simulatedHost(window));
}

afterEach(() => {
  app?.unmount();
  app = null;
});

// Names, marks, keys and history, of every page in the menu.
menuContract({ open, menu: 'Main', pages: menuPages(site, 'main') }, { panels: 'the bar has plain links alone' });
breadcrumbTrailContract({ open, pages: breadcrumbPages(site, ['/about']) });

test('the bar leads to the page about us', async () => {
  const visitor = await open('/');
  await visitor.menu('Main').choose('About');
  await expect(visitor).toStandAt({ address: '/about', heading: 'About' });
  await expect(visitor.menu('Main')).toMark('About', 'page');
});
