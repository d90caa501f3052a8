#!/usr/bin/env node
import { existsSync } from 'node:fs';

const main = new URL('../dist/main.js', import.meta.url);

// In a clone, the bin exists before the build does: say so instead of failing with a module error.
if (existsSync(main)) {
  await import(main.href);
} else {
  console.error('fair-trail: the command is not built yet. Run "npm run build" at the root of the clone.');
  process.exitCode = 2;
}
