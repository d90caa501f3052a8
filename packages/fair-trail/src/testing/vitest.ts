import { afterEach } from 'vitest';
import { restoreTextSizes } from './page/text-size.ts';

// A page that is part of the test's own document would keep the text size for the tests that come after.
afterEach(restoreTextSizes);

export { judged } from './judged.ts';
export { navigationMatchers, type NavigationMatchers } from './matchers.ts';
export { registerContract, type DefinePart, type LeftOut, type StandsFor } from './contracts/contract.ts';
export {
  breadcrumbPages,
  breadcrumbTrailContract,
  breadcrumbTrailParts,
  type BreadcrumbPage,
  type BreadcrumbTrailSubject,
} from './contracts/breadcrumb-trail-contract.ts';
export type { ContractClause, ContractPart } from './contracts/contract-parts.ts';
export { menuContract, menuParts } from './contracts/menu-contract.ts';
export { menuPages, type MenuPage, type MenuSubject } from './contracts/menu-subject.ts';
export { tablistContract, tablistParts, type TablistSubject } from './contracts/tablist-contract.ts';
