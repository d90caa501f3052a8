export { contrast, luminance, nearestWithContrast, readComputedColor, readHex, writeHex, type Color } from './color.ts';
export { colorNames, colorPairs, type ColorName, type ColorPair, type Palette } from './palette.ts';
export { checkPalette, type PairResult } from './check-palette.ts';
export { deriveTheme, type Theme } from './derive-theme.ts';
export { readTokens, tokensCss, writeTokens, type TokenProblem, type TokenThemes } from './tokens.ts';
