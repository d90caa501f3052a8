/** Text in the site's own language, or in several, by their tags. The site's own must be among them. */
export type Localized = string | Readonly<Record<string, string>>;

/** Text by language; the site's own language is always among them. */
export type Texts = Readonly<Record<string, string>>;

/** Nothing in any language. Without the fields that every object has: `valueOf` can be the tag of a language. */
export const nothingByLanguage = Object.freeze(Object.create(null)) as Readonly<Record<string, never>>;

/** The text in a language, or else in the site's own. */
export function textIn(texts: Texts, language: string, ownLanguage: string): string {
  return (Object.hasOwn(texts, language) ? texts[language] : texts[ownLanguage]) ?? '';
}
