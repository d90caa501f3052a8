import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { HtmlTagDescriptor, Plugin } from 'vite';
import { clientId } from './modules.ts';
import { libraryFile } from './read-files.ts';
import { stylesId, type PluginContext } from './site-plugin.ts';

/** Adds to each HTML page what it needs and one forgets: the stylesheet, and in development what shows problems. */
export function pagePlugin(context: PluginContext): Plugin {
  return {
    name: 'fair-trail:page',
    transformIndexHtml: {
      // Before Vite reads the page: what this adds is then bundled like the rest, below the base path.
      order: 'pre',
      handler: () => [
        ...(context.config.command === 'serve' ? [tag('script', { type: 'module', src: clientId })] : []),
        ...((context.options.styles ?? true) ? [tag('link', { rel: 'stylesheet', href: stylesId })] : []),
      ],
    },
  };
}

/** Adds the early script to each HTML page, as a file of its own that the page waits for. */
export function earlyScriptPlugin(context: PluginContext): Plugin {
  const source = readFileSync(libraryFile('dist/early.js'), 'utf8');
  const fileName = () => {
    const { command, build } = context.config;
    if (command === 'serve') return '@fair-trail/early.js';
    const hash = createHash('sha256').update(source).digest('hex').slice(0, 8);
    return path.posix.join(build.assetsDir, `early-${hash}.js`);
  };
  return {
    name: 'fair-trail:early-script',
    transformIndexHtml: {
      // After Vite has read the page, or it would say that a script which is no module cannot be bundled.
      order: 'post',
      handler: () => [tag('script', { src: (context.config.base || './') + fileName() })],
    },
    configureServer: ({ middlewares }) => {
      // Plugins see a request before Vite takes the base path away.
      middlewares.use(context.config.base + fileName(), (_, response) => {
        response.setHeader('Content-Type', 'text/javascript').end(source);
      });
    },
    generateBundle() {
      if (this.environment.name === 'client') this.emitFile({ type: 'asset', fileName: fileName(), source });
    },
  };
}

function tag(name: string, attrs: Record<string, string>): HtmlTagDescriptor {
  return { tag: name, attrs, injectTo: 'head-prepend' };
}
