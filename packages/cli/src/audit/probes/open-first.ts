import type { AuditedPage } from '../audited-page.ts';

/** Whether the menus of a page are closed as it is loaded: then what stands in them is looked at once they are open. */
export function isMenuClosed({ report }: AuditedPage): boolean {
  const isOpener = report.toggles.some(({ kind, isOpen }) => (kind === 'stated' || kind === 'named') && !isOpen);
  const isShown = report.menus.some(({ links }) => links.filter(({ isDrawn }) => isDrawn).length >= 2);
  return isOpener && (!isShown || report.hiddenMenus.length > 0);
}

/** Loads the page again and opens the first closed menu; false where nothing has come into sight. */
export async function openFirst(used: AuditedPage): Promise<boolean> {
  const toggle = used.report.toggles.find(({ kind, isOpen }) => (kind === 'stated' || kind === 'named') && !isOpen);
  if (!toggle) return false;
  await used.reload();
  const outcome = await used.whatHappens(toggle.selector, () => used.clickOn(toggle));
  return outcome !== null && !outcome.left && outcome.shown.length > 0;
}
