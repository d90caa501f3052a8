export { judged } from './judged.ts';
export { navigationMatchers, type NavigationMatchers } from './matchers.ts';
export { registerContract, type DefinePart, type LeftOut, type StandsFor } from './contracts/contract.ts';
export { menuContract, menuParts } from './contracts/menu-contract.ts';
export {
  menuPages,
  type MenuClause,
  type MenuPage,
  type MenuPart,
  type MenuSubject,
} from './contracts/menu-subject.ts';
