import { afterEach } from 'vitest';
import { restoreTextSizes } from './page/text-size.ts';

// A page that is part of the test's own document would keep the text size for the tests that come after.
afterEach(restoreTextSizes);

export { judged } from './judged.ts';
export { navigationMatchers } from './matchers.ts';
export type { SkippedParts } from './contracts/contract.ts';
export {
  breadcrumbPages,
  breadcrumbTrailContract,
  type BreadcrumbTrailSubject,
} from './contracts/any-page/breadcrumb-trail-contract.ts';
export { menuContract } from './contracts/any-page/menu-contract.ts';
export { menuPages, type MenuSubject } from './contracts/any-page/menu-subject.ts';
export { tablistContract, type TablistSubject } from './contracts/any-page/tablist-contract.ts';
