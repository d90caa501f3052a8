import { createServer, type Server } from 'node:http';
import { existsSync, readdirSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import sirv from 'sirv';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { effort } from '../../../../tests/effort.ts';
import {
  readIn,
  sampleProject,
  useBrowser,
  siteFile,
  siteText,
  tokensFile,
  type Framework,
  type SampleProject,
} from './projects.samples.ts';

/** What a build makes, and a browser that opens it under a strict policy. */

const { browser, ends } = useBrowser();

// As `vite build` sets it, and the test runner does not.
beforeEach(() => vi.stubEnv('NODE_ENV', 'production'));
afterEach(() => vi.unstubAllEnvs());

type Options = Parameters<SampleProject['fairTrail']>[0];

interface Built {
  readonly project: SampleProject;
  readonly lines: string[];
  /** Why the build failed; null if it did not. */
  readonly failure: string | null;
}

async function build(
  framework: Framework,
  version: 7 | 8,
  options: Options,
  before?: (project: SampleProject) => void,
  base = '/point/',
): Promise<Built> {
  const project = await sampleProject(framework, version);
  ends.push(project.remove);
  before?.(project);
  const lines: string[] = [];
  const take = (message: string) => void lines.push(message);
  const logger = project.vite.createLogger('silent');
  const failure = await project.vite
    .build({
      root: project.folder,
      base,
      configFile: false,
      customLogger: { ...logger, info: take, warn: take, warnOnce: take, error: take },
      cacheDir: path.join(project.folder, 'cache'),
      plugins: [await project.plugins(), project.fairTrail(options)],
      ...(framework === 'react' && version === 7 && { esbuild: { jsx: 'automatic' } }),
    })
    .then(
      () => null,
      (error: unknown) => (error instanceof Error ? error.message : String(error)),
    );
  return { project, lines, failure };
}

/** Serves a build below its base path, as a server does that knows nothing of the app. */
async function serve(folder: string): Promise<string> {
  const answer = sirv(path.join(folder, 'dist'), { dev: true });
  const server: Server = createServer((request, response) => {
    response.setHeader(
      'Content-Security-Policy',
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src data:; connect-src 'self'",
    );
    request.url = (request.url ?? '').replace(/^\/point/u, '');
    answer(request, response, () => void response.writeHead(404).end());
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  ends.push(
    () => void server.close(),
    () => server.closeAllConnections(),
  );
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}/point/`;
}

const server = { react: 'src/server.tsx', vue: 'src/server.ts' } as const;

const everywhere = [
  [8, 'react'],
  [8, 'vue'],
  [7, 'react'],
] as const;

describe.each<readonly [7 | 8, 'react' | 'vue']>(effort([...everywhere], [...everywhere, [7, 'vue']]))(
  'with Vite %i and %s',
  (version, framework) => {
    test('each page is written, and is taken over without a word under a strict policy', async () => {
      const { project, failure, lines } = await build(framework, version, {
        tokens: tokensFile,
        prerender: server[framework],
      });
      expect(failure).toBeNull();
      const written = readdirSync(path.join(project.folder, 'dist'), { recursive: true, encoding: 'utf8' });
      expect(written.filter((file) => /\.(?:html|xml|json)$/u.test(file)).toSorted()).toEqual([
        ...['404.html', 'hides/index.html', 'hides/lantern-room/index.html', 'hides/old-reedbed/index.html'],
        ...['hides/reedbed/index.html', 'index.html', 'redirects.json', 'sitemap.xml', 'species/curlew/index.html'],
        'tides/index.html',
      ]);
      expect(lines.join('\n')).toContain('tides have no page in the stage');
      expect(readIn(project, 'dist/species/curlew/index.html')).toContain(
        '<title>Curlew · Marram Point Bird Observatory</title>',
      );
      expect(readIn(project, 'dist/sitemap.xml')).toContain('<loc>https://marram.example/point/species/curlew</loc>');
      expect(JSON.parse(readIn(project, 'dist/redirects.json'))).toEqual([
        { from: '/point/hides/old-reedbed', to: '/point/hides/reedbed', status: 301 },
      ]);
      const hides = readIn(project, 'dist/hides/index.html');
      expect(hides).toMatch(/<link rel="modulepreload" href="\/point\/assets\/hides-[^"]+\.js">/u);
      if (framework === 'react')
        expect(hides).toMatch(/<link rel="stylesheet" href="\/point\/assets\/hides-[^"]+\.css">/u);
      expect(hides).toContain('<link rel="canonical" href="https://marram.example/point/hides" data-ft-of-page>');
      expect(hides).toContain('"@type":"BreadcrumbList"');
      // Nothing of the checks is left in what visitors load.
      const scripts = written.filter((file) => file.endsWith('.js')).map((file) => readIn(project, `dist/${file}`));
      expect(scripts.join('')).not.toContain('unknown-field');

      const url = await serve(project.folder);
      const page = await browser().newPage({ viewport: { width: 1280, height: 800 } });
      ends.push(() => page.close());
      const complaints: string[] = [];
      page.on('console', (message) => complaints.push(message.text()));
      page.on('pageerror', (error) => complaints.push(String(error)));
      for (const [address, heading, marked] of [
        ['', 'Today', 'Today'],
        ['hides/', 'Hides', 'Hides'],
        ['hides/reedbed/', 'Reedbed Hide', 'Reedbed Hide'],
      ] as const) {
        await page.goto(`${url}${address}`);
        await expect.poll(() => page.evaluate('document.documentElement.hasAttribute("data-ft-scripted")')).toBe(true);
        expect(await page.getByRole('heading', { level: 1 }).textContent()).toBe(heading);
        expect(await page.locator('.ft-bar [aria-current="page"]').textContent()).toBe(marked);
      }
      await page.getByRole('link', { name: 'Hides', exact: true }).first().click();
      await expect.poll(() => page.getByRole('heading', { level: 1 }).textContent()).toBe('Hides');
      expect(
        await page.evaluate('getComputedStyle(document.documentElement).getPropertyValue("--ft-rust").trim()'),
      ).toBe('#993b14');
      await page.goto(`${url}hides/old-reedbed/?month=5#map`);
      await page.waitForURL(/\/point\/hides\/reedbed\/?\?month=5#map$/u);
      expect(complaints).toEqual([]);
    });
  },
);

test('with a relative base, one build works below a path that it does not know, and from a disk', async () => {
  const { project, failure } = await build('react', 8, { prerender: 'src/server.tsx' }, undefined, './');
  expect(failure).toBeNull();
  const page = await browser().newPage({ viewport: { width: 1280, height: 800 } });
  ends.push(() => page.close());
  const complaints: string[] = [];
  page.on('console', (message) => complaints.push(message.text()));
  page.on('pageerror', (error) => complaints.push(String(error)));
  const url = await serve(project.folder);
  const marked = page.locator('.ft-bar [aria-current="page"]');
  // As someone arrives who had no scripts before.
  await page.goto(`${url}hides/reedbed/index.html?month=5`);
  await expect.poll(() => page.evaluate('document.documentElement.hasAttribute("data-ft-scripted")')).toBe(true);
  expect(page.url()).toBe(`${url}hides/reedbed/?month=5`);
  expect(await marked.textContent()).toBe('Reedbed Hide');
  await page.getByRole('link', { name: 'Hides', exact: true }).first().click();
  await expect.poll(() => page.getByRole('heading', { level: 1 }).textContent()).toBe('Hides');
  expect(new URL(page.url()).pathname.replace(/\/$/u, '')).toBe('/point/hides');
  await page.goto(`${url}hides/old-reedbed/index.html?month=5#map`);
  await page.waitForURL(/\/point\/hides\/reedbed\/?\?month=5#map$/u);
  expect(complaints).toEqual([]);

  // Pages on a disk may not load modules: their links and styles work.
  await page.goto(pathToFileURL(path.join(project.folder, 'dist/hides/reedbed/index.html')).href);
  expect(await page.evaluate('getComputedStyle(document.documentElement).getPropertyValue("--ft-rust")')).not.toBe('');
  await page.getByRole('link', { name: 'Hides', exact: true }).first().click();
  await expect.poll(() => page.getByRole('heading', { level: 1 }).textContent()).toBe('Hides');
  expect(await marked.textContent()).toBe('Hides');
  expect(await page.evaluate('document.documentElement.hasAttribute("data-ft-scripted")')).toBe(false);
});

test('a page of plain HTML has the site, the styles and the early script', async () => {
  const { project, failure } = await build('html', 8, {});
  expect(failure).toBeNull();
  expect(existsSync(path.join(project.folder, 'dist/404.html'))).toBe(false);
  const url = await serve(project.folder);
  const page = await browser().newPage();
  ends.push(() => page.close());
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(String(error)));
  await page.goto(url);
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Tides' }).waitFor();
  expect(readIn(project, 'dist/index.html')).toMatch(
    /<head>\s*<script src="\/point\/assets\/early-\w+\.js"><\/script>/u,
  );
  expect(errors).toEqual([]);
});

describe('what is wrong ends the build, and names the place', () => {
  test.each<[string, string, string, Options]>([
    ['a site file with a fatal problem', siteText.replace('"href": "/tides"', '"href": 5'), `${siteFile}:39:15`, {}],
    ['half of a site file', siteText.slice(0, 400), 'json-syntax', {}],
    [
      'a tokens file that is not there',
      siteText,
      'src/none.tokens.json:1:1 file-missing',
      { tokens: 'src/none.tokens.json' },
    ],
    ['a site file that is not there', siteText, 'src/none.site.json:1:1 file-missing', { site: 'src/none.site.json' }],
    [
      'records that are not there',
      siteText,
      'the records in "none.json" cannot be read',
      { prerender: { entry: server.react, records: 'none.json' } },
    ],
  ])('%s', async (_, text, expected, options) => {
    const { failure } = await build('react', 8, options, (project) => project.write(siteFile, text));
    expect(failure).toContain(expected);
  });

  test('two site files', async () => {
    const { failure } = await build('react', 8, {}, (project) => project.write('src/second.site.json', siteText));
    expect(failure).toContain('several site files: src/observatory.site.json, src/second.site.json');
  });

  test('a page without a place for the app', async () => {
    const { failure } = await build('react', 8, { prerender: server.react }, (project) => {
      project.write('index.html', readIn(project, 'index.html').replace('<!--app-->', ''));
    });
    expect(failure).toContain('Write <!--app--> where its markup belongs');
  });

  test('an entry without "render"', async () => {
    const { failure } = await build('react', 8, { prerender: server.react }, (project) => {
      project.write(server.react, 'export const records = {};\n');
    });
    expect(failure).toContain('exports no function "render"');
  });
});

test('a page that throws and a page that never ends are named, and all others are written', async () => {
  const { project, failure } = await build('react', 8, { prerender: { entry: server.react, timeout: 2 } }, (made) => {
    const faults = 'if (url.endsWith("/tides")) throw new Error("No tide today."); while (url.endsWith("/reedbed"));';
    made.write(server.react, readIn(made, server.react).replace('return render', `${faults} return render`));
  });
  expect(failure).toContain('2 pages could not be written; the others are.');
  expect(failure).toContain('/point/tides: No tide today.');
  expect(failure).toContain('/point/hides/reedbed: It did not end within 2 seconds, and was stopped.');
  const pages = [
    'index.html',
    'hides/index.html',
    'hides/lantern-room/index.html',
    'species/curlew/index.html',
    'sitemap.xml',
  ];
  for (const file of pages) expect(existsSync(path.join(project.folder, 'dist', file)), file).toBe(true);
  expect(existsSync(path.join(project.folder, 'dist/tides/index.html'))).toBe(false);
});

test('records of the configuration, and a page for addresses that come later', async () => {
  const records = () =>
    Promise.resolve({ species: [{ params: { slug: 'avocet' }, label: 'Avocet' }, { params: { slug: 'dunlin' } }] });
  const { project, failure } = await build('vue', 8, {
    prerender: { entry: server.vue, records, fallback: 'shell.html' },
  });
  expect(failure).toBeNull();
  expect(readIn(project, 'dist/species/avocet/index.html')).toContain('<title>Avocet ·');
  expect(readIn(project, 'dist/species/dunlin/index.html')).toContain('<title>dunlin ·');
  expect(existsSync(path.join(project.folder, 'dist/species/curlew'))).toBe(false);
  expect(readIn(project, 'dist/shell.html')).toContain('<!--app-->');
});

test('records that take longer than a page may are waited for, and asked for once', async () => {
  const { project, failure } = await build('react', 8, { prerender: { entry: server.react, timeout: 1 } }, (made) => {
    const slow = `let calls = 0;
export async function records() {
  await new Promise((resolve) => setTimeout(resolve, 1500));
  return { species: [{ params: { slug: 'avocet' }, label: 'Call ' + (calls += 1) }] };
}
`;
    made.write(
      server.react,
      readIn(made, server.react).replace('export { pages, records }', 'export { pages }') + slow,
    );
  });
  expect(failure).toBeNull();
  expect(readIn(project, 'dist/species/avocet/index.html')).toContain('<title>Call 1 ·');
});
