import { createApp, createSSRApp } from 'vue';
import { loadPage } from 'fair-trail/vue';
import App from './app.vue';
import { pages } from './pages/index.ts';
import site from './marram-point.site.json';

const container = document.getElementById('app');
if (!container) throw new Error('The page has no element with the id "app".');

if (container.firstElementChild) {
  // The build wrote this page: what it shows has to be loaded before it is taken over.
  await loadPage(site, pages, location.pathname);
  createSSRApp(App, { renderedUrl: location.pathname }).mount(container);
} else {
  createApp(App).mount(container);
}
