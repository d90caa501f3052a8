import { hrefOf } from './hrefs.ts';
import type { Position } from './locate.ts';
import type { Site } from './site.ts';

/** The way to the same page in one of the site's languages. */
export interface LanguageLink {
  /** A language tag (BCP 47). */
  readonly language: string;
  /** The language's name in itself. */
  readonly label: string;
  readonly href: string;
  readonly current: boolean;
}

/**
 * Where the page at a position is found in each language of the site. From an address that is no page, or a page that a
 * language does not have, to its home page.
 *
 * @param names names to show instead of those that the browser knows, by language
 * @example
 * for (const { label, href, current } of languageLinks(site, position)) console.log(label, href, current);
 */
export function languageLinks(
  site: Site,
  position: Position,
  names: Readonly<Record<string, string>> = {},
): readonly LanguageLink[] {
  return site.languages.flatMap((language) => {
    const { entry, params } = position;
    const own = entry && hrefOf(site, entry, params, language);
    const href = own ?? (site.home && hrefOf(site, site.home, {}, language));
    if (href === null) return [];
    const label = (Object.hasOwn(names, language) ? names[language] : undefined) ?? nameOf(language);
    return [{ language, label, href, current: language === position.language }];
  });
}

function nameOf(language: string): string {
  try {
    return new Intl.DisplayNames([language], { type: 'language' }).of(language) ?? language;
  } catch {
    return language; // No name is known for it: its tag still tells something.
  }
}
