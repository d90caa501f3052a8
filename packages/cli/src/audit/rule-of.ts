import type { AuditFinding } from 'fair-trail/audit';
import type { Probe } from './probe.ts';

/** What was read is reported in the words of its rule. */
export function ruleOf(finding: AuditFinding): Probe {
  return { ...finding, id: finding.code, title: finding.message, affects: '', standard: '' };
}
