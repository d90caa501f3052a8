export { audit, type AuditAnswer, type AuditOptions } from './audit.ts';
export { rules } from './rules/all-rules.ts';
export type { AuditFinding, RuleDescription } from './rule.ts';
