import type { Rule } from '../rule.ts';
import {
  breadcrumbDataDiffers,
  breadcrumbElsewhere,
  breadcrumbOfOtherSection,
  breadcrumbOrder,
  breadcrumbTwice,
  breadcrumbUnmarked,
  breadcrumbWithoutLandmark,
} from './breadcrumbs.ts';
import { looksMarkedElsewhere, markByColorOnly, markOnlySeen, pageNotMarked } from './marks-appearance.ts';
import { lowContrast, smallTarget } from './size-and-contrast.ts';
import { markOnAnotherPage, severalCurrentPages, unknownCurrentValue } from './marks.ts';
import { controlWithoutName, labelNotInName, linkWithoutName } from './names.ts';
import { menuWithoutLandmark, noWayPast, pageWithoutTitle, positiveTabindex, zoomPrevented } from './page.ts';
import { deadFragment, newWindowUntold, placeholderLink } from './link-targets.ts';
import {
  controlInControl,
  focusInHidden,
  landmarkNameRepeatsRole,
  landmarksAlike,
  menuWithoutItems,
  severalTabsSelected,
  stateNotTold,
  tabsOutOfList,
} from './relations.ts';
import {
  noTabSelected,
  referenceToNothing,
  tabThatLeaves,
  toggleNameWrong,
  toggleSaysClosed,
  toggleStateWrong,
} from './states.ts';
import { linksAllAlike, listWithStrays, oneNameSeveralPlaces } from './lists-of-links.ts';
import {
  roleUnknown,
  roleNotAllowed,
  stateNotSupported,
  nameNotAllowed,
  itemWithoutGroup,
  groupWithOthers,
  groupWithoutItems,
  popupOfOtherKind,
  dialogWithoutName,
  tabpanelWithoutName,
  tabWithoutPanel,
  menuInLiveRegion,
} from './aria-roles.ts';
import {
  idTwice,
  ownedTwice,
  setSizeWrong,
  levelWrong,
  landmarkTwice,
  popoverOfNothing,
  detailsWithoutSummary,
} from './aria-relations.ts';
import { seenNotExposed, exposedNotSeen, wordsMarkElsewhere, disabledLinkWorks } from './seen-and-exposed.ts';
import { pageWithoutLanguage, languageUnknown, languageOfLabel } from './languages.ts';
import {
  titleSaysNothing,
  titleOfOtherPage,
  pageMovesOn,
  frameWithoutName,
  fieldWithoutName,
  nameSaysNothing,
  accesskeyTwice,
  skipLinkHidden,
  skipLinkLate,
} from './whole-page.ts';

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
  landmarkNameRepeatsRole,
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
  toggleNameWrong,
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
  breadcrumbOrder,
  breadcrumbOfOtherSection,
  breadcrumbWithoutLandmark,
  roleUnknown,
  roleNotAllowed,
  stateNotSupported,
  nameNotAllowed,
  itemWithoutGroup,
  groupWithOthers,
  groupWithoutItems,
  popupOfOtherKind,
  dialogWithoutName,
  tabpanelWithoutName,
  tabWithoutPanel,
  menuInLiveRegion,
  idTwice,
  ownedTwice,
  setSizeWrong,
  levelWrong,
  landmarkTwice,
  popoverOfNothing,
  detailsWithoutSummary,
  seenNotExposed,
  exposedNotSeen,
  wordsMarkElsewhere,
  disabledLinkWorks,
  pageWithoutLanguage,
  languageUnknown,
  languageOfLabel,
  titleSaysNothing,
  titleOfOtherPage,
  pageMovesOn,
  frameWithoutName,
  fieldWithoutName,
  nameSaysNothing,
  accesskeyTwice,
  skipLinkHidden,
  skipLinkLate,
];
