/** Serves the examples on the addresses it prints, after installing and building whatever is missing. */
import { createServer } from 'node:http';
import { pathToFileURL } from 'node:url';
import path from 'node:path';
import { root } from './run.mjs';

const port = Number(process.env.PORT ?? 4310);
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`PORT is "${process.env.PORT}", but a number from 0 to 65535 is needed.`);
  process.exit(2);
}

await import('./build.mjs');
// Only now is it sure to be installed.
const { default: sirv } = await import(pathToFileURL(path.join(root, 'node_modules/sirv/build.mjs')).href);
const served = path.join(root, '.build/served');
// What was not rendered is drawn in the browser; a plain page that there is none of is none.
const apps = [
  ['/vue', sirv(path.join(served, 'vue'), { single: 'shell.html' })],
  ['/plain', sirv(path.join(served, 'plain'))],
  ['', sirv(served, { single: 'shell.html' })],
];
const server = createServer((request, response) => {
  const [base, serve] = apps.find(([start]) => `${request.url}/`.startsWith(`${start}/`));
  request.url = request.url.slice(base.length) || '/';
  serve(request, response, () => {
    response.writeHead(404, { 'Content-Type': 'text/plain; charset=utf-8' }).end('There is no page at this address.\n');
  });
});
server.on('error', (error) => {
  console.error(`${error.message}\nSet PORT to a free port, such as PORT=4311 npm start.`);
  process.exit(1);
});
server.listen(port, '127.0.0.1', () => {
  const address = `http://127.0.0.1:${server.address().port}`;
  console.log(`
The observatory is at
  ${address}/        in React
  ${address}/vue/    in Vue
  ${address}/plain/  as plain HTML pages
Press Ctrl+C to stop.`);
});
