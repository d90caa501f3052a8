export { audit, type AuditAnswer, type AuditOptions } from './audit.ts';
export { rules } from './rules/index.ts';
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
export { accessibleName } from './accessible-name.ts';
export { roleOf } from './role.ts';
export { navigationsOf } from './navigations.ts';
export type { PageReport, PageScript, PageSnapshot } from './page-script.ts';
