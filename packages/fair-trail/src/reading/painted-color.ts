import { readComputedColor, type Color } from '../core/color/color.ts';

/** A color with how much of what is behind it shows through: 0 for all of it, 1 for nothing. */
export interface PaintedColor {
  readonly color: Color;
  readonly alpha: number;
}

const known = new Map<string, PaintedColor | null>();

/** Reads any color as browsers compute it, also of the newer color spaces; null for what is no color. */
export function paintedColor(text: string, document: Document): PaintedColor | null {
  const before = known.get(text);
  if (before !== undefined) return before;
  const read = readColor(text, document);
  if (known.size > 500) known.clear();
  known.set(text, read);
  return read;
}

function readColor(text: string, document: Document): PaintedColor | null {
  const [, red, green, blue, alpha = '1'] = /^rgba?\((\d+), (\d+), (\d+)(?:, ([\d.]+))?\)$/u.exec(text) ?? [];
  if (red !== undefined && green !== undefined && blue !== undefined) {
    const color = readComputedColor(`rgb(${red}, ${green}, ${blue})`);
    return color && { color, alpha: Number(alpha) };
  }
  // The browser converts what else there is: of `oklch(…)` and the like it computes no other form.
  const canvas = document.createElement('canvas');
  canvas.width = 1;
  canvas.height = 1;
  const drawing = 'getContext' in canvas ? canvas.getContext('2d', { willReadFrequently: true }) : null;
  if (!drawing || !CSS.supports('color', text)) return null;
  drawing.fillStyle = text;
  drawing.fillRect(0, 0, 1, 1);
  const [r = 0, g = 0, b = 0, a = 0] = drawing.getImageData(0, 0, 1, 1).data;
  return { color: { red: r / 255, green: g / 255, blue: b / 255 }, alpha: a / 255 };
}

/** What is seen where one color lies over another. */
export function mixed(over: Color, under: Color, alpha: number): Color {
  const part = (one: number, other: number) => one * alpha + other * (1 - alpha);
  return {
    red: part(over.red, under.red),
    green: part(over.green, under.green),
    blue: part(over.blue, under.blue),
  };
}
