export { audit, type AuditResult, type AuditOptions } from './audit.ts';
export { rules } from './rules/all-rules.ts';
export type { AuditFinding, RuleDescription } from './rule.ts';
