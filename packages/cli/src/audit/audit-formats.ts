/** How a report is written. */
export const auditFormats = ['text', 'json', 'sarif', 'junit', 'html'] as const;
export type AuditFormat = (typeof auditFormats)[number];
