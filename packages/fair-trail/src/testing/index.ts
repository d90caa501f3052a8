export { NavigationFailure, NotJudged } from './failures.ts';
export type { Host } from './host.ts';
export { browserHost } from './hosts/browser-host.ts';
export { simulatedHost } from './hosts/simulated-host.ts';
export type { Menu } from './menu.ts';
export { navigation, type Navigation } from './navigation.ts';
export type { PageReading } from '../reading/page-reading.ts';
export type { Tablist } from './tablist.ts';
export type { NavigationOptions } from './use.ts';
