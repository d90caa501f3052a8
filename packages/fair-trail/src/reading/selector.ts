import { hostOf } from './visible.ts';

/**
 * A CSS selector that finds this element alone: by its id where that is the only one, else by its way down. In a shadow root,
 * the selectors of the hosts go before it, with ` >>> ` between.
 */
export function selectorOf(element: Element): string {
  const root = element.getRootNode() as Document | ShadowRoot;
  const way = wayDown(element, root);
  const host = hostOf(root);
  return host ? `${selectorOf(host)} >>> ${way}` : way;
}

function wayDown(element: Element, root: Document | ShadowRoot): string {
  const steps: string[] = [];
  for (let at: Element | null = element; at; at = at.parentElement) {
    if (at.id !== '' && root.querySelectorAll(`#${CSS.escape(at.id)}`).length === 1) {
      steps.unshift(`#${CSS.escape(at.id)}`);
      break;
    }
    steps.unshift(stepOf(at));
    if (at.localName === 'body') break;
  }
  return steps.join(' > ');
}

function stepOf(element: Element): string {
  const name = CSS.escape(element.localName);
  const { place, count } = placeAmong(element);
  return count > 1 ? `${name}:nth-of-type(${place})` : name;
}

/** Counted once for all children of an element, as long as nothing else can have run: a list may have very many items. */
const counted = new Map<Element, ReadonlyMap<Element, { readonly place: number; count: number }>>();

function placeAmong(element: Element): { readonly place: number; readonly count: number } {
  const parent = element.parentElement;
  if (!parent) return { place: 1, count: 1 };
  if (counted.size === 0) queueMicrotask(() => counted.clear());
  let places = counted.get(parent);
  if (!places) {
    const totals = new Map<string, number>();
    const found = new Map(
      [...parent.children].map((child) => {
        const place = (totals.get(child.localName) ?? 0) + 1;
        totals.set(child.localName, place);
        return [child, { place, count: 0 }];
      }),
    );
    for (const [child, entry] of found) entry.count = totals.get(child.localName) ?? 1;
    places = found;
    counted.set(parent, places);
  }
  return places.get(element) ?? { place: 1, count: 1 };
}

/** An element's own tag, shortened: what a reader knows it again by. */
export function tagOf(element: Element): string {
  const copy = element.cloneNode(false) as Element;
  const end = `</${element.localName}>`;
  const tag = copy.outerHTML.endsWith(end) ? copy.outerHTML.slice(0, -end.length - 1) : copy.outerHTML;
  const text = element.textContent.replaceAll(/\s+/gu, ' ').trim();
  const whole = copy.outerHTML === tag ? tag : `${tag}>${text}${end}`;
  return whole.length > mostCharacters ? `${whole.slice(0, mostCharacters)}…` : whole;
}

const mostCharacters = 300;

/** How an element is described outside of the page: its selector, and the start of its markup. */
export interface ElementPlace {
  readonly selector: string;
  readonly html: string;
}

export function placeOf(element: Element): ElementPlace {
  return { selector: selectorOf(element), html: tagOf(element) };
}
