import { describe, expect, test } from 'vitest';
import type { Navigation } from './navigation.ts';
import { judged, navigationMatchers } from './vitest.ts';

expect.extend(navigationMatchers);

/**
 * Ten tests of the navigation of one page, the same for every host.
 *
 * @param open shows the page at an address
 */
export function tenTests(open: (address: string) => Promise<Navigation>): void {
  describe('navigation', () => {
    test('offers its pages in order', async () => {
      const main = (await open('/')).menu('Main');
      await expect(main).toOffer(['Today', 'Hides', 'Tides', 'Visit']);
    });

    test('marks the page, and the section that a page is in', async () => {
      const main = (await open('/tides')).menu('Main');
      await expect(main).toMark('Tides');
      const below = (await open('/hides/lantern')).menu('Main');
      await expect(below).toMark('Hides', 'section');
      await expect(below).toMark(['Hides', 'Lantern Room']);
    });

    test('marks nothing where the page is unknown', async () => {
      await expect((await open('/nowhere')).menu('Main')).toMarkNothing();
    });

    test('leads where it says', async () => {
      const page = await open('/');
      await page.menu('Main').choose('Tides');
      await expect(page).toStandAt({ address: '/tides', title: 'Tides · Marram', heading: 'Tides' });
      await expect(page.menu('Main')).toMark('Tides');
      await expect(page).toHaveFocusOn('Tides');
    });

    test('is right again after Back and Forward', async () => {
      const page = await open('/visit');
      await page.menu('Main').choose('Today');
      await page.back();
      await expect(page).toStandAt('/visit');
      await expect(page.menu('Main')).toMark('Visit');
      await page.forward();
      await expect(page.menu('Main')).toMark('Today');
    });

    test('opens what is below an item, and closes it', async () => {
      const main = (await open('/')).menu('Main');
      await main.open('Hides');
      await expect(main).toOffer(['Today', 'Hides', 'Reedbed Hide', 'Lantern Room', 'Tides', 'Visit']);
      await main.close('Hides');
      await expect(main).not.toBeOpen('Hides');
    });

    test('closes at Escape, and gives focus back', async () => {
      const page = await open('/');
      await page.menu('Main').open('Hides');
      await page.key('Escape');
      await expect(page.menu('Main')).not.toBeOpen('Hides');
      await expect(page).toHaveFocusOn('More in Hides');
    });

    test('shows the way to a page', async () => {
      const page = await open('/hides/reedbed');
      await expect(page).toHaveBreadcrumbs(['Today', 'Hides', 'Reedbed Hide']);
    });

    test(
      'can be used by keyboard alone',
      judged(async () => {
        const page = (await open('/')).by('keyboard');
        await page.menu('Main').choose('Hides', 'Lantern Room');
        await expect(page).toStandAt('/hides/lantern');
      }),
    );

    test(
      'is behind a button where there is little room, and can be used by touch',
      judged(async () => {
        const page = (await open('/')).by('touch');
        await page.at({ width: 320 });
        await expect(page.menu('Main')).toOffer([]);
        await page.menu('Main').open();
        await expect(page.menu('Main')).toOffer(['Today', 'Hides', 'Tides', 'Visit']);
        await page.menu('Main').choose('Visit');
        await expect(page).toStandAt('/visit');
        await expect(page.menu('Main')).not.toBeOpen();
      }),
    );
  });
}
