import { hrefOf } from './hrefs.ts';
import type { Position } from './locate.ts';
import type { Site } from './site.ts';

/** A link to the same page in one of the site's languages. */
export interface LanguageLink {
  /** A language tag (BCP 47). */
  readonly language: string;
  /** The language's name in itself. */
  readonly label: string;
  readonly href: string;
  readonly current: boolean;
}

/**
 * Returns links to the page at a position in each language of the site. For an unknown page, or one that a language
 * does not have, the link leads to the home page.
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
