import { readdirSync } from 'node:fs';
import { fairTrail } from 'fair-trail/vite';
import { defineConfig } from 'vitest/config';
import { printNavigation } from './src/print-navigation.ts';

/** Every page is a file of its own. */
const pages = readdirSync('.', { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.html') && !/^(?:dist|node_modules)\b/u.test(file),
);

export default defineConfig({
  appType: 'mpa',
  build: { rolldownOptions: { input: pages } },
  plugins: [printNavigation(), fairTrail({ tokens: 'src/theme.tokens.json' })],
});
