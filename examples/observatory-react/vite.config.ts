import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { early } from '../observatory/early.ts';

const page = (name: string) => fileURLToPath(new URL(name, import.meta.url));

export default defineConfig(({ isSsrBuild = false }) => ({
  build: isSsrBuild ? {} : { rolldownOptions: { input: [page('index.html'), page('sheet.html')] } },
  plugins: [react(), early(readFileSync(fileURLToPath(import.meta.resolve('fair-trail/early.js')), 'utf8'))],
  publicDir: '../observatory/public',
  // The site file and the content stand beside this app, for the apps in other frameworks to use too.
  server: { fs: { allow: ['../..'] } },
}));
