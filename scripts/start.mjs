/** Serves the example on the address it prints, after installing and building whatever is missing. */
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
const { preview } = await import(pathToFileURL(path.join(root, 'node_modules/vite/dist/node/index.js')).href);
try {
  const server = await preview({
    root: path.join(root, 'examples/observatory-react'),
    logLevel: 'warn',
    preview: { host: '127.0.0.1', port, strictPort: true },
  });
  const address = server.httpServer.address();
  console.log(`\nThe observatory is at http://127.0.0.1:${address.port}/\nPress Ctrl+C to stop.`);
} catch (error) {
  console.error(`${error.message}\nSet PORT to a free port, such as PORT=4311 npm start.`);
  process.exit(1);
}
