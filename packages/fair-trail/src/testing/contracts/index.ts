export type { MountBar } from './components/bar.ts';
export { barActionsContract } from './components/bar-actions.ts';
export { barNarrowContract } from './components/bar-narrow.ts';
export { barPanelsContract } from './components/bar-panels.ts';
export { breadcrumbsContract, type MountBreadcrumbs } from './components/breadcrumbs.ts';
export {
  footerContract,
  languagesContract,
  layoutContract,
  noticeContract,
  type MountPage,
} from './components/page-parts.ts';
export type { MountSidebar } from './components/sidebar.ts';
export { sidebarAnnexContract } from './components/sidebar-annex.ts';
export { sidebarGroupsContract } from './components/sidebar-groups.ts';
export { sidebarNarrowContract } from './components/sidebar-narrow.ts';
export { sidebarRailContract } from './components/sidebar-rail.ts';
export { tabLinksContract, tabsContract, type MountTabLinks, type MountTabs } from './components/tabs.ts';
