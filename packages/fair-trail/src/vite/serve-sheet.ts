import path from 'node:path';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { normalizePath, type ViteDevServer } from 'vite';
import { checkSite } from '../core/site/define.ts';
import type { PluginContext } from './site-plugin.ts';

/** The texts of the files as they are edited; null for one that is as it is saved. */
interface DraftTexts {
  readonly site: string | null;
  readonly tokens: string | null;
}

/** A session in which the files are edited. */
interface WorkbenchServer {
  readonly respond: (request: IncomingMessage, name: string, response: ServerResponse) => Promise<void>;
  readonly close: () => void;
}

/** What the package of the command offers. It is not needed for anything else, so it need not be installed. */
interface SheetPackage {
  readonly Workbench: new (input: Readonly<Record<string, unknown>>) => WorkbenchServer;
}

/** Serves the state sheet of the project's site file, as a workbench: what is edited there shows in the running app too. */
export function serveSheet(server: ViteDevServer, context: PluginContext): void {
  const { config, project, options } = context;
  // Plugins see a request before Vite takes the base path away.
  const folder = `${config.base}@fair-trail/sheet`;
  let workbench: Promise<WorkbenchServer> | null = null;

  server.middlewares.use(folder, (request, response) => {
    const [name = ''] = (request.url ?? '/').slice(1).split('?');
    if (request.originalUrl?.split('?')[0]?.endsWith('/sheet')) {
      // What the page loads is beside it.
      response.writeHead(302, { Location: `${folder}/` }).end();
      return;
    }
    workbench ??= openWorkbench();
    workbench
      .then((opened) => opened.respond(request, name, response))
      .catch((error: unknown) => {
        workbench = null;
        const reason = error instanceof Error ? error.message : String(error);
        if (!response.headersSent) response.writeHead(500, { 'Content-Type': 'text/plain; charset=utf-8' });
        response.end(`${reason}\n`);
      });
  });
  server.httpServer?.once('close', () => {
    void workbench?.then(
      (opened) => opened.close(),
      () => undefined,
    );
  });

  async function openWorkbench(): Promise<WorkbenchServer> {
    const { records, icons } = options.sheet ?? {};
    const { Workbench } = await loadPackage();
    const shown = (file: string) => path.relative(process.cwd(), path.resolve(config.root, file));
    return new Workbench({
      file: shown(project.siteFile),
      menus: {},
      ...(project.tokensFile !== null && { theme: shown(project.tokensFile) }),
      ...(records !== undefined && { records: shown(records) }),
      ...(icons !== undefined && { icons: shown(icons) }),
      showDraft: (texts: DraftTexts | null) => showDraft(texts),
    });
  }

  /** Shows in the running app what is not saved yet. What is wrong with it for a moment leaves the app as it is. */
  function showDraft(texts: DraftTexts | null): void {
    const site = texts?.site ?? null;
    if (site === null || isSite(site)) change(project.siteFile, site);
    if (project.tokensFile !== null) change(project.tokensFile, texts?.tokens ?? null);
  }

  function change(file: string, text: string | null): void {
    if (project.setDraft(file, text)) server.watcher.emit('change', normalizePath(file));
  }
}

function isSite(text: string): boolean {
  try {
    return checkSite(JSON.parse(text)).site !== null;
  } catch {
    return false;
  }
}

async function loadPackage(): Promise<SheetPackage> {
  const name = '@fair-trail/cli/internal/sheet';
  try {
    return (await import(/* @vite-ignore */ name)) as SheetPackage;
  } catch {
    throw new Error('The state sheet needs the command. Install it: npm install --save-dev @fair-trail/cli');
  }
}
