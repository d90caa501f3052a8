/** Benchmarks, each a ratio to its baseline in the same run, and the sizes. */
import { installPackages } from './run.mjs';

installPackages();
await import('./build-packages.mjs');
await import('../bench/core.mjs');
await import('../bench/navigation.mjs');
await import('../bench/sizes.mjs');
