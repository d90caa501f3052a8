export { markScripted, scriptedAttribute } from './scripted.ts';
export { windowHistory } from './window-history.ts';
export { openRouter, type NavigateOptions, type Router, type RouterSettings } from './router.ts';
export { followedLink, type FollowedLink } from './clicks.ts';
export { carryOutDisclosure, listenWhileExpanded, type DisclosureParts } from './disclosure.ts';
export { watchRoom, type RoomReport } from './room.ts';
export { contentStart, focusOnce } from './focus.ts';
