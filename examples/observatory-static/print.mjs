/**
 * Prints the same pages with their navigation in them, as a server would for each request: the first paint waits for no
 * script, and without scripts every link is there. `node print.mjs <folder>`
 */
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { defineSite } from 'fair-trail';
import { pageHtml } from 'fair-trail/html';
import { iconHtml as icon } from './icons.js';
import { badges, records } from './records.js';

const pages = import.meta.dirname;
const [folder = 'printed', base = '/'] = process.argv.slice(2);
const definition = JSON.parse(readFileSync(path.join(pages, '../observatory/observatory.site.json'), 'utf8'));
const site = defineSite(definition, { base });

/** The HTML of a page's content. */
function contentOf(html) {
  return /<main[^>]*>([\s\S]*)<\/main>/u.exec(html)?.[1] ?? '';
}

/** The content of the elements that the page's own navigation is written in, by their slot. */
function slotOf(html, slot) {
  return new RegExp(`<(\\w+) slot="${slot}"[\\s\\S]*?</\\1\\s*>(?=\\s*<(?:nav|/trail))`, 'u').exec(html)?.[0] ?? '';
}

/** The tabs that are written into a page's content, printed. */
function printTabs(page, html) {
  return html.replace(/<trail-tabs label="([^"]*)"[^>]*>([\s\S]*?)<\/trail-tabs\s*>/gu, (_, label, panels) => {
    const sections = [...panels.matchAll(/<section data-tab="(\w+)" data-label="([^"]*)">([\s\S]*?)<\/section>/gu)];
    return page.tabs({
      label,
      linkedTo: { query: 'part' },
      tabs: sections.map(([, id, name]) => ({ id, label: name })),
      contents: Object.fromEntries(sections.map(([, id, , content]) => [id, content])),
    });
  });
}

for (const file of readdirSync(pages, { recursive: true, encoding: 'utf8' })) {
  if (!file.endsWith('.html')) continue;
  const html = readFileSync(path.join(pages, file), 'utf8');
  const address = base + file.replace(/(?:index)?\.html$/u, '');
  // Who is looking is not known yet: the room of what only some see is kept free.
  const page = pageHtml({ site, url: address, records, badges, audience: 'unknown' });
  const inside = file.startsWith('desk');
  const content = printTabs(page, contentOf(html)).replace(/<trail-tabs menu="hides"[\s\S]*?<\/trail-tabs\s*>/u, () =>
    page.tabLinks({ menu: 'hides', label: 'Hides', icon }),
  );
  const body = [
    page.skipLink(),
    html.match(/<trail-site[^>]*>/u)?.[0],
    page.layout({
      notice: page.notice({
        name: 'spring-tide-2026-11',
        content: `A spring tide covers the causeway from 15:20 today. <a href="${base}visit/getting-here/causeway">Plan your crossing</a>.`,
      }),
      bar: page.bar({
        pinned: 'sticky',
        givesWay: 'hide',
        hoverOpens: true,
        brand: slotOf(html, 'brand'),
        end: `<a href="${base}visit/book" data-ft-button="primary">Book a visit</a>`,
      }),
      ...(inside && {
        sidebar: page.sidebar({
          menu: 'desk',
          icon,
          label: 'Data desk',
          search: true,
          rail: true,
          annex: ['season-autumn', 'season-spring'],
        }),
      }),
      content: `${page.breadcrumbs({ siblings: true })}<main id="main" class="ft-stage" tabindex="-1">${content}</main>`,
      footer: page.footer({ foot: '2026 · Marram Point and everything about it is invented for this example.' }),
    }),
    '</trail-site>',
  ].join('\n');
  const printed = html
    .replace(
      /<title>.*<\/title>/u,
      () => `<title>${page.title.replaceAll('&', '&amp;').replaceAll('<', '&lt;')}</title>`,
    )
    .replace(/<body>[\s\S]*<\/body>/u, () => `<body>\n${body}\n</body>`);
  const target = path.join(folder, file);
  mkdirSync(path.dirname(target), { recursive: true });
  writeFileSync(target, printed);
}
