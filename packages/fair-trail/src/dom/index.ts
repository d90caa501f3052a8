export { markScripted, scriptedAttribute } from './scripted.ts';
export { browserHistory, hashHistory, navigationHistory, windowHistory } from './window-history.ts';
export { logWarning } from './log-warning.ts';
export { openRouter } from './router.ts';
export type { NavigateOptions, Presenter, Router, RouterSettings } from './router-interface.ts';
export type { Arrival } from './arrivals.ts';
export type { Departure, MayLeave } from './guards.ts';
export type { Eagerness } from './speculation.ts';
export { LazyPage, type Loaded, type LoadRequest } from './lazy-page.ts';
export { followedLink, isPlainClick, linkAround, type FollowedLink } from './clicks.ts';
export { carryOutDisclosure, listenWhileExpanded, type DisclosureParts } from './disclosure.ts';
export { watchRoom, type RoomReport } from './room.ts';
export { contentStart, focusOnce } from './focus.ts';
export { followGivenAddress, type GivenAddress } from './given-address.ts';
export { carryOutPanels, findPanel, listenWhileOpen, type PanelParts } from './panels.ts';
export { placePanels } from './place-panels.ts';
export { listenForHover, type HoverWishes } from './hover.ts';
export { coverPage, coverScreen, lockScroll } from './overlay.ts';
export { listenForRowKeys } from './row-keys.ts';
export { watchFit, type FittedItem } from './fit-items.ts';
export { watchCondense } from './condense.ts';
export { whenAnimated } from './animations.ts';
export { heldPanel } from './held-panel.ts';
export { keepMarkedInView } from './strip.ts';
export { watchBarSize } from './bar-size.ts';
export { memoryOf, type Memory } from './memory.ts';
export { openGroupName, readOpenGroup } from './open-groups.ts';
export { focusAfter } from './focus-after.ts';
export { isSeen } from './focusables.ts';
export { carryOutTabs, listenForTabKeys } from './tabs.ts';
export { watchFocusWithin, type FocusWatch } from './focus-within.ts';
export { focusRevealed, watchFold, type FoldKeep } from './fold-steps.ts';
export { watchEdges } from './edges.ts';
export { followFilter } from './filter-field.ts';
export { listenForColumnKeys } from './column-keys.ts';
export { listenForSpace } from './space-key.ts';
export { watchTooltips } from './tooltip.ts';
export { queryValue, withQueryValue } from './query.ts';
export {
  awaitGroup,
  carryOutAnnex,
  listenForAnnexEscape,
  listenWhileCovering,
  SidebarOverlay,
  watchStanding,
} from './sidebar.ts';
