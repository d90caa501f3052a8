#!/usr/bin/env node
// `npm create fair-trail my-site -- --with react` is `fair-trail new my-site --with react`.
import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { createRequire } from 'node:module';
import path from 'node:path';

const manifest = createRequire(import.meta.url).resolve('@fair-trail/cli/package.json');
const { bin } = JSON.parse(readFileSync(manifest, 'utf8'));
process.argv.splice(2, 0, 'new');
await import(pathToFileURL(path.join(path.dirname(manifest), bin['fair-trail'])).href);
