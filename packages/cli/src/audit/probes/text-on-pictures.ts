import { contrastMessage } from 'fair-trail/internal/audit';
import { contrast, type Color } from 'fair-trail/color';
import { PNG } from 'pngjs';
import type { AuditedPage } from '../audited-page.ts';
import type { Probe } from '../probe.ts';

export const lowContrastOnPicture: Probe = {
  id: 'low-contrast-on-picture',
  title: 'A label on a picture or a gradient has too little contrast.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['1.4.3'],
  affects: 'People with low vision, and everyone in sunlight.',
  remedy: 'Put a plain background or a dark overlay between the label and the picture.',
  standard: 'WCAG 2.2, 1.4.3 Contrast (Minimum), failure F83',
};

/** More of one page are drawn by the same rules. */
const mostTexts = 8;

/** A label is read where this share of what is behind it has contrast enough. */
const readableShare = 0.75;

/** Labels whose ground is not known from the stylesheet: the page is looked at without their text. */
export async function lookAtTexts(used: AuditedPage, state: string): Promise<void> {
  if (!used.isWanted(lowContrastOnPicture)) return;
  const texts = (await used.call('textsOnPictures')).filter(({ likeness }) => used.options.isNew(`text ${likeness}`));
  for (const { selector, html, color, least, clip } of texts.slice(0, mostTexts)) {
    await used.call('hideText', selector, true);
    const data = await used.untouched
      .screenshot({ type: 'png', clip, animations: 'disabled', timeout: 5000 })
      .catch(() => null);
    await used.call('hideText', selector, false);
    if (!data) continue;
    const ratios = ratiosOf(data, color);
    const enough = ratios.filter((ratio) => ratio >= least).length;
    if (ratios.length === 0 || enough / ratios.length >= readableShare) continue;
    const worst = ratios.toSorted((one, other) => one - other)[Math.floor(ratios.length / 4)] ?? 1;
    const message = `On a quarter of what is behind it: ${contrastMessage({ ratio: worst, least })}`;
    await used.addFinding(lowContrastOnPicture, { selector, html }, { state, message });
  }
}

function ratiosOf(data: Buffer, color: Color): readonly number[] {
  const picture = PNG.sync.read(data);
  const ratios: number[] = [];
  for (let at = 0; at < picture.data.length; at += 4 * 3) {
    const [red = 0, green = 0, blue = 0] = [0, 1, 2].map((part) => (picture.data[at + part] ?? 0) / 255);
    ratios.push(contrast(color, { red, green, blue }));
  }
  return ratios;
}
