import vue from '@vitejs/plugin-vue';
import { fairTrail } from 'fair-trail/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [
    vue(),
    fairTrail({
      site: '../observatory/observatory.site.json',
      types: { folder: 'types' },
      // Sessions and net rounds come with data, so that more pages are drawn in the browser.
      prerender: { entry: 'src/server.ts', fallback: 'shell.html' },
    }),
  ],
  publicDir: '../observatory/public',
  // The site file and the content stand beside this app, for the apps in other frameworks to use too.
  server: { fs: { allow: ['../..'] } },
});
