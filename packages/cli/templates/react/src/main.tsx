import { StrictMode } from 'react';
import { createRoot, hydrateRoot } from 'react-dom/client';
import { loadPage } from 'fair-trail/react';
import { App } from './app.tsx';
import { pages } from './pages/index.ts';
import site from './marram-point.site.json';

const container = document.getElementById('app');
if (!container) throw new Error('The page has no element with the id "app".');

if (container.firstElementChild) {
  // The build wrote this page: what it shows has to be loaded before it is taken over.
  await loadPage(site, pages, location.pathname);
  hydrateRoot(
    container,
    <StrictMode>
      <App renderedUrl={location.pathname} />
    </StrictMode>,
  );
} else {
  createRoot(container).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
