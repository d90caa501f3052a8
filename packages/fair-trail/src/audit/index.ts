export { audit, type AuditAnswer, type AuditOptions } from './audit.ts';
export { isSamePage } from './rules/same-page.ts';
export { rules } from './rules/index.ts';
export { contrastMessage, lowContrast } from './rules/looks.ts';
export type {
  AuditFinding,
  Certainty,
  Fault,
  NotChecked,
  PageContext,
  Rule,
  RuleDescription,
  RuleSeverity,
} from './rule.ts';
export { accessibleName, accessibleNameWhenShown } from './accessible-name.ts';
export { breadcrumbTrails } from './breadcrumb-trails.ts';
export { isDrawn, isExposed, isOnPage, parentOf } from './visible.ts';
export { askedOnce, inOneReading } from './one-reading.ts';
export { deepElements } from './deep-elements.ts';
export { roleOf } from './role.ts';
export { holds, navigationsOf } from './navigations.ts';
export { isMenuName } from './words.ts';
export { untilQuiet } from './page/quiet.ts';
export type { PageReport, PageScript } from './page/page-script.ts';
export type { PageSnapshot } from './page/snapshot.ts';
export type { FocusStop, Unreached } from './page/focus.ts';
export type { FoundLink, FoundMenu } from './page/menus.ts';
export type { OpenPanel } from './page/panel.ts';
export type { FoundTablist } from './page/tablists.ts';
export type { FoundToggle } from './page/toggles.ts';
export type { HoverTrigger } from './page/hover.ts';
export type { SkipLink } from './page/skip-links.ts';
