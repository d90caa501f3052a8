/** Builds all packages and the example. */
import { installPackages, root, runTool } from './run.mjs';

installPackages();
await import('./build-packages.mjs');
runTool('vite/bin/vite.js', ['build', `${root}examples/observatory-react`, '--logLevel', 'warn']);
