import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { root } from '../run.mjs';
import { withMutants } from './mutate.mjs';

const library = path.join(root, 'packages/fair-trail/src');

/** Every machine, every view and every part with all mutants in it, by its path; and the mutants. */
export const sources = new Map();
export const mutants = [];

for (const folder of ['core/interaction', 'core/view', 'core/router', 'parts']) {
  for (const name of readdirSync(path.join(library, folder)).toSorted()) {
    // `machine.ts` has no transition of its own, only the word for one.
    if (!name.endsWith('.ts') || /\.(?:test|samples)\.ts$/u.test(name) || name === 'machine.ts') continue;
    const file = path.join(library, folder, name);
    const broken = withMutants(
      `${folder.replace('core/', '')}/${name}`,
      readFileSync(file, 'utf8'),
      mutants.length + 1,
    );
    sources.set(file, broken.code);
    mutants.push(...broken.mutants);
  }
}

/** Puts them instead of the sources. */
export const plugin = {
  name: 'mutants',
  enforce: 'pre',
  transform: (_, id) => sources.get(id.split('?')[0]) ?? null,
};
