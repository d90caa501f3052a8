import { accessibleName } from '../accessible-name.ts';
import { audit, type AuditResult, type AuditOptions } from '../audit.ts';
import { deepElements, linksIn } from '../deep-elements.ts';
import { holds, navigationsOf } from '../navigations.ts';
import { inOneReading } from '../one-reading.ts';
import { roleOf } from '../role.ts';
import { contrastOfLabel, type LabelContrast } from '../rules/size-and-contrast.ts';
import { selectorOf, tagOf } from '../selector.ts';
import { isExposed, isSeen } from '../visible.ts';
import { doubleText, movements, spaceText } from './conditions.ts';
import { elementAt } from './elements.ts';
import { fingerprintOf } from './fingerprint.ts';
import { coverOf, focused, focusOn, leaveFocus, unreached } from './focus.ts';
import { foldedLinks } from './folded-links.ts';
import { hoverTriggers, type HoverTrigger } from './hover.ts';
import { cutLabels, overlaps, sticksOut } from './labels.ts';
import { menusOf, type FoundMenu } from './menus.ts';
import { isStillOpen, panelOf } from './panel.ts';
import { rest, settle } from './quiet.ts';
import { skipLinks, type SkipLink } from './skip-links.ts';
import { boxesOf, placeOf, snapshot, watch } from './snapshot.ts';
import { tablistsOf, type FoundTablist } from './tablists.ts';
import { togglesIn, type FoundToggle } from './toggles.ts';

/** What a page under audit tells whoever uses it. */
export interface PageReport extends AuditResult {
  readonly title: string;
  readonly heading: string;
  readonly menus: readonly FoundMenu[];
  /** Where links of menus lead that are hidden behind controls which say that they open something. */
  readonly folded: readonly string[];
  /** Where every other link of the page leads, and what it is called. */
  readonly others: readonly { readonly href: string; readonly label: string }[];
  readonly toggles: readonly FoundToggle[];
  readonly tablists: readonly FoundTablist[];
  readonly skipLinks: readonly SkipLink[];
  readonly hoverTriggers: readonly HoverTrigger[];
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
    folded: foldedLinks(navigations),
    others: linksIn(document)
      .slice(0, mostOthers)
      .map((link) => ({ href: link.href, label: link.textContent.trim() })),
    toggles: togglesIn(navigations),
    tablists: tablistsOf(document),
    skipLinks: skipLinks(document),
    hoverTriggers: hoverTriggers(navigations),
  };
}

/** What the command asks of a page: it is put into the page as a script of its own. */
const script = {
  report(options: AuditOptions): PageReport {
    return inOneReading(() => reportOf(options));
  },

  /** The menus alone: enough to know whether they have been used. */
  fingerprints(): readonly string[] {
    const { landmarks, runs } = navigationsOf(document);
    return [...landmarks, ...runs].filter(isExposed).map(fingerprintOf);
  },

  settle,
  rest,
  watch,
  snapshot,
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
    const { landmarks, runs } = navigationsOf(document);
    const isInMenu = (element: Element) =>
      [...landmarks, ...runs].some((menu) => holds(menu, element)) ||
      element.closest('header, [role="banner"]') !== null;
    return deepElements(document, 'select')
      .filter((element) => isInMenu(element) && isSeen(element) && (element as HTMLSelectElement).options.length > 1)
      .map((element) => ({ selector: selectorOf(element), html: tagOf(element) }));
  },

  /** Remembers this document, and tells whether it is the one that was remembered. */
  remember(): void {
    isRemembered = true;
  },
  isRemembered: () => isRemembered,

  /** What assistive technology is told of an element, as the rules take it; null for what it is not told of. */
  toldOf(selector: string): { readonly role: string | null; readonly name: string } | null {
    const element = elementAt(selector);
    if (!element || !isExposed(element)) return null;
    const role = roleOf(element);
    return { role, name: accessibleName(element, role) };
  },

  /** What hides an element now, without focus on it. */
  coverOf(selector: string): string | null {
    const element = elementAt(selector);
    return element && coverOf(element);
  },

  /** How much of the window is taken by what stays where it is, at its upper and lower end; null where nothing does. */
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

  /** The contrast of a label as it is drawn now, and what it needs; null where that is not known. */
  contrastOf(selector: string): LabelContrast | null {
    const element = elementAt(selector);
    return element && contrastOfLabel(element);
  },

  /** The middle of an element in the window, scrolled into sight; null where it is not there. */
  middleOf(selector: string): readonly [x: number, y: number] | null {
    const element = elementAt(selector);
    if (!element) return null;
    element.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
    const { left, top, width, height } = element.getBoundingClientRect();
    return width === 0 || height === 0 ? null : [left + width / 2, top + height / 2];
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
