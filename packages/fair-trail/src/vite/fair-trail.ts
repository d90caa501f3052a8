import type { Plugin } from 'vite';
import type { FairTrailOptions } from './options.ts';
import { earlyScriptPlugin, pagePlugin } from './page-plugin.ts';
import { prerenderPlugin } from './prerender-plugin.ts';
import { serverPlugin } from './server-plugin.ts';
import { sitePlugin, type PluginContext } from './site-plugin.ts';

/**
 * Makes Vite know the site file. `import site from './observatory.site.json'` is the site itself, with types for its names; a change of
 * that file reaches the running app without a reload; pages load the styles and the early script; the state sheet is at
 * `/@fair-trail/sheet/`; and a build can write each page as HTML.
 *
 * @returns plugins for the list `plugins` of Vite's configuration
 * @throws Error when Vite starts, if there is no site file, or more than one and none is named
 * @example
 * export default defineConfig({ plugins: [react(), fairTrail({ prerender: 'src/server.tsx' })] });
 */
export function fairTrail(options: FairTrailOptions = {}): Plugin[] {
  const context = { options } as PluginContext;
  return [
    sitePlugin(context),
    pagePlugin(context),
    ...((options.earlyScript ?? true) ? [earlyScriptPlugin(context)] : []),
    serverPlugin(context),
    ...(options.prerender === undefined ? [] : [prerenderPlugin(context, options.prerender)]),
  ];
}
