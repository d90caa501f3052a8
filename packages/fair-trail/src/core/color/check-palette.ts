import { contrast, nearestWithContrast, type Color } from './color.ts';
import { colorPairs, type ColorPair, type Palette } from './palette.ts';

/** How a pair of colors stands. */
export interface PairResult {
  readonly pair: ColorPair;
  readonly foreground: Color;
  readonly background: Color;
  /** From 1 to 21, not rounded: 4.499 is less than 4.5. */
  readonly contrast: number;
  readonly passes: boolean;
  /** For a pair that fails, the nearest foreground that passes on all the backgrounds that it meets; null for none. */
  readonly nearest: Color | null;
}

/**
 * Every pair of colors that meet, in every state.
 *
 * @example
 * const failing = checkPalette(theme.light).filter(({ passes }) => !passes);
 */
export function checkPalette(palette: Palette): readonly PairResult[] {
  return colorPairs.map((pair) => {
    const [foreground, background] = [palette[pair.foreground], palette[pair.background]];
    const ratio = contrast(foreground, background);
    const passes = ratio >= pair.least;
    return {
      pair,
      foreground,
      background,
      contrast: ratio,
      passes,
      nearest: passes ? null : nearestFor(palette, pair),
    };
  });
}

/** For all that the foreground meets, so that fixing one pair does not break another. */
function nearestFor(palette: Palette, { foreground }: ColorPair): Color | null {
  const met = colorPairs.filter((pair) => pair.foreground === foreground);
  const least = Math.max(...met.map((pair) => pair.least));
  return nearestWithContrast(
    palette[foreground],
    met.map((pair) => palette[pair.background]),
    least,
  );
}
