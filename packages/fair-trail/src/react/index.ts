// For React's server components: what is exported here runs in the browser too, and holds state.
'use client';

export { Trail, type TrailProps } from './trail.tsx';
export { bindSite, type BindableComponents, type SiteComponents } from './bind-site.tsx';
export { useCurrentEntry, type CurrentEntry } from './current-entry.ts';
export { usePosition, useSite, useTrail, type TrailContext } from './trail-context.ts';
export type { LinkSlot, LinkSlotProps } from './links.tsx';
export { useMayLeave } from './leaving.ts';
export { useHistoryState } from './history-state.ts';
export { Navbar, type NavbarProps } from './navbar.tsx';
export { Part, type PartProps } from './view.tsx';
export {
  Tab,
  Tablist,
  Tabpanel,
  Tabs,
  type TablistProps,
  type TabpanelProps,
  type TabProps,
  type TabsProps,
} from './tabs.tsx';
export { TabLinks, type TabLinksProps } from './tab-links.tsx';
export { Sidebar, type SidebarProps } from './sidebar.tsx';
export { Notice, type NoticeProps } from './notice.tsx';
export { FooterNav, type FooterNavProps } from './footer-nav.tsx';
export { LanguageLinks, type LanguageLinksProps } from './language-links.tsx';
export { Layout, type PageLayoutProps } from './layout.tsx';
export { Breadcrumbs, type BreadcrumbsProps } from './breadcrumbs.tsx';
export { SkipLink, type SkipLinkProps } from './skip-link.tsx';
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
