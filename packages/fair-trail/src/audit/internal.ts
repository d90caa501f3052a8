// For the `fair-trail` command and this workspace. It promises nothing: what is here can change in any version.

export type { FocusStep } from './page/focus.ts';
export type { HoverTrigger } from './page/hover.ts';
export type { FoundLink, FoundMenu } from './page/menus.ts';
export type { PageReport, PageScript } from './page/page-script.ts';
export type { OpenPanel } from './page/panel.ts';
export type { PageSnapshot } from './page/snapshot.ts';
export type { FoundTablist } from './page/tablists.ts';
export type { FoundToggle } from './page/toggles.ts';
export type { Certainty, RuleSeverity } from './rule.ts';
export { contrastMessage, lowContrast } from './rules/size-and-contrast.ts';
export { isSamePage } from './rules/link-targets.ts';
export { toFinding } from './rule.ts';
