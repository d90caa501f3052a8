export type {
  EntryDefinition,
  MenuEntryDefinition,
  MenuGroupDefinition,
  MenuItemDefinition,
  Opens,
  SiteDefinition,
} from './site/definition.ts';
export { checkSite, defineSite, type SiteCheck, type SiteOptions } from './site/define.ts';
export { problemCodes, severityOf, SiteError, type Problem, type ProblemCode, type Severity } from './site/problems.ts';
export type { MenuNode, Site } from './site/site.ts';
export { lineage, mayAccess, type Entry } from './site/entry.ts';
export {
  locate,
  samePosition,
  titleOf,
  unknownPosition,
  type AddressParts,
  type Position,
  type PositionStatus,
} from './site/locate.ts';
export { HrefError, hrefOf, hrefTo } from './site/hrefs.ts';
export { labelOf } from './site/labels.ts';
export type { SiteRecord, SiteRecords } from './site/records.ts';
export { menuItems, type Mark, type MenuItem, type Visit } from './site/menus.ts';
export { breadcrumbs, type Breadcrumb } from './site/breadcrumbs.ts';
export { englishWording, type Wording } from './wording.ts';
export { element, slot, type ViewElement, type ViewNode, type ViewSlot } from './view/view.ts';
export { createSharer, share } from './view/share.ts';
export { ariaCurrent, menuView, type MenuViewOptions } from './view/menu-view.ts';
export { breadcrumbView } from './view/breadcrumb-view.ts';
export { mainId, skipLinkView } from './view/skip-link-view.ts';
export { stageView } from './view/stage-view.ts';
export { barView, roomName, type BarViewOptions } from './view/bar-view.ts';
export type { Transition } from './interaction/machine.ts';
export {
  closedDisclosure,
  nextDisclosure,
  type DisclosureEffect,
  type DisclosureEvent,
  type DisclosureState,
} from './interaction/disclosure.ts';
export { estimateRoom, rungFor, rungs, type RoomEstimate } from './layout/room.ts';
export { createKey, pathnameOf, type HistoryEntry, type SessionHistory } from './router/history.ts';
export { memoryHistory } from './router/memory-history.ts';
export {
  initialRouter,
  nextRouter,
  waitsForPage,
  type HistoryBehavior,
  type RouterEffect,
  type RouterEvent,
  type RouterState,
} from './router/router.ts';
