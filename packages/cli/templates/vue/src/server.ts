import { createSSRApp } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { loadPage } from 'fair-trail/vue';
import App from './app.vue';
import { pages } from './pages/index.ts';
import site from './marram-point.site.json';

export { pages };

/** The HTML of the page at an address, for the build. */
export async function render(url: string): Promise<string> {
  await loadPage(site, pages, url);
  return renderToString(createSSRApp(App, { url }));
}
