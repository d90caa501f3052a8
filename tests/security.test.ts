import fc from 'fast-check';
import { JSDOM } from 'jsdom';
import ts from 'typescript';
import { expect, test } from 'vitest';
import {
  breadcrumbJsonLd,
  breadcrumbs,
  checkSite,
  defineSite,
  hrefOf,
  locate,
  nestedListHtml,
  outline,
  sitemap,
  type SiteDefinition,
} from '../packages/fair-trail/src/core/index.ts';
import { siteDeclarations } from '../packages/fair-trail/src/core/output/site-declarations.ts';
import { hrefKind } from '../packages/fair-trail/src/core/site/address.ts';
import { pageHtml } from '../packages/fair-trail/src/html/index.ts';
import type { AuditReport } from '../packages/cli/src/audit/audit-report.ts';
import { toHtml } from '../packages/cli/src/audit/reports/html-report.ts';
import { toJUnit } from '../packages/cli/src/audit/reports/junit-report.ts';
import { toSarif } from '../packages/cli/src/audit/reports/sarif-report.ts';
import { effort } from './effort.ts';
import { disguisedAddresses, payloads } from './payloads.ts';

const origin = 'https://marram.example';

/** A site in whose file every text is this one. */
function siteWith(text: string): SiteDefinition {
  return {
    name: text,
    origin,
    home: 'today',
    title: '{label} · {site}',
    entries: [
      { id: 'today', label: text, href: '/', summary: text },
      {
        id: 'hides',
        label: text,
        href: '/hides',
        entries: [{ id: 'reedbed', label: text, href: '/hides/reedbed', summary: text }],
      },
    ],
    menus: { main: ['today', { entry: 'hides', depth: 2 }, { label: text, entries: ['today'] }], footer: ['today'] },
  };
}

const known = new Set(
  'html head body meta title style nav ul ol li a span button div h1 h2 h3 h4 p header footer main svg path input label hr bdi trail-bar trail-sidebar trail-breadcrumbs trail-footer'.split(
    ' ',
  ),
);

/** What a document has that only a payload could have brought. */
function broughtIn(html: string, others: readonly string[] = []): readonly string[] {
  const { document } = new JSDOM(html).window;
  return [...document.querySelectorAll('*')].flatMap((element) => {
    const name = element.localName;
    const isKnown = known.has(name) || others.includes(name);
    const handlers = [...element.attributes].filter((attribute) => attribute.name.startsWith('on'));
    const href = element.getAttribute('href') ?? '';
    const isUnsafe = href !== '' && !/^(?:\/(?![/\\])|#|https?:\/\/|mailto:|tel:)/u.test(href);
    return [...(isKnown ? [] : [name]), ...handlers.map((one) => one.name), ...(isUnsafe ? [href] : [])];
  });
}

test.each(payloads)('%j as every text of a site stays text in what is written of it', (text) => {
  const site = defineSite(siteWith(text));
  const page = pageHtml({ site, url: '/hides/reedbed' });
  const html =
    page.skipLink() + page.bar() + page.sidebar({ search: true, rail: true }) + page.breadcrumbs() + page.footer();
  expect(broughtIn(html)).toEqual([]);
  // The parser of HTML makes another character of this one.
  const label = text.replaceAll('\u0000', '\uFFFD');
  const written = [...new JSDOM(html).window.document.querySelectorAll('.ft-label')].map((one) => one.textContent);
  expect(written.some((one) => one === label || one === text.replaceAll('\u0000', ''))).toBe(true);
  expect(broughtIn(nestedListHtml(outline(site)))).toEqual([]);

  const data = breadcrumbJsonLd(site, breadcrumbs(site, locate(site, '/hides/reedbed')));
  const scripts = new JSDOM(`<script type="application/ld+json">${data}</script><p>after`).window.document;
  expect(scripts.querySelectorAll('script')).toHaveLength(1);
  expect(scripts.querySelector('p')?.textContent).toBe('after');
  expect(JSON.stringify(JSON.parse(scripts.querySelector('script')?.textContent ?? ''))).toContain(
    JSON.stringify(text),
  );

  for (const { text: xml } of sitemap(site)) {
    const document = new new JSDOM('').window.DOMParser().parseFromString(xml, 'text/xml');
    expect(document.querySelector('parsererror')).toBe(null);
    expect(new Set([...document.querySelectorAll('*')].map((element) => element.localName))).toEqual(
      new Set(['urlset', 'url', 'loc']),
    );
  }

  const file = ts.createSourceFile('site.d.ts', siteDeclarations(siteWith(text), 'site.json'), ts.ScriptTarget.Latest);
  const { parseDiagnostics } = file as unknown as { parseDiagnostics: readonly unknown[] };
  expect(parseDiagnostics).toEqual([]);
  const harmless = ts.createSourceFile(
    'site.d.ts',
    siteDeclarations(siteWith('Hides'), 'site.json'),
    ts.ScriptTarget.Latest,
  );
  expect(file.statements.map(({ kind }) => kind)).toEqual(harmless.statements.map(({ kind }) => kind));
});

test.each(payloads)('%j on an audited page stays text in every report of it', (text) => {
  const report: AuditReport = {
    tool: { name: 'fair-trail', version: '1' },
    target: text,
    pages: [{ url: text, title: text }],
    findings: [
      {
        code: 'low-contrast',
        severity: 'error',
        certainty: 'sure',
        selector: text,
        html: text,
        message: text,
        remedy: text,
        wcag: ['1.4.3'],
        page: text,
        pages: [text],
        width: 320,
        state: text,
        steps: [text],
      } as never,
    ],
    notChecked: [{ rule: 'low-contrast', pages: [text], reason: text }],
    summary: { error: 1, warning: 0, advice: 0 },
  };
  const html = toHtml(report, () => null);
  const others = 'article pre code dl dt dd section table caption thead tbody tr th td ul li details summary'.split(
    ' ',
  );
  expect(broughtIn(html, others)).toEqual([]);
  const xml = new new JSDOM('').window.DOMParser().parseFromString(toJUnit(report), 'text/xml');
  expect(xml.querySelector('parsererror')).toBe(null);
  expect(JSON.parse(JSON.stringify(toSarif(report)))).toBeTruthy();
});

test.each(disguisedAddresses)('an address that is written as %j leads nowhere but where it says', (address) => {
  const { problems } = checkSite({ name: 'x', entries: [{ id: 'x', label: 'x', href: address }] });
  if (hrefKind(address) === 'unsafe') expect(problems.length).toBeGreaterThan(0);
  expect(leadsAstray(address)).toBe(false);
});

/** Whether a link to an entry with this address leads to another scheme or host than it shows. */
function leadsAstray(href: string): boolean {
  const { site } = checkSite({ name: 'x', entries: [{ id: 'x', label: 'x', href }] });
  const entry = site?.entry('x');
  const written = site && entry ? hrefOf(site, entry) : null;
  if (written === null) return false;
  const { protocol, origin: leadsTo } = new URL(written, origin);
  return href.startsWith('/') ? leadsTo !== origin : !['http:', 'https:', 'mailto:', 'tel:'].includes(protocol);
}

test('no address that a site may hold leads to a scheme or a host that it does not show', () => {
  const part = fc.constantFrom(
    ...['java', 'script', ':', '/', '//', '\\', '\t', '\n', ' ', 'https', 'http:', 'data', 'evil.example', '?', '#'],
    ...['%2f', '%5c', '..', '.', '@', '&colon;', '\u0000', '\uFEFF', '\u2028', 'é', 'JAVASCRIPT', '[', ']'],
  );
  const address = fc.array(part, { maxLength: 8 }).map((parts) => parts.join(''));
  fc.assert(
    fc.property(address, (href) => !leadsAstray(href)),
    { numRuns: effort(5000, 1_000_000) },
  );
});

test('no value of a param, and no moved address, leads to another host', () => {
  const site = defineSite({
    name: 'x',
    origin,
    entries: [
      { id: 'file', label: 'x', href: '/files/*', movedFrom: ['/old/*'] },
      { id: 'any', label: 'x', href: '/:slug', movedFrom: ['/before/:slug'] },
      { id: 'deep', label: 'x', href: '/:one/:two/*' },
    ],
  });
  const part = fc.constantFrom('/', '\\', '..', '.', 'evil.example', '%2f', '%5c', ':', '@', '\t', 'a', '?', '#');
  const value = fc.array(part, { minLength: 1, maxLength: 6 }).map((parts) => parts.join(''));
  fc.assert(
    fc.property(fc.constantFrom('file', 'any', 'deep'), value, value, value, (id, one, two, rest) => {
      const entry = site.entry(id);
      const href = entry && hrefOf(site, entry, { slug: one, one, two, 0: rest });
      if (href && new URL(href, origin).origin !== origin) return false;
      const { redirect } = locate(site, `/${id === 'file' ? 'old' : 'before'}/${one}`) as { redirect?: string | null };
      return !redirect || new URL(redirect, origin).origin === origin;
    }),
    { numRuns: effort(3000, 300_000) },
  );
});

test.each(['__proto__', 'constructor', 'prototype'])('the key %j in a site file changes no object', (key) => {
  const bad = `{"${key}":{"polluted":true,"prototype":{"polluted":true}}}`;
  const texts = [
    `{"name":"x","entries":[],"${key}":{"polluted":true}}`,
    `{"name":"x","entries":[{"id":"${key}","label":"x","href":"/","${key}":{"polluted":true}}],"menus":${bad}}`,
    `{"name":"x","entries":[{"id":"a","label":${bad},"href":${bad}}],"menus":{"${key}":["a"]}}`,
    `{"name":"x","languages":["${key}"],"entries":[{"id":"a","label":{"${key}":"x"},"href":"/"}]}`,
  ];
  for (const text of texts) checkSite(JSON.parse(text) as SiteDefinition);
  const site = checkSite({ name: 'x', entries: [{ id: key, label: key, href: `/${key}` }], menus: { [key]: [key] } });
  if (site.site) locate(site.site, `/${key}?${key}=x#${key}`);
  expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  expect(Object.prototype).not.toHaveProperty('polluted');
});
