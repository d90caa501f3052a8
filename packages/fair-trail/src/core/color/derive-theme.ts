import { asDrawn, fromOklch, nearestWithContrast, toOklch, type Color } from './color.ts';
import { colorPairs, type ColorName, type Palette } from './palette.ts';

/**
 * A palette for each scheme.
 */
export interface Theme {
  readonly light: Palette;
  readonly dark: Palette;
}

/** Lightness and chroma of each surface and text, in each scheme. The hue is the brand's. */
const scale: Readonly<Record<'light' | 'dark', Readonly<Partial<Record<ColorName, readonly [number, number]>>>>> = {
  light: {
    paper: [0.96, 0.012],
    'paper-raised': [0.987, 0.006],
    shade: [0.915, 0.018],
    'shade-deep': [0.865, 0.024],
    ink: [0.25, 0.015],
    'ink-soft': [0.44, 0.018],
    line: [0.82, 0.022],
    'line-strong': [0.57, 0.022],
  },
  dark: {
    paper: [0.22, 0.012],
    'paper-raised': [0.26, 0.014],
    shade: [0.32, 0.018],
    'shade-deep': [0.38, 0.02],
    ink: [0.94, 0.012],
    'ink-soft': [0.8, 0.016],
    line: [0.41, 0.02],
    'line-strong': [0.65, 0.022],
  },
};

/**
 * A whole theme, light and dark, from one or two brand colors: the first paints the blaze and tints the paper, the second
 * the call to action and the focus ring. Each is moved in lightness, and only as far as its contrast needs.
 *
 * @example
 * const brand = readHex('#1d5f6b');
 * if (brand) deriveTheme(brand);
 */
export function deriveTheme(brand: Color, second: Color = brand): Theme {
  return { light: derive('light', brand, second), dark: derive('dark', brand, second) };
}

function derive(scheme: 'light' | 'dark', brand: Color, second: Color): Palette {
  const { hue, chroma } = toOklch(brand);
  // A gray brand tints nothing.
  const tint = Math.min(1, chroma / 0.04);
  const surfaces: Partial<Record<ColorName, Color>> = {};
  for (const [name, [lightness, amount]] of Object.entries(scale[scheme])) {
    surfaces[name as ColorName] = asDrawn(fromOklch({ lightness, chroma: amount * tint, hue }));
  }
  const base = surfaces as Palette;
  const on = (color: Color, name: ColorName, least: number) => {
    const backgrounds = colorPairs.filter((pair) => pair.foreground === name).map((pair) => base[pair.background]);
    return nearestWithContrast(color, backgrounds, least) ?? base.ink;
  };
  const rust = on(second, 'rust', 4.5);
  const { lightness, ...rest } = toOklch(rust);
  const deep = asDrawn(fromOklch({ ...rest, lightness: lightness + (scheme === 'light' ? -0.07 : 0.07) }));
  return {
    ...base,
    lichen: on(brand, 'lichen', 3),
    rust,
    'rust-deep': deep,
    'on-rust': nearestWithContrast(base['paper-raised'], [rust, deep], 4.5) ?? base.paper,
    focus: on(second, 'focus', 3),
  };
}
