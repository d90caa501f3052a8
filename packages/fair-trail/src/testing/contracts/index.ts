export type { DefinePart, LeftOut, StandsFor } from './contract.ts';
export { registerContract } from './contract.ts';
export type { BarRequest, MountBar } from './bar.ts';
export { barNarrowContract } from './bar-narrow.ts';
export { barPanelsContract } from './bar-panels.ts';
export { breadcrumbsContract, type BreadcrumbsRequest, type MountBreadcrumbs } from './breadcrumbs.ts';
export {
  footerContract,
  languagesContract,
  layoutContract,
  noticeContract,
  type MountPage,
  type PageRequest,
} from './page-parts.ts';
export type { MountSidebar, SidebarRequest } from './sidebar.ts';
export { sidebarAnnexContract } from './sidebar-annex.ts';
export { sidebarGroupsContract } from './sidebar-groups.ts';
export { sidebarNarrowContract } from './sidebar-narrow.ts';
export { sidebarRailContract } from './sidebar-rail.ts';
export { tabLinksContract, tabsContract, type MountTabLinks, type MountTabs, type TabsRequest } from './tabs.ts';
