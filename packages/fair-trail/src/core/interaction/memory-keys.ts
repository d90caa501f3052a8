/**
 * What is remembered from one visit to the next, each under a key of its own in the browser's storage: the names of notices
 * that were sent away, of open groups, of narrow rails.
 */
export const memoryKeys = {
  dismissed: 'fair-trail:dismissed',
  open: 'fair-trail:open',
  rails: 'fair-trail:rails',
} as const;

export type MemoryName = keyof typeof memoryKeys;
