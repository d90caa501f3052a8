import type { Rule } from '../rule.ts';
import { breadcrumbDataDiffers, breadcrumbElsewhere, breadcrumbTwice, breadcrumbUnmarked } from './breadcrumbs.ts';
import { looksMarkedElsewhere, markByColorOnly, markOnlySeen, pageNotMarked } from './marks-appearance.ts';
import { lowContrast, smallTarget } from './size-and-contrast.ts';
import { markOnAnotherPage, severalCurrentPages, unknownCurrentValue } from './marks.ts';
import { controlWithoutName, labelNotInName, linkWithoutName } from './names.ts';
import { menuWithoutLandmark, noWayPast, pageWithoutTitle, positiveTabindex, zoomPrevented } from './page.ts';
import { deadFragment, newWindowUntold, placeholderLink } from './link-targets.ts';
import {
  controlInControl,
  focusInHidden,
  landmarksAlike,
  menuWithoutItems,
  severalTabsSelected,
  stateNotTold,
  tabsOutOfList,
} from './relations.ts';
import { noTabSelected, referenceToNothing, tabThatLeaves, toggleSaysClosed, toggleStateWrong } from './states.ts';
import { linksAllAlike, listWithStrays, oneNameSeveralPlaces } from './lists-of-links.ts';

/**
 * Every rule for what can be read in a document, without using it.
 *
 * @example
 * const ids = rules.map(({ id }) => id);
 */
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
  markOnlySeen,
  looksMarkedElsewhere,
  markByColorOnly,
  pageNotMarked,
  toggleStateWrong,
  toggleSaysClosed,
  referenceToNothing,
  noTabSelected,
  tabThatLeaves,
  breadcrumbElsewhere,
  breadcrumbTwice,
  breadcrumbUnmarked,
  breadcrumbDataDiffers,
  linksAllAlike,
  oneNameSeveralPlaces,
  listWithStrays,
  positiveTabindex,
  menuWithoutLandmark,
  newWindowUntold,
  zoomPrevented,
];
