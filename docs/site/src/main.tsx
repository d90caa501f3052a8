import { StrictMode } from 'react';
import { createRoot, hydrateRoot } from 'react-dom/client';
import { loadPage } from 'fair-trail/react';
import { App } from './app.tsx';
import { loadContent, pages } from './pages.tsx';
import { site } from './site.ts';
import './documentation.css';
import './try-it.css';

const container = document.getElementById('app');
if (!container) throw new Error('The page has no element with the id "app".');
if (container.firstElementChild) {
  const renderedUrl = location.pathname;
  // What the page shows must be there before React takes it over.
  await Promise.all([loadPage(site, pages, renderedUrl), loadContent(renderedUrl)]);
  hydrateRoot(
    container,
    <StrictMode>
      <App renderedUrl={renderedUrl} />
    </StrictMode>,
  );
} else {
  createRoot(container).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
