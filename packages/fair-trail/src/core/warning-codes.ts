/**
 * What can go wrong while an app runs. Each is reported once, where it happens, and the visitor stays where they are with
 * all that they had: nothing here is ever thrown. `docs/warnings.md` explains each code.
 */
export const warningCodes = [
  'address-unreadable',
  'address-elsewhere',
  'address-unsafe',
  'address-too-long',
  'history-refused',
  'may-leave-failed',
  'page-failed',
  'menu-unknown',
  'entry-unknown',
  'link-without-address',
  'audience-unknown',
  'records-unknown',
  'records-malformed',
  'icon-unknown',
  'action-without-handler',
  'layout-without-content',
  'layout-without-stage',
  'site-not-loaded',
  'site-missing',
  'list-without-links',
  'list-in-use',
  'list-placeholder',
  'lists-joined',
  'tab-repeated',
  'attribute-unknown',
  'attribute-value',
] as const;

export type WarningCode = (typeof warningCodes)[number];
