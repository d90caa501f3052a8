// For the `fair-trail` command and this workspace. It promises nothing: what is here can change in any version.

export type { FocusStep } from './page/focus.ts';
export type { HoverTrigger } from './page/hover.ts';
export type { FoundLink, FoundMenu } from './page/menus.ts';
export type { PageReport, PageScript } from './page/page-script.ts';
export type { PageState } from './page/page-state.ts';
export type { FoundComposite } from './page/keys.ts';
export type { DrawnGraphic } from './page/graphics.ts';
export type { FoundField, FoundHelp, FoundLandmark } from './page/site-parts.ts';
export type { OpenPanel } from './page/panel.ts';
export type { PageSnapshot } from './page/snapshot.ts';
export type { FoundTablist } from './page/tablists.ts';
export type { FoundToggle } from './page/toggles.ts';
export type { Certainty, RuleSeverity } from './rule.ts';
export { contrastMessage, lowContrast } from './rules/size-and-contrast.ts';
export { isClosingName } from '../reading/words.ts';
export { isSamePage } from '../reading/addresses.ts';
export { toFinding } from './rule.ts';
