import path from 'node:path';
import type { ServerResponse } from 'node:http';
import type { ViteDevServer } from 'vite';
import type { PluginContext } from './site-plugin.ts';

/** What the package of the command offers. It is not needed for anything else, so it need not be installed. */
interface SheetServer {
  readonly sheetResponse: (
    input: Readonly<Record<string, unknown>>,
    name: string,
  ) => Promise<{
    readonly status: number;
    readonly headers: Readonly<Record<string, string>>;
    readonly body: string | Uint8Array;
  }>;
}

/** Serves the state sheet of the project's site file, which loads again when a file of the project changes. */
export function serveSheet({ middlewares, watcher }: ViteDevServer, { config, project, options }: PluginContext): void {
  // Plugins see a request before Vite takes the base path away.
  const folder = `${config.base}@fair-trail/sheet`;
  const open = new Set<ServerResponse>();
  const absolute = (file: string) => path.resolve(config.root, file);
  const { records, icons } = options.sheet ?? {};
  const followed = [project.siteFile, project.tokensFile, records && absolute(records), icons && absolute(icons)];
  watcher.on('all', (_, file) => {
    if (!followed.some((each) => each && path.resolve(each) === path.resolve(file))) return;
    for (const response of open) response.write('data: changed\n\n');
  });

  middlewares.use(folder, (request, response) => {
    const [name = ''] = (request.url ?? '/').slice(1).split('?');
    if (request.originalUrl?.split('?')[0]?.endsWith('/sheet')) {
      // What the page loads is beside it.
      response.writeHead(302, { Location: `${folder}/` }).end();
      return;
    }
    if (name === 'changes') {
      response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' });
      response.write('\n');
      open.add(response);
      response.on('close', () => open.delete(response));
      return;
    }
    if (name === 'live.js') {
      response.writeHead(200, { 'Content-Type': 'text/javascript' });
      response.end("new EventSource('changes').addEventListener('message', () => location.reload());\n");
      return;
    }
    answer(name).then(
      ({ status, headers, body }) => response.writeHead(status, headers).end(body),
      (error: unknown) => {
        const reason = error instanceof Error ? error.message : String(error);
        response.writeHead(500, { 'Content-Type': 'text/plain; charset=utf-8' }).end(`${reason}\n`);
      },
    );
  });

  async function answer(name: string): ReturnType<SheetServer['sheetResponse']> {
    const server = await loadServer();
    const input = {
      file: project.siteFile,
      menus: {},
      ...(project.tokensFile !== null && { theme: project.tokensFile }),
      ...(records !== undefined && { records: absolute(records) }),
      ...(icons !== undefined && { icons: absolute(icons) }),
    };
    const { status, headers, body } = await server.sheetResponse(input, name || 'index.html');
    if (name !== '' && name !== 'index.html') return { status, headers, body };
    const policy = `${headers['Content-Security-Policy'] ?? ''}; connect-src 'self'`;
    const page = String(body)
      .replace(/<meta http-equiv="Content-Security-Policy"[^>]*>/u, '')
      .replace('</head>', '<script src="live.js" defer></script>\n  </head>');
    return { status, headers: { ...headers, 'Content-Security-Policy': policy }, body: page };
  }
}

async function loadServer(): Promise<SheetServer> {
  const name = '@fair-trail/cli/internal/sheet';
  try {
    return (await import(/* @vite-ignore */ name)) as SheetServer;
  } catch {
    throw new Error('The state sheet needs the command. Install it: npm install --save-dev @fair-trail/cli');
  }
}
