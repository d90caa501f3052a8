import { renderToString } from 'react-dom/server';
import { expect, test, vi } from 'vitest';
import { page } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import { everyEntry } from '../core/site/site.ts';
import { scriptedAttribute } from '../dom/scripted.ts';
import { Stage } from './stage.tsx';
import { TabLinks } from './tab-links.tsx';
import { Tab, Tablist, Tabpanel, Tabs } from './tabs.tsx';
import { Trail } from './trail.tsx';
import {
  tabLinksContract,
  tabsContract,
  type MountTabLinks,
  type MountTabs,
  type TabsRequest,
} from '../testing/contracts/components/tabs.ts';
import { desk } from '../testing/sites.ts';
import { EchoPage, mount } from './mount.samples.tsx';

const site = defineSite(desk);

const tabs = ({ url: _, ...request }: TabsRequest) => (
  <main>
    <a href="/rota">Before</a>
    <Tabs label="Curlew" {...request}>
      <Tablist />
      {request.tabs.map(({ id, label }) => (
        <Tabpanel key={id} id={id}>
          <p>About {label}</p>
          <input aria-label="Notes" />
        </Tabpanel>
      ))}
    </Tabs>
    <p style={{ blockSize: '150vh' }}>Long</p>
  </main>
);

const mountTabs: MountTabs = (request) => {
  if (request.url !== null) history.replaceState(null, '', request.url ?? '/');
  const app = (asked: TabsRequest) => (
    <Trail site={site} eagerness={null} viewTransitions={false}>
      {tabs(asked)}
    </Trail>
  );
  const { render, unmount } = mount(app(request));
  return { update: (next) => render(app(next)), unmount };
};

const mountTabLinks: MountTabLinks = ({ definition, url, ...strip }) => {
  const shown = defineSite(definition);
  const pages = Object.fromEntries([...everyEntry(shown.entries)].map(({ id }) => [id, EchoPage]));
  mount(
    <Trail site={shown} history={memoryHistory(url)}>
      <TabLinks menu="strip" label="Beside each other" {...strip} />
      <Stage pages={pages} />
    </Trail>,
  );
};

tabsContract(mountTabs);
tabLinksContract(mountTabLinks);

const two = [
  { id: 'overview', label: 'Overview' },
  { id: 'sounds', label: 'Sounds' },
];

test('the app may select, and is asked', async () => {
  const asked = vi.fn();
  const controlled = (selected: string) => (
    <Trail site={site} url="/">
      <Tabs label="Curlew" tabs={two} selected={selected} onSelect={asked}>
        <Tablist>
          <Tab id="overview" />
          <Tab id="sounds">
            <b>What it sounds like</b>
          </Tab>
        </Tablist>
        <Tabpanel id="overview">One</Tabpanel>
        <Tabpanel id="sounds">Two</Tabpanel>
      </Tabs>
    </Trail>
  );
  const { render } = mount(controlled('overview'));
  await page.getByRole('tab', { name: 'What it sounds like' }).click();
  expect(asked.mock.calls).toEqual([['sounds']]);
  await expect.element(page.getByText('One')).toBeVisible();
  render(controlled('sounds'));
  await expect.element(page.getByText('Two')).toBeVisible();
});

test('without scripts every panel is there, below its name, and no dead tab', () => {
  const printed = document.createElement('div');
  printed.innerHTML = renderToString(
    <Trail site={site} url="/?tab=sounds">
      {tabs({ tabs: two, linkedTo: { query: 'tab' } })}
    </Trail>,
  );
  document.documentElement.removeAttribute(scriptedAttribute);
  document.body.prepend(printed);
  const panels = [...printed.querySelectorAll<HTMLElement>('[role=tabpanel]')];
  expect(panels.map((panel) => panel.checkVisibility())).toEqual([true, true]);
  // Firefox answers with what was written, and not with what that gives.
  expect(['"Overview"', 'attr(data-ft-label)']).toContain(getComputedStyle(panels[0] ?? printed, '::before').content);
  expect(panels[0]?.getAttribute('data-ft-label')).toBe('Overview');
  expect([...printed.querySelectorAll('[role=tab]')].some((tab) => tab.checkVisibility())).toBe(false);
  document.documentElement.setAttribute(scriptedAttribute, '');
  expect(panels.map((panel) => panel.checkVisibility())).toEqual([false, true]);
  document.documentElement.removeAttribute(scriptedAttribute);
  printed.remove();
});
