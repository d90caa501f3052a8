import { StrictMode } from 'react';
import { renderToString } from 'react-dom/server';
import { loadPage } from 'fair-trail/react';
import { App } from './app.tsx';
import { pages } from './pages/index.ts';
import { records } from './records.ts';
import { site } from './site.ts';

export { pages, records };

/** The page of an address, as HTML. */
export async function render(url: string): Promise<string> {
  // The weather mast cannot always be reached; then its page says so, and is asked for again in the browser.
  await loadPage(site, pages, url).catch(() => undefined);
  return renderToString(
    <StrictMode>
      <App url={url} />
    </StrictMode>,
  );
}
