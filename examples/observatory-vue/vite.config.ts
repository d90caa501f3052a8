import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { early } from '../observatory/early.ts';

export default defineConfig({
  plugins: [vue(), early(readFileSync(fileURLToPath(import.meta.resolve('fair-trail/early.js')), 'utf8'))],
  publicDir: '../observatory/public',
  // The site file and the content stand beside this app, for the apps in other frameworks to use too.
  server: { fs: { allow: ['../..'] } },
});
