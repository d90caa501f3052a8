export type { DefinePart, LeftOut, StandsFor } from './contract.ts';
export { registerContract } from './contract.ts';
export type { BarRequest, MountBar } from './components/bar.ts';
export { barActionsContract } from './components/bar-actions.ts';
export { barNarrowContract } from './components/bar-narrow.ts';
export { barPanelsContract } from './components/bar-panels.ts';
export { breadcrumbsContract, type BreadcrumbsRequest, type MountBreadcrumbs } from './components/breadcrumbs.ts';
export {
  footerContract,
  languagesContract,
  layoutContract,
  noticeContract,
  type MountPage,
  type PageRequest,
} from './components/page-parts.ts';
export type { MountSidebar, SidebarRequest } from './components/sidebar.ts';
export { sidebarAnnexContract } from './components/sidebar-annex.ts';
export { sidebarGroupsContract } from './components/sidebar-groups.ts';
export { sidebarNarrowContract } from './components/sidebar-narrow.ts';
export { sidebarRailContract } from './components/sidebar-rail.ts';
export {
  tabLinksContract,
  tabsContract,
  type MountTabLinks,
  type MountTabs,
  type TabsRequest,
} from './components/tabs.ts';
