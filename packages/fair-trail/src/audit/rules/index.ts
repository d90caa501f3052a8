import type { Rule } from '../rule.ts';
import { lowContrast, smallTarget } from './looks.ts';
import { markOnAnotherPage, severalCurrentPages, unknownCurrentValue } from './marks.ts';
import { controlWithoutName, labelNotInName, linkWithoutName } from './names.ts';
import { noWayPast, pageWithoutTitle } from './page.ts';
import { deadFragment, placeholderLink } from './places.ts';
import {
  controlInControl,
  focusInHidden,
  landmarksAlike,
  menuWithoutItems,
  severalTabsSelected,
  stateNotTold,
  tabsOutOfList,
} from './relations.ts';

/** Every rule for what can be read in a document, without using it. */
export const rules: readonly Rule[] = [
  linkWithoutName,
  controlWithoutName,
  labelNotInName,
  placeholderLink,
  deadFragment,
  severalCurrentPages,
  markOnAnotherPage,
  unknownCurrentValue,
  stateNotTold,
  focusInHidden,
  landmarksAlike,
  tabsOutOfList,
  severalTabsSelected,
  menuWithoutItems,
  controlInControl,
  smallTarget,
  lowContrast,
  pageWithoutTitle,
  noWayPast,
];
