export { failureCodes, NavigationFailure, NotJudged, type FailureCode } from './failures.ts';
export { everyItem, type MenuChoice, type Name } from './find.ts';
export type { Ability, Host, Input, WindowSize } from './host.ts';
export { browserHost, type BrowserTools } from './hosts/browser-host.ts';
export { simulatedHost, type SimulatedOptions } from './hosts/simulated-host.ts';
export { markOf, marksOf, type MarkReading, type Menu } from './menu.ts';
export { navigation, type Navigation, type Place } from './navigation.ts';
export type { Direction, PageReader } from './page/page-reader.ts';
export type {
  BreadcrumbReading,
  ControlReading,
  FocusReading,
  FoundReading,
  ItemReading,
  LinkReading,
  MenuReading,
  PageReading,
  TablistReading,
  TabpanelReading,
  TabReading,
} from './page/reading.ts';
export type { Tablist } from './tablist.ts';
export { quoted, treeOf, treesOf } from './tree.ts';
export type { NavigationOptions } from './use.ts';
