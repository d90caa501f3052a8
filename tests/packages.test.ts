import { spawn, spawnSync } from 'node:child_process';
import { createServer, type Server } from 'node:http';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { chromium } from 'playwright';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { chromiumArguments, findChromium } from '../scripts/chromium.mjs';
import { isWhole } from './effort.ts';
import { codeBlocksIn, root } from './code-blocks.ts';

/** Both packages as they are published: packed, installed outside of the workspace, and used as the documentation says. */

const folder = mkdtempSync(path.join(tmpdir(), 'fair-trail-packed-'));
const app = path.join(folder, 'app');
let server: Server | null = null;

afterAll(() => {
  server?.close();
  rmSync(folder, { recursive: true, force: true });
});

interface Outcome {
  readonly status: number | null;
  readonly output: string;
}

function run(command: string, args: readonly string[], cwd = app): Outcome {
  // What the test runner says of this process is not for the programs that it starts.
  const { NODE_ENV: _, VITEST: __, ...env } = process.env;
  const { status, stdout, stderr } = spawnSync(command, args, { cwd, encoding: 'utf8', env });
  return { status, output: `${stdout}${stderr}` };
}

function succeed(command: string, ...args: string[]): string {
  return succeedIn(app, command, ...args);
}

function succeedIn(cwd: string, command: string, ...args: string[]): string {
  const { status, output } = run(command, args, cwd);
  expect(status, `${command} ${args.join(' ')}\n${output}`).toBe(0);
  return output;
}

const packages = {
  'fair-trail': 'fair-trail-0.1.0.tgz',
  '@fair-trail/cli': 'fair-trail-cli-0.1.0.tgz',
};
const folders = { 'fair-trail': 'packages/fair-trail', '@fair-trail/cli': 'packages/cli' };

/** The files of the first app, as its page writes them down. */
const files = codeBlocksIn('docs/first-app.md').filter(({ file }) => file?.includes('.'));

beforeAll(() => {
  mkdirSync(app, { recursive: true });
  for (const place of Object.values(folders)) {
    const pack = ['pack', '--ignore-scripts', '--pack-destination', folder];
    expect(run('npm', pack, path.join(root, place)).status).toBe(0);
  }
  const own = JSON.parse(readFileSync(path.join(root, 'package.json'), 'utf8')) as {
    readonly devDependencies: Readonly<Record<string, string>>;
  };
  const example = JSON.parse(
    readFileSync(path.join(root, 'examples/observatory-react/package.json'), 'utf8'),
  ) as typeof own;
  const known = { ...own.devDependencies, ...example.devDependencies };
  // What that page installs, in the versions that this workspace is tested with.
  const installed = [
    'react',
    'react-dom',
    'vite',
    '@vitejs/plugin-react',
    'typescript',
    '@types/react',
    '@types/react-dom',
    '@types/node',
  ];
  const dependencies = {
    ...Object.fromEntries(Object.entries(packages).map(([name, file]) => [name, `file:../${file}`])),
    ...Object.fromEntries(installed.map((name) => [name, known[name]])),
  };
  const manifest = { name: 'first-app', private: true, type: 'module', dependencies };
  writeFileSync(path.join(app, 'package.json'), JSON.stringify(manifest));
  for (const { file, code } of files) {
    const place = path.join(app, file ?? '');
    mkdirSync(path.dirname(place), { recursive: true });
    writeFileSync(place, code);
  }
  succeed('npm', 'install', '--prefer-offline', '--no-audit', '--no-fund');
}, 400_000);

test('the page has every file of a first app', () => {
  expect(files.map(({ file }) => file)).toEqual([
    'index.html',
    'vite.config.ts',
    'tsconfig.json',
    'src/marram.site.json',
    'src/site.ts',
    'src/app.tsx',
    'src/main.tsx',
  ]);
});

test('it compiles under stricter options than its own, and a misspelled menu does not', () => {
  succeed('npx', 'fair-trail', 'types', 'src/marram.site.json');
  // The compiler takes most of its time for the libraries: both are asked at once.
  const misspelled = path.join(app, 'src/misspelled.tsx');
  const right = readFileSync(path.join(app, 'src/app.tsx'), 'utf8');
  writeFileSync(misspelled, right.replace('<Navbar end', '<Navbar menu="mian" end'));
  const strict = ['--exactOptionalPropertyTypes', '--noUncheckedIndexedAccess', '--noPropertyAccessFromIndexSignature'];
  const { output } = run('npx', ['tsc', '--project', '.', ...strict, '--skipLibCheck', 'false', '--pretty', 'false']);
  rmSync(misspelled);
  const errors = output.split('\n').filter((line) => line.includes(': error TS'));
  expect(errors, output).toHaveLength(1);
  expect(errors[0]).toMatch(/^src\/misspelled\.tsx.*Type '"mian"' is not assignable to type '"main"'/u);
});

test('the command finds nothing to advise in its site file', () => {
  expect(succeed('npx', 'fair-trail', 'check', 'src/marram.site.json')).toContain('No problems found.');
});

test('built below a base path, it runs under a strict Content-Security-Policy, with the early script', async () => {
  const built = succeed('npx', 'vite', 'build', '--base', '/observatory/');
  expect(built).not.toMatch(/\(!\)|use client/iu);
  const url = await serve(path.join(app, 'dist'));
  const browser = await chromium.launch({ executablePath: findChromium() ?? '', args: chromiumArguments });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: 'dark' });
    const complaints: string[] = [];
    page.on('console', (message) => complaints.push(message.text()));
    page.on('pageerror', (error) => complaints.push(String(error)));
    await page.goto(`${url}/observatory/`);
    const heading = page.getByRole('heading', { level: 1 });
    const bar = page.getByRole('navigation', { name: 'Main' });
    await expect.poll(() => heading.textContent()).toBe('Today');
    expect(await page.evaluate("document.documentElement.hasAttribute('data-ft-scripted')")).toBe(true);
    expect(await page.evaluate('getComputedStyle(document.documentElement).backgroundColor')).toBe('rgb(27, 29, 24)');

    await bar.getByRole('button', { name: 'Pages in Hides' }).click();
    await bar.getByRole('link', { name: /^Reedbed Hide/u }).click();
    await expect.poll(() => heading.textContent()).toBe('Reedbed Hide');
    expect(await page.title()).toBe('Reedbed Hide · Marram Point Bird Observatory');
    expect(new URL(page.url()).pathname).toBe('/observatory/hides/reedbed');
    expect(await bar.getByRole('link', { name: 'Hides', exact: true }).getAttribute('aria-current')).toBe('true');

    expect(await bar.getByRole('link', { name: 'Ringing log' }).count()).toBe(0);
    await bar.getByRole('button', { name: 'Sign in' }).click();
    await bar.getByRole('link', { name: 'Ringing log' }).click();
    await expect.poll(() => heading.textContent()).toBe('Ringing log');
    await page.getByRole('link', { name: 'Book a visit' }).click();
    await expect.poll(() => heading.textContent()).toBe('Book a visit');
    await page.reload();
    await expect.poll(() => heading.textContent()).toBe('Book a visit');
    expect(complaints).toEqual([]);
  } finally {
    await browser.close();
  }
});

/** Answers with the files of a folder below `/observatory/`, and its first page for every other address. */
async function serve(dist: string): Promise<string> {
  const types: Readonly<Record<string, string>> = {
    '.html': 'text/html',
    '.js': 'text/javascript',
    '.css': 'text/css',
  };
  server = createServer(({ url = '/' }, response) => {
    const asked = path.join(dist, url.replace(/^\/observatory\//u, '').split('?')[0] ?? '');
    const file = path.extname(asked) !== '' && existsSync(asked) ? asked : path.join(dist, 'index.html');
    response.setHeader('Content-Type', types[path.extname(file)] ?? 'application/octet-stream');
    const policy = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; connect-src 'self'";
    response.setHeader('Content-Security-Policy', policy);
    response.end(readFileSync(file));
  });
  await new Promise<void>((resolve) => server?.listen(0, '127.0.0.1', resolve));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
}

describe.each(isWhole ? ['react', 'vue', 'html'] : [])('a new project with %s', (framework) => {
  const project = path.join(folder, `new-${framework}`);

  /** Runs a script of the project. */
  const script = (...args: string[]) => {
    const { status, output } = run('npm', args, project);
    expect(status, `npm ${args.join(' ')}\n${output}`).toBe(0);
    return output;
  };

  test('is installed, tested, built and audited as it is, and again with another page', async () => {
    succeed('npx', 'fair-trail', 'new', project, '--with', framework, '--color', '#1d5f6b');
    // As they will be in the registry.
    const place = path.join(project, 'package.json');
    const manifest = JSON.parse(readFileSync(place, 'utf8')) as Record<string, Record<string, string>>;
    for (const field of ['dependencies', 'devDependencies']) {
      for (const [name, file] of Object.entries(packages)) {
        if (manifest[field]?.[name] !== undefined) manifest[field][name] = `file:${path.join(folder, file)}`;
      }
    }
    writeFileSync(place, JSON.stringify(manifest, null, 2));
    script('install', '--prefer-offline', '--no-audit', '--no-fund');
    expect(script('run', 'ci')).toContain('nothing was found');
    succeedIn(project, 'npx', 'fair-trail', 'add', '/hides');
    succeedIn(project, 'npx', 'fair-trail', 'add', '/about/boat-trips');
    script('run', 'check');
    script('test');
    script('run', 'build');
    expect(readFileSync(path.join(project, 'dist/about/boat-trips/index.html'), 'utf8')).toContain('Boat trips</h1>');

    const vite = path.join(project, 'node_modules/vite/bin/vite.js');
    const child = spawn(process.execPath, [vite, '--port', '0', '--host', '127.0.0.1'], { cwd: project });
    try {
      let output = '';
      child.stdout.on('data', (chunk: Buffer) => (output += chunk.toString()));
      // Where it believes to be in a terminal, the address has colors.
      const url = () => /http:\/\/127\.0\.0\.1:\d+\//u.exec(stripVTControlCharacters(output))?.[0];
      await expect.poll(url, { timeout: 30_000 }).toBeDefined();
      expect(await (await fetch(url() ?? '')).text()).toContain('/@fair-trail/client.js');
    } finally {
      child.kill();
    }
  }, 600_000);
});

test.each(Object.keys(packages) as (keyof typeof packages)[])(
  '%s is packed whole, and nothing else with it',
  (name) => {
    const listed = run('tar', ['-tzf', path.join(folder, packages[name])], folder)
      .output.split('\n')
      .filter(Boolean);
    const names = listed.map((one) => one.replace(/^package\//u, ''));
    expect(names).toEqual(expect.arrayContaining(['package.json', 'README.md', 'LICENSE']));
    expect(
      names.filter((one) => !one.startsWith('templates/') && /\.tsbuildinfo$|\.test\.|\.samples\.|corpus/u.test(one)),
    ).toEqual([]);
    const installed = path.join(app, 'node_modules', name);
    // Source maps lead to sources that are there too.
    const maps = names.filter((one) => one.endsWith('.map'));
    expect(maps.length).toBeGreaterThan(10);
    const lost = maps.filter((one) => {
      const file = path.join(installed, one);
      const { sources } = JSON.parse(readFileSync(file, 'utf8')) as { readonly sources: readonly string[] };
      return !sources.every((source) => existsSync(path.resolve(path.dirname(file), source)));
    });
    expect(lost).toEqual([]);
    const fields = JSON.parse(readFileSync(path.join(installed, 'package.json'), 'utf8')) as Record<string, unknown>;
    for (const field of ['description', 'license', 'repository', 'homepage', 'bugs', 'keywords', 'engines']) {
      expect(fields[field], field).toBeTruthy();
    }
  },
);

test.each(Object.values(folders))('the linters for packages have nothing to say of %s', (place) => {
  const publint = run('npx', ['publint', 'run', place, '--strict'], root);
  expect(publint.output).toContain('All good!');
  // The app above covers the entry points that an app imports; `npm run soak` checks all others.
  if (!isWhole) return;
  const file = path.join(folder, packages[place === 'packages/cli' ? '@fair-trail/cli' : 'fair-trail']);
  // Stylesheets have no types; and nothing here is for `require`.
  const types = run('npx', ['attw', file, '--profile', 'esm-only', '--exclude-entrypoints', 'styles.css'], root);
  expect(types.status, types.output).toBe(0);
});
