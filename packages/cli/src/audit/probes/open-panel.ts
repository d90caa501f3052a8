import type { FoundToggle, OpenPanel } from 'fair-trail/internal/audit';
import type { Probe } from '../probe.ts';
import type { ActionOutcome, AuditedPage } from '../audited-page.ts';

export const panelOutOfWindow: Probe = {
  id: 'panel-out-of-window',
  title: 'A part of an opened panel is outside the window and cannot be scrolled to.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.10'],
  affects: 'Everyone with a small window, and people who zoom in, cannot see these links.',
  remedy: 'Limit the panel to the height of the window (max-height), and let it scroll (overflow: auto).',
  standard: 'WCAG 2.2, 1.4.10 Reflow and 1.4.4 Resize Text',
};

export const overlayLeavesPage: Probe = {
  id: 'overlay-leaves-page',
  title: 'Focus moves into the page behind an overlay.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.11'],
  affects: 'Sighted keyboard users: focus is behind the menu that they see.',
  remedy:
    'Make the page inert while the menu covers it, or show the menu as a modal dialog; or close it when focus leaves.',
  standard: 'WCAG 2.2, 2.4.11 Focus Not Obscured (Minimum); HTML standard, section 6.3 (inert)',
};

export const overlayScrollsPage: Probe = {
  id: 'overlay-scrolls-page',
  title: 'The page scrolls behind a menu that covers it.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who scrolls over it is somewhere else when they close the menu.',
  remedy:
    'Prevent scrolling of the page while it is covered (overscroll-behavior: contain, or overflow: hidden on the page).',
  standard: 'CSS Overscroll Behavior 1, section 4',
};

export const openingMovesPage: Probe = {
  id: 'opening-moves-page',
  title: 'Opening a panel that lies over the page moves other content.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  affects: 'Everyone who was about to press what moved.',
  remedy:
    'Position the panel absolutely or in the top layer, and reserve the room of the scroll bar (scrollbar-gutter: stable).',
  standard: 'CSS Positioned Layout 3; CSS Overflow 3, section 3.4 (scrollbar-gutter)',
};

/** The size of a window of 1280 by 1024 pixels that is enlarged four times (WCAG 2.2, 1.4.10). */
const enlarged = { width: 320, height: 256 };

/** A panel that has just been opened. */
export async function lookAtPanel(
  used: AuditedPage,
  toggle: FoundToggle,
  panel: OpenPanel,
  { before, shown }: ActionOutcome,
): Promise<void> {
  const [lost] = panel.lost;
  if (lost) await used.addFinding(panelOutOfWindow, lost, { state: 'open' });
  if (panel.isFloating) await reportMovement(used, toggle, before.boxes);
  if (panel.isOverlay) {
    await reportScrolling(used, panel);
    await reportLeaving(used, toggle, panel);
  }
  if (used.options.isNarrowest && !lost) await reportEnlarged(used, toggle, shown);
}

/** In a low window, as it is for people who enlarge the page four times. */
async function reportEnlarged(used: AuditedPage, toggle: FoundToggle, shown: readonly number[]): Promise<void> {
  const size = used.page.viewportSize();
  if (!size || !used.isWanted(panelOutOfWindow)) return;
  await used.resize(Math.min(size.width, enlarged.width), enlarged.height);
  try {
    // A change of size may have closed it.
    const panel = (await used.call('isStillOpen', shown)) ? await used.call('panelOf', toggle.selector, shown) : null;
    const [lost] = panel?.lost ?? [];
    if (lost) await used.addFinding(panelOutOfWindow, lost, { state: 'open, at 400 % zoom' });
  } finally {
    await used.resize(size.width, size.height);
  }
}

async function reportMovement(
  used: AuditedPage,
  toggle: FoundToggle,
  before: ActionOutcome['before']['boxes'],
): Promise<void> {
  if (!used.isWanted(openingMovesPage)) return;
  const after = new Map((await used.call('boxesOf')).map((one) => [one.number, one]));
  for (const { number, box } of before) {
    const now = after.get(number);
    const moved = now ? Math.max(...[0, 1].map((part) => Math.abs((now.box[part] ?? 0) - (box[part] ?? 0)))) : 0;
    if (now && moved > 2) {
      const message = `“${now.selector}” moves by ${moved} px.`;
      await used.addFinding(openingMovesPage, toggle, { state: 'open', message });
      return;
    }
  }
}

async function reportScrolling(used: AuditedPage, panel: OpenPanel): Promise<void> {
  if (!used.isWanted(overlayScrollsPage)) return;
  const { box } = panel;
  const size = used.page.viewportSize();
  if (!size) return;
  const at = [
    (Math.max(0, box.left) + Math.min(size.width, box.right)) / 2,
    Math.min(size.height, box.bottom) - 8,
  ] as const;
  const scrolled = () => used.page.evaluate(() => document.scrollingElement?.scrollTop ?? 0);
  const before = await scrolled();
  await used.page.mouse.move(...at);
  used.note('turn the wheel');
  for (let turn = 0; turn < 3; turn += 1) await used.page.mouse.wheel(0, 400);
  await used.page.waitForTimeout(150);
  if (Math.abs((await scrolled()) - before) > 30) await used.addFinding(overlayScrollsPage, panel, { state: 'open' });
  await used.page.mouse.wheel(0, -2000);
  await used.page.mouse.move(0, 0);
}

/** Focus that comes to something that is hidden behind the overlay. */
async function reportLeaving(used: AuditedPage, toggle: FoundToggle, panel: OpenPanel): Promise<void> {
  if (!used.isWanted(overlayLeavesPage)) return;
  if (!panel.hasFocus) await used.focusOn(toggle);
  const known = new Set<number>();
  for (let step = 0; step < 80; step += 1) {
    await used.press('Tab');
    const stop = await used.call('focused');
    // Closed on the way, round, or out of the page.
    if (!stop || known.has(stop.number)) return;
    known.add(stop.number);
    if (stop.cover !== null && stop.seen) {
      await used.call('rest');
      const still = await used.call('focused');
      if (still?.number !== stop.number || still.cover === null) continue;
      await used.addFinding(overlayLeavesPage, stop, { state: 'open', message: `It is behind “${still.cover}”.` });
      return;
    }
  }
}
