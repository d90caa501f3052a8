/** Builds the packages, unless their sources are as they were when they were last built. */
import { buildWhereChanged } from './fresh.mjs';

await buildWhereChanged('packages', () => import('./build-packages.mjs'));
