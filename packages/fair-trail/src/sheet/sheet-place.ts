import { hrefOf } from '../core/site/hrefs.ts';
import { locate, type Position } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { everyEntry, type DefinedSite } from '../core/site/site.ts';
import type { ConditionOptions } from './condition-fields.tsx';
import { everyItem, pagesOf } from './every-item.ts';
import type { SheetMenus } from './sheet-context.ts';

/** The place that an address names, in a language; an address that is none of the site's is shown as such. */
export function placeIn(
  site: DefinedSite,
  address: string | null,
  language: string,
): { readonly url: string; readonly position: Position } {
  const home = site.home ? hrefOf(site, site.home) : null;
  const url = address ?? home ?? `${site.base}/`;
  const found = locate(site, url);
  const translated =
    found.entry && language !== found.language ? hrefOf(site, found.entry, found.params, language) : null;
  return translated === null ? { url, position: found } : { url: translated, position: locate(site, translated) };
}

const rightToLeft = /^(?:ar|arc|ckb|dv|fa|he|ks|ps|sd|ug|ur|yi)(?:-|$)/iu;

export function directionOf(language: string): 'ltr' | 'rtl' {
  return rightToLeft.test(language) && !/-Latn\b/iu.test(language) ? 'rtl' : 'ltr';
}

/** The last page that holds others, where there is another one beside it that opens in place. */
export function usualAnnex(items: readonly MenuItem[]): readonly string[] {
  const holders = [...everyItem(items)].filter(({ kind, items: below }) => kind === 'link' && below.length > 0);
  const last = holders.length > 1 ? holders.at(-1)?.entry : null;
  return last ? [last.id] : [];
}

export function optionsOf(
  site: DefinedSite,
  themes: readonly string[],
  itemsOf: (menu: string) => readonly MenuItem[],
  menus: SheetMenus,
): ConditionOptions {
  const entries = [...everyEntry(site.entries)];
  const audiences = new Set([...(site.audiences ?? []), ...entries.flatMap(({ audiences: of }) => of.flat())]);
  const addresses = (Object.values(menus) as string[]).flatMap((menu) => [...pagesOf(itemsOf(menu)).keys()]);
  return {
    themes,
    audiences: [...audiences],
    languages: site.languages,
    addresses: [...new Set(addresses)].slice(0, mostAddresses),
    home: (site.home && hrefOf(site, site.home)) ?? `${site.base}/`,
  };
}

/** As many as a list of suggestions helps with. */
const mostAddresses = 200;
