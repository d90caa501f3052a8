import { labelFromPath } from './draft.ts';
import type { PageFacts } from './page-facts.ts';

export interface LabelledPage {
  readonly label: string;
  /** Where the label comes from, for the list of guesses. */
  readonly source: 'title' | 'heading' | 'address';
}

/** What parts the name of a page from the name of the site in a title. */
const separators = [' | ', ' · ', ' » ', ' « ', ' :: ', ' — ', ' – ', ' - ', ': '] as const;

/** The part of the titles that most of them share, with the separator: the name of the site. */
export interface TitleAffix {
  readonly separator: string;
  readonly text: string;
  readonly atEnd: boolean;
}

/** Found where at least half of the titles, and no fewer than three, begin or end alike. */
export function commonAffix(titles: readonly string[]): TitleAffix | null {
  const counts = new Map<string, { affix: TitleAffix; count: number }>();
  for (const title of titles) {
    for (const separator of separators) {
      const parts = title.split(separator);
      if (parts.length < 2) continue;
      const ends = [
        { text: parts.at(-1) ?? '', atEnd: true },
        { text: parts[0] ?? '', atEnd: false },
      ];
      for (const { text, atEnd } of ends) {
        const key = `${atEnd ? 'end' : 'start'}${separator}${text}`;
        const known = counts.get(key);
        if (known) known.count += 1;
        else counts.set(key, { affix: { separator, text, atEnd }, count: 1 });
      }
    }
  }
  const [best] = [...counts.values()].sort((one, other) => other.count - one.count);
  return best && best.count >= 3 && best.count * 2 >= titles.length ? best.affix : null;
}

/** What the labels of a folder's pages have in common. */
export interface LabelStyle {
  readonly affix: TitleAffix | null;
  /** Whether the pages are numbered like chapters, so that a number before a title is no part of it. */
  readonly isNumbered: boolean;
  readonly isRepeated: (title: string) => boolean;
}

export function labelStyle(titles: readonly string[]): LabelStyle {
  const counts = new Map<string, number>();
  for (const title of titles) counts.set(title, (counts.get(title) ?? 0) + 1);
  const numbered = titles.filter((title) => /^\d+(?:\.\d+)*[.)]?\s/u.test(title)).length;
  return {
    affix: commonAffix(titles),
    isNumbered: numbered * 3 >= titles.length,
    isRepeated: (title) => (counts.get(title) ?? 0) > 1,
  };
}

/** A label for a page: its title without the site's name, or its heading, or the words of its address. */
export function labelPage({ title, heading }: PageFacts, style: LabelStyle, segment: string): LabelledPage {
  const fromTitle = withoutNumber(stripAffix(title, style.affix), style.isNumbered);
  const fromHeading = withoutNumber(heading, style.isNumbered);
  // A title that many pages share is the site's name, or the chapter's, and no name of a page.
  if (fromTitle && !style.isRepeated(title)) return { label: fromTitle, source: 'title' };
  if (fromHeading) return { label: fromHeading, source: 'heading' };
  if (fromTitle) return { label: fromTitle, source: 'title' };
  return { label: labelFromPath(segment), source: 'address' };
}

export function stripAffix(title: string, affix: TitleAffix | null): string {
  if (!affix) return title;
  const { separator, text, atEnd } = affix;
  if (atEnd && title.endsWith(separator + text)) return title.slice(0, -(separator + text).length).trim();
  if (!atEnd && title.startsWith(text + separator)) return title.slice((text + separator).length).trim();
  return title;
}

/**
 * "3.2. Installing" and "Chapter 3. Installing" are both called "Installing"; "3.11 documentation" is not called
 * "documentation", unless the pages are numbered like chapters.
 */
function withoutNumber(text: string, isNumbered: boolean): string {
  const chapter = /^(?:chapter|appendix|part|section)\s+[\dA-Z]+(?:\.\d+)*[.:)]?\s+(?=\S)/iu;
  const number = isNumbered ? /^(?:\d+|[A-Z](?=\.\d))(?:\.\d+)*[.:)]?\s+(?=\S)/u : /^(?:\d+\.)+\s+(?=\S)/u;
  return text.replace(chapter, '').replace(number, '').trim() || text.trim();
}
