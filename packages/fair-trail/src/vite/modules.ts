import { compileSite } from '../core/site/compile.ts';
import type { DefinedSite } from '../core/site/site.ts';
import { rootPlaceholder } from './relative-pages.ts';
import type { FileProblem } from './read-files.ts';
import { problemText } from './read-files.ts';

/** The address of the script that shows problems over the page. */
export const clientId = '/@fair-trail/client.js';

/** JSON as an expression of a script, which engines read faster than the same as an object. */
function parsed(value: unknown): string {
  return `JSON.parse(${JSON.stringify(JSON.stringify(value))})`;
}

/**
 * The module of a site file in a build: nothing is left to check.
 *
 * @param isRelative whether its base path is where the browser has loaded the module from
 */
export function compiledModule(site: DefinedSite, isRelative: boolean): string {
  const compiled = `/* @__PURE__ */ ${parsed(compileSite(site))}`;
  const base = `new URL(/* @vite-ignore */ ${rootPlaceholder}, import.meta.url).pathname.replace(/\\/$/u, '')`;
  return [
    "import { loadSite } from 'fair-trail';",
    isRelative
      ? `export const site = loadSite({ ...${compiled}, base: ${base} });`
      : `export const site = /* @__PURE__ */ loadSite(${compiled});`,
    'export default site;',
    '',
  ].join('\n');
}

/**
 * The module of a site file while an app is developed. When the file changes, what the app imported stays the value that it
 * is, and takes on the new site.
 *
 * @param isInBrowser whether it runs in a page, which is to follow the file
 */
export function developedModule({ definition, base, caseSensitive }: DefinedSite, isInBrowser: boolean): string {
  const options = JSON.stringify({ base, caseSensitive });
  const site = [
    "import { defineSite } from 'fair-trail';",
    `export const site = defineSite(${parsed(definition)}, ${options});`,
    'export default site;',
    '',
  ];
  const following = [
    `import ${JSON.stringify(clientId)};`,
    "import { replaceSite } from 'fair-trail/internal/live';",
    'if (import.meta.hot) {',
    '  import.meta.hot.data.site ??= site;',
    '  import.meta.hot.accept((next) => next && replaceSite(import.meta.hot.data.site, next.default));',
    '}',
    '',
  ];
  return [...site, ...(isInBrowser ? following : [])].join('\n');
}

/** Stands for a site file that has never been without a fatal problem. */
export function brokenModule(problems: readonly FileProblem[], isInBrowser: boolean): string {
  const text = problems.map(problemText).join('\n');
  return [
    ...(isInBrowser ? [`import ${JSON.stringify(clientId)};`] : []),
    `throw new Error(${JSON.stringify(`The site file has problems:\n${text}`)});`,
    // An app that imports the site finds the name, and its console says what is wrong.
    'export const site = undefined;',
    'export default site;',
    '',
  ].join('\n');
}
