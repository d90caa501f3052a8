import { rmSync } from 'node:fs';
import path from 'node:path';
import { build, mergeConfig, type Plugin } from 'vite';
import type { PrerenderOptions } from './options.ts';
import { noteImports, pageTags, type PageTags } from './page-scripts.ts';
import { prerender } from './prerender.ts';
import { isRelativeBase } from './relative-pages.ts';
import { coverageText } from './stage-coverage.ts';
import type { PluginContext } from './site-plugin.ts';

/** Writes each page of the app as HTML, after the app has been built. */
export function prerenderPlugin(context: PluginContext, given: string | PrerenderOptions): Plugin {
  const options: PrerenderOptions = typeof given === 'string' ? { entry: given } : given;
  let tags: PageTags = {};
  let hasFailed = false;
  const isForServer = () => Boolean(context.config.build.ssr);

  return {
    name: 'fair-trail:prerender',
    apply: 'build',

    transform(code, id) {
      return isForServer() ? noteImports(this, code, id) : null;
    },

    generateBundle(_, bundle) {
      if (!isForServer()) tags = pageTags(bundle, context.config.base || './');
    },

    buildEnd(error) {
      if (error) hasFailed = true;
    },

    closeBundle: {
      // After others have put their files into the folder.
      order: 'post',
      async handler() {
        const { config, project } = context;
        if (hasFailed || isForServer() || this.environment.name !== 'client') return;
        const site = project.site(project.siteFile).lastGood;
        if (!site) return;
        // Within the project, so that the packages of the app are found.
        const folder = path.join(config.cacheDir, `fair-trail-${process.pid}`);
        const server = {
          configFile: config.configFile ?? false,
          root: config.root,
          base: config.base,
          mode: config.mode,
          logLevel: 'warn',
          build: {
            ssr: path.resolve(config.root, options.entry),
            outDir: folder,
            emptyOutDir: true,
            copyPublicDir: false,
            rolldownOptions: { output: { entryFileNames: 'server.js' } },
            rollupOptions: { output: { entryFileNames: 'server.js' } },
          },
        };
        try {
          await build(mergeConfig(config.inlineConfig, server));
          const { failures, stage } = await prerender({
            ...{ site, options, tags },
            module: path.join(folder, 'server.js'),
            root: config.root,
            outDir: path.resolve(config.root, config.build.outDir),
            assetsDir: config.build.assetsDir,
            isRelative: isRelativeBase(config.base),
            logger: config.logger,
          });
          const text = stage ? coverageText(site, new Set(stage), new Set()) : '';
          if (text !== '') config.logger.warn(`fair-trail: ${text}`);
          if (failures.length > 0) {
            const count = failures.length === 1 ? 'A page' : `${failures.length} pages`;
            throw new Error(`fair-trail: ${count} could not be written; the others are.\n${failures.join('\n')}`);
          }
        } finally {
          rmSync(folder, { recursive: true, force: true });
        }
      },
    },
  };
}
