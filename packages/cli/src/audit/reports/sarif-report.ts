import { pageOf } from 'fair-trail/internal/core';
import type { AuditReport } from '../audit-report.ts';
import { described } from './described.ts';

/** A log of the Static Analysis Results Interchange Format, version 2.1.0 (OASIS). */
export function toSarif({ tool, findings }: AuditReport): object {
  const levels = { error: 'error', warning: 'warning', advice: 'note' } as const;
  const driver = {
    name: tool.name,
    version: tool.version,
    rules: described.map(({ id, title, affects, remedy }) => ({
      id,
      shortDescription: { text: title },
      fullDescription: { text: affects },
      help: { text: remedy },
      helpUri: pageOf('rules', id),
    })),
  };
  const results = findings.map(
    ({ code, severity, message, remedy, pages, selector, html, steps = [], consequences = [] }) => ({
      ruleId: code,
      ruleIndex: described.findIndex(({ id }) => id === code),
      level: levels[severity],
      message: {
        text: [
          `${message} ${remedy}`,
          ...(steps.length > 0 ? [`To see it: ${steps.join(', ')}.`] : []),
          ...consequences.map((one) => `Because of this: ${one.message}`),
        ].join(' '),
      },
      locations: pages.map((uri) => ({
        physicalLocation: { artifactLocation: { uri } },
        logicalLocations: [{ fullyQualifiedName: selector, decoratedName: html }],
      })),
    }),
  );
  return {
    $schema: 'https://json.schemastore.org/sarif-2.1.0.json',
    version: '2.1.0',
    runs: [{ tool: { driver }, columnKind: 'utf16CodeUnits', results }],
  };
}
