import { noteSubject, subjectAt } from './subject.ts';
import { isNearNavigation, nearElements, menusIn } from '../../reading/near.ts';
import { accessibleName } from '../../reading/accessible-name.ts';
import { audit, type AuditResult, type AuditOptions } from '../audit.ts';
import { deepElements, linksIn } from '../../reading/deep-elements.ts';
import { navigationsOf } from '../../reading/navigations.ts';
import { inOneReading } from '../../reading/one-reading.ts';
import { roleOf } from '../../reading/role.ts';
import { contrastOfLabel, type LabelContrast } from '../rules/size-and-contrast.ts';
import { selectorOf, tagOf } from '../../reading/selector.ts';
import { isDrawn, isExposed, isSeen } from '../../reading/visible.ts';
import { isBusy, timersWithin, untilTimersRan } from './activity.ts';
import { doubleText, movements, spaceText } from './conditions.ts';
import { activeElement, elementAt } from '../../reading/element-at.ts';
import { fingerprintOf } from './fingerprint.ts';
import { coverOf, focused, focusOn, leaveFocus, unreached } from './focus.ts';
import { foldedLinks } from './folded-links.ts';
import { hoverTriggers, type HoverTrigger } from './hover.ts';
import { boxInWindow, graphics, hideText, textsOnPictures } from './graphics.ts';
import { hasPause, hasRepeatedTimers, lastingMotions, menuChanges, watchMenus } from './lasting.ts';
import { compositesNow, keyListening, menuButtons } from './keys.ts';
import {
  fieldsOf,
  hasOtherWay,
  helpOf,
  landmarksOf,
  type FoundField,
  type FoundHelp,
  type FoundLandmark,
} from './site-parts.ts';
import { cutLabels, overlaps, sticksOut } from './labels.ts';
import { hiddenMenusOf, menusOf, type FoundMenu } from './menus.ts';
import { isStillOpen, panelOf } from './panel.ts';
import { rest, settle } from './settling.ts';
import { skipLinks, type SkipLink } from './skip-links.ts';
import { pointFor } from './point-for.ts';
import {
  announcesByRole,
  closeButtonIn,
  countDownListeners,
  isSelected,
  panelsOf,
  placeLinkIn,
  swipedMenu,
  controlsShown,
  downListeners,
  draggedStrip,
  emptyPoint,
  leftHidden,
  madeControls,
  nestedToggles,
} from './opened.ts';
import { elementNamed, hasFocusIn, pageState, unseenStops } from './page-state.ts';
import { fontSizes, isTurned, shownAddresses } from './sizes.ts';
import { boxesOf, placeOf, snapshot, watch, type PageSnapshot } from './snapshot.ts';
import { tablistsOf, type FoundTablist } from './tablists.ts';
import { togglesIn, type FoundToggle } from './toggles.ts';

/** What a page under audit tells whoever uses it. */
export interface PageReport extends AuditResult {
  readonly title: string;
  readonly heading: string;
  readonly menus: readonly FoundMenu[];
  /** Those that are closed. */
  readonly hiddenMenus: readonly FoundMenu[];
  /** Where links of menus lead that are hidden behind controls which say that they open something. */
  readonly folded: readonly string[];
  /** Where every other link of the page leads, and what it is called. */
  readonly others: readonly { readonly href: string; readonly label: string }[];
  readonly toggles: readonly FoundToggle[];
  readonly tablists: readonly FoundTablist[];
  readonly skipLinks: readonly SkipLink[];
  readonly hoverTriggers: readonly HoverTrigger[];
  /** What else there is to try, by how much of it there is. */
  readonly counts: {
    readonly choices: number;
    readonly composites: number;
    readonly menuButtons: number;
    readonly downListeners: number;
    readonly madeControls: number;
    readonly movements: number;
    readonly drags: number;
    /** Elements within closed menus that hear the pointer go down. */
    readonly hearsDown: number;
  };
  readonly hearsKeys: boolean;
  /** The language of the page, as it is written; empty where it is not. */
  readonly language: string;
  /** The landmarks, in the order of the document. */
  readonly landmarks: readonly FoundLandmark[];
  /** Links to help, with the landmark that each is in. */
  readonly help: readonly FoundHelp[];
  /** The fields of the menus and of the header, and what they are called. */
  readonly fields: readonly FoundField[];
  /** Whether there is another way to find a page than links: a search, or a list of all pages. */
  readonly hasOtherWay: boolean;
  /** The same at two widths where the same things are drawn, in the same places of the document. */
  readonly layout: string;
}

/** More links of one page are not followed. */
const mostOthers = 3000;

let isRemembered = false;

function reportOf(options: AuditOptions): PageReport {
  const { landmarks, runs } = navigationsOf(document);
  const navigations = [...landmarks, ...runs];
  return {
    ...audit(document, options),
    title: document.title,
    heading: (document.querySelector('main h1, h1')?.textContent ?? '').replaceAll(/\s+/gu, ' ').trim(),
    menus: menusOf(navigations),
    hiddenMenus: hiddenMenusOf(navigations),
    folded: foldedLinks(navigations),
    others: linksIn(document)
      .slice(0, mostOthers)
      .map((link) => ({ href: link.href, label: link.textContent.trim() })),
    toggles: togglesIn(navigations),
    tablists: tablistsOf(document),
    skipLinks: skipLinks(document),
    hoverTriggers: hoverTriggers(navigations),
    counts: {
      choices: choicesIn(navigations).length,
      composites: compositesNow().length,
      menuButtons: menuButtons().length,
      downListeners: downListeners().length,
      madeControls: madeControls().length,
      hearsDown: countDownListeners(),
      drags: (draggedStrip() ? 1 : 0) + (swipedMenu() ? 1 : 0),
      movements: lastingMotions().length + (hasRepeatedTimers() ? 1 : 0) + timersWithin(5200).length,
    },
    hearsKeys: keyListening(),
    language: document.documentElement.lang,
    landmarks: landmarksOf(document),
    help: helpOf(document),
    fields: fieldsOf(document),
    hasOtherWay: hasOtherWay(document),
    layout: layoutOf(navigations),
  };
}

function choicesIn(navigations: readonly Element[]): readonly { readonly selector: string; readonly html: string }[] {
  const isChoice = (element: HTMLElement) => !(element instanceof HTMLSelectElement) || element.options.length > 1;
  return deepElements(document, 'select, input[type="radio"], input[type="checkbox"]')
    .filter((element) => isNearNavigation(element, navigations) && isSeen(element) && isChoice(element))
    .map((element) => ({ selector: selectorOf(element), html: tagOf(element) }));
}

/** What is drawn of the menus, and how it is placed: whether in rows or in columns, and what is pinned. */
function layoutOf(navigations: readonly Element[]): string {
  const drawn = navigations.flatMap((menu) =>
    [menu, ...deepElements(menu, 'a[href], button, summary, ul, ol, div')].slice(0, 300).map((element, index) => {
      const { display, position, flexDirection } = getComputedStyle(element);
      return `${index} ${display} ${position} ${flexDirection} ${isSeen(element) ? 'seen' : ''}`;
    }),
  );
  const toggles = nearElements(document, 'button, summary').map(
    (element, index) => `${index} ${isSeen(element) ? 'seen' : ''}`,
  );
  return [...drawn, ...toggles].join('\n');
}

/** What the command asks of a page: it is put into the page as a script of its own. */
const script = {
  report(options: AuditOptions): PageReport {
    return inOneReading(() => reportOf(options));
  },

  /** The menus alone: enough to know whether they have been used. */
  fingerprints(): readonly string[] {
    return menusIn(document).filter(isExposed).map(fingerprintOf);
  },

  settle,
  rest,
  watch,
  snapshot,

  /** Begins to look for what an act does: what there is before it. */
  before(selector: string): PageSnapshot {
    isRemembered = true;
    noteSubject(selector);
    watch();
    return snapshot(selector);
  },

  /** What there is once the act has had its effect; null in another document than that of `before`. */
  async after(selector: string): Promise<PageSnapshot | null> {
    if (!isRemembered) return null;
    await rest();
    return snapshot(selector);
  },

  elementAt,
  pointFor,
  isBusy,
  hasLateTimers: (milliseconds: number): boolean => timersWithin(milliseconds).some(({ isRepeated }) => !isRepeated),
  untilTimersRan,
  pageState,
  elementNamed,
  unseenStops,
  hasFocusIn,
  closeButtonIn,
  placeLinkIn,
  panelsOf,
  isSelected,
  announcesByRole,
  swipedMenu,
  graphics,
  boxInWindow,
  textsOnPictures,
  hideText,
  lastingMotions,
  hasPause,
  watchMenus,
  menuChanges,
  hasRepeatedTimers,
  compositesNow,
  keyListening,
  menuButtons,
  controlsShown,
  nestedToggles,
  leftHidden,
  emptyPoint,
  downListeners,
  madeControls,
  draggedStrip,
  fontSizes,
  shownAddresses,
  isTurned,

  /** What the rules find now, in whatever state the page is. */
  findings(options: AuditOptions): AuditResult {
    return audit(document, options);
  },
  boxesOf,
  placeOf,
  focused,
  focusOn,
  leaveFocus,
  unreached,
  panelOf,
  isStillOpen,
  spaceText,
  doubleText,
  movements,
  cutLabels,
  overlaps,
  sticksOut,

  /** The selectors of what lets people choose one of several pages. */
  choices(): readonly { readonly selector: string; readonly html: string }[] {
    return choicesIn(menusIn(document));
  },

  /** Whether this is the document in which an act was begun. */
  isRemembered: () => isRemembered,

  /** The role and name of an element in the accessibility tree, as the rules compute them; null if it is not exposed. */
  exposedAs(selector: string): { readonly role: string | null; readonly name: string } | null {
    const element = subjectAt(selector);
    if (!element || !isExposed(element)) return null;
    const role = roleOf(element);
    return { role, name: accessibleName(element, role) };
  },

  /** What hides an element now, without focus on it. */
  coverOf(selector: string): string | null {
    const element = elementAt(selector);
    return element && coverOf(element);
  },

  /** How much of the window is taken by what stays where it is, at its upper and lower end; null if nothing does. */
  pinnedShare(): { readonly share: number; readonly selector: string; readonly html: string } | null {
    const pinned = deepElements(document, 'header, nav, div, [role]').filter((element) => {
      const { position } = getComputedStyle(element);
      const { left, right, top, bottom } = element.getBoundingClientRect();
      const isBar = right - left > innerWidth * 0.8 && (top <= 2 || bottom >= innerHeight - 2);
      return (position === 'fixed' || position === 'sticky') && isSeen(element) && isBar && linksIn(element).length > 0;
    });
    const heights = pinned.map((element) => {
      const { top, bottom } = element.getBoundingClientRect();
      return Math.min(bottom, innerHeight) - Math.max(top, 0);
    });
    const highest = Math.max(0, ...heights);
    const bar = pinned[heights.indexOf(highest)];
    return bar ? { share: highest / innerHeight, selector: selectorOf(bar), html: tagOf(bar) } : null;
  },

  /** The contrast of a label as it is drawn now, and what it needs; null if that is not known. */
  contrastOf(selector: string): LabelContrast | null {
    const element = elementAt(selector);
    return element && contrastOfLabel(element);
  },

  /** The middle of an element in the window, scrolled into sight; null if it is not there. */
  middleOf(selector: string): readonly [x: number, y: number] | null {
    const element = elementAt(selector);
    if (!element) return null;
    element.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
    const { left, top, width, height } = element.getBoundingClientRect();
    return width === 0 || height === 0 ? null : [left + width / 2, top + height / 2];
  },

  /** Scrolls the page down as far as an element stays in the window; how far that is, in CSS pixels. */
  scrollDown(selector: string): number {
    const element = elementAt(selector);
    const { scrollHeight } = document.scrollingElement ?? document.documentElement;
    if (!element || scrollHeight < innerHeight + 400) return 0;
    scrollTo({ top: 300, behavior: 'instant' });
    const { top } = element.getBoundingClientRect();
    if (top < 0) scrollTo({ top: Math.max(0, scrollY + top - 4), behavior: 'instant' });
    return scrollY;
  },
  scrollTop: (): number => scrollY,

  /** A link to another page of this site, so far down that the page has to be scrolled to it; null if there is none. */
  lowLink(): { readonly selector: string; readonly html: string; readonly href: string } | null {
    const found = linksIn(document).findLast((link) => {
      const { top } = link.getBoundingClientRect();
      const isFar = top + scrollY > innerHeight + 200 && isDrawn(link) && isExposed(link);
      return isFar && link.origin === location.origin && link.pathname !== location.pathname && link.target === '';
    });
    return found ? { selector: selectorOf(found), html: tagOf(found), href: found.href } : null;
  },

  /** Whether letters do something, tried with keys that no person has pressed: what does is tried again with real ones. */
  async hearsLetters(letters: readonly string[]): Promise<boolean> {
    const before = activeElement();
    let isChanged = false;
    const observer = new MutationObserver(() => (isChanged = true));
    observer.observe(document, { attributes: true, childList: true, characterData: true, subtree: true });
    for (const key of letters) {
      const code = /[a-z]/u.test(key) ? `Key${key.toUpperCase()}` : /\d/u.test(key) ? `Digit${key}` : '';
      for (const type of ['keydown', 'keypress', 'keyup']) {
        const event = new KeyboardEvent(type, {
          key,
          code,
          keyCode: key.toUpperCase().charCodeAt(0),
          bubbles: true,
          cancelable: true,
        });
        isChanged ||= !document.body.dispatchEvent(event);
      }
    }
    isChanged ||= observer.takeRecords().length > 0 || activeElement() !== before || isBusy();
    // A page that is being left has not gone yet.
    if (!isChanged) await window.fairTrailActivity?.wait(150);
    observer.disconnect();
    return isChanged;
  },

  /** Lets every movement come to its end. */
  finishMotion(): void {
    for (const animation of document.getAnimations()) {
      // One that goes on for ever has no end.
      if (animation.effect?.getComputedTiming().endTime !== Infinity) animation.finish();
    }
  },
};

export type PageScript = typeof script;

declare global {
  interface Window {
    fairTrailAudit?: PageScript;
  }
}

// In every frame, and before the page's own scripts.
window.fairTrailAudit = script;
