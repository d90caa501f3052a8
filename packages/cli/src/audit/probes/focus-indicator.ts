import type { FocusStep } from 'fair-trail/internal/audit';
import { contrast, type Color } from 'fair-trail/color';
import { PNG } from 'pngjs';
import { nameIn } from '../path-taken.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';

export const focusNotShown: Probe = {
  id: 'focus-not-shown',
  title: 'Keyboard focus is not visible.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.7'],
  affects: 'Sighted keyboard users do not know what Enter would press.',
  remedy: 'Keep the outline of the browser, or draw another one for :focus-visible.',
  standard: 'WCAG 2.2, 2.4.7 Focus Visible',
};

export const focusHardToSee: Probe = {
  id: 'focus-hard-to-see',
  title: 'The focus indicator differs too little from the unfocused state.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['1.4.11'],
  affects: 'Keyboard users with low vision do not find the focus.',
  remedy: 'Draw an outline with a contrast of at least 3:1 to its background.',
  standard: 'WCAG 2.2, 1.4.11 Non-text Contrast; 2.4.13 (AAA)',
};

/** How far beyond an element its sign may be drawn, in CSS pixels. */
const around = 14;

/** More kinds of one page are not looked at. */
const mostKinds = 14;

/** Fewer changed pixels are no sign. */
const fewestPixels = 12;

/** A contrast that no one sees. */
const unseenContrast = 1.1;

/** Compares the picture of an element that has focus with that of one that has not; one of each kind. */
export async function lookAtIndicators(used: AuditedPage, stops: readonly FocusStep[]): Promise<void> {
  if (!used.isWanted(focusNotShown, focusHardToSee)) return;
  const known = new Set<string>();
  let count = 0;
  for (const [index, stop] of stops.entries()) {
    if (
      !stop.isInMenu ||
      !stop.seen ||
      stop.isFrame ||
      stop.isArea ||
      known.has(stop.kind) ||
      !used.options.isNew(`sign ${stop.kind}`)
    )
      continue;
    known.add(stop.kind);
    count += 1;
    if (count > mostKinds) {
      used.leaveOut(
        focusNotShown,
        `The page has more than ${mostKinds} kinds of links and buttons; the others are not looked at.`,
      );
      return;
    }
    await lookAt(used, stop, stops[index - 1]);
  }
}

async function lookAt(used: AuditedPage, stop: FocusStep, previous: FocusStep | undefined): Promise<void> {
  const { page } = used;
  // By a key, since a sign may be drawn for those alone who use one.
  if (previous && (await used.focusOn(previous))) await used.press('Tab');
  else {
    await used.call('leaveFocus');
    await used.reload();
    await used.press('Tab');
  }
  const now = await used.call('focused');
  if (now?.selector !== stop.selector) return;
  await used.call('rest');
  const settled = (await used.call('focused')) ?? now;
  const size = page.viewportSize();
  if (!size) return;
  const left = Math.max(0, Math.floor(settled.box.left - around));
  const top = Math.max(0, Math.floor(settled.box.top - around));
  const width = Math.min(size.width, Math.ceil(settled.box.right + around)) - left;
  const height = Math.min(size.height, Math.ceil(settled.box.bottom + around)) - top;
  if (width < 2 || height < 2) return;
  const clip = { x: left, y: top, width, height };
  const shoot = () => page.screenshot({ type: 'png', clip, animations: 'disabled', timeout: 5000 });
  const focused = await shoot();
  await used.call('leaveFocus');
  await used.call('rest');
  const plain = await shoot();
  const change = focused.equals(plain) ? { pixels: 0, contrast: 1 } : changeOf(focused, plain);
  if (change.pixels >= fewestPixels && change.contrast >= 3) return;
  await used.call('focusOn', stop.selector);
  const isGone = change.pixels < fewestPixels || change.contrast < unseenContrast;
  // The keys that were pressed for all indicators before this one are no part of the path to it.
  const steps = [`press Tab until ${nameIn(stop.html)} has focus`];
  if (isGone) await used.addFinding(focusNotShown, stop, { state: 'focus', steps });
  else {
    const message = `The contrast of the change is ${(Math.floor(change.contrast * 100) / 100).toFixed(2)} : 1; 3 is needed.`;
    await used.addFinding(focusHardToSee, stop, { state: 'focus', message, steps });
  }
}

/** How many pixels differ, and the highest contrast that enough of them have with what was there before. */
export function changeOf(one: Buffer, other: Buffer): { readonly pixels: number; readonly contrast: number } {
  const [after, before] = [PNG.sync.read(one), PNG.sync.read(other)];
  if (after.width !== before.width || after.height !== before.height) return { pixels: Infinity, contrast: 21 };
  const contrasts: number[] = [];
  for (let at = 0; at < after.data.length; at += 4) {
    const isSame = [0, 1, 2].every((part) => after.data[at + part] === before.data[at + part]);
    if (!isSame) contrasts.push(contrastAt(after.data, before.data, at));
  }
  contrasts.sort((a, b) => b - a);
  return { pixels: contrasts.length, contrast: contrasts[Math.min(contrasts.length, fewestPixels) - 1] ?? 1 };
}

function contrastAt(one: Uint8Array, other: Uint8Array, at: number): number {
  return contrast(colorAt(one, at), colorAt(other, at));
}

function colorAt(data: Uint8Array, at: number): Color {
  const part = (offset: number) => (data[at + offset] ?? 0) / 255;
  return { red: part(0), green: part(1), blue: part(2) };
}
