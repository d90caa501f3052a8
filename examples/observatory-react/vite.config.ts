import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

const earlyScript = fileURLToPath(import.meta.resolve('fair-trail/early.js'));

/** Puts the library's early script into the head as a file of its own, so that it runs before anything is drawn. */
function early(): Plugin {
  const name = 'early.js';
  let base = '/';
  return {
    name: 'early-script',
    configResolved: (config) => {
      ({ base } = config);
    },
    transformIndexHtml: {
      order: 'post',
      handler: () => [{ tag: 'script', attrs: { src: `${base}${name}` }, injectTo: 'head' }],
    },
    configureServer: ({ middlewares }) => {
      middlewares.use(`/${name}`, (_, response) => {
        response.setHeader('Content-Type', 'text/javascript').end(readFileSync(earlyScript));
      });
    },
    generateBundle() {
      this.emitFile({ type: 'asset', fileName: name, source: readFileSync(earlyScript, 'utf8') });
    },
  };
}

const page = (name: string) => fileURLToPath(new URL(name, import.meta.url));

export default defineConfig({
  build: { rolldownOptions: { input: [page('index.html'), page('sheet.html')] } },
  plugins: [react(), early()],
  // The site file and the content stand beside this app, for the apps in other frameworks to use too.
  server: { fs: { allow: ['../..'] } },
});
