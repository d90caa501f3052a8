import { locate } from '../core/site/locate.ts';
import { siteOf } from '../core/site/load.ts';
import type { CompiledSite } from '../core/site/compiled.ts';
import type { Site } from '../core/site/site.ts';
import { LazyPage } from './lazy-page.ts';

/**
 * Loads the page of an address if it is a lazy page: on a server before rendering, and in the browser before hydration.
 *
 * @param pages those of the stage
 * @param url an address of the site; one that leads to no page has nothing to load
 * @returns a promise that is fulfilled when the page can be drawn, and on a server rejected where it cannot be loaded
 * @example
 * await loadPage(site, pages, location.pathname);
 */
export async function loadPage(
  site: Site | CompiledSite,
  pages: Readonly<Record<string, unknown>>,
  url: string,
): Promise<void> {
  const { entry, status } = locate(siteOf(site), url);
  const page = entry && status === 'exact' ? pages[entry.id] : undefined;
  if (!(page instanceof LazyPage)) return;
  // In the browser the stage says that the page cannot be loaded, and offers to try again.
  await page.load().catch((error: unknown) => {
    if (typeof window === 'undefined') throw error;
  });
}
