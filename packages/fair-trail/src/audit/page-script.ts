import { audit, type AuditAnswer, type AuditOptions } from './audit.ts';
import { deepElements, linksIn } from './deep-elements.ts';
import { accessibleName } from './accessible-name.ts';
import { holds, navigationsOf } from './navigations.ts';
import { roleOf } from './role.ts';
import { selectorOf, tagOf } from './selector.ts';
import { isDrawn, isSeen } from './visible.ts';

/** What a page under audit tells whoever uses it. */
export interface PageReport extends AuditAnswer {
  readonly title: string;
  /** The addresses that its navigation leads to, and what it calls them. */
  readonly links: readonly {
    readonly href: string;
    readonly label: string;
    readonly selector: string;
    readonly html: string;
  }[];
  /** The same for a page whose navigations are the same but for their marks. */
  readonly fingerprint: string;
  /** What says that it opens something. */
  readonly toggles: readonly FoundToggle[];
}

export interface FoundToggle {
  readonly selector: string;
  /** The same for a toggle of the same menu on another page. */
  readonly fingerprint: string;
}

/** What is to be seen and used now, to be compared with what is after something was done. */
export interface PageSnapshot {
  readonly url: string;
  readonly expanded: string | null;
  /** The selectors of the links and controls that are drawn. */
  readonly drawn: readonly string[];
  /** How often anything in the document has changed. */
  readonly changes: number;
}

let changes = 0;

/** What a menu says and where it leads: marks, and what a script adds to them, come and go. */
function fingerprintOf(menu: Element): string {
  const links = linksIn(menu).map((link) => `${link.getAttribute('href') ?? ''} ${link.textContent}`);
  return [menu.localName, menu.getAttribute('aria-label') ?? menu.textContent, ...links]
    .join(' ')
    .replaceAll(/\s+/gu, ' ');
}

/** What the command asks of a page: it is put into the page as a script of its own. */
const script = {
  report(options: AuditOptions): PageReport {
    const answer = audit(document, options);
    const { landmarks, runs } = navigationsOf(document);
    const navigations = [...landmarks, ...runs];
    const links = linksIn(document).filter((link) => navigations.some((navigation) => holds(navigation, link)));
    const toggles = deepElements(document, '[aria-expanded="false"]').filter((toggle) => {
      return isDrawn(toggle) && !toggle.matches(':disabled, [aria-disabled="true"]') && roleOf(toggle) !== 'combobox';
    });
    const menuOf = (toggle: Element) => navigations.find((navigation) => holds(navigation, toggle)) ?? toggle;
    return {
      ...answer,
      title: document.title,
      links: links.map((link) => ({
        href: link.href,
        label: accessibleName(link, 'link'),
        selector: selectorOf(link),
        html: tagOf(link),
      })),
      fingerprint: navigations.map(fingerprintOf).join('\n'),
      toggles: toggles
        .map((toggle) => ({
          selector: selectorOf(toggle),
          fingerprint: `${fingerprintOf(menuOf(toggle))}\n${fingerprintOf(toggle)}`,
        }))
        // What is in a shadow root is not pressed: no selector of a whole document finds it.
        .filter(({ selector }) => !selector.includes('>>>')),
    };
  },

  watch(): void {
    changes = 0;
    const all = { attributes: true, childList: true, characterData: true, subtree: true };
    new MutationObserver((records) => (changes += records.length)).observe(document.documentElement, all);
  },

  snapshot(selector: string): PageSnapshot {
    const controls = deepElements(
      document,
      'a[href], button, summary, input, select, [role="button"], [role^="menuitem"]',
    );
    return {
      url: location.href,
      expanded: document.querySelector(selector)?.getAttribute('aria-expanded') ?? null,
      drawn: controls.filter(isSeen).map(selectorOf),
      changes,
    };
  },

  /** Where focus is, if that is a link or a button; null elsewhere. */
  focused(): { readonly selector: string; readonly html: string; readonly seen: boolean } | null {
    let active = document.activeElement;
    while (active?.shadowRoot?.activeElement) active = active.shadowRoot.activeElement;
    if (!active || active === document.body || active === document.documentElement) return null;
    // A field that is drawn by its label is nothing to see by itself.
    const isPlain = active.matches('a[href], button, summary, [role="button"], [role="link"]');
    return { selector: selectorOf(active), html: tagOf(active), seen: !isPlain || isSeen(active) };
  },
};

export type PageScript = typeof script;

declare global {
  interface Window {
    fairTrailAudit?: PageScript;
  }
}

window.fairTrailAudit = script;
