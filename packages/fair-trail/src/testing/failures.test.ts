import { JSDOM } from 'jsdom';
import { afterEach, describe, expect, test } from 'vitest';
import { handFaults } from './faults.samples.ts';
import { simulatedHost } from './hosts/simulated-host.ts';
import { navigation, type Navigation } from './navigation.ts';
import { subjectBody, subjectDocument, subjectScript } from './subject.samples.ts';
import { navigationMatchers } from './vitest.ts';

expect.extend(navigationMatchers);

let dom: JSDOM | null = null;
afterEach(() => dom?.window.close());

function show(html: string, address = '/'): Navigation {
  dom = new JSDOM(html, {
    url: `https://marram.example${address}`,
    runScripts: 'dangerously',
    pretendToBeVisual: true,
  });
  return navigation(simulatedHost(dom.window), { patience: 100 });
}

/** What a test that fails says; the text of it, as a stranger reads it. */
async function said(broken: Promise<unknown>): Promise<string> {
  try {
    await broken;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
  throw new Error('Nothing failed.');
}

const withFault = (name: string) => {
  const fault = handFaults.find((one) => one.name === name);
  if (!fault) throw new TypeError(`There is no fault "${name}".`);
  return subjectDocument(fault.broken);
};

describe('a failure reports what was expected and what was found', () => {
  test('of a page without any navigation', async () => {
    const page = show('<h1>Tides</h1><p>High water at noon.</p>');
    expect(await said(page.menu('Main').offers())).toBe(
      `The menu “Main” was looked for. [no-menu]
  found:  no navigation at https://marram.example/
  likely: the page had not been drawn yet, another page is shown, or the links stand in no <nav>.`,
    );
  });

  test('of a menu of another name', async () => {
    const message = await said(show(subjectDocument()).menu('Primary').offers());
    expect(message).toContain('found:  menus called “Main”, “Breadcrumbs”, “Footer”');
    expect(message).toContain('it has another name (aria-label, aria-labelledby), or stands in no <nav>.');
  });

  test('of two menus of one name', async () => {
    const page = show(subjectDocument({ body: subjectBody.replace('aria-label="Footer"', 'aria-label="Main"') }));
    expect(await said(page.menu('Main').offers())).toContain(
      `The menu “Main” was looked for. [several-menus]
  found:  2 of them: “Main”, “Main”
  likely: two menus have one name, which no one can tell apart by ear either; give each a name of its own (aria-label).`,
    );
  });

  test('of several menus where none was named', async () => {
    expect(await said(show(subjectDocument()).menu().offers())).toContain('say which one is meant by its name.');
  });

  test('of a menu that was described, and that there is not, although there is another', async () => {
    const page = show('<nav aria-label="Main"><a href="/a">Ant</a></nav>');
    const message = await said(page.menu(({ name }) => name === 'Account').offers());
    expect(message).toContain('The menu that was described was looked for. [no-menu]');
    expect(message).toContain('found:  menus called “Main”');
  });

  test('of an item that is called otherwise', async () => {
    const message = await said(show(subjectDocument()).menu('Main').choose('Tide'));
    expect(message).toContain('“Tide” was looked for in the menu “Main”. [no-item]');
    expect(message).toContain('found:  “Today”, “Hides”, “Tides”, “Visit”');
    expect(message).toContain('likely: “Tides” is what it is called.');
  });

  test('of two items of one name that lead to different places', async () => {
    const twice = subjectBody.replace('>Visit</a></li>', '>Tides</a></li>');
    expect(
      await said(
        show(subjectDocument({ body: twice }))
          .menu('Main')
          .choose('Tides'),
      ),
    ).toContain('[several-items]');
  });

  test('of a menu that never opens', async () => {
    expect(await said(show(withFault('a button does nothing')).menu('Main').open('Hides'))).toBe(
      `“More in Hides” was pressed, and nothing opened within 100 ms. [never-opened]
  found:  it says aria-expanded="false", and no more can be seen than before
  likely: nothing listens for the press, or what it opens stays hidden by a style.

navigation “Main”, closed by “Menu”
  * Today → /
    + Hides → /hides
      (Reedbed Hide) → /hides/reedbed
      (Lantern Room) → /hides/lantern
    Tides → /tides
    Visit → /visit`,
    );
  });

  test('of a button that leaves the page instead of opening anything', async () => {
    const leaves = `
      document.querySelector('[aria-controls="hides"]').addEventListener('click', (event) => {
        event.stopPropagation();
        history.pushState(null, '', '/away');
      });`;
    const page = show(subjectDocument({ script: leaves }));
    const message = await said(page.menu('Main').open('Hides'));
    expect(message).toContain('found:  the page was left for https://marram.example/away');
  });

  test('of an item that opens nothing', async () => {
    const message = await said(show(subjectDocument()).menu('Main').open('Tides'));
    expect(message).toContain('What opens “Tides” was looked for. [no-control]');
    expect(message).toContain('in this menu open something: “More in Hides”');
  });

  test('of a link that leads nowhere', async () => {
    const message = await said(show(withFault('a link does nothing')).menu('Main').choose('Visit'));
    expect(message).toContain(
      '“Visit” leads to /visit; it was followed, and no page came within 100 ms. [never-arrived]',
    );
    expect(message).toContain('found:  the address is still https://marram.example/');
  });

  test('of a link to another site, which is not followed', async () => {
    const outside = subjectBody.replace('href="/visit"', 'href="https://tides.example/marram"');
    expect(
      await said(
        show(subjectDocument({ body: outside }))
          .menu('Main')
          .choose('Visit'),
      ),
    ).toContain('found:  a link to another site: https://tides.example/marram');
  });

  test('of tabs that are none', async () => {
    const tabs = show(subjectDocument()).tabs('Curlew');
    expect(await said(tabs.select('Sounds'))).toContain('The tabs “Curlew” were looked for. [no-menu]');
  });

  test('of a page that was closed half way, at once', async () => {
    const page = show(subjectDocument());
    const menu = page.menu('Main');
    await menu.open('Hides');
    dom?.window.close();
    expect(await said(menu.choose('Hides', 'Reedbed Hide'))).toContain(
      `The page was to be looked at. [host-gone]
  found:  a simulated document has been closed`,
    );
  });
});

describe('a matcher says what was expected, what was found and why', () => {
  test('of a mark that stands still', async () => {
    const page = show(withFault('the mark stands on the first page for ever'), '/tides');
    expect(await said(expect(page.menu('Main')).toMark('Tides'))).toBe(
      `expected: “Tides” is marked as the page
found:    “Today” as the page
likely:   the mark stands still: it was written down once and does not follow the address.

navigation “Main”, closed by “Menu”
  * Today → /
    + Hides → /hides
      (Reedbed Hide) → /hides/reedbed
      (Lantern Room) → /hides/lantern
    Tides → /tides
    Visit → /visit`,
    );
  });

  test('of a mark on the page that the visitor is at, while the test expects another', async () => {
    const page = show(subjectDocument(), '/tides');
    expect(await said(expect(page.menu('Main')).toMark('Visit'))).toContain(
      'likely:   the page is at “/tides”, and the item leads to “/visit”: the page change has not taken place,',
    );
  });

  test('of an address, however it is written', async () => {
    const page = show(subjectDocument(), '/größe');
    await expect(page).toStandAt('/größe');
    await expect(page).toStandAt({ address: '/gr%C3%B6%C3%9Fe' });
    expect(await said(expect(page).toStandAt('/grösse'))).toContain('found:    {"address":"/gr%C3%B6%C3%9Fe"}');
  });

  test('of a mark that is only visual', async () => {
    const page = show(withFault('the mark is a class, and no aria-current'), '/tides');
    expect(await said(expect(page.menu('Main')).toMark('Tides'))).toContain(
      'likely:   aria-current is missing: a class alone is seen, and never heard.',
    );
  });

  test('of two marks', async () => {
    const page = show(withFault('the last mark is not taken away'));
    await page.menu('Main').choose('Tides');
    expect(await said(expect(page.menu('Main')).toMark('Tides'))).toContain(
      'likely:   two items are marked: one mark was set and the last one not taken away.',
    );
  });

  test('of a menu that offers something else', async () => {
    const menu = show(subjectDocument()).menu('Main');
    const wanted = ['Today', 'Hides', 'Reedbed Hide', 'Tides', 'Log'];
    expect(await said(expect(menu).toOffer(wanted))).toContain(
      'likely:   “Reedbed Hide” is in the menu and hidden. missing: “Log”. too much: “Visit”.',
    );
  });

  test('of a title that was forgotten', async () => {
    const page = show(withFault('the title stays the first one'));
    await page.menu('Main').choose('Tides');
    expect(await said(expect(page).toStandAt({ address: '/tides', title: 'Tides · Marram' }))).toBe(
      `expected: the visitor is at {"address":"/tides","title":"Tides · Marram"}
found:    {"address":"/tides","title":"Marram"}
likely:   the address has changed and the page has not: its title or heading is still the last one.`,
    );
  });

  test('of focus that was lost', async () => {
    const page = show(withFault('focus is lost at Escape'));
    await page.menu('Main').open('Hides');
    await page.key('Escape');
    expect(await said(expect(page).toHaveFocusOn('More in Hides'))).toContain(
      'likely:   what had focus was taken away or hidden, and focus was given to nothing else.',
    );
  });

  test('of what was not expected', async () => {
    const page = show(subjectDocument());
    expect(await said(expect(page.menu('Main')).not.toMark('Today'))).toContain(
      'not expected: “Today” is marked as the page',
    );
  });
});

describe('what a host cannot judge is neither passed nor failed', () => {
  test.each<[string, (page: Navigation) => Promise<unknown>]>([
    ['there is no layout', (page) => page.at({ width: 320 })],
    ['Tab goes nowhere', (page) => page.by('keyboard').menu('Main').choose('Tides')],
    ['Tab goes nowhere', (page) => page.key('Tab')],
    ['there is no pointer', (page) => page.menu('Main').hover('Hides')],
    ['there is no finger', (page) => page.by('touch').menu('Main').choose('Tides')],
    ['no other page is ever loaded', (page) => page.reload()],
  ])('%s', async (reason, act) => {
    const message = await said(act(show(subjectDocument())));
    expect(message).toContain('not judged: in a simulated document, ');
    expect(message).toContain(reason);
  });

  test('such as a link that a server would answer', async () => {
    const page = show(subjectDocument({ script: subjectScript.replace('event.preventDefault();', 'return;') }));
    expect(await said(page.menu('Main').choose('Tides'))).toBe(
      'not judged: in a simulated document, no other page is ever loaded, and this link leads to https://marram.example/tides',
    );
  });
});
