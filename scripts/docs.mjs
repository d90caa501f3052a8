/** Builds the documentation and serves it on the address it prints, after installing whatever is missing. */
import { installPackages } from './run.mjs';

const port = Number(process.env.PORT ?? 4320);
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`PORT is "${process.env.PORT}", but a number from 0 to 65535 is needed.`);
  process.exit(2);
}
installPackages();
await import('./packages.mjs');
const { buildDocumentation, serveDocumentation } = await import('./documentation.mjs');
await buildDocumentation();
try {
  const { url } = await serveDocumentation({ port });
  console.log(`\nThe documentation is at ${url}\nIts files are in .build/documentation. Press Ctrl+C to stop.`);
} catch (error) {
  console.error(`${error.message}\nSet PORT to a free port, such as PORT=4321 npm run docs.`);
  process.exit(1);
}
