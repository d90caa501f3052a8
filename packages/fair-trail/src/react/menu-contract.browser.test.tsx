import { afterEach } from 'vitest';
import { commands, page, userEvent } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import { browserHost } from '../testing/hosts/browser-host.ts';
import { navigation } from '../testing/navigation.ts';
import { Navbar } from './navbar.tsx';
import { Stage } from './stage.tsx';
import { Trail } from './trail.tsx';
import { nested } from '../testing/sites.ts';
import { menuContract, menuPages } from '../testing/vitest.ts';
import { mount, pagesOf } from './mount.samples.tsx';
import type {} from '../testing/tap.ts';

const site = defineSite({ ...nested, home: 'today' });
const before = location.href;
let unmount: () => void = () => undefined;
afterEach(() => history.replaceState(null, '', before));

// As the guide has it: the whole suite in one line, for a bar of our own.
menuContract({
  menu: 'Main',
  pages: menuPages(site, 'main'),
  open: async (address) => {
    // A test may open more than one page, one after another.
    unmount();
    history.replaceState(null, '', address);
    await page.viewport(1280, 800);
    ({ unmount } = mount(
      <Trail site={site} viewTransitions={false}>
        <Navbar />
        <Stage pages={pagesOf(site)} />
      </Trail>,
    ));
    return navigation(browserHost({ page, userEvent, tap: commands.tap }));
  },
});
