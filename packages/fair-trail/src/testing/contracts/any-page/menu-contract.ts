import { type SkippedParts, registerParts } from '../contract.ts';
import { marks, names, panels, titles } from './menu-parts-shown.ts';
import { history, keyboard, largeText, mouse, narrow, touch } from './menu-parts-used.ts';
import { endsOf, type MenuPart, type MenuSubject } from './menu-subject.ts';

/** What is promised of a menu, in parts that may be left out. */
export const menuParts: readonly MenuPart[] = [
  names,
  marks,
  titles,
  mouse,
  history,
  panels,
  keyboard,
  narrow,
  touch,
  largeText,
];

/**
 * Runs any implementation of a menu through what is promised of one. What the host cannot judge is skipped, and says so; a part
 * that does not apply is declared.
 *
 * @param skipped parts that do not apply, each with the reason
 * @throws TypeError where the subject has fewer than two pages, or a part is left out that there is not
 * @example
 * menuContract({ open, menu: 'Main', pages: menuPages(site, 'main') });
 */
export function menuContract(subject: MenuSubject, skipped: SkippedParts = {}): void {
  // Now, rather than in each test.
  endsOf(subject);
  registerParts(`the menu ${subject.menu ?? 'of the page'}`, menuParts, subject, skipped);
}
