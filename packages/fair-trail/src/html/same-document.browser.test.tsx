import * as fc from 'fast-check';
import type { ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { expect, inject, test } from 'vitest';
import { createApp, createSSRApp, h } from 'vue';
import { renderToString as renderVue } from 'vue/server-renderer';
import { defineSite } from '../core/site/define.ts';
import { anyAddress, anySite } from '../core/site/site.samples.ts';
import type { Site } from '../core/site/site.ts';
import type { BarOptions, BreadcrumbsOptions, SidebarOptions } from '../core/view/component-options.ts';
// What an option loads when it is used is there at once, as in the second of them.
import '../dom/fit-items.ts';
import '../elements/index.ts';
import { Breadcrumbs } from '../react/breadcrumbs.tsx';
import { FooterNav } from '../react/footer-nav.tsx';
import { Navbar } from '../react/navbar.tsx';
import { Notice } from '../react/notice.tsx';
import { Sidebar } from '../react/sidebar.tsx';
import { SkipLink } from '../react/skip-link.tsx';
import { TabLinks } from '../react/tab-links.tsx';
import { Tablist, Tabpanel, Tabs } from '../react/tabs.tsx';
import { TrailAt } from '../react/trail-at.tsx';
import '../styles/index.css';
import { Breadcrumbs as VueBreadcrumbs } from '../vue/breadcrumbs.ts';
import { Navbar as VueNavbar } from '../vue/navbar.ts';
import {
  FooterNav as VueFooterNav,
  Notice as VueNotice,
  SkipLink as VueSkipLink,
  TabLinks as VueTabLinks,
} from '../vue/page-parts.ts';
import { Sidebar as VueSidebar } from '../vue/sidebar.ts';
import { Tablist as VueTablist, Tabpanel as VueTabpanel, Tabs as VueTabs } from '../vue/tabs.ts';
import { TrailAt as VueTrailAt } from '../vue/trail-at.ts';
import { pageHtml } from './page-html.ts';

/** Whatever prints it, the document is the same: for any site, at any address, with any options, in any state. */

declare module 'vitest' {
  interface ProvidedContext {
    documents: number;
  }
}

interface Case {
  readonly site: Site;
  readonly url: string;
  readonly bar: BarOptions;
  readonly sidebar: SidebarOptions;
  readonly breadcrumbs: BreadcrumbsOptions;
  readonly filled: boolean;
}

const given = <Value,>(record: Readonly<Record<string, fc.Arbitrary<unknown>>>) =>
  fc.record(record, { requiredKeys: [] }) as unknown as fc.Arbitrary<Value>;

const isEachOnce = (names: readonly string[]) => new Set(names).size === names.length;

const anyCase: fc.Arbitrary<Case> = fc.record({
  // A menu that lists an entry twice has two items with one key, which React objects to.
  site: anySite
    .filter(({ menus }) => isEachOnce(JSON.stringify(menus).match(/"e\d+"/gu) ?? []))
    .map((definition) => defineSite({ ...definition, origin: 'https://marram.example' })),
  url: anyAddress,
  bar: given<BarOptions>({
    element: fc.constantFrom('header', 'div'),
    whenNarrow: fc.constantFrom('panel', 'screen', 'strip', 'more'),
    endPlace: fc.constantFrom('row', 'panel'),
    alwaysToggle: fc.boolean(),
    panels: fc.constantFrom('list', 'rich', 'columns'),
    backdrop: fc.constantFrom('panels', 'menu', 'both'),
    extent: fc.constantFrom('content', 'window'),
    justify: fc.constantFrom('start', 'stretch'),
  }),
  sidebar: given<SidebarOptions>({
    groups: fc.constantFrom('one', 'many'),
    search: fc.boolean(),
    rail: fc.boolean(),
    whenNarrow: fc.constantFrom('cover', 'above'),
    headingLevel: fc.constantFrom(2, 3, 4),
  }),
  breadcrumbs: given<BreadcrumbsOptions>({
    fold: fc.constantFrom('fit', 'always', 'never'),
    current: fc.constantFrom('text', 'link'),
    siblings: fc.boolean(),
  }),
  filled: fc.boolean(),
});

const tabs = [
  { id: 'map', label: 'Map', icon: 'map' },
  { id: 'log', label: 'Log', badge: '2' },
];

function InReact({ site, url, bar, sidebar, breadcrumbs, filled }: Case): ReactNode {
  const icon = (name: string) => <i aria-hidden="true">{name}</i>;
  const drawn = filled ? { icon } : {};
  const inBar = filled ? { brand: <b>Brand</b>, end: <button type="button">End</button> } : {};
  const inSidebar = filled ? { start: <p>Start</p>, foot: <p>Foot</p> } : {};
  return (
    <TrailAt site={site} url={url}>
      <SkipLink />
      <Notice name="tide">The causeway floods.</Notice>
      <Navbar {...bar} {...drawn} {...inBar} />
      <Breadcrumbs {...breadcrumbs} {...(filled && { separator: <i>to</i> })} />
      <Sidebar {...sidebar} {...drawn} {...inSidebar} name="react" />
      <TabLinks menu="main" label="Beside" {...drawn} />
      <Tabs tabs={tabs} label="Hide" {...drawn}>
        <Tablist />
        <Tabpanel id="map">
          <p>Map</p>
        </Tabpanel>
        <Tabpanel id="log">
          <p>Log</p>
        </Tabpanel>
      </Tabs>
      <FooterNav menu="main" {...drawn} {...(filled && { foot: <p>Foot</p> })} />
    </TrailAt>
  );
}

function inVue({ site, url, bar, sidebar, breadcrumbs, filled }: Case) {
  const icon = ({ name }: { readonly name: string }) => [h('i', { 'aria-hidden': 'true' }, name)];
  const drawn = filled ? { icon } : {};
  const inBar = filled ? { brand: () => [h('b', 'Brand')], end: () => [h('button', { type: 'button' }, 'End')] } : {};
  const inSidebar = filled ? { start: () => [h('p', 'Start')], foot: () => [h('p', 'Foot')] } : {};
  return {
    render: () =>
      h(VueTrailAt, { site, url }, () => [
        h(VueSkipLink),
        h(VueNotice, { name: 'tide' }, () => ['The causeway floods.']),
        h(VueNavbar, bar, { ...drawn, ...inBar }),
        h(VueBreadcrumbs, breadcrumbs, filled ? { separator: () => [h('i', 'to')] } : {}),
        h(VueSidebar, { ...sidebar, name: 'vue' }, { ...drawn, ...inSidebar }),
        h(VueTabLinks, { menu: 'main', label: 'Beside' }, drawn),
        h(
          VueTabs,
          { tabs, label: 'Hide' },
          {
            ...drawn,
            default: () => [
              h(VueTablist),
              h(VueTabpanel, { id: 'map' }, () => [h('p', 'Map')]),
              h(VueTabpanel, { id: 'log' }, () => [h('p', 'Log')]),
            ],
          },
        ),
        h(VueFooterNav, { menu: 'main' }, { ...drawn, ...(filled ? { foot: () => [h('p', 'Foot')] } : {}) }),
      ]),
  };
}

function inHtml({ site, url, bar, sidebar, breadcrumbs, filled }: Case): string {
  const page = pageHtml({ site, url });
  const drawn = filled ? { icon: (name: string) => `<i aria-hidden="true">${name}</i>` } : {};
  const inBar = filled ? { brand: '<b>Brand</b>', end: '<button type="button">End</button>' } : {};
  return [
    page.skipLink(),
    page.notice({ name: 'tide', content: 'The causeway floods.' }),
    page.bar({ ...bar, ...drawn, ...inBar }),
    page.breadcrumbs({ ...breadcrumbs, ...(filled && { separator: '<i>to</i>' }) }),
    page.sidebar({ ...sidebar, ...drawn, ...(filled && { start: '<p>Start</p>', foot: '<p>Foot</p>' }), name: 'html' }),
    page.tabLinks({ menu: 'main', label: 'Beside', ...drawn }),
    page.tabs({ tabs, label: 'Hide', ...drawn, contents: { map: '<p>Map</p>', log: '<p>Log</p>' } }),
    page.footer({ menu: 'main', ...drawn, ...(filled && { foot: '<p>Foot</p>' }) }),
  ].join('');
}

/** The elements and texts of a document, one a line. Ids are counted, since each framework makes its own. */
function treeOf(root: Element): string {
  const lines: string[] = [];
  const ids = new Map<string, string>();
  const known = (id: string) => {
    const name = ids.get(id) ?? `id ${ids.size}`;
    ids.set(id, name);
    return name;
  };
  // What makes a custom element inert, makes what it shows inert.
  const look = (node: Node, indent: string, isInert = false): void => {
    if (node.nodeType === 3 && node.textContent !== '') lines.push(`${indent}"${node.textContent ?? ''}"`);
    if (!(node instanceof Element)) return;
    const isOurs = node.localName.startsWith('trail-') || node.localName === 'template' || node === root;
    if (!isOurs) {
      const attributes = [...node.attributes].map(({ name, value }) => {
        if (/^(?:id|aria-controls|aria-labelledby|for)$/u.test(name) && value !== 'main')
          return `${name}=${known(value)}`;
        if (name === 'data-ft-sidebar') return name;
        return `${name}=${value}`;
      });
      if (isInert && !node.hasAttribute('inert')) attributes.push('inert=');
      lines.push(`${indent}${node.localName} ${attributes.sort().join(' ')}`);
    }
    for (const child of node.childNodes) {
      look(child, isOurs ? indent : `${indent}  `, isOurs && node.hasAttribute('inert'));
    }
  };
  look(root, '');
  return lines.join('\n');
}

const parse = (html: string) => {
  const root = document.createElement('template');
  root.innerHTML = html;
  const container = document.implementation.createHTMLDocument().createElement('div');
  container.append(root.content);
  return container;
};

test('a server prints the same with each of them', async () => {
  await fc.assert(
    fc.asyncProperty(anyCase, async (one) => {
      const html = treeOf(parse(inHtml(one)));
      expect(treeOf(parse(renderToString(<InReact {...one} />)))).toBe(html);
      expect(treeOf(parse(await renderVue(createSSRApp(inVue(one)))))).toBe(html);
    }),
    { numRuns: 60 },
  );
});

/** What is in the document once nothing of it moves any more. */
async function settledTree(container: HTMLElement): Promise<string> {
  let last = '';
  for (let same = 0; same < 4;) {
    for (const animation of document.getAnimations()) animation.finish();
    await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
    const now = treeOf(container);
    same = now === last ? same + 1 : 0;
    last = now;
  }
  return last;
}

/** Shows a case in a container; the answer takes it away again. */
const shows = {
  react: (container: HTMLElement, one: Case) => {
    const root = createRoot(container);
    root.render(<InReact {...one} />);
    return () => root.unmount();
  },
  vue: (container: HTMLElement, one: Case) => {
    const app = createApp(inVue(one));
    app.mount(container);
    return () => app.unmount();
  },
  elements: (container: HTMLElement, one: Case) => {
    const site = document.createElement('trail-site');
    Object.assign(site, { site: one.site, url: one.url });
    site.innerHTML = inHtml(one);
    container.append(site);
    return () => undefined;
  },
};

/** What is in the document at first and after each press on a button. */
async function statesOf(
  show: (typeof shows)[keyof typeof shows],
  one: Case,
  presses: readonly number[],
): Promise<readonly string[]> {
  localStorage.clear();
  const container = document.body.appendChild(document.createElement('div'));
  const unmount = show(container, one);
  const states: string[] = [];
  for (const press of [null, ...presses]) {
    const buttons = container.querySelectorAll<HTMLElement>('button:not([aria-label^="Dismiss"])');
    if (press !== null) buttons[press % buttons.length]?.click();
    states.push(await settledTree(container));
  }
  unmount();
  container.remove();
  localStorage.clear();
  return states;
}

test('a browser shows the same with each of them, and so it does after each press', async () => {
  await fc.assert(
    fc.asyncProperty(anyCase, fc.array(fc.nat(200), { maxLength: 4 }), async (one, presses) => {
      const react = await statesOf(shows.react, one, presses);
      expect(await statesOf(shows.vue, one, presses)).toEqual(react);
      expect(await statesOf(shows.elements, one, presses)).toEqual(react);
    }),
    { numRuns: inject('documents') },
  );
});
