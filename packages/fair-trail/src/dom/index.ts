export { markScripted, scriptedAttribute } from './scripted.ts';
export { browserHistory, hashHistory, navigationHistory, windowHistory } from './window-history.ts';
export {
  logWarning,
  openRouter,
  type NavigateOptions,
  type Presenter,
  type Router,
  type RouterSettings,
} from './router.ts';
export type { Arrival } from './arrivals.ts';
export type { Departure, MayLeave } from './guards.ts';
export type { Eagerness } from './speculation.ts';
export { LazyPage, type Loaded, type LoadRequest } from './lazy-page.ts';
export { announcerIn, type Announcer } from './announcer.ts';
export { followedLink, linkUrl, type FollowedLink } from './clicks.ts';
export { carryOutDisclosure, listenWhileExpanded, type DisclosureParts } from './disclosure.ts';
export { watchRoom, type RoomReport } from './room.ts';
export { contentStart, focusOnce } from './focus.ts';
export { followGivenAddress, type GivenAddress } from './given-address.ts';
