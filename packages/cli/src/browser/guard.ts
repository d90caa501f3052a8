import type { BrowserContext } from 'playwright-core';
import { isHarmful } from './harmful.ts';

/**
 * Keeps a page from doing harm on the site that is being audited: nothing but reading goes out, no socket is opened, no
 * dialog waits, no other window stays open. That nothing goes to another origin is the gate's.
 */
export async function guard(context: BrowserContext, origin: string): Promise<void> {
  // Behind an encrypted connection the gate cannot see what is asked; where it can, this would only be slow.
  if (origin.startsWith('https:')) {
    await context.route('**/*', async (route) => {
      const request = route.request();
      const isReading = request.method() === 'GET' || request.method() === 'HEAD';
      await (isReading && !isHarmful(new URL(request.url())) ? route.continue() : route.abort('blockedbyclient'));
    });
  }
  await context.routeWebSocket(/.*/u, async (socket) => {
    await socket.close();
  });
  context.on('page', (page) => {
    // What another window would show is not looked at.
    page.on('popup', (other) => void other.close().catch(() => undefined));
    page.on('dialog', (dialog) => {
      // A page that asks whether it may be left is left.
      const answer = dialog.type() === 'beforeunload' ? dialog.accept() : dialog.dismiss();
      void answer.catch(() => undefined);
    });
  });
}
