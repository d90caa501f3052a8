/** What the document says of the page that it shows. */
export interface PageHead {
  readonly title: string;
  /** A language tag (BCP 47); null for a site in one language, whose documents say it themselves. */
  readonly language: string | null;
}

/** The document shows the page now (HTML, section 4.2.2 and 3.2.6.2). */
export function writePageHead(document: Document, { title, language }: PageHead): void {
  if (document.title !== title) document.title = title;
  const root = document.documentElement;
  if (language !== null && root.lang !== language) root.lang = language;
}

/** On elements that a prerendered document has for its own page alone: its canonical address, its structured data. */
const ofLoadedPage = '[data-ft-of-page]';

/**
 * Another page has taken the place of the one that was loaded: what the document says of that one is no longer true. Search
 * engines read each page as the server sends it.
 */
export function forgetLoadedPage(document: Document): void {
  for (const element of document.head.querySelectorAll(ofLoadedPage)) element.remove();
}
