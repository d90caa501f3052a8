/** Prints how many names each public entry exports. `docs/reference` has them one by one. */
import { publicNames } from './reference.mjs';

const surfaces = publicNames();
for (const { module, names } of surfaces) {
  const values = names.filter(({ isValue }) => isValue).length;
  console.log(`${String(names.length).padStart(4)} names, ${names.length - values} of them types  ${module}`);
}
console.log(`${String(surfaces.reduce((sum, { names }) => sum + names.length, 0)).padStart(4)} names in all`);
