import { StrictMode } from 'react';
import { renderToString } from 'react-dom/server';
import { loadPage } from 'fair-trail/react';
import { App } from './app.tsx';
import { pages } from './pages/index.ts';
import site from './marram-point.site.json';

export { pages };

/** The HTML of the page at an address, for the build. */
export async function render(url: string): Promise<string> {
  await loadPage(site, pages, url);
  return renderToString(
    <StrictMode>
      <App url={url} />
    </StrictMode>,
  );
}
