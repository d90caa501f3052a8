import path from 'node:path';
import type { Plugin, ViteDevServer } from 'vite';
import { everyEntry, type DefinedSite } from '../core/site/site.ts';
import { problemText } from './read-files.ts';
import { siteModuleId, stylesId, type PluginContext } from './site-plugin.ts';
import { serveSheet } from './serve-sheet.ts';
import { coverageText } from './stage-coverage.ts';

/** What the pages of the app's stages say of themselves. */
interface StageReport {
  readonly pages: readonly string[];
  readonly layouts: readonly string[];
}

/** How long a file may be in writing, in milliseconds. */
const settlingTime = 150;

/** Follows the project's files while the server runs: the app is updated, problems are shown, and the sheet is served. */
export function serverPlugin(context: PluginContext): Plugin {
  let server: ViteDevServer | null = null;
  let reported = '';

  /** Says in the terminal and over the page what is wrong now, and nothing where nothing is. */
  function report(): void {
    const { project, config } = context;
    const text = project.problems.map((problem) => problemText(problem)).join('\n');
    if (text !== reported) {
      const isFatal = project.problems.some((problem) => problem.isFatal);
      if (text !== '') config.logger[isFatal ? 'error' : 'warn'](`fair-trail: ${text}`, { timestamp: true });
      else config.logger.info('fair-trail: all problems are fixed.', { timestamp: true });
    }
    reported = text;
    server?.environments.client.hot.send('fair-trail:problems', shownProblems());
  }

  /** What was read while an editor wrote it is half of a file, and the rest may come without another word of the watcher. */
  function lookAgain(file: string, read: string | null): void {
    setTimeout(() => {
      if (context.project.contentOf(file) !== read) server?.watcher.emit('change', file);
    }, settlingTime);
  }

  /** Where a browser finds a file of the project. */
  function addressOf(file: string): string {
    const { base, publicDir, root } = context.config;
    const isPublic = publicDir !== '' && file.startsWith(`${publicDir}/`);
    return base + path.posix.relative(isPublic ? publicDir : root, file);
  }

  const shownProblems = () => context.project.problems.filter(({ isFatal }) => isFatal);

  return {
    name: 'fair-trail:server',
    apply: 'serve',

    configureServer(given) {
      server = given;
      const { project } = context;
      // The project's own files are read at once, so that a mistake in them is known before a page is opened.
      project.readSite(project.siteFile);
      project.readTokens();
      for (const file of [project.siteFile, project.tokensFile]) if (file !== null) server.watcher.add(file);
      report();
      const { hot } = server.environments.client;
      const stages = new StageReporter(context);
      hot.on('fair-trail:ready', (_, client) => {
        stages.clear();
        client.send('fair-trail:problems', shownProblems());
      });
      hot.on('fair-trail:stage', (given: StageReport) => stages.take(given));
      serveSheet(server, context);
    },

    hotUpdate({ file, type }) {
      const { project } = context;
      const { moduleGraph, name, hot } = this.environment;
      const isSite = file === project.siteFile || project.isSiteFile(file);
      const isTokens = file === project.tokensFile;
      if (!isSite && !isTokens) return undefined;
      const isFirst = name === 'client';
      const before = isSite ? project.site(file) : project.tokens();
      // Each environment asks; the file is read for the first.
      const now = !isFirst ? before : isSite ? project.readSite(file) : project.readTokens();
      if (isFirst) report();
      if (isFirst && now?.problems.some(({ isFatal }) => isFatal)) lookAgain(file, now.text);
      if (!now || type === 'delete' || now.problems.some(({ isFatal }) => isFatal)) return [];
      const styles = [stylesId, `${stylesId}?direct`].map((id) => moduleGraph.getModuleById(id));
      if (isTokens) return styles.filter((module) => module !== undefined);
      // What failed when it was loaded has left an app that does not run.
      if (isFirst && before?.lastGood === null) {
        moduleGraph.invalidateAll();
        hot.send({ type: 'full-reload' });
        return [];
      }
      if (isFirst) hot.send('fair-trail:site', { address: addressOf(file) });
      const site = moduleGraph.getModuleById(siteModuleId(file));
      // A stylesheet that stays as it was need not be loaded again.
      const hasOtherStyles = now !== before && flexOf(now.lastGood) !== flexOf(before?.lastGood);
      return [site, ...(hasOtherStyles ? styles : [])].filter((module) => module !== undefined);
    },
  };
}

/** What the site's own styles depend on. */
function flexOf(value: unknown): string {
  const site = value as DefinedSite | null | undefined;
  return site ? [...everyEntry(site.entries)].map(({ flex }) => flex ?? '').join() : '';
}

/** Reports entries without a page and pages without an entry, once for each set of them. */
class StageReporter {
  readonly #context: PluginContext;
  readonly #pages = new Set<string>();
  readonly #layouts = new Set<string>();
  #reported = '';
  #timer: NodeJS.Timeout | undefined;

  constructor(context: PluginContext) {
    this.#context = context;
  }

  /** Forgets what was reported before: a page that is loaded has stages of its own. */
  clear(): void {
    this.#pages.clear();
    this.#layouts.clear();
  }

  take({ pages, layouts }: StageReport): void {
    for (const id of pages) this.#pages.add(id);
    for (const id of layouts) this.#layouts.add(id);
    clearTimeout(this.#timer);
    // The stages of one page report one after the other.
    this.#timer = setTimeout(() => this.#report(), 200);
  }

  #report(): void {
    const { project, config } = this.#context;
    const site = project.site(project.siteFile).lastGood;
    const text = site ? coverageText(site, this.#pages, this.#layouts) : '';
    if (text !== '' && text !== this.#reported) config.logger.warn(`fair-trail: ${text}`, { timestamp: true });
    this.#reported = text;
  }
}
