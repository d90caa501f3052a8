import type { VisitedPage, VisitedPages } from './visited-pages.ts';
import { pathOf, type ExpectedPage } from './expected-pages.ts';
import type { WalkFault, WalkNotes } from './walk-report.ts';

/** From so many pages on, what is wrong on most of them alike is one fault of the site file. */
const fewestAlike = 3;

/** How many of the pages most of them are. */
const most = 0.8;

/**
 * Tells a wrong site file from a wrong page, by what the other pages say: a page that is not where the site file has it, and
 * that menus lead to elsewhere; titles that are all otherwise; a label that the page has for a heading.
 */
export function settleBlame(notes: WalkNotes, stops: readonly ExpectedPage[], seen: VisitedPages): void {
  const byAddress = new Map(stops.map((stop) => [stop.address, stop]));
  const stopOf = ({ address }: WalkFault) => (address === null ? null : (byAddress.get(address) ?? null));
  settleTitles(notes, stops, seen);
  const renamed = new Map<string, string>();
  notes.revise((fault) => {
    const stop = stopOf(fault);
    const settled = settle(fault, stop, seen);
    if (stop && settled.code === 'other-label' && settled.blame === 'site file') {
      renamed.set(stop.label, seen.page(stop.key)?.heading ?? stop.label);
    }
    return settled;
  });
  notes.drop((fault) => {
    const stop = stopOf(fault);
    const page = stop && seen.page(stop.key);
    return page !== null && isOfLabel(fault, page, renamed);
  });
}

function settle(fault: WalkFault, stop: ExpectedPage | null, seen: VisitedPages): WalkFault {
  // Whoever made the page has put it there.
  if (fault.code === 'not-in-site-file') return { ...fault, blame: 'site file' };
  if (!stop) return fault;
  const page = seen.page(stop.key);
  switch (fault.code) {
    case 'page-missing':
      return settleMissing(fault, stop, seen);
    case 'leads-elsewhere':
      return { ...fault, blame: page ? 'page' : 'site file' };
    case 'other-label': {
      const { heading = null } = page ?? {};
      if (heading === stop.label) return { ...fault, blame: 'page' };
      if (heading === null || !seen.labelsOf(stop.key).has(heading)) return fault;
      const message = `${fault.message} The page’s heading agrees with the menu.`;
      return { ...fault, blame: 'site file', message };
    }
    default:
      return fault;
  }
}

/** A label that is old in the site file alone is one fault, and not another in each title and way that it is in. */
function isOfLabel(
  { code }: WalkFault,
  { stop, title, breadcrumbs }: VisitedPage,
  renamed: ReadonlyMap<string, string>,
) {
  const now = (label: string) => renamed.get(label) ?? label;
  if (code === 'wrong-title') {
    return renamed.has(stop.label) && title === stop.title.replace(stop.label, () => now(stop.label));
  }
  if (code !== 'wrong-breadcrumbs') return false;
  const way = stop.breadcrumbs.map(now);
  return breadcrumbs !== null && breadcrumbs.length > 0 && breadcrumbs.every((name, index) => name === way[index]);
}

/** A page may be elsewhere than the site file says: where a link of its label leads. */
function settleMissing(fault: WalkFault, { key, label }: ExpectedPage, seen: VisitedPages): WalkFault {
  const elsewhere = [...seen.placesOf(label)].find(([place]) => place !== key);
  if (elsewhere) {
    const message = `${fault.message} The menus lead to ${pathOf(elsewhere[1])} under its label.`;
    return { ...fault, blame: 'site file', message };
  }
  return seen.labelsOf(key).size > 0
    ? { ...fault, blame: 'page', message: `${fault.message} Menus lead to it.` }
    : { ...fault, blame: 'site file', message: `${fault.message} No menu leads to it.` };
}

/** Titles that are all made otherwise, each for its own page, are made by another pattern; one title for all pages is frozen. */
function settleTitles(notes: WalkNotes, stops: readonly ExpectedPage[], seen: VisitedPages): void {
  const faulty = new Set(notes.faults.filter(({ code }) => code === 'wrong-title').map(({ address }) => address));
  const pages = stops.filter(({ address }) => faulty.has(address)).map(({ key }) => seen.page(key));
  const wrong = pages.filter((page) => page !== null && page.title !== page.stop.title);
  const [first] = wrong;
  const isOfMost = wrong.length === pages.length && wrong.length >= Math.max(fewestAlike, seen.size * most);
  if (!first || !isOfMost || new Set(wrong.map((page) => page?.title)).size < wrong.length) return;
  const message =
    `${first.stop.address} is titled “${first.title}”, and “${first.stop.title}” in the site file. ` +
    `So it is on ${wrong.length} of ${seen.size} pages.`;
  let isTold = false;
  notes.revise((fault) => {
    if (fault.code !== 'wrong-title') return fault;
    if (isTold) return null;
    isTold = true;
    return { ...fault, entry: null, address: null, pointer: '/title', blame: 'site file', message };
  });
}
