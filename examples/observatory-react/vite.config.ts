import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { fairTrail } from 'fair-trail/vite';
import { defineConfig } from 'vite';

const page = (name: string) => fileURLToPath(new URL(name, import.meta.url));

export default defineConfig(({ isSsrBuild = false }) => ({
  build: isSsrBuild ? {} : { rolldownOptions: { input: [page('index.html'), page('sheet.html')] } },
  plugins: [
    react(),
    fairTrail({
      site: '../observatory/observatory.site.json',
      types: { folder: 'types' },
      // Sessions and net rounds come with data, so that more pages are drawn in the browser.
      prerender: { entry: 'src/server.tsx', fallback: 'shell.html' },
    }),
  ],
  publicDir: '../observatory/public',
  // The site file and the content stand beside this app, for the apps in other frameworks to use too.
  server: { fs: { allow: ['../..'] } },
}));
