/** Builds all packages, and the examples as they are served together: at `/`, `/vue/` and `/plain/`. */
import { buildWhereChanged } from './fresh.mjs';
import { installPackages, root } from './run.mjs';

installPackages();
await import('./packages.mjs');
const { buildApp, copyPlainPages } = await import('./build-example.mjs');
const served = `${root}.build/served`;
await buildWhereChanged('served', () => {
  buildApp('observatory-react', { base: '/', outDir: served });
  buildApp('observatory-vue', { base: '/vue/', outDir: `${served}/vue` });
  copyPlainPages({ base: '/plain/', outDir: `${served}/plain`, isPrinted: true });
});
