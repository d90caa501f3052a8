import { createRoot, type Root } from 'react-dom/client';
import { navigation, simulatedHost } from 'fair-trail/testing';
import {
  breadcrumbPages,
  breadcrumbTrailContract,
  menuContract,
  menuPages,
  navigationMatchers,
} from 'fair-trail/testing/vitest';
import { afterEach, expect, test } from 'vitest';
import { App } from './app.tsx';
import site from './marram-point.site.json';

expect.extend(navigationMatchers);

let root: Root | null = null;

/** A visitor who has just come to an address of the app. */
async function open(address: string) {
  root?.unmount();
  history.replaceState(null, '', address);
  document.body.innerHTML = '<div id="app"></div>';
  root = createRoot(document.body.children[0]!);
  root.render(<App />);
  await expect.poll(() => document.querySelector('h1')).not.toBeNull();
  return navigation(simulatedHost(window));
}

afterEach(() => {
  root?.unmount();
  root = null;
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
