/**
 * To be loaded by a script element of its own in the document's head, before any stylesheet draws: says that scripts are
 * at work, and hides what the reader has dismissed, so that nothing is seen to come and go. Where the app's own scripts
 * then do not start, the document is given back to those who have none.
 */
import { readNames } from './memory.ts';
import { markScripted } from './scripted.ts';

/** A page whose own scripts have not begun by then is treated as one without scripts. In milliseconds after loading. */
const patience = 4000;

const unmark = markScripted(document);
const dismissed = readNames(window);
if (dismissed.length > 0) {
  const sheet = new CSSStyleSheet();
  // By the object model: a strict policy refuses style elements, and not this.
  for (const name of dismissed)
    sheet.insertRule(`[data-ft-notice="${CSS.escape(name)}"] { display: none !important; }`);
  document.adoptedStyleSheets.push(sheet);
}
addEventListener('load', () => setTimeout(unmark, patience), { once: true });
