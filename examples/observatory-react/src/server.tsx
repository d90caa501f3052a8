import { StrictMode } from 'react';
import { renderToString } from 'react-dom/server';
import { locate, titleOf } from 'fair-trail';
import { addressesOf } from '../../observatory/addresses.ts';
import { App } from './app.tsx';
import { loadPage } from './pages/index.ts';
import { records } from './records.ts';
import { site } from './site.ts';

/** All pages that can be rendered before anybody asks for them. */
export const addresses = addressesOf(site, records);

/** The page of an address, as HTML, and its title. */
export async function render(url: string): Promise<{ html: string; title: string }> {
  await loadPage(url);
  const html = renderToString(
    <StrictMode>
      <App url={url} />
    </StrictMode>,
  );
  return { html, title: titleOf(site, locate(site, url), 'Page not found', records) };
}
