import type { ReactNode } from 'react';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { page } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import { Navbar, type NavbarProps } from './navbar.tsx';
import { Stage } from './stage.tsx';
import { Trail } from './trail.tsx';
import { nested } from '../testing/sites.ts';
import { mount, pagesOf } from './mount.samples.tsx';

/** A page that was left by a link which is hidden by now: Back puts focus on what shows that link. */

const site = defineSite(nested);
const button = (name: string) => page.getByRole('button', { name });
const link = (name: string) => page.getByRole('link', { name, exact: true });
const heading = (name: string) => page.getByRole('heading', { name });

function App({ bar, children }: { readonly bar?: NavbarProps; readonly children?: ReactNode }): ReactNode {
  return (
    <Trail site={site}>
      <Navbar {...bar} />
      {children}
      <Stage pages={pagesOf(site)} />
    </Trail>
  );
}

beforeEach(() => window.history.pushState(null, '', '/'));
afterEach(() => window.history.replaceState(null, '', '/'));

async function chooseAndComeBack(name: string, headingThere: string): Promise<void> {
  await link(name).click();
  await expect.element(heading(headingThere)).toHaveFocus();
  window.history.back();
  await expect.element(heading('Today')).toBeInTheDocument();
}

test('a link in a panel: on the trigger of the panel', async () => {
  mount(<App />);
  await button('Practical').click();
  await chooseAndComeBack('Visit', 'Visit');
  await expect.element(button('Practical')).toHaveFocus();
  await expect.element(button('Practical')).toHaveAttribute('aria-expanded', 'false');
});

test('a link in a panel of an item that is a page too: on the trigger beside that', async () => {
  mount(<App />);
  await button('Pages in Hides').click();
  await chooseAndComeBack('Lantern Room', 'Lantern Room');
  await expect.element(button('Pages in Hides')).toHaveFocus();
});

test('a link in the menu of a narrow bar: on its toggle', async () => {
  await page.viewport(320, 800);
  mount(<App />);
  await button('Menu').click();
  await chooseAndComeBack('About', 'About');
  await expect.element(button('Menu')).toHaveFocus();
});

test('a link in a panel within the menu of a narrow bar: on the toggle of the menu', async () => {
  await page.viewport(320, 800);
  mount(<App />);
  await button('Menu').click();
  await button('Practical').click();
  await chooseAndComeBack('Visit', 'Visit');
  await expect.element(button('Menu')).toHaveFocus();
});

test('a link in a hand-written list that opens by hover: on the link of the item around it', async () => {
  mount(
    <App>
      <ul>
        <li className="own-item">
          <a href="/hides">All hides</a>
          <ul style={{ display: 'none' }}>
            <li>
              <a href="/hides/reedbed">Into the reeds</a>
            </li>
          </ul>
        </li>
      </ul>
    </App>,
  );
  await expect.element(link('All hides')).toBeVisible();
  const list = document.querySelector<HTMLElement>('.own-item > ul');
  if (list) list.style.display = 'block';
  await link('Into the reeds').click();
  await expect.element(heading('Reedbed Hide')).toHaveFocus();
  if (list) list.style.display = 'none';
  window.history.back();
  await expect.element(link('All hides')).toHaveFocus();
});

test('a link that nothing shows any more: on the heading', async () => {
  mount(
    <App>
      <div className="own-box">
        <a href="/about">Small print</a>
      </div>
    </App>,
  );
  await link('Small print').click();
  await expect.element(heading('About')).toHaveFocus();
  document.querySelector<HTMLElement>('.own-box')?.setAttribute('hidden', '');
  window.history.back();
  await expect.element(heading('Today')).toHaveFocus();
  expect(document.activeElement?.localName).toBe('h1');
});
