import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { root } from './run.mjs';

/** The layers, from the lowest row of the map to the highest. */
const rows = [
  ['core'],
  ['dom', 'reading'],
  ['parts', 'audit'],
  ['react', 'vue', 'elements', 'html', 'testing'],
  ['sheet', 'vite', 'cli'],
];

const folderOf = (name) => path.join(root, name === 'cli' ? 'packages/cli/src' : `packages/fair-trail/src/${name}`);

const isSource = (file) => /\.tsx?$/u.test(file) && !/\.(?:test|samples)\.|\.d\.ts$/u.test(file);

/** The layer of a module that is imported; null for a package of others. */
function layerOf(specifier, file) {
  if (specifier.startsWith('.')) {
    const place = path
      .relative(path.join(root, 'packages'), path.resolve(path.dirname(file), specifier))
      .split(path.sep);
    return place[0] === 'cli' ? 'cli' : (place[2] ?? null);
  }
  const [, entry] = /^fair-trail(?:\/(?:internal\/)?([a-z]+))?/u.exec(specifier) ?? [];
  if (!specifier.startsWith('fair-trail')) return null;
  return rows.flat().includes(entry ?? '') ? entry : 'core';
}

/**
 * Each layer with the other layers that it imports.
 *
 * @returns {{ name: string, imports: string[] }[]}
 */
export function readCodeMap() {
  const layers = rows.flat();
  return layers.map((name) => {
    const folder = folderOf(name);
    const found = new Set();
    for (const file of readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter(isSource)) {
      const place = path.join(folder, file);
      for (const [, one, other] of readFileSync(place, 'utf8').matchAll(
        /\bfrom '([^']+)'|\bimport\(\s*'([^']+)'\s*\)/gu,
      )) {
        found.add(layerOf(one ?? other, place));
      }
    }
    return { name, imports: layers.filter((layer) => layer !== name && found.has(layer)) };
  });
}

const size = { width: 1000, row: 110, box: 132, height: 46 };

/** The map as a picture: a board for each layer, and a line for each import, which always leads down. */
export function codeMapSvg(layers) {
  const places = new Map(
    rows.flatMap((row, level) =>
      row.map((name, index) => [
        name,
        {
          x: Math.round(((index + 1) * size.width) / (row.length + 1)),
          y: 40 + (rows.length - 1 - level) * size.row,
        },
      ]),
    ),
  );
  const height = 40 + (rows.length - 1) * size.row + size.height + 20;
  const lines = layers.flatMap(({ name, imports }) => {
    const from = places.get(name);
    return imports.map((to) => {
      const target = places.get(to);
      const middle = (from.y + size.height + target.y) / 2;
      return `<path d="M${from.x} ${from.y + size.height}C${from.x} ${middle} ${target.x} ${middle} ${target.x} ${target.y}"/>`;
    });
  });
  const boards = layers.map(({ name }) => {
    const { x, y } = places.get(name);
    const left = x - size.box / 2;
    const cut = 7;
    const right = left + size.box;
    const low = y + size.height;
    const shape = `M${left + cut} ${y}H${right - cut}L${right} ${y + cut}V${low - cut}L${right - cut} ${low}H${left + cut}L${left} ${low - cut}V${y + cut}Z`;
    return `<path d="${shape}" fill="#fdfbf4" stroke="#1f2420" stroke-width="1.5"/><text x="${x}" y="${y + 28}">${name}</text>`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size.width} ${height}" role="img" aria-label="The layers of the code and their imports">`,
    `<rect width="${size.width}" height="${height}" fill="#f6f2e6"/>`,
    `<g fill="none" stroke="#4a6413" stroke-opacity="0.55" stroke-width="1.5">${lines.join('')}</g>`,
    `<g font-family="system-ui, sans-serif" font-size="16" text-anchor="middle" fill="#1f2420">${boards.join('')}</g>`,
    '</svg>',
    '',
  ].join('\n');
}
