/**
 * What is thrown where the library is used in a way that it cannot work in. `docs/problems.md` explains each code, and the
 * message names it.
 */
export const errorCodes = [
  'address-not-written',
  'compiled-version',
  'compiled-broken',
  'site-expected',
  'origin-missing',
  'url-missing',
  'trail-missing',
  'tabs-missing',
  'navigation-missing',
] as const;

export type ErrorCode = (typeof errorCodes)[number];
