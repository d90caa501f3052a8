import type { AuditFinding } from 'fair-trail/audit';
import type { Probe } from './probe.ts';

/** A finding that was read has the texts of its rule. */
export function ruleOf(finding: AuditFinding): Probe {
  return { ...finding, id: finding.code, title: finding.message, affects: '', standard: '' };
}
