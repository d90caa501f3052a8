export { contrast, nearestWithContrast, readHex, writeHex, type Color } from './color.ts';
export { type Palette } from './palette.ts';
export { checkPalette, type PairResult } from './check-palette.ts';
export { deriveTheme, type Theme } from './derive-theme.ts';
export { readTokens, tokensCss, writeTokens } from './tokens.ts';
