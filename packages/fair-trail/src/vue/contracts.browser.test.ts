import { h } from 'vue';
import { describe } from 'vitest';
import { memoryHistory } from '../core/router/memory-history.ts';
import { barActionsContract } from '../testing/contracts/components/bar-actions.ts';
import { barNarrowContract } from '../testing/contracts/components/bar-narrow.ts';
import { barPanelsContract } from '../testing/contracts/components/bar-panels.ts';
import type { BarRequest, MountBar } from '../testing/contracts/components/bar.ts';
import {
  breadcrumbsContract,
  type BreadcrumbsRequest,
  type MountBreadcrumbs,
} from '../testing/contracts/components/breadcrumbs.ts';
import {
  footerContract,
  languagesContract,
  layoutContract,
  noticeContract,
  type MountPage,
  type PageRequest,
} from '../testing/contracts/components/page-parts.ts';
import { sidebarAnnexContract } from '../testing/contracts/components/sidebar-annex.ts';
import { sidebarGroupsContract } from '../testing/contracts/components/sidebar-groups.ts';
import { sidebarNarrowContract } from '../testing/contracts/components/sidebar-narrow.ts';
import { sidebarRailContract } from '../testing/contracts/components/sidebar-rail.ts';
import type { MountSidebar, SidebarRequest } from '../testing/contracts/components/sidebar.ts';
import {
  tabLinksContract,
  tabsContract,
  type MountTabLinks,
  type MountTabs,
  type TabsRequest,
} from '../testing/contracts/components/tabs.ts';
import { deep, desk } from '../testing/sites.ts';
import { Breadcrumbs } from './breadcrumbs.ts';
import { required } from './given.ts';
import { mount, pagesOf, siteFor } from './mount.samples.ts';
import { Navbar } from './navbar.ts';
import { FooterNav, LanguageLinks, Layout, Notice, SkipLink, TabLinks } from './page-parts.ts';
import type { PageProps } from './page.ts';
import { Sidebar } from './sidebar.ts';
import { Stage } from './stage.ts';
import { Tablist, Tabpanel, Tabs } from './tabs.ts';
import { Trail } from './trail.ts';

const mountBar: MountBar = (request) => {
  const app = ({ definition, url = '/', end, audience, onAction = () => undefined, ...bar }: BarRequest) => {
    const history = memoryHistory(url);
    return () => {
      const site = siteFor(definition);
      const button = () => [h('button', { type: 'button' }, 'Sign in')];
      return [
        h(Trail, { site, history, onAction, ...(audience && { audience }) }, () => [
          h(SkipLink),
          h(Navbar, bar, end === true ? { end: button } : {}),
          h(Stage, { pages: pagesOf(site) }),
        ]),
      ];
    };
  };
  const { render } = mount(app(request));
  return { update: (next) => render(app(next)) };
};

describe('bar', () => {
  barPanelsContract(mountBar);
  barActionsContract(mountBar);
  barNarrowContract(mountBar);
});

const breadcrumbsApp =
  ({ url, records, separator, ...breadcrumbs }: BreadcrumbsRequest) =>
  () => [
    h(Trail, { site: siteFor(deep), url, ...(records && { records }) }, () => [
      h(Breadcrumbs, breadcrumbs, separator === undefined ? {} : { separator: () => [separator] }),
      h('main', 'Content'),
    ]),
  ];

const mountBreadcrumbs: MountBreadcrumbs = (request) => {
  const { render } = mount(breadcrumbsApp(request));
  return { update: (next) => render(breadcrumbsApp(next)) };
};

describe('breadcrumbs', () => breadcrumbsContract(mountBreadcrumbs));

const mountPage: MountPage = (request) => {
  const history = memoryHistory(request.url);
  const Short = { render: () => h('h1', 'Today') };
  const app =
    ({ definition, notice, bar, sidebar, languages, footer, content, onWarning }: PageRequest) =>
    () => {
      const site = siteFor(definition);
      const { foot, ...footerOptions } = footer ?? {};
      const icon = () => [h('i', { 'aria-hidden': 'true' }, '*')];
      const slots = {
        ...(notice && { notice: () => [h(Notice, { name: notice.name }, () => [notice.text])] }),
        ...(bar && { bar: () => [h(Navbar, bar === 'sticky' ? { pinned: bar } : {})] }),
        ...(sidebar !== undefined && { sidebar: () => [h('p', sidebar)] }),
        ...(footer && {
          footer: () => [h(FooterNav, footerOptions, { icon, ...(foot !== undefined && { foot: () => [foot] }) })],
        }),
        default: () => [
          languages ? h(LanguageLinks, { names: languages }) : null,
          content === 'none' ? null : h(Stage, { pages: content === 'long' ? pagesOf(site) : pagesOf(site, Short) }),
        ],
      };
      return [h(Trail, { site, history, onWarning: ({ code }) => onWarning?.(code) }, () => [h(Layout, null, slots)])];
    };
  const { render, unmount } = mount(app(request));
  return { update: (next) => render(app(next)), unmount };
};

describe('parts of a page', () => {
  noticeContract(mountPage);
  footerContract(mountPage);
  languagesContract(mountPage);
  layoutContract(mountPage);
});

const ContentPage = {
  props: { position: required<PageProps['position']>() },
  render(this: PageProps) {
    return [
      h('h1', this.position.entry?.id === 'rota' ? 'Rota' : 'Page'),
      h('p', 'Content'),
      h('a', { href: '/mast' }, 'Go to the mast'),
    ];
  },
};

const mountSidebar: MountSidebar = (request) => {
  if (request.url !== null) history.replaceState(null, '', request.url ?? '/');
  const app =
    ({ definition = desk, records, panel, url: _, ...sidebar }: SidebarRequest) =>
    () => {
      const site = siteFor(definition);
      const slots = {
        icon: () => [h('svg', { width: '20', height: '20', 'aria-hidden': 'true' })],
        ...(panel === true && { panel: ({ label }: { label: string }) => [h('p', `More about ${label}`)] }),
      };
      return [
        h(Trail, { site, ...(records && { records }), eagerness: null, viewTransitions: false }, () => [
          h(Layout, null, {
            sidebar: () => [h(Sidebar, { menu: 'desk', ...sidebar }, slots)],
            default: () => [h(Stage, { pages: pagesOf(site, ContentPage) })],
          }),
        ]),
      ];
    };
  const { render, unmount } = mount(app(request));
  return { update: (next) => render(app(next)), unmount };
};

describe('sidebar', () => {
  sidebarGroupsContract(mountSidebar);
  sidebarRailContract(mountSidebar);
  sidebarAnnexContract(mountSidebar);
  sidebarNarrowContract(mountSidebar);
});

const mountTabs: MountTabs = (request) => {
  if (request.url !== null) history.replaceState(null, '', request.url ?? '/');
  const app =
    ({ url: _, ...asked }: TabsRequest) =>
    () => [
      h(Trail, { site: siteFor(desk), eagerness: null, viewTransitions: false }, () => [
        h('main', [
          h('a', { href: '/rota' }, 'Before'),
          h(Tabs, { label: 'Curlew', ...asked }, () => [
            h(Tablist),
            ...asked.tabs.map(({ id, label }) =>
              h(Tabpanel, { key: id, id }, () => [h('p', `About ${label}`), h('input', { 'aria-label': 'Notes' })]),
            ),
          ]),
          h('p', { style: { blockSize: '150vh' } }, 'Long'),
        ]),
      ]),
    ];
  const { render, unmount } = mount(app(request));
  return { update: (next) => render(app(next)), unmount };
};

const mountTabLinks: MountTabLinks = ({ definition, url, ...strip }) => {
  const site = siteFor(definition);
  mount(() => [
    h(Trail, { site, history: memoryHistory(url) }, () => [
      h(TabLinks, { menu: 'strip', label: 'Beside each other', ...strip }),
      h(Stage, { pages: pagesOf(site) }),
    ]),
  ]);
};

describe('tabs', () => {
  tabsContract(mountTabs);
  tabLinksContract(mountTabLinks);
});
