import { closestAround } from '../../reading/near.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { isExposed } from '../../reading/visible.ts';
import type { PageContext, Rule, Violation } from '../rule.ts';

export const pageWithoutLanguage: Rule = {
  id: 'page-without-language',
  title: 'The page does not declare its language.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['3.1.1'],
  affects: 'Screen readers read it with the pronunciation of another language.',
  remedy: 'Set lang on the html element: lang="en".',
  standard: 'HTML standard, section 3.2.6.2 (lang); WCAG 2.2, 3.1.1 Language of Page',
  check: function* ({ document, url }: PageContext): Iterable<Violation> {
    const { documentElement: html } = document;
    const language = html.getAttribute('lang') ?? html.getAttribute('xml:lang') ?? '';
    if (language.trim() === '' && url.protocol !== 'about:') yield { element: html };
  },
};

export const languageUnknown: Rule = {
  id: 'language-unknown',
  title: 'A language tag does not exist.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['3.1.1'],
  affects: 'Screen readers read the text with the pronunciation of another language.',
  remedy: 'Use a language tag: en, en-GB, de, pt-BR.',
  standard: 'BCP 47 (RFC 5646), section 2.1; WCAG 2.2, 3.1.1 and 3.1.2',
  check: function* ({ document, isNear }: PageContext): Iterable<Violation> {
    for (const element of deepElements(document, '[lang]')) {
      const tag = (element.getAttribute('lang') ?? '').trim();
      const isOurs = element === document.documentElement || isNear(element);
      if (tag === '' || !isOurs || isLanguage(tag)) continue;
      yield { element, message: `Its lang is “${tag}”.` };
    }
  },
};

/** Well formed, and of a language that the browser can name. */
function isLanguage(tag: string): boolean {
  try {
    const { language } = new Intl.Locale(tag);
    const names = new Intl.DisplayNames(['en'], { type: 'language', fallback: 'none' });
    return names.of(language) !== undefined || language.startsWith('q') || language.length === 3;
  } catch {
    return false;
  }
}

/** What languages call themselves, which is what a choice of languages shows. */
const ownNames: Readonly<Record<string, string>> = {
  english: 'en',
  deutsch: 'de',
  français: 'fr',
  francais: 'fr',
  español: 'es',
  italiano: 'it',
  português: 'pt',
  nederlands: 'nl',
  polski: 'pl',
  svenska: 'sv',
  dansk: 'da',
  norsk: 'no',
  suomi: 'fi',
  čeština: 'cs',
  magyar: 'hu',
  română: 'ro',
  türkçe: 'tr',
  cymraeg: 'cy',
  gaeilge: 'ga',
  gàidhlig: 'gd',
  euskara: 'eu',
  català: 'ca',
  íslenska: 'is',
  frysk: 'fy',
  frasch: 'frr',
  ελληνικά: 'el',
  русский: 'ru',
  українська: 'uk',
  български: 'bg',
  עברית: 'he',
  العربية: 'ar',
  فارسی: 'fa',
  हिन्दी: 'hi',
  日本語: 'ja',
  中文: 'zh',
  한국어: 'ko',
};

/** Scripts that few languages are written in: what stands in another one is in another language. */
const scripts: readonly (readonly [pattern: RegExp, languages: readonly string[]])[] = [
  [/\p{Script=Cyrillic}{3}/u, ['ru', 'uk', 'bg', 'sr', 'mk', 'be', 'kk', 'mn', 'ky', 'tg']],
  [/\p{Script=Greek}{3}/u, ['el', 'grc']],
  [/\p{Script=Arabic}{3}/u, ['ar', 'fa', 'ur', 'ps', 'ckb', 'ug', 'sd']],
  [/\p{Script=Hebrew}{3}/u, ['he', 'yi', 'iw']],
  [/\p{Script=Hiragana}|\p{Script=Katakana}{2}/u, ['ja']],
  [/\p{Script=Hangul}{2}/u, ['ko']],
  [/\p{Script=Devanagari}{2}/u, ['hi', 'mr', 'ne', 'sa']],
];

export const languageOfLabel: Rule = {
  id: 'label-in-other-language',
  title: 'A label is in another language than the page, without a lang attribute.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['3.1.2'],
  affects: 'Screen readers read the label with the wrong pronunciation.',
  remedy: 'Set lang on the link: <a href="/de/" lang="de" hreflang="de">Deutsch</a>.',
  standard: 'WCAG 2.2, 3.1.2 Language of Parts, technique H58',
  check: function* ({ links, controls }: PageContext): Iterable<Violation> {
    for (const element of [...links, ...controls]) {
      const text = element.textContent.replaceAll(/\s+/gu, ' ').trim();
      const named = ownNames[text.toLowerCase().replace(/\s*\(.*\)$/u, '')];
      const written = scripts.find(([pattern]) => pattern.test(text))?.[1];
      const languages = named === undefined ? written : [named];
      if (!languages || !isExposed(element)) continue;
      const own = languageOf(element);
      if (own === '' || languages.includes(own)) continue;
      yield { element, message: `“${text}” is in a part whose language is ${own}.` };
    }
  },
};

/** The language that applies to what stands in an element, without its region. */
function languageOf(element: Element): string {
  const inner = element.querySelector('[lang]')?.getAttribute('lang');
  const tag = inner ?? closestAround(element, '[lang]')?.getAttribute('lang') ?? '';
  return tag.trim().toLowerCase().split('-')[0] ?? '';
}
