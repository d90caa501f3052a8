/**
 * To be loaded by a script element of its own in the document's head, before any stylesheet draws: says that scripts are
 * at work, and hides what the reader has dismissed, so that nothing is seen to come and go. Where the app's own scripts
 * then do not start, the document is given back to those who have none.
 */
import { memoryKeys } from '../core/interaction/memory-keys.ts';
import { readNames, readOpenGroup } from './memory.ts';
import { isOnDisk, restoreAddresses } from './page-files.ts';
import { markScripted } from './scripted.ts';

/** A page whose own scripts have not begun by then is treated as one without scripts. In milliseconds after loading. */
const patience = 4000;

const unmark = isOnDisk(document, location) ? () => undefined : markScripted(document);
restoreAddresses(document, location, history);
const rules = [
  ...readNames(window, memoryKeys.dismissed).map(
    (name) => `[data-ft-notice="${CSS.escape(name)}"] { display: none !important }`,
  ),
  // Until the sidebar itself says which it is. The properties are those of sidebar.css.
  ...readNames(window, memoryKeys.rails).map(
    (name) =>
      `@media (width >= 56em) { [data-ft-sidebar="${CSS.escape(name)}"]:not([data-ft-rail], [data-ft-always]) { --ft-rail: initial; --ft-full: } }`,
  ),
  ...readNames(window, memoryKeys.open).map((name) => {
    const { sidebar, id } = readOpenGroup(name);
    const group = `[data-ft-sidebar="${CSS.escape(sidebar)}"]:not([data-ft-settled]) [data-ft-item="${CSS.escape(id)}"] > .ft-panel`;
    return `${group} { grid-template-rows: 1fr; visibility: inherit }`;
  }),
];
if (rules.length > 0) {
  const sheet = new CSSStyleSheet();
  // By the object model: a strict policy refuses style elements, and not this.
  for (const rule of rules) sheet.insertRule(rule);
  document.adoptedStyleSheets.push(sheet);
}
addEventListener('load', () => setTimeout(unmark, patience), { once: true });
