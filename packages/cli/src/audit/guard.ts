import type { BrowserContext, Page } from 'playwright-core';

/**
 * Keeps a browser from doing harm on a site that is being audited: nothing goes to another origin, nothing but reading goes
 * out at all, no socket is opened, no dialog waits, and no other window stays open.
 */
export async function guard(context: BrowserContext, origin: string): Promise<void> {
  await context.route('**/*', async (route) => {
    const request = route.request();
    const { protocol, origin: wanted } = new URL(request.url());
    const isOwn = wanted === origin || protocol === 'data:' || protocol === 'blob:';
    const isReading = request.method() === 'GET' || request.method() === 'HEAD';
    if (isOwn && isReading) await route.continue();
    else await route.abort('blockedbyclient');
  });
  await context.routeWebSocket(/.*/u, async (socket) => {
    await socket.close();
  });
  let own: Page | null = null;
  context.on('page', (page) => {
    own ??= page;
    // What another window would show is not looked at.
    if (page !== own) void page.close();
    page.on('dialog', (dialog) => void dialog.dismiss());
  });
}
