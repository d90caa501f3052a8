/** The audit of a site of 500 pages with one shared header, as a ratio to merely loading its pages at the same widths. */
import { createServer } from 'node:http';
import { chromium } from 'playwright-core';
import { runAudit } from '../packages/cli/dist/audit/run-audit.js';

const pages = 500;
const widths = [320, 1280];

const places = Array.from({ length: 8 }, (_, index) => `<li><a href="/page-${index}">Place ${index}</a></li>`).join('');
const header = (mark) => `<header><a href="/page-0">Marram Point</a>
  <button id="b" aria-expanded="false" aria-controls="m">Menu</button>
  <nav id="m" aria-label="Main"><ul>${places.replace(`href="/page-${mark}"`, `href="/page-${mark}" aria-current="page"`)}</ul></nav></header>`;
const style = `body { font: 1rem/1.5 sans-serif; background: #fff; color: #222 } a { color: #234 } nav ul { display: flex; gap: 1rem; list-style: none }
  nav a { display: block; padding: 0.5rem } #b { display: none } @media (max-width: 40em) { #b { display: block } #m:not(.open) { display: none } nav ul { display: block } }`;
const script = `b.onclick = () => b.setAttribute('aria-expanded', String(m.classList.toggle('open')));
  document.addEventListener('keydown', (event) => { if (event.key === 'Escape') { m.classList.remove('open'); b.setAttribute('aria-expanded', 'false'); b.focus(); } });`;
const text =
  '<p>Four hides look over the marsh, and one over the sea. The causeway floods two hours before high water.</p>'.repeat(
    40,
  );
const pageOf = (index) =>
  `<!doctype html><html lang="en"><head><title>Place ${index} · Marram Point</title><meta name="viewport" content="width=device-width">
  <link rel="stylesheet" href="/style.css"></head><body>${header(index)}<main><h1>Place ${index}</h1>${text}
  <p><a href="/page-${(index + 1) % pages}">The next place</a></p></main><script src="/script.js"></script></body></html>`;

/** @param {{ executablePath: string, args: string[] }} launchOptions */
export async function benchAudit(launchOptions) {
  const server = createServer((request, response) => {
    const found = /^\/page-(\d+)$/u.exec(request.url ?? '');
    const [type, body] =
      request.url === '/style.css'
        ? ['text/css', style]
        : request.url === '/script.js'
          ? ['text/javascript', script]
          : ['text/html', found ? pageOf(Number(found[1])) : ''];
    response.writeHead(200, { 'Content-Type': type }).end(body);
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  const origin = `http://127.0.0.1:${server.address().port}`;
  const browser = await chromium.launch(launchOptions);
  try {
    const load = async () => {
      // As the audit does: one window a width, side by side.
      await Promise.all(
        widths.map(async (width) => {
          const page = await browser.newPage({ viewport: { width, height: 800 } });
          for (let index = 0; index < pages; index += 1) await page.goto(`${origin}/page-${index}`);
          await page.close();
        }),
      );
    };
    const timed = async (run) => {
      const begin = performance.now();
      const answer = await run();
      return { answer, time: performance.now() - begin };
    };
    const first = await timed(load);
    const settings = {
      start: `${origin}/page-0`,
      target: origin,
      widths,
      pages,
      tool: { name: 'fair-trail', version: '' },
    };
    const { answer: report, time } = await timed(() => runAudit(browser, settings));
    const second = await timed(load);
    const loading = Math.min(first.time, second.time);
    if (report.pages.length !== pages) throw new Error(`Only ${report.pages.length} pages were audited.`);
    console.log(
      `audit of ${pages} pages with one header at ${widths.length} widths: ${(time / loading).toFixed(2)}x of loading them (goal 2x)`,
    );
  } finally {
    await browser.close();
    server.closeAllConnections();
    server.close();
  }
}
