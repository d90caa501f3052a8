export { Trail } from './trail.ts';
export { TrailAt } from './trail-at.ts';
export { bindSite, type SiteComponents } from './bind-site.ts';
export { usePosition, useSite, useTrail, type TrailContext } from './trail-context.ts';
export { useCurrentEntry, useHistoryState, useMayLeave } from './composables.ts';
export type { CurrentEntry } from '../parts/current-entry.ts';
export type { LinkSlotProps } from './links.ts';
export { Navbar } from './navbar.ts';
export { Part } from './parts-in-slot.ts';
export { Tab, Tablist, Tabpanel, Tabs } from './tabs.ts';
export { Sidebar } from './sidebar.ts';
export { Breadcrumbs } from './breadcrumbs.ts';
export { FooterNav, LanguageLinks, Layout, Notice, SkipLink, TabLinks } from './page-parts.ts';
export { Stage } from './stage.ts';
export {
  lazyPage,
  type FailedPageProps,
  type Page,
  type PageProps,
  type StageLayout,
  type StagePages,
} from './page.ts';
export { TrailLink } from './trail-link.ts';
export { loadPage } from '../parts/load-page.ts';
