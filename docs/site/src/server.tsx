import { StrictMode } from 'react';
import { renderToString } from 'react-dom/server';
import { loadPage } from 'fair-trail/react';
import { App } from './app.tsx';
import { loadContent, pages, records } from './pages.tsx';
import { site } from './site.ts';

export { pages, records };

/** The page of an address, as HTML. */
export async function render(url: string): Promise<string> {
  await Promise.all([loadPage(site, pages, url), loadContent(url)]);
  return renderToString(
    <StrictMode>
      <App url={url} />
    </StrictMode>,
  );
}
