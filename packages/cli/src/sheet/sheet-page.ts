import { escapeMarkup } from 'fair-trail/internal/core';
import type { SheetData } from 'fair-trail/internal/sheet';
import type { OutputFile } from '../writers/write-files.ts';
import { builtFile, type SheetMaterial } from './sheet-data.ts';

/** Nothing but the files beside the page: no script or style within it, and no other address. */
export const sheetPolicy = [
  "default-src 'none'",
  "script-src 'self'",
  "style-src 'self'",
  "img-src 'self' data:",
  "font-src 'self'",
  "frame-src 'self'",
  "base-uri 'none'",
  "form-action 'none'",
].join('; ');

/** What every sheet has, made when this package was built. */
export const builtFiles = ['sheet.js', 'sheet.css', 'specimens.css'] as const;

/** The files of a sheet, by their names in its folder. */
export function sheetFiles(material: SheetMaterial): readonly OutputFile[] {
  return [...ownFiles(material), ...builtFiles.map((name) => ({ path: name, text: builtFile(name) }))];
}

/** Those that are of this site alone. */
export function ownFiles({ name, themeCss, data }: SheetMaterial): readonly OutputFile[] {
  return [
    { path: 'index.html', text: sheetHtml(name) },
    { path: 'theme.css', text: themeCss },
    { path: 'data.js', text: dataScript(data) },
  ];
}

export function dataScript(data: SheetData): string {
  return `window.fairTrailSheet = ${JSON.stringify(data)};\n`;
}

function sheetHtml(name: string): string {
  return `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8">
    <meta http-equiv="Content-Security-Policy" content="${sheetPolicy}">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>${escapeMarkup(name)}: state sheet</title>
    <link rel="stylesheet" href="specimens.css">
    <link rel="stylesheet" href="theme.css">
    <link rel="stylesheet" href="sheet.css">
    <script src="data.js" defer></script>
    <script src="sheet.js" defer></script>
  </head>
  <body class="ft-sheet-alone">
    <div id="sheet"></div>
    <noscript>This sheet draws the components themselves, which takes scripts.</noscript>
  </body>
</html>
`;
}
