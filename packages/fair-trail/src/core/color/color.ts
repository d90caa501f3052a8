/** A color in the sRGB color space, each part from 0 to 1 (CSS Color 4, section 10.2). */
export interface Color {
  readonly red: number;
  readonly green: number;
  readonly blue: number;
}

/** A color as eyes order it (CSS Color 4, section 9.4): lightness from 0 to 1, chroma from 0, hue in degrees. */
export interface Oklch {
  readonly lightness: number;
  readonly chroma: number;
  readonly hue: number;
}

/**
 * Reads `#rgb` or `#rrggbb`.
 *
 * @returns null for anything else; a color with transparency has no contrast of its own
 * @example
 * readHex('#1c1f1a'); // { red: 0.11, green: 0.12, blue: 0.1 }
 * readHex('green'); // null
 */
export function readHex(text: string): Color | null {
  const short = /^#([\da-f])([\da-f])([\da-f])$/iu.exec(text);
  const long = short ? short.map((digit) => digit + digit) : /^#([\da-f]{2})([\da-f]{2})([\da-f]{2})$/iu.exec(text);
  if (!long) return null;
  const [red = 0, green = 0, blue = 0] = long.slice(1).map((digits) => Number.parseInt(digits, 16) / 255);
  return { red, green, blue };
}

/** Reads an opaque color as browsers compute it: `rgb(35, 37, 31)`. @returns null for anything else */
export function readComputedColor(text: string): Color | null {
  const [, red, green, blue, alpha = '1'] = /^rgba?\((\d+), (\d+), (\d+)(?:, ([\d.]+))?\)$/u.exec(text) ?? [];
  if (red === undefined || green === undefined || blue === undefined || Number(alpha) < 1) return null;
  return { red: Number(red) / 255, green: Number(green) / 255, blue: Number(blue) / 255 };
}

/**
 * As `#rrggbb`.
 *
 * @example
 * writeHex({ red: 1, green: 1, blue: 1 }); // '#ffffff'
 */
export function writeHex({ red, green, blue }: Color): string {
  const digits = [red, green, blue].map((part) => {
    return Math.round(Math.min(1, Math.max(0, part)) * 255)
      .toString(16)
      .padStart(2, '0');
  });
  return `#${digits.join('')}`;
}

/** As it is drawn: in steps of 1/255. */
export function asDrawn(color: Color): Color {
  return readHex(writeHex(color)) ?? color;
}

function toLinear(part: number): number {
  return part <= 0.040_45 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
}

function fromLinear(part: number): number {
  return part <= 0.003_130_8 ? part * 12.92 : 1.055 * part ** (1 / 2.4) - 0.055;
}

/** WCAG 2.2, the definition of relative luminance. */
export function luminance({ red, green, blue }: Color): number {
  return 0.2126 * toLinear(red) + 0.7152 * toLinear(green) + 0.0722 * toLinear(blue);
}

/**
 * WCAG 2.2, the definition of contrast ratio: from 1 to 21.
 *
 * @example
 * const ink = readHex('#1c1f1a');
 * const paper = readHex('#fcfcf7');
 * if (ink && paper) contrast(ink, paper); // 16.1
 */
export function contrast(one: Color, other: Color): number {
  const [darker = 0, lighter = 0] = [luminance(one), luminance(other)].sort((first, second) => first - second);
  return (lighter + 0.05) / (darker + 0.05);
}

/** CSS Color 4, sample code for conversions. */
export function toOklch({ red, green, blue }: Color): Oklch {
  const [r, g, b] = [toLinear(red), toLinear(green), toLinear(blue)];
  const l = Math.cbrt(0.412_221_470_8 * r + 0.536_332_536_3 * g + 0.051_445_992_9 * b);
  const m = Math.cbrt(0.211_903_498_2 * r + 0.680_699_545_1 * g + 0.107_396_956_6 * b);
  const s = Math.cbrt(0.088_302_461_9 * r + 0.281_718_837_6 * g + 0.629_978_700_5 * b);
  const lightness = 0.210_454_255_3 * l + 0.793_617_785 * m - 0.004_072_046_8 * s;
  const a = 1.977_998_495_1 * l - 2.428_592_205 * m + 0.450_593_709_9 * s;
  const bee = 0.025_904_037_1 * l + 0.782_771_766_2 * m - 0.808_675_766 * s;
  const hue = (Math.atan2(bee, a) * 180) / Math.PI;
  return { lightness, chroma: Math.hypot(a, bee), hue: (hue + 360) % 360 };
}

/** The color, with as much of its chroma as sRGB can show at that lightness. */
export function fromOklch({ lightness, chroma, hue }: Oklch): Color {
  if (lightness <= 0) return { red: 0, green: 0, blue: 0 };
  if (lightness >= 1) return { red: 1, green: 1, blue: 1 };
  const full = convert(lightness, chroma, hue);
  if (isInGamut(full)) return clip(full);
  let [low, high] = [0, chroma];
  for (let step = 0; step < 24; step += 1) {
    const middle = (low + high) / 2;
    if (isInGamut(convert(lightness, middle, hue))) low = middle;
    else high = middle;
  }
  return clip(convert(lightness, low, hue));
}

function convert(lightness: number, chroma: number, hue: number): Color {
  const a = chroma * Math.cos((hue * Math.PI) / 180);
  const b = chroma * Math.sin((hue * Math.PI) / 180);
  const l = (lightness + 0.396_337_777_4 * a + 0.215_803_757_3 * b) ** 3;
  const m = (lightness - 0.105_561_345_8 * a - 0.063_854_172_8 * b) ** 3;
  const s = (lightness - 0.089_484_177_5 * a - 1.291_485_548 * b) ** 3;
  return {
    red: fromLinear(4.076_741_662_1 * l - 3.307_711_591_3 * m + 0.230_969_929_2 * s),
    green: fromLinear(-1.268_438_004_6 * l + 2.609_757_401_1 * m - 0.341_319_396_5 * s),
    blue: fromLinear(-0.004_196_086_3 * l - 0.703_418_614_7 * m + 1.707_614_701 * s),
  };
}

const hair = 0.000_5;

function isInGamut({ red, green, blue }: Color): boolean {
  return [red, green, blue].every((part) => part >= -hair && part <= 1 + hair);
}

function clip({ red, green, blue }: Color): Color {
  const within = (part: number) => Math.min(1, Math.max(0, part));
  return { red: within(red), green: within(green), blue: within(blue) };
}

/**
 * The color of the same hue, as near in lightness as can be, that has at least that contrast with each background.
 *
 * @returns null where no lightness has it with all of them
 * @example
 * const green = readHex('#8fae3a');
 * const paper = readHex('#fcfcf7');
 * if (green && paper) nearestWithContrast(green, [paper], 4.5); // a darker green, or null
 */
export function nearestWithContrast(color: Color, backgrounds: readonly Color[], least: number): Color | null {
  const passes = (candidate: Color) => backgrounds.every((background) => contrast(candidate, background) >= least);
  if (passes(asDrawn(color))) return asDrawn(color);
  const { lightness, chroma, hue } = toOklch(color);
  const steps = 500;
  for (let step = 1; step <= steps; step += 1) {
    for (const next of [lightness - step / steps, lightness + step / steps]) {
      if (next < 0 || next > 1) continue;
      const candidate = asDrawn(fromOklch({ lightness: next, chroma, hue }));
      if (passes(candidate)) return candidate;
    }
  }
  return null;
}
