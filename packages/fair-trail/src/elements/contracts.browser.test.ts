import { describe } from 'vitest';
import { defineSite } from '../core/site/define.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import type { Site } from '../core/site/site.ts';
import { followedLink } from '../dom/clicks.ts';
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
  noticeContract,
  type MountPage,
  type PageRequest,
} from '../testing/contracts/components/page-parts.ts';
import { sidebarAnnexContract } from '../testing/contracts/components/sidebar-annex.ts';
import { sidebarGroupsContract } from '../testing/contracts/components/sidebar-groups.ts';
import { sidebarNarrowContract } from '../testing/contracts/components/sidebar-narrow.ts';
import { sidebarRailContract } from '../testing/contracts/components/sidebar-rail.ts';
import type { MountSidebar, SidebarRequest } from '../testing/contracts/components/sidebar.ts';
import { tabsContract, type MountTabs, type TabsRequest } from '../testing/contracts/components/tabs.ts';
import { deep, desk } from '../testing/sites.ts';
import { make, set, show } from './mount.samples.ts';

const sites = new WeakMap<SiteDefinition, Site>();

function siteFor(definition: SiteDefinition): Site {
  const site = sites.get(definition) ?? defineSite(definition);
  sites.set(definition, site);
  return site;
}

/** The page of an app with a router of its own: what it shows is up to the test. */
function routed(site: HTMLElement, draw: () => void): void {
  const go = (url: string) => {
    set(site, { url });
    draw();
  };
  site.addEventListener('click', (event) => {
    const followed = followedLink(event);
    if (!followed) return;
    event.preventDefault();
    const { pathname, search, hash } = followed.url;
    go(pathname + search + hash);
  });
  site.addEventListener('trail-navigate', (event) => {
    event.preventDefault();
    go((event as CustomEvent<{ url: string }>).detail.url);
  });
}

const longPage = () => {
  const heading = make('h1', {}, 'Page');
  const long = make('p', {}, 'Long');
  long.style.blockSize = '300vh';
  const main = make('main', { id: 'main', tabIndex: -1 }, heading, long);
  const link = make('a', { href: '/hides' }, 'Hides below');
  main.append(link);
  return { main, heading };
};

const mountBar: MountBar = (request) => {
  const { main, heading } = longPage();
  const site = make('trail-site');
  const bar = make('trail-bar');
  const button = make('button', { type: 'button', slot: 'end' }, 'Sign in');
  let last: BarRequest | null = null;
  const apply = (given: BarRequest) => {
    const { definition, url = '/', end = false, audience, onAction: _, ...options } = given;
    for (const name of Object.keys(last ?? {})) if (!(name in given)) set(bar, { [name]: undefined });
    last = given;
    set(site, { site: siteFor(definition), url, audience });
    set(bar, options);
    if (end && !bar.contains(button)) bar.append(button);
    else if (!end) button.remove();
    draw();
  };
  const draw = () => {
    const { url } = site as HTMLElement & { url: string };
    heading.textContent =
      siteFor((last ?? request).definition).find(url.split(/[?#]/u)[0] ?? '')?.match?.entry.label ?? '';
  };
  site.addEventListener('trail-action', (event) => {
    last?.onAction?.((event as CustomEvent<{ action: string }>).detail.action);
  });
  apply(request);
  site.append(bar, main);
  routed(site, draw);
  show(site);
  return { update: apply };
};

describe('bar', () => {
  barPanelsContract(mountBar);
  barActionsContract(mountBar);
  barNarrowContract(mountBar);
});

const mountBreadcrumbs: MountBreadcrumbs = (request) => {
  const site = make('trail-site');
  const way = make('trail-breadcrumbs');
  const apply = ({ url, records, separator, ...options }: BreadcrumbsRequest) => {
    set(site, { site: siteFor(deep), url, records });
    for (const name of ['fold', 'keepFirst', 'keepLast', 'current', 'whenNarrow', 'siblings', 'structuredData']) {
      set(way, { [name]: (options as Record<string, unknown>)[name] });
    }
    if (separator === undefined) return;
    const template = document.createElement('template');
    template.slot = 'separator';
    template.innerHTML = separator;
    way.append(template);
  };
  apply(request);
  site.append(way, make('main', {}, 'Content'));
  show(site);
  return { update: apply };
};

describe('breadcrumbs', () => breadcrumbsContract(mountBreadcrumbs));

const template = (name: string, html: string) => {
  const made = document.createElement('template');
  made.slot = name;
  made.innerHTML = html;
  return made;
};

const mountPage: MountPage = (request) => {
  const site = make('trail-site');
  const heading = make('h1', {}, 'Today');
  const main = make('main', { id: 'main', tabIndex: -1 }, heading);
  let notice: HTMLElement | null = null;
  const apply = ({ definition, notice: asked, bar, footer }: PageRequest) => {
    set(site, { site: siteFor(definition) });
    if (asked && notice?.getAttribute('name') !== asked.name) {
      notice?.remove();
      notice = make('trail-notice', { name: asked.name }, asked.text);
      site.prepend(notice);
    }
    if (bar && !site.querySelector('trail-bar'))
      main.before(make('trail-bar', { pinned: bar === 'sticky' ? bar : undefined }));
    if (!footer || site.querySelector('trail-footer')) return;
    const { foot, iconsOnly } = footer;
    const made = make('trail-footer', { iconsOnly }, template('icon', '<i aria-hidden="true">*</i>'));
    if (foot !== undefined) made.append(make('span', { slot: 'foot' }, foot));
    site.append(made);
  };
  site.append(main);
  set(site, { url: request.url });
  apply(request);
  routed(site, () => undefined);
  const container = show(site);
  return { update: apply, unmount: () => container.remove() };
};

describe('parts of a page', () => {
  noticeContract(mountPage);
  footerContract(mountPage);
});

const mountSidebar: MountSidebar = (request) => {
  if (request.url !== null) history.replaceState(null, '', request.url ?? '/');
  const site = make('trail-site');
  const heading = make('h1', {}, 'Page');
  const main = make('main', { id: 'main', tabIndex: -1 }, heading, make('p', {}, 'Content'));
  main.append(make('a', { href: '/mast' }, 'Go to the mast'));
  const sidebar = make('trail-sidebar', { menu: 'desk' });
  sidebar.append(template('icon', '<svg width="20" height="20" aria-hidden="true"></svg>'));
  const apply = ({ definition = desk, records, panel, url: _, ...options }: SidebarRequest) => {
    set(site, { site: siteFor(definition), records });
    for (const name of ['groups', 'search', 'rail', 'whenNarrow', 'alwaysToggle', 'annex', 'markers']) {
      set(sidebar, { [name]: (options as Record<string, unknown>)[name] });
    }
    if (panel === true) sidebar.append(template('panel', '<p>More about Autumn</p>'));
  };
  apply(request);
  const place = (name: string, ...nodes: readonly Node[]) => make('div', { class: `ft-layout-${name}` }, ...nodes);
  site.append(make('div', { class: 'ft-layout' }, place('sidebar', sidebar), place('content', main)));
  const draw = () => {
    heading.textContent = location.pathname === '/rota' ? 'Rota' : 'Page';
  };
  site.addEventListener('click', (event) => {
    const followed = followedLink(event);
    if (!followed) return;
    event.preventDefault();
    history.pushState(null, '', followed.url);
    draw();
    heading.tabIndex = -1;
    queueMicrotask(() => heading.focus());
  });
  draw();
  const container = show(site);
  return { update: apply, unmount: () => container.remove() };
};

describe('sidebar', () => {
  sidebarGroupsContract(mountSidebar);
  sidebarRailContract(mountSidebar);
  sidebarAnnexContract(mountSidebar);
  sidebarNarrowContract(mountSidebar);
});

const mountTabs: MountTabs = (request) => {
  if (request.url !== null) history.replaceState(null, '', request.url ?? '/');
  const tabs = make('trail-tabs', { label: 'Curlew' });
  const panels = new Map<string, HTMLElement>();
  const apply = ({ url: _, tabs: asked, ...options }: TabsRequest) => {
    for (const { id, label } of asked) {
      if (panels.has(id)) continue;
      const panel = make(
        'div',
        { 'data-tab': id },
        make('p', {}, `About ${label}`),
        make('input', { 'aria-label': 'Notes' }),
      );
      panels.set(id, panel);
      tabs.append(panel);
    }
    set(tabs, { tabs: asked });
    for (const name of ['initial', 'activation', 'orientation', 'widths', 'linkedTo', 'panels']) {
      set(tabs, { [name]: (options as Record<string, unknown>)[name] });
    }
  };
  apply(request);
  const long = make('p', {}, 'Long');
  long.style.blockSize = '150vh';
  const container = show(make('main', {}, make('a', { href: '/rota' }, 'Before'), tabs, long));
  return { update: apply, unmount: () => container.remove() };
};

describe('tabs', () => tabsContract(mountTabs));
