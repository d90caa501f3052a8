import { readFileSync } from 'node:fs';
import path from 'node:path';
import { normalizePath, type Plugin, type ResolvedConfig } from 'vite';
import { brokenModule, clientId, compiledModule, developedModule } from './modules.ts';
import type { FairTrailOptions } from './options.ts';
import { Project } from './project.ts';
import { isRelativeBase, rootPlaceholder, wayToRoot } from './relative-pages.ts';
import { problemText, type FileProblem } from './read-files.ts';

/** A site file as a module. The ending keeps it from what reads JSON, and the null character from all other plugins. */
const modulePrefix = '\0fair-trail:';
const moduleSuffix = '.js';

/** The address of the stylesheet that the plugin makes. */
export const stylesId = '/@fair-trail/styles.css';

/** What the plugins of one call share: it is there once Vite has resolved its configuration. */
export interface PluginContext {
  readonly options: FairTrailOptions;
  config: ResolvedConfig;
  project: Project;
}

/** The id of the module that a site file is. */
export function siteModuleId(file: string): string {
  return modulePrefix + file + moduleSuffix;
}

/** Makes modules of site files, and the stylesheet. */
export function sitePlugin(context: PluginContext): Plugin {
  const { options } = context;
  const isBuild = () => context.config.command === 'build';
  const ownFiles = () => [context.project.siteFile, context.project.tokensFile].filter((file) => file !== null);

  return {
    name: 'fair-trail',
    // Before what reads every JSON file as mere data.
    enforce: 'pre',

    config: () => {
      // A copy in a workspace is not bundled ahead, and must not be there twice.
      const isInstalled = normalizePath(import.meta.dirname).includes('/node_modules/');
      return isInstalled ? { optimizeDeps: { include: ['fair-trail', 'fair-trail/internal/live'] } } : {};
    },

    configResolved(config) {
      context.config = config;
      context.project = new Project({ root: config.root, base: config.base, logger: config.logger, options });
    },

    buildStart() {
      if (!isBuild()) return;
      // What is wrong with the project's own files is reported before anything is built of them.
      const { project, config } = context;
      for (const file of ownFiles()) this.addWatchFile(file);
      project.readSite(project.siteFile);
      project.readTokens();
      for (const problem of project.problems.filter(({ isFatal }) => !isFatal)) {
        config.logger.warn(`fair-trail: ${problemText(problem)}`);
      }
      refuse(project.problems, (message) => this.error(message));
    },

    async resolveId(source, importer, resolveOptions) {
      if (source === clientId || source.split('?', 1)[0] === stylesId) return source;
      if ((options.styles ?? true) && source === 'fair-trail/styles.css') return stylesId;
      if (!source.endsWith('.site.json')) return null;
      const resolved = await this.resolve(source, importer, { ...resolveOptions, skipSelf: true });
      return resolved && !resolved.external ? siteModuleId(normalizePath(resolved.id)) : resolved;
    },

    load(id) {
      const { project } = context;
      if (id === clientId) return readFileSync(path.join(import.meta.dirname, 'page/client.js'), 'utf8');
      if (id.split('?', 1)[0] === stylesId) {
        for (const file of ownFiles()) this.addWatchFile(file);
        return project.stylesheet();
      }
      if (!id.startsWith(modulePrefix)) return null;
      const file = id.slice(modulePrefix.length, -moduleSuffix.length);
      this.addWatchFile(file);
      if (isBuild()) {
        // The project's own was read when the build began.
        const { problems, lastGood } = file === project.siteFile ? project.site(file) : project.readSite(file);
        refuse(problems, (message) => this.error(message));
        const isRelative = isRelativeBase(context.config.base) && this.environment.name === 'client';
        return lastGood && compiledModule(lastGood, isRelative);
      }
      const { problems, lastGood } = project.site(file);
      // A test runner has no page that stays open while files change.
      const isTest = context.config.plugins.some(({ name }) => name === 'vitest');
      const isInBrowser = this.environment.name === 'client' && !isTest;
      return lastGood ? developedModule(lastGood, isInBrowser) : brokenModule(problems, isInBrowser);
    },

    renderChunk(code, chunk) {
      if (!code.includes(rootPlaceholder)) return null;
      return { code: code.replaceAll(rootPlaceholder, JSON.stringify(wayToRoot(chunk.fileName))), map: null };
    },
  };
}

function refuse(problems: readonly FileProblem[], end: (message: string) => never): void {
  const fatal = problems.filter(({ isFatal }) => isFatal);
  if (fatal.length > 0) end(`The build ends here:\n${fatal.map(problemText).join('\n')}`);
}
