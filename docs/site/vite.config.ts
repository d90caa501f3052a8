import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { fairTrail } from 'fair-trail/vite';
import { defineConfig } from 'vite';
import { documentationPlugin } from './build/documentation-plugin.ts';

const page = (name: string) => fileURLToPath(new URL(name, import.meta.url));

export default defineConfig(({ isSsrBuild = false, command }) => ({
  // Below any path, and from a disk.
  base: command === 'build' ? './' : '/',
  build: {
    // The policy of the site forbids images as `data:` URLs.
    assetsInlineLimit: 0,
    // The index of the search is loaded when someone searches.
    chunkSizeWarningLimit: 600,
    ...(!isSsrBuild && { rolldownOptions: { input: [page('index.html'), page('preview.html')] } }),
  },
  plugins: [
    documentationPlugin(),
    react(),
    fairTrail({
      site: 'documentation.site.json',
      types: { folder: 'types' },
      prerender: { entry: 'src/server.tsx' },
    }),
  ],
  // The pages themselves stand above this folder.
  server: { fs: { allow: ['../..'] } },
}));
