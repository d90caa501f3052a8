// For React's server components: what is exported here runs in the browser too, and holds state.
'use client';

export { Trail, type TrailProps } from './trail.tsx';
export { TrailAt, type TrailAtProps } from './trail-at.tsx';
export { bindSite, type SiteComponents } from './bind-site.tsx';
export { useCurrentEntry } from './current-entry.ts';
export type { CurrentEntry } from '../parts/current-entry.ts';
export { usePosition, useSite, useTrail, type TrailContext } from './trail-context.ts';
export type { LinkSlot, LinkSlotProps } from './links.tsx';
export { useMayLeave } from './leaving.ts';
export { useHistoryState } from './history-state.ts';
export { Navbar, type NavbarProps } from './navbar.tsx';
export { Part } from './printed-view.tsx';
export { Tab, Tablist, Tabpanel, Tabs, type TabsProps } from './tabs.tsx';
export { TabLinks } from './tab-links.tsx';
export { Sidebar, type SidebarProps } from './sidebar.tsx';
export { Notice } from './notice.tsx';
export { FooterNav } from './footer-nav.tsx';
export { LanguageLinks } from './language-links.tsx';
export { Layout } from './layout.tsx';
export { Breadcrumbs, type BreadcrumbsProps } from './breadcrumbs.tsx';
export { SkipLink } from './skip-link.tsx';
export { Stage, type StageProps } from './stage.tsx';
export type { StagePages } from './stage-content.ts';
export {
  lazyPage,
  type FailedPageProps,
  type LayoutProps,
  type Page,
  type PageProps,
  type StageLayout,
} from './page.ts';
export { TrailLink, type TrailLinkProps } from './trail-link.tsx';
export { loadPage } from '../parts/load-page.ts';
