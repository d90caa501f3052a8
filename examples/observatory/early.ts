import type { Plugin } from 'vite';

/**
 * Puts the library's early script into the head as a file of its own, so that it runs before anything is drawn.
 *
 * @param source the script
 */
export function early(source: string): Plugin {
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
        response.setHeader('Content-Type', 'text/javascript').end(source);
      });
    },
    generateBundle() {
      if (this.environment.name === 'client') this.emitFile({ type: 'asset', fileName: name, source });
    },
  };
}
