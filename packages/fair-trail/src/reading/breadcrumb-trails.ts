import { deepElements } from './deep-elements.ts';
import { resolved } from './addresses.ts';
import { isExposed } from './visible.ts';

/** The way to a page as it shows it. */
export interface BreadcrumbTrail {
  readonly element: Element;
  readonly items: readonly BreadcrumbLink[];
}

export interface BreadcrumbLink {
  readonly label: string;
  readonly link: HTMLAnchorElement | null;
  /** Where it leads; null if it is no link, or its address cannot be read. */
  readonly place: URL | null;
  readonly isCurrent: boolean;
}

/** What pages call them, in the languages we know. */
const words = /bread\s*-?crumb|brotkr|fil d.ariane|migas|you are here|sie sind hier/iu;

/** The breadcrumbs of a page: what is named so, or says it in its class or in its microdata. */
export function breadcrumbTrails(document: Document, url: URL): readonly BreadcrumbTrail[] {
  const named = deepElements(document, 'nav, ol, ul, div, [role="navigation"]').filter(
    (element) =>
      words.test(element.getAttribute('aria-label') ?? '') ||
      [...element.classList].some((name) => /^bread-?crumbs?$/iu.test(name)) ||
      (element.getAttribute('itemtype') ?? '').endsWith('/BreadcrumbList'),
  );
  const outer = named.filter((element) => !named.some((other) => other !== element && other.contains(element)));
  return outer
    .filter(isExposed)
    .map((element) => ({ element, items: itemsOf(element, url) }))
    .filter(({ items }) => items.length > 0);
}

function itemsOf(trail: Element, url: URL): readonly BreadcrumbLink[] {
  // What a step opens is a list of its own, and no step.
  const list = trail.matches('ol, ul') ? trail : trail.querySelector('ol, ul');
  const listed = [...(list?.querySelectorAll('li') ?? [])].filter(
    (item) => item.parentElement?.closest('ol, ul') === list,
  );
  const plain = [...trail.querySelectorAll('a[href], [aria-current]')];
  return (listed.length > 0 ? listed : plain)
    .filter(isExposed)
    .map((item) => itemOf(item, url))
    .filter(({ label }) => label !== '');
}

function itemOf(element: Element, url: URL): BreadcrumbLink {
  const own = ownElements(element);
  const link = (own.find((part) => part.matches('a[href]')) ?? null) as HTMLAnchorElement | null;
  const isCurrent = own.some((part) => part.matches('[aria-current]:not([aria-current="false"])'));
  return { label: labelOf(element), link, place: link && resolved(link, url), isCurrent };
}

/** The element and what is in it, but for the list of a panel that it opens. */
function ownElements(element: Element): readonly Element[] {
  const inner = [...element.querySelectorAll('*')].filter((part) => {
    const list = part.closest('ul, ol');
    return list === null || list === element || !element.contains(list);
  });
  return [element, ...inner];
}

/** What stands between steps: a name may begin with a sign of its own, such as `@`. */
const separators = String.raw`[\s/\\|<>«»‹›←→⇐⇒◂▸◀▶❮❯·•:–—-]+`;
const around = new RegExp(`^${separators}|${separators}$`, 'gu');

/** Without the signs between. */
export function labelOf(element: Element): string {
  const copy = element.cloneNode(true) as Element;
  for (const part of copy.querySelectorAll('ul, ol, button')) part.remove();
  return copy.textContent.replaceAll(/\s+/gu, ' ').replaceAll(around, '').trim();
}
