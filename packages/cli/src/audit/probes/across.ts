import type { FoundLink, FoundMenu, PageReport } from 'fair-trail/internal/audit';
import type { Probe } from '../probe.ts';

export const menuOrderDiffers: Probe = {
  id: 'menu-order-differs',
  title: 'A menu has its links in another order than on other pages.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['3.2.3'],
  hurts: 'People who know where a link is, by hand, by ear or by eye: it is not there.',
  remedy: 'Make the menu from one list on all pages; mark the current item where it stands.',
  standard: 'WCAG 2.2, 3.2.3 Consistent Navigation',
};

export const namesDiffer: Probe = {
  id: 'names-differ',
  title: 'A link of a menu is called otherwise than on other pages.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['3.2.4'],
  hurts: 'People who look or listen for the name that they know.',
  remedy: 'Make the menu from one list on all pages.',
  standard: 'WCAG 2.2, 3.2.4 Consistent Identification',
};

export const narrowMenuLacks: Probe = {
  id: 'narrow-menu-lacks',
  title: 'Links of the wide menu cannot be come by in a narrow window.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['1.4.10'],
  hurts: 'Everybody with a phone, and people who enlarge the page.',
  remedy: 'Use one list for both, and hide what does not fit behind a toggle.',
  standard: 'WCAG 2.2, 1.4.10 Reflow: without loss of information or functionality',
};

export const titlesAlike: Probe = {
  id: 'titles-alike',
  title: 'Different pages have the same title.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.2'],
  hurts:
    'Everybody with several tabs or a long history, and people who listen to the page: its title is the first thing they hear.',
  remedy: 'Begin the title with what the page is, and end it with whose.',
  standard: 'WCAG 2.2, 2.4.2 Page Titled',
};

export const markMovesRow: Probe = {
  id: 'mark-moves-row',
  title: 'The mark of the current page pushes the other items of its row.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  hurts: 'Everybody who goes from page to page: the links are never where they were.',
  remedy: 'Mark with what takes no room, or keep the room of the mark, and of the bold label, free on all items.',
  standard: 'CSS Basic User Interface 4, section 3 (outline)',
};

export const acrossProbes: readonly Probe[] = [
  menuOrderDiffers,
  namesDiffer,
  narrowMenuLacks,
  titlesAlike,
  markMovesRow,
];

/** What is told of one page, in comparison with others. */
export interface Difference {
  readonly probe: Probe;
  readonly page: string;
  readonly width: number;
  readonly place: { readonly selector: string; readonly html: string };
  readonly message: string;
}

interface ComparedMenu {
  readonly page: string;
  readonly menu: FoundMenu;
}

/** Remembers pages as they were seen, and holds them against each other. */
export class Comparison {
  readonly #menus = new Map<string, ComparedMenu>();
  readonly #rows = new Map<string, { readonly page: string; readonly links: readonly FoundLink[] }>();
  readonly #titles = new Map<string, { readonly page: string; readonly heading: string }>();
  readonly #drawn = new Map<number, Map<string, { readonly page: string; readonly link: FoundLink }>>();
  readonly #reachable = new Map<number, Set<string>>();
  readonly #isFirst = new Set<string>();

  /** What is otherwise on a page than on those before it. */
  *add(report: PageReport, page: string, width: number): Iterable<Difference> {
    this.#remember(report, page, width);
    for (const menu of report.menus) {
      yield* this.#compareRow(menu, page, width);
      if (menu.role === 'navigation') yield* this.#compareOrder(menu, page, width);
    }
    yield* this.#compareTitle(report, page, width);
  }

  /** Links that a toggle has shown at this width. */
  opened(addresses: readonly string[], width: number): void {
    for (const address of addresses) this.#reachableAt(width).add(address);
  }

  /** The links of the widest window that the narrowest has not, in any way that was tried. */
  *lacking(narrow: number, wide: number): Iterable<Difference> {
    const reachable = this.#reachableAt(narrow);
    const lacking = [...(this.#drawn.get(wide) ?? [])].filter(([address]) => !reachable.has(address));
    const [first] = lacking;
    if (!first || narrow === wide) return;
    const labels = lacking.slice(0, 5).map(([, { link }]) => `“${link.label}”`);
    const more = lacking.length > labels.length ? ` and ${lacking.length - labels.length} more` : '';
    const [, { page, link }] = first;
    const message = `They are: ${labels.join(', ')}${more}. They are shown at ${wide} px.`;
    yield { probe: narrowMenuLacks, page, width: narrow, place: link, message };
  }

  #reachableAt(width: number): Set<string> {
    const known = this.#reachable.get(width) ?? new Set<string>();
    this.#reachable.set(width, known);
    return known;
  }

  #remember({ menus, folded }: PageReport, page: string, width: number): void {
    for (const address of folded) this.#reachableAt(width).add(address);
    const drawn = this.#drawn.get(width) ?? new Map<string, { readonly page: string; readonly link: FoundLink }>();
    this.#drawn.set(width, drawn);
    for (const { links, role } of menus) {
      for (const link of links) {
        if (!link.isDrawn || link.label === '') continue;
        this.#reachableAt(width).add(link.href);
        // Only the page's own landmarks promise to be the same in every window.
        if (role === 'navigation' && !drawn.has(link.href)) drawn.set(link.href, { page, link });
      }
    }
  }

  *#compareOrder(menu: FoundMenu, page: string, width: number): Iterable<Difference> {
    const key = `${width} ${menu.name} ${menu.selector}`;
    const known = this.#menus.get(key);
    if (!known) {
      this.#menus.set(key, { page, menu });
      return;
    }
    const [mine, theirs] = [firstLinks(menu), firstLinks(known.menu)];
    const shared = [...mine.keys()].filter((href) => theirs.has(href));
    // Another menu that stands in the same place has other links.
    if (shared.length < 3 || shared.length < 0.7 * Math.max(mine.size, theirs.size)) return;
    const order = [...theirs.keys()].filter((href) => mine.has(href));
    const at = shared.findIndex((href, index) => href !== order[index]);
    const pathOfOther = new URL(known.page).pathname;
    const moved = at < 0 ? undefined : mine.get(shared[at] ?? '');
    if (moved) {
      const message = `“${moved.label}” stands elsewhere on ${pathOfOther}.`;
      yield { probe: menuOrderDiffers, page, width, place: menu, message };
    }
    for (const href of shared) {
      const [one, other] = [mine.get(href), theirs.get(href)];
      if (!one || !other || isSameName(one.label, other.label)) continue;
      const message = `It is “${one.label}” here, and “${other.label}” on ${pathOfOther}.`;
      yield { probe: namesDiffer, page, width, place: one, message };
    }
  }

  *#compareRow(menu: FoundMenu, page: string, width: number): Iterable<Difference> {
    const key = `${width} ${menu.selector} ${menu.fingerprint}`;
    const known = this.#rows.get(key);
    if (!known) {
      this.#rows.set(key, { page, links: menu.links });
      return;
    }
    const isMarkMoved = menu.links.some((link, index) => link.isCurrent !== known.links[index]?.isCurrent);
    const pushed = menu.links.find((link, index) => {
      const other = known.links[index];
      const isPlain = other !== undefined && link.isDrawn && other.isDrawn && !link.isCurrent && !other.isCurrent;
      return isPlain && Math.abs(link.left - other.left) > 1.5 && Math.abs(link.width - other.width) < 1;
    });
    if (!pushed || !isMarkMoved) return;
    const message = `“${pushed.label}” stands elsewhere on ${new URL(known.page).pathname}.`;
    yield { probe: markMovesRow, page, width, place: menu, message };
  }

  *#compareTitle({ title, heading }: PageReport, page: string, width: number): Iterable<Difference> {
    if (title.trim() === '' || heading === '' || this.#isFirst.has(page)) return;
    this.#isFirst.add(page);
    const known = this.#titles.get(title);
    if (!known) this.#titles.set(title, { page, heading });
    else if (known.heading !== heading) {
      const place = { selector: 'head > title', html: `<title>${title}</title>` };
      const message = `“${heading}” and “${known.heading}” are both called “${title}”.`;
      yield { probe: titlesAlike, page, width, place, message };
    }
  }
}

function firstLinks({ links }: FoundMenu): ReadonlyMap<string, FoundLink> {
  const first = new Map<string, FoundLink>();
  for (const link of links) if (link.label !== '' && !first.has(link.href)) first.set(link.href, link);
  return first;
}

/** A word for the current page, or a number that changes, is no other name. */
function isSameName(one: string, other: string): boolean {
  const [a, b] = [one, other].map((label) =>
    label
      .toLowerCase()
      .replaceAll(/[\d\s\p{Punctuation}]+/gu, ' ')
      .trim(),
  );
  return a === b || (a ?? '').includes(b ?? '') || (b ?? '').includes(a ?? '');
}
