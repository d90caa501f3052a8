export type {
  EntryDefinition,
  Localized,
  MenuActionDefinition,
  MenuChoiceDefinition,
  MenuDividerDefinition,
  MenuEntryDefinition,
  MenuGroupDefinition,
  MenuItemDefinition,
  Opens,
  SiteDefinition,
  SiteShape,
} from './site/definition.ts';
export { checkSite, defineSite, type SiteCheck, type SiteOptions } from './site/define.ts';
export { problemCodes, severityOf, SiteError, type Problem, type ProblemCode, type Severity } from './site/problems.ts';
export { everyEntry, everyMenuNode, type MenuActionNode, type MenuNode, type Site } from './site/site.ts';
export type {
  ActionName,
  AudienceName,
  CheckedDefinition,
  EntryId,
  EntryParams,
  IconName,
  MenuName,
  RecordsName,
} from './site/identifiers.ts';
export { entryPointer, lineage, mayAccess, textIn, type Audience, type Entry, type Texts } from './site/entry.ts';
export {
  locate,
  samePosition,
  titleOf,
  unknownPosition,
  type AddressParts,
  type Position,
  type PositionStatus,
} from './site/locate.ts';
export { addressOfPath, HrefError, hrefIn, hrefOf, hrefTo } from './site/hrefs.ts';
export { decodeSegment } from './site/encoding.ts';
export { labelOf, ownParams, type LabelOptions } from './site/labels.ts';
export { recordOf, type RecordList, type SiteRecord, type SiteRecords } from './site/records.ts';
export { iconOf, menuMarks, type Marks } from './site/marks.ts';
export type { Mark, MenuItem, MenuItemKind } from './site/menu-item.ts';
export { LiveMarks } from './site/live-marks.ts';
export { filterItems, type Filtered, type MatchRange } from './site/filter.ts';
export { hasSiblings, menuItems, siblingItems, type Badges, type Visit } from './site/menus.ts';
export {
  breadcrumbs,
  foldBreadcrumbs,
  type Breadcrumb,
  type FoldedBreadcrumbs,
  type FoldOptions,
} from './site/breadcrumbs.ts';
export { englishWording, type Wording } from './wording.ts';
export { element, frameOf, partOf, slot, type ViewElement, type ViewNode, type ViewSlot } from './view/view.ts';
export { partStates, type LinkState, type PartName } from './view/states.ts';
export { shareView } from './view/share.ts';
export {
  ariaCurrent,
  isActionEvent,
  itemKey,
  markedView,
  menuView,
  type ActionEvent,
  type MenuViewOptions,
} from './view/menu-view.ts';
export { breadcrumbView, type BreadcrumbViewOptions } from './view/breadcrumb-view.ts';
export { mainId, skipLinkView, skipLinksView, type SkipTarget } from './view/skip-link-view.ts';
export { noticeView, type NoticeViewOptions } from './view/notice-view.ts';
export { footerView, type FooterViewOptions } from './view/footer-view.ts';
export { languagesView } from './view/languages-view.ts';
export { layoutParts, layoutView, type LayoutPart } from './view/layout-view.ts';
export { languageLinks, type LanguageLink } from './site/language-links.ts';
export {
  nextDismissal,
  type DismissalEffect,
  type DismissalEvent,
  type DismissalState,
} from './interaction/dismissal.ts';
export { stageView, type StageViewOptions } from './view/stage-view.ts';
export { barView, roomName, type BarViewOptions, type NarrowForm } from './view/bar-view.ts';
export { sidebarView, type SidebarNarrowForm, type SidebarViewOptions } from './view/sidebar-view.ts';
export {
  tablistView,
  tabpanelView,
  tabsView,
  tabView,
  type TabDescription,
  type TablistViewOptions,
  type TabsOrientation,
} from './view/tabs-view.ts';
export { tabLinksView } from './view/tab-links-view.ts';
export { allGroups, annexItems, markedGroups, type AnnexItem } from './view/tree-view.ts';
export { queryPair } from './site/query.ts';
export { panelFormOf, type PanelForm } from './view/panel-view.ts';
export type { Transition } from './interaction/machine.ts';
export {
  closedDisclosure,
  nextDisclosure,
  type DisclosureEffect,
  type DisclosureEvent,
  type DisclosureState,
} from './interaction/disclosure.ts';
export {
  closedDisclosures,
  nextDisclosures,
  type DisclosuresEffect,
  type DisclosuresEvent,
  type DisclosuresState,
} from './interaction/disclosures.ts';
export {
  closedOverlay,
  nextOverlay,
  type OverlayEffect,
  type OverlayEvent,
  type OverlayState,
} from './interaction/overlay.ts';
export {
  nextGroups,
  pathSeparator,
  type GroupsEffect,
  type GroupsEvent,
  type GroupsState,
} from './interaction/groups.ts';
export { initialAnnex, nextAnnex, type AnnexEffect, type AnnexEvent, type AnnexState } from './interaction/annex.ts';
export {
  initialTabs,
  nextTabs,
  type TabOption,
  type TabsEffect,
  type TabsEvent,
  type TabsState,
} from './interaction/tabs.ts';
export {
  hoverTimes,
  nextHover,
  noHover,
  type HoverEffect,
  type HoverEvent,
  type HoverState,
  type HoverTimes,
} from './interaction/hover.ts';
export { isInCorridor, type Box, type Point } from './interaction/corridor.ts';
export {
  condenseSizes,
  nextCondense,
  notCondensed,
  type CondenseSizes,
  type CondenseState,
  type ScrollReport,
} from './interaction/condense.ts';
export { memoryKeys, type MemoryName } from './interaction/memory-keys.ts';
export { keyTarget, type KeyWalk } from './interaction/keys.ts';
export { apportion, type FlexItem } from './layout/apportion.ts';
export { fit, type FitItem, type FitOptions } from './layout/fit.ts';
export { foldToFit, type FoldRange, type FoldRoom } from './layout/fold.ts';
export { readFlex, writeFlex, type Flex, type FlexBasis } from './layout/flex.ts';
export { estimateRoom, rungFor, rungs, type RoomEstimate } from './layout/room.ts';
export {
  addressOf,
  createKey,
  hashOf,
  pathAddress,
  type HistoryEntry,
  type LinkAddress,
  type SessionHistory,
  type Traversal,
} from './router/history.ts';
export { memoryHistory } from './router/memory-history.ts';
export { serverHistory } from './router/server-history.ts';
export { answerRequest, type RequestAnswer } from './router/answer-request.ts';
export {
  initialRouter,
  nextRouter,
  waitsForPage,
  type HistoryBehavior,
  type RouterEffect,
  type RouterEvent,
  type RouterState,
} from './router/router.ts';
export { nameWarning, warning, warningCodes, type Warning, type WarningCode } from './warnings.ts';
export { neighbors, type Neighbor, type Neighbors } from './site/neighbors.ts';
export { reviewSite, type ReviewOptions } from './site/review.ts';
export { compareSites, type SiteChange } from './site/compare.ts';
export { forAudience } from './site/for-audience.ts';
export { outline, type OutlineItem, type OutlineOptions } from './output/outline.ts';
export { flexStyles } from './output/flex-styles.ts';
export { escapeMarkup, escapeXml } from './output/escape.ts';
export { toHtml } from './output/html.ts';
export { nestedListHtml } from './output/nested-list.ts';
export { breadcrumbJsonLd } from './output/breadcrumb-data.ts';
export { sitemap, sitemapLimits, type SitemapFile, type SitemapOptions } from './output/sitemap.ts';
