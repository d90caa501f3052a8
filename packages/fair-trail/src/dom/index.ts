export { browserHistory, hashHistory, navigationHistory, windowHistory } from './window-history.ts';
export { openRouter } from './router.ts';
export type { NavigateOptions, Router, RouterSettings } from './router-interface.ts';
export type { Arrival } from './arrivals.ts';
export type { Departure, MayLeave } from './guards.ts';
export { followedLink } from './clicks.ts';
