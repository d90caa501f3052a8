import { createApp, createSSRApp } from 'vue';
import { loadPage } from 'fair-trail/vue';
import App from './app.vue';
import { pages } from './pages/index.ts';
import { site } from './site.ts';
import '../../observatory/styles/observatory.css';
import '../../observatory/styles/pages.css';
import '../../observatory/styles/form.css';

const container = document.getElementById('app');
if (!container) throw new Error('The page has no element with the id "app".');
if (container.firstElementChild) {
  // The page was rendered when the app was built, at its address without a query. Before it is taken over, what it shows
  // must be loaded.
  const renderedUrl = location.pathname;
  await loadPage(site, pages, renderedUrl);
  createSSRApp(App, { renderedUrl }).mount(container);
} else {
  createApp(App).mount(container);
}
