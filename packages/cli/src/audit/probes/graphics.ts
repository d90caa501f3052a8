import type { DrawnGraphic } from 'fair-trail/internal/audit';
import { contrast, type Color } from 'fair-trail/color';
import { PNG } from 'pngjs';
import type { Attempt } from '../attempt.ts';
import type { AuditedPage } from '../audited-page.ts';
import type { Probe } from '../probe.ts';
import { isMenuClosed, openFirst } from './open-first.ts';
import { lookAtTexts, lowContrastOnPicture } from './text-on-pictures.ts';

export const iconLowContrast: Probe = {
  id: 'icon-low-contrast',
  title: 'An icon without a visible label has too little contrast.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.11'],
  affects: 'People with low vision do not find it.',
  remedy: 'Draw the icon in a color with a contrast of at least 3:1 to its background.',
  standard: 'WCAG 2.2, 1.4.11 Non-text Contrast, technique G207',
};

export const markLowContrast: Probe = {
  id: 'mark-low-contrast',
  title: 'The mark of the current or selected item has too little contrast.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['1.4.11'],
  affects: 'People with low vision see no mark.',
  remedy: 'Draw the mark in a color with a contrast of at least 3:1 to its background.',
  standard: 'WCAG 2.2, 1.4.11 Non-text Contrast: states of components',
};

export const fieldLowContrast: Probe = {
  id: 'field-low-contrast',
  title: 'The boundary of a field has too little contrast.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['1.4.11'],
  affects: 'People with low vision do not find where to type or press.',
  remedy: 'Give it a border or a background with a contrast of at least 3:1 to its surroundings.',
  standard: 'WCAG 2.2, 1.4.11 Non-text Contrast: failure F78 and technique G195',
};

/** What is needed of everything that is no text (WCAG 2.2, 1.4.11). */
const least = 3;

/** More of one page are drawn by the same rules. */
const mostLookedAt = 12;

async function attempt(used: AuditedPage): Promise<void> {
  if (!used.isWanted(iconLowContrast, markLowContrast, fieldLowContrast, lowContrastOnPicture)) return;
  await used.reload();
  await lookAtAll(used, 'rest');
  if (isMenuClosed(used) && (await openFirst(used))) await lookAtAll(used, 'open');
}

async function lookAtAll(used: AuditedPage, state: string): Promise<void> {
  const graphics = (await used.call('graphics')).filter(({ kind, likeness }) =>
    used.options.isNew(`graphic ${kind} ${likeness}`),
  );
  for (const graphic of graphics.slice(0, mostLookedAt)) await lookAt(used, graphic, state);
  await lookAtTexts(used, state);
}

async function lookAt(used: AuditedPage, graphic: DrawnGraphic, state: string): Promise<void> {
  const { kind, ratio, html, selector } = graphic;
  const place = { selector, html };
  if (kind === 'icon') {
    const found = await contrastOfIcon(used, selector);
    if (found === null || found >= least) return;
    await used.addFinding(iconLowContrast, place, { state, message: message(found) });
  } else if (ratio !== null && ratio < least) {
    const probe = kind === 'mark' ? markLowContrast : fieldLowContrast;
    await used.addFinding(probe, place, { state, message: message(ratio) });
  }
}

function message(ratio: number): string {
  return `Its contrast is ${(Math.floor(ratio * 100) / 100).toFixed(2)} : 1; ${least} is needed.`;
}

/** The highest contrast that enough of an icon's pixels have with what it stands on; null if that is not known. */
async function contrastOfIcon(used: AuditedPage, selector: string): Promise<number | null> {
  const clip = await used.call('boxInWindow', selector);
  if (!clip || clip.width < 6 || clip.height < 6) return null;
  const data = await used.untouched
    .screenshot({ type: 'png', clip, animations: 'disabled', timeout: 5000 })
    .catch(() => null);
  return data && highestContrast(data);
}

/** Fewer pixels of one color are the edge of something else. */
const fewestPixels = 6;

/** The color that most of a picture has is what the rest is drawn on. */
export function highestContrast(data: Buffer): number | null {
  const picture = PNG.sync.read(data);
  const counts = new Map<number, number>();
  for (let at = 0; at < picture.data.length; at += 4) {
    const color = ((picture.data[at] ?? 0) << 16) | ((picture.data[at + 1] ?? 0) << 8) | (picture.data[at + 2] ?? 0);
    counts.set(color, (counts.get(color) ?? 0) + 1);
  }
  const pixels = picture.width * picture.height;
  const [[ground, share] = [0, 0]] = [...counts].toSorted(([, one], [, other]) => other - one);
  // Of a photo, or of a ground that runs from one color to another, nothing is known.
  if (share < pixels * 0.25) return null;
  const ratios: number[] = [];
  for (const [color, count] of counts) {
    const ratio = contrast(colorOf(color), colorOf(ground));
    for (let index = 0; index < Math.min(count, fewestPixels); index += 1) ratios.push(ratio);
  }
  ratios.sort((one, other) => other - one);
  const drawn = pixels - share;
  return drawn < fewestPixels ? null : (ratios[fewestPixels - 1] ?? null);
}

function colorOf(number: number): Color {
  return { red: (number >> 16) / 255, green: ((number >> 8) & 255) / 255, blue: (number & 255) / 255 };
}

export const graphics: Attempt = {
  isPossible: () => true,
  name: 'graphics',
  probes: [iconLowContrast, markLowContrast, fieldLowContrast, lowContrastOnPicture],
  attempt,
};
