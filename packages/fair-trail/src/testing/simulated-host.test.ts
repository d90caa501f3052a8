import { JSDOM } from 'jsdom';
import { afterEach, describe, expect, test } from 'vitest';
import { tabsByHand } from './contracts/tabs-by-hand.samples.ts';
import { simulatedHost } from './hosts/simulated-host.ts';
import { navigation } from './navigation.ts';
import { promisesOf } from './promises.samples.ts';
import { subjectDocument } from './subject.samples.ts';
import { tenTests } from './ten-tests.samples.ts';
import { breadcrumbTrailParts } from './contracts/any-page/breadcrumb-trail-contract.ts';
import { tablistParts } from './contracts/any-page/tablist-contract.ts';
import './vitest.ts';

let dom: JSDOM | null = null;
afterEach(() => dom?.window.close());

export function simulate(address: string, html = subjectDocument()): JSDOM {
  dom = new JSDOM(html, {
    url: `https://marram.example${address}`,
    runScripts: 'dangerously',
    pretendToBeVisual: true,
  });
  return dom;
}

tenTests((address) => Promise.resolve(navigation(simulatedHost(simulate(address).window as unknown as Window))));

describe('tabs and breadcrumbs in a simulated document', () => {
  const showing = (address: string, html: string) =>
    Promise.resolve(navigation(simulatedHost(simulate(address, html).window as unknown as Window), { patience: 300 }));
  const tabs = { open: () => showing('/curlew', subjectDocument(tabsByHand)) };
  const ways = {
    open: (address: string) => showing(address, subjectDocument()),
    pages: [{ address: '/hides/reedbed', breadcrumbs: ['Today', 'Hides', 'Reedbed Hide'] }],
  };

  test('are judged, and where Tab goes and what fits is not', async () => {
    expect(await promisesOf(tablistParts, tabs)).toEqual({
      kept: [
        'each tab has a name of its own',
        'one tab says that it is selected',
        'the panel of the selected tab has its name',
        'a press selects a tab, and its panel is the one that is shown',
        'focus stays on the tab that was pressed',
      ],
      broken: [],
    });
    expect((await promisesOf(breadcrumbTrailParts, ways)).broken).toEqual([]);
  });

  test('a step keeps the signs of its own name, and loses those that stand between steps', async () => {
    const html = `<nav aria-label="Breadcrumb"><ol>
      <li><a href="/">Home</a> /</li><li>› <a href="/at">@marram/log</a> »</li><li>→ …and (more)</li></ol></nav><main></main>`;
    const visitor = await showing('/at/more', html);
    expect(await visitor.breadcrumbs()).toEqual(['Home', '@marram/log', '…and (more)']);
  });
});
