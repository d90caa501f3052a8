import { isSamePage, type FoundLink, type FoundMenu, type PageReport } from 'fair-trail/internal/audit';
import type { Probe } from '../probe.ts';

export const menuOrderDiffers: Probe = {
  id: 'menu-order-differs',
  title: 'The links of a menu are in another order than on other pages.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['3.2.3'],
  affects: 'People who know where a link is do not find it there.',
  remedy: 'Generate the menu from one list on all pages, and mark the current item in place.',
  standard: 'WCAG 2.2, 3.2.3 Consistent Navigation',
};

export const namesDiffer: Probe = {
  id: 'names-differ',
  title: 'A menu link has another name than on other pages.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['3.2.4'],
  affects: 'People who look or listen for the name that they know.',
  remedy: 'Generate the menu from one list on all pages.',
  standard: 'WCAG 2.2, 3.2.4 Consistent Identification',
};

export const narrowMenuLacks: Probe = {
  id: 'narrow-menu-lacks',
  title: 'Links of the wide menu cannot be reached in a narrow window.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['1.4.10'],
  affects: 'Everyone with a phone, and people who zoom in.',
  remedy: 'Use one list for both, and put what does not fit behind a toggle.',
  standard: 'WCAG 2.2, 1.4.10 Reflow: without loss of information or functionality',
};

export const titlesAlike: Probe = {
  id: 'titles-same',
  title: 'Different pages have the same title.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['2.4.2'],
  affects:
    'Everyone with several tabs or a long history, and screen reader users: the title is the first thing they hear.',
  remedy: 'Start the title with the name of the page, and end it with the name of the site.',
  standard: 'WCAG 2.2, 2.4.2 Page Titled',
};

export const markMovesRow: Probe = {
  id: 'mark-moves-row',
  title: 'The mark of the current page moves the other items of its row.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who goes from page to page: the links change their places.',
  remedy: 'Use a mark that takes no room, or reserve the room of the mark, and of the bold label, on all items.',
  standard: 'CSS Basic User Interface 4, section 3 (outline)',
};

export const languageDiffers: Probe = {
  id: 'language-differs',
  title: 'A page declares another language than the other pages, but has the same menu.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['3.1.1'],
  affects: 'Screen readers read the page or its menu with the wrong pronunciation.',
  remedy: 'Set lang to the language of each page. On a translated page, translate the menu too.',
  standard: 'WCAG 2.2, 3.1.1 Language of Page and 3.1.2 Language of Parts',
};

export const landmarkOrderDiffers: Probe = {
  id: 'landmark-order-differs',
  title: 'The menus of a page are in another order than on other pages.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['3.2.3'],
  affects: 'Screen reader users and people who zoom in do not find a menu where they expect it.',
  remedy: 'Put the menus into the layout that all pages share.',
  standard: 'WCAG 2.2, 3.2.3 Consistent Navigation, failure F66',
};

export const helpMoves: Probe = {
  id: 'help-moves',
  title: 'The link to help is in another place than on other pages.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['3.2.6'],
  affects: 'People who need help and look where it was last time.',
  remedy: 'Put it into the layout that all pages share.',
  standard: 'WCAG 2.2, 3.2.6 Consistent Help',
};

export const fieldNamesDiffer: Probe = {
  id: 'field-names-differ',
  title: 'A field with the same purpose has another name than on other pages.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['3.2.4'],
  affects: 'Screen reader and speech input users look for the name that they know.',
  remedy: 'Use one component for the field on all pages.',
  standard: 'WCAG 2.2, 3.2.4 Consistent Identification, failure F31',
};

export const menuLacksLink: Probe = {
  id: 'menu-lacks-link',
  title: 'A menu lacks a link that it has on all other pages.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone on this page who looks for the missing link.',
  remedy: 'Generate the menu from one list on all pages.',
  standard: 'WCAG 2.2, 3.2.3 Consistent Navigation: what is repeated on several pages',
};

export const oneWayOnly: Probe = {
  id: 'one-link-only',
  title: 'A page can be reached from one page only.',
  severity: 'advice',
  certainty: 'likely',
  wcag: ['2.4.5'],
  affects: 'People who did not come through the one page that links to it.',
  remedy: 'List it in a menu; or offer a search, or a page that lists all pages.',
  standard: 'WCAG 2.2, 2.4.5 Multiple Ways',
};

export const acrossProbes: readonly Probe[] = [
  menuOrderDiffers,
  namesDiffer,
  narrowMenuLacks,
  titlesAlike,
  markMovesRow,
  languageDiffers,
  landmarkOrderDiffers,
  helpMoves,
  fieldNamesDiffer,
  menuLacksLink,
  oneWayOnly,
];

/** A difference between one page and the others. */
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
  /** The first page at each width, which the others are compared with. */
  readonly #parts = new Map<number, { readonly page: string; readonly report: PageReport }>();
  readonly #fields = new Map<string, { readonly page: string; readonly name: string }>();
  /** Copies of each menu, one a page, at the first width that it was seen at. */
  readonly #copies = new Map<string, { readonly page: string; readonly width: number; readonly menu: FoundMenu }[]>();
  /** The pages that were read, with the first width of each. */
  readonly #read = new Map<string, number>();
  /** Which pages link to a page; and the pages that a menu lists. */
  readonly #sources = new Map<string, Set<string>>();
  readonly #listed = new Set<string>();
  #hasOtherWay = false;

  /** What is otherwise on a page than on those before it. */
  *add(report: PageReport, page: string, width: number): Iterable<Difference> {
    this.#remember(report, page, width);
    for (const menu of report.menus) {
      yield* this.#compareRow(menu, page, width);
      if (menu.role === 'navigation') yield* this.#compareOrder(menu, page, width);
    }
    for (const menu of report.hiddenMenus) if (menu.role === 'navigation') yield* this.#compareOrder(menu, page, width);
    yield* this.#compareTitle(report, page, width);
    yield* this.#compareParts(report, page, width);
  }

  /** Links that are missing on one page, of menus that several others have alike. */
  *drifted(): Iterable<Difference> {
    for (const copies of this.#copies.values()) {
      if (copies.length < 4) continue;
      const counts = new Map<string, number>();
      for (const { menu } of copies)
        for (const href of firstLinks(menu).keys()) counts.set(href, (counts.get(href) ?? 0) + 1);
      for (const { page, width, menu } of copies) {
        const own = firstLinks(menu);
        const lacking = [...counts].filter(
          ([href, count]) => count === copies.length - 1 && !own.has(href) && !isOnePage(href, page),
        );
        const [first] = lacking;
        const source = first && copies.find((copy) => firstLinks(copy.menu).has(first[0]));
        const link = source && firstLinks(source.menu).get(first[0]);
        if (!link || lacking.length > own.size / 2) continue;
        const message = `It is “${link.label}”.`;
        yield { probe: menuLacksLink, page, width, place: menu, message };
      }
    }
  }

  /** Pages that one page alone links to, if there is no search and no list of all pages. */
  *hardToFind(start: string): Iterable<Difference> {
    if (this.#hasOtherWay || this.#read.size < 4) return;
    for (const [page, width] of this.#read) {
      const sources = this.#sources.get(page);
      if (page === start || this.#listed.has(page) || sources?.size !== 1) continue;
      const [source = ''] = sources;
      const place = { selector: 'html', html: `<html> of ${new URL(page).pathname}` };
      const message = `Only ${new URL(source).pathname} links to it.`;
      yield { probe: oneWayOnly, page, width, place, message };
    }
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

  *#compareParts(report: PageReport, page: string, width: number): Iterable<Difference> {
    const { language, landmarks, help, fields } = report;
    const menusOfAll = (of: PageReport) => [...of.menus, ...of.hiddenMenus].flatMap(({ links }) => links);
    const known = this.#parts.get(width);
    if (!known) {
      this.#parts.set(width, { page, report });
      for (const field of fields)
        if (!this.#fields.has(field.key)) this.#fields.set(field.key, { page, name: field.name });
      return;
    }
    const pathOfOther = new URL(known.page).pathname;
    const base = (tag: string) => tag.trim().toLowerCase().split('-')[0] ?? '';
    const labels = new Set(menusOfAll(known.report).map(({ label, href }) => `${label} ${href}`));
    const shared = menusOfAll(report).filter(({ label, href }) => labels.has(`${label} ${href}`));
    if (base(language) !== '' && base(known.report.language) !== '' && base(language) !== base(known.report.language)) {
      const place = { selector: 'html', html: `<html lang="${language}">` };
      const message = `It says ${language}; ${pathOfOther} says ${known.report.language}.`;
      if (shared.length >= 3) yield { probe: languageDiffers, page, width, place, message };
    }
    yield* this.#compareLandmarks(known, { landmarks, page, width });
    for (const link of help) {
      const other = known.report.help.find(({ href }) => href === link.href);
      const isThereToo = known.report.help.some(({ href, place }) => href === link.href && place === link.place);
      if (!other || isThereToo || help.some(({ href, place }) => href === link.href && place === other.place)) continue;
      const message = `It stands in the ${link.place} here, and in the ${other.place} on ${pathOfOther}.`;
      yield { probe: helpMoves, page, width, place: link, message };
    }
    for (const field of fields) {
      const other = this.#fields.get(field.key);
      if (!other) this.#fields.set(field.key, { page, name: field.name });
      else if (field.name !== '' && other.name !== '' && !isSameName(field.name, other.name)) {
        const message = `It is “${field.name}” here, and “${other.name}” on ${new URL(other.page).pathname}.`;
        yield { probe: fieldNamesDiffer, page, width, place: field, message };
      }
    }
  }

  *#compareLandmarks(
    known: { readonly page: string; readonly report: PageReport },
    { landmarks, page, width }: Pick<PageReport, 'landmarks'> & { readonly page: string; readonly width: number },
  ): Iterable<Difference> {
    const keyOf = ({ role, name }: PageReport['landmarks'][number]) => `${role} ${name}`;
    const once = (all: PageReport['landmarks']) =>
      all.map(keyOf).filter((key, index, keys) => keys.indexOf(key) === keys.lastIndexOf(key));
    const [mine, theirs] = [once(landmarks), once(known.report.landmarks)];
    const order = mine.filter((key) => theirs.includes(key));
    const expected = theirs.filter((key) => mine.includes(key));
    const at = order.findIndex((key, index) => key !== expected[index]);
    // Of parts that are no menus, the order may follow the content.
    const moved = landmarks.find((landmark) => keyOf(landmark) === order[at]);
    if (at < 0 || !moved || ![order[at], expected[at]].some((key) => key?.startsWith('navigation'))) return;
    const other = known.report.landmarks.find((landmark) => keyOf(landmark) === expected[at]);
    const said = (landmark: PageReport['landmarks'][number]) =>
      `the ${landmark.role}${landmark.name === '' ? '' : ` “${landmark.name}”`}`;
    const message = `Here ${said(moved)} comes before ${other ? said(other) : 'another'}; on ${new URL(known.page).pathname} it is the other way round.`;
    yield { probe: landmarkOrderDiffers, page, width, place: moved, message };
  }

  #reachableAt(width: number): Set<string> {
    const known = this.#reachable.get(width) ?? new Set<string>();
    this.#reachable.set(width, known);
    return known;
  }

  #remember({ menus, hiddenMenus, folded, others, hasOtherWay }: PageReport, page: string, width: number): void {
    this.#hasOtherWay ||= hasOtherWay;
    if (!this.#read.has(page)) {
      this.#read.set(page, width);
      for (const { href } of others) {
        const address = href.split('#')[0] ?? href;
        if (address !== page) this.#sources.set(address, (this.#sources.get(address) ?? new Set()).add(page));
      }
      for (const menu of [...menus, ...hiddenMenus]) {
        for (const { href } of menu.links) this.#listed.add(href.split('#')[0] ?? href);
        if (menu.role !== 'navigation' || menu.links.length < 3) continue;
        const key = `${menu.name} ${menu.selector}`;
        const copies = this.#copies.get(key) ?? [];
        copies.push({ page, width, menu });
        this.#copies.set(key, copies);
      }
    }
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
    const pathOfOther = new URL(known.page).pathname;
    const moved = movedLink(menu, known.menu);
    if (moved) {
      const message = `“${moved.label}” stands elsewhere on ${pathOfOther}.`;
      yield { probe: menuOrderDiffers, page, width, place: menu, message };
    }
    for (const href of shared) {
      const [one, other] = [mine.get(href), theirs.get(href)];
      if (!one || !other || isSameName(one.label, other.label)) continue;
      // Where a page is listed twice, as the next one and by its number, one of them may be a text here.
      if (isListedTwice(menu, href) || isListedTwice(known.menu, href)) continue;
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
    if (title.trim() === '' || this.#isFirst.has(page)) return;
    this.#isFirst.add(page);
    const known = this.#titles.get(title);
    // A folder and the page that answers for it are one.
    if (known && isOnePage(known.page, page)) return;
    if (!known) this.#titles.set(title, { page, heading });
    else if (known.heading !== heading || (heading === '' && new URL(known.page).pathname !== new URL(page).pathname)) {
      const place = { selector: 'head > title', html: `<title>${title}</title>` };
      const said = (text: string, address: string) => (text === '' ? new URL(address).pathname : `“${text}”`);
      const message = `${said(heading, page)} and ${said(known.heading, known.page)} are both called “${title}”.`;
      yield { probe: titlesAlike, page, width, place, message };
    }
  }
}

/**
 * The first link that comes in another order than on another page. The same link has the same address and the same label:
 * "Next" and "2" lead to one page, and either may be a text if there is no next page.
 */
function movedLink(menu: FoundMenu, other: FoundMenu): FoundLink | undefined {
  const keyOf = ({ href, label }: FoundLink) => `${label.toLowerCase()} ${href}`;
  const once = ({ links }: FoundMenu) => {
    const keys = links.filter(({ label }) => label !== '').map(keyOf);
    return keys.filter((key) => keys.indexOf(key) === keys.lastIndexOf(key));
  };
  const [mine, theirs] = [once(menu), once(other)];
  const order = mine.filter((key) => theirs.includes(key));
  const expected = theirs.filter((key) => mine.includes(key));
  if (order.length < 3) return undefined;
  const at = order.findIndex((key, index) => key !== expected[index]);
  return at < 0 ? undefined : menu.links.find((link) => keyOf(link) === order[at]);
}

function isOnePage(one: string, other: string): boolean {
  return URL.canParse(one) && URL.canParse(other) && isSamePage(new URL(one), new URL(other));
}

function isListedTwice({ links }: FoundMenu, address: string): boolean {
  return links.filter(({ href }) => href === address).length > 1;
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
