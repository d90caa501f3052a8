/**
 * Renders each page of a built app into a file of its own: `render-pages.mjs <server module> <folder of the build> <base>`.
 * The page that the app was built with becomes `shell.html`, for addresses that were not rendered.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

const [server, folder, base] = process.argv.slice(2);
const { addresses, render } = await import(pathToFileURL(server).href);
const shell = readFileSync(path.join(folder, 'index.html'), 'utf8');
writeFileSync(path.join(folder, 'shell.html'), shell);
const escape = (text) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
for (const address of addresses) {
  const { html, title } = await render(address);
  const page = shell
    .replace('<!--app-->', () => html)
    .replace(/<title>.*<\/title>/u, () => `<title>${escape(title)}</title>`);
  const place = path.join(folder, decodeURIComponent(address.slice(base.length - 1)));
  mkdirSync(place, { recursive: true });
  writeFileSync(path.join(place, 'index.html'), page);
}
