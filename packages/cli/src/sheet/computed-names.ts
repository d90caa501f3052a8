import type { Browser, CDPSession, Page } from 'playwright-core';
import type { ComputedName, ComputedNames } from 'fair-trail/internal/sheet';

/** The browser's accessibility tree for each row of a sheet's tables. */
export async function computeNames(browser: Browser, url: string): Promise<ComputedNames> {
  const page = await browser.newPage();
  try {
    await openSheet(page, url);
    const session = await page.context().newCDPSession(page);
    await page.evaluate(showToAssistiveTechnology);
    const count = await page.evaluate(() => (window as unknown as NamedWindow).fairTrailRows.length);
    const names: ComputedName[] = [];
    for (let index = 0; index < count; index += 1) {
      const name = await nameOf(session, index);
      if (name) names.push(name);
    }
    return { browser: `Chromium ${browser.version().split('.', 1)[0] ?? ''}`, names };
  } finally {
    await page.close();
  }
}

/** Longer than a busy machine takes to draw a sheet, in milliseconds. */
const patience = 90_000;

/** Waits until every frame has been drawn. */
export async function openSheet(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.waitForFunction(
    () => {
      const frames = [...document.querySelectorAll('iframe')];
      return frames.length > 0 && frames.every((frame) => frame.contentDocument?.body.firstElementChild);
    },
    undefined,
    { timeout: patience },
  );
}

interface NamedRow {
  readonly table: string;
  readonly row: string;
  readonly element: Element;
}

interface NamedWindow {
  fairTrailRows: NamedRow[];
}

/** A specimen is a picture of itself, and as such has no role of its own: for this, it is what it shows. */
function showToAssistiveTechnology(): void {
  const rows: NamedRow[] = [];
  for (const frame of document.querySelectorAll<HTMLIFrameElement>('iframe[data-ft-frame]')) {
    for (const row of frame.contentDocument?.querySelectorAll('[data-ft-table] tr[data-ft-sheet-key]') ?? []) {
      const cell = row.querySelector('.ft-sheet-specimen');
      cell?.removeAttribute('role');
      cell?.removeAttribute('aria-label');
      for (const child of cell?.children ?? []) child.removeAttribute('inert');
      const element = cell?.querySelector(row.getAttribute('data-ft-find') ?? '*');
      const table = row.closest('[data-ft-table]')?.getAttribute('data-ft-table') ?? '';
      const key = row.getAttribute('data-ft-sheet-key') ?? '';
      // A table that goes on below itself has a row there of the same name.
      if (element && !rows.some((other) => other.table === table && other.row === key))
        rows.push({ table, row: key, element });
    }
  }
  (window as unknown as NamedWindow).fairTrailRows = rows;
}

async function nameOf(session: CDPSession, index: number): Promise<ComputedName | null> {
  const { result } = await session.send('Runtime.evaluate', { expression: `fairTrailRows[${index}].element` });
  const reported = await session.send('Runtime.evaluate', {
    expression: `({ table: fairTrailRows[${index}].table, row: fairTrailRows[${index}].row })`,
    returnByValue: true,
  });
  if (result.objectId === undefined) return null;
  const { nodes } = await session.send('Accessibility.getPartialAXTree', {
    objectId: result.objectId,
    fetchRelatives: false,
  });
  const [node] = nodes;
  if (!node || node.ignored) return null;
  const { table, row } = reported.result.value as { readonly table: string; readonly row: string };
  const states = (node.properties ?? [])
    .filter(({ name }) => statesTold.includes(name))
    .map(({ name, value }) => `${name}: ${String(value.value)}`);
  return { table, row, role: String(node.role?.value ?? ''), name: String(node.name?.value ?? ''), states };
}

/** What the sheet shows of a node in the browser's accessibility tree. */
const statesTold: readonly string[] = ['expanded', 'selected', 'pressed', 'checked', 'disabled', 'hasPopup', 'level'];
