import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';

export const menuBesideWindow: Probe = {
  id: 'menu-outside-window',
  title: 'A part of a menu is outside the window.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.10'],
  affects: 'Everyone with a narrow window, and people who zoom in: they miss these links, or scroll sideways.',
  remedy: 'Let the menu wrap, scroll by itself, or become a toggle when there is no room.',
  standard: 'WCAG 2.2, 1.4.10 Reflow',
};

export const labelsOverlap: Probe = {
  id: 'labels-overlap',
  title: 'Labels of a menu overlap.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.4'],
  affects: 'Everyone who reads them.',
  remedy: 'Let the row wrap, and remove fixed heights and widths.',
  standard: 'WCAG 2.2, 1.4.4 Resize Text and 1.4.12 Text Spacing',
};

export const labelsCut: Probe = {
  id: 'label-cut',
  title: 'A label is cut off.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['1.4.4'],
  affects: 'Everyone who reads it.',
  remedy: 'Let the label wrap, or remove the fixed size of its box.',
  standard: 'WCAG 2.2, 1.4.4 Resize Text',
};

export const spacedTextBreaks: Probe = {
  id: 'text-spacing-breaks',
  title: 'A label is cut off or overlaps when text spacing is increased.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.12'],
  affects: 'People who read with more space between letters, words and lines.',
  remedy: 'Use minimum heights and widths (min-height) in em, and let labels wrap.',
  standard: 'WCAG 2.2, 1.4.12 Text Spacing',
};

export const largeTextBreaks: Probe = {
  id: 'large-text-breaks',
  title: 'Labels are cut off or overlap at 200 percent text size.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  affects: 'People who enlarge text and not the page.',
  remedy: 'Use minimum heights and widths in em, and let the row wrap.',
  standard: 'WCAG 2.2, 1.4.4 Resize Text, with technique G179',
};

export const barTakesWindow: Probe = {
  id: 'bar-takes-window',
  title: 'A pinned bar takes most of a small window.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['1.4.10'],
  affects: 'People who zoom in, and everyone who turns the phone: there is no room left to read.',
  remedy: 'Let the bar scroll away in low windows: @media (min-height: …) around position: sticky.',
  standard: 'WCAG 2.2, 1.4.10 Reflow',
};

export const motionGoesOn: Probe = {
  id: 'motion-goes-on',
  title: 'A menu moves although reduced motion was requested.',
  severity: 'advice',
  certainty: 'likely',
  wcag: [],
  affects: 'People who get ill from movement.',
  remedy: 'Remove transitions of position and size in @media (prefers-reduced-motion: reduce).',
  standard: 'WCAG 2.2, 2.3.3 Animation from Interactions (AAA); Media Queries 5, section 12.1',
};

const all = [menuBesideWindow, labelsOverlap, labelsCut, spacedTextBreaks, largeTextBreaks, barTakesWindow];

/** More of one kind on one page say nothing new. */
const mostTold = 3;

async function attempt(used: AuditedPage): Promise<void> {
  if (!used.isWanted(...all)) return;
  await used.reload();
  const cut = await used.call('cutLabels');
  const over = await used.call('overlaps');
  const out = await used.call('sticksOut');
  await reportAll(used, labelsCut, cut, 'rest');
  for (const label of over.slice(0, mostTold)) {
    await used.addFinding(labelsOverlap, label, { state: 'rest', message: `The other one is “${label.other}”.` });
  }
  await reportBeside(used, out, 'rest');
  const isPlain = out.length === 0 && over.length === 0;
  if (used.options.isNarrowest || used.options.isWidest) {
    const known = new Set([...cut, ...over].map(({ selector }) => selector));
    if (isPlain) await reportSpaced(used, known);
    if (isPlain && used.options.isWidest) await reportLarge(used, known);
  }
  if (used.options.isNarrowest) await reportLowWindow(used);
}

async function reportAll(
  used: AuditedPage,
  probe: Probe,
  places: readonly { readonly selector: string; readonly html: string }[],
  state: string,
): Promise<void> {
  for (const place of places.slice(0, mostTold)) await used.addFinding(probe, place, { state });
}

async function reportBeside(
  used: AuditedPage,
  out: readonly { readonly selector: string; readonly html: string; readonly how: string }[],
  state: string,
): Promise<void> {
  const { width } = used.size;
  for (const link of out.slice(0, mostTold)) {
    const isLost = link.how === 'lost';
    // What WCAG asks of the width of 320 CSS pixels holds wider windows too; a page that scrolls there is a nuisance.
    const message = isLost ? 'Nothing scrolls there.' : 'The whole page scrolls sideways for it.';
    await used.addFinding(menuBesideWindow, link, { state, message, isLikely: !isLost && width < 320 });
  }
}

/** What is lost by it, and was not before. */
async function reportSpaced(used: AuditedPage, known: ReadonlySet<string>): Promise<void> {
  if (!used.isWanted(spacedTextBreaks)) return;
  await used.call('spaceText');
  await used.call('rest');
  const broken = [...(await used.call('cutLabels')), ...(await used.call('overlaps'))];
  const lost = (await used.call('sticksOut')).filter(({ how }) => how === 'lost');
  await reportAll(
    used,
    spacedTextBreaks,
    [...broken, ...lost].filter(({ selector }) => !known.has(selector)),
    'text spacing',
  );
  await used.reload();
}

async function reportLarge(used: AuditedPage, known: ReadonlySet<string>): Promise<void> {
  if (!used.isWanted(largeTextBreaks)) return;
  await used.call('doubleText');
  await used.call('rest');
  const broken = [...(await used.call('cutLabels')), ...(await used.call('overlaps'))];
  const lost = (await used.call('sticksOut')).filter(({ how }) => how === 'lost');
  const fresh = [...broken, ...lost].filter(({ selector }) => !known.has(selector));
  // Without what was written into them for this.
  const places = fresh.map(({ selector, html }) => ({
    selector,
    html: html.replaceAll(/ style="font-size: [^"]*"/gu, ''),
  }));
  await reportAll(used, largeTextBreaks, places, 'text at 200 %');
  await used.reload();
}

/** A window of 1280 by 1024 pixels that is enlarged four times. */
async function reportLowWindow(used: AuditedPage): Promise<void> {
  const { size } = used;
  if (!used.isWanted(barTakesWindow)) return;
  await used.page.setViewportSize({ width: 320, height: 256 });
  try {
    await used.reload();
    await used.page.evaluate(() => window.scrollTo({ top: 500, behavior: 'instant' }));
    await used.call('rest');
    const bar = await used.call('pinnedShare');
    if (bar && bar.share > 0.5) {
      const message = `It takes ${Math.round(bar.share * 100)} % of a window of 320 by 256 CSS pixels.`;
      await used.addFinding(barTakesWindow, bar, { state: 'at 400 % zoom', message });
    }
  } finally {
    await used.page.setViewportSize(size);
    await used.reload();
  }
}

export const fitting: Attempt = { isPossible: () => true, name: 'fit', probes: all, attempt };

export const moving: Attempt = {
  isPossible: ({ report }) => report.toggles.length > 0,
  name: 'motion',
  probes: [motionGoesOn],
  attempt: async (used) => {
    const toggle = used.report.toggles.find(({ kind, isOpen }) => (kind === 'stated' || kind === 'named') && !isOpen);
    if (!toggle || !used.options.isNew(`motion ${toggle.fingerprint}`)) return;
    const window = await used.options.openOther({ reducedMotion: 'reduce' });
    try {
      const middle = await window.call('middleOf', toggle.selector);
      if (!middle) return;
      await window.page.mouse.click(...middle);
      await window.page.waitForTimeout(40);
      const moved = await window.call('movements').catch(() => []);
      if (moved.length > 0) await used.addFinding(motionGoesOn, toggle, { state: 'opening, less motion wanted' });
    } finally {
      await window.close();
    }
  },
};
