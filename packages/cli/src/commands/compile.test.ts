import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { hrefTo, loadSite, locate, menuItems, type CompiledSite, type Site } from 'fair-trail';
import ts from 'typescript';
import { afterAll, describe, expect, test } from 'vitest';
import { observatory, place, root, run, write } from '../test-command.samples.ts';

// Within the clone, so that the package is found as an app would find it.
const folder = mkdtempSync(path.join(root, 'node_modules/.fair-trail-compiled-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

async function load(file: string): Promise<Site> {
  const module = (await import(/* @vite-ignore */ pathToFileURL(file).href)) as { default: Site; site: Site };
  expect(module.default).toBe(module.site);
  return module.default;
}

function expectObservatory(site: Site): void {
  expect(locate(site, '/hides/lighthouse').movedTo).toBe('/hides/lantern-room');
  expect(hrefTo(site, 'lantern-room')).toBe('/hides/lantern-room');
  expect(menuItems(site, 'main').length).toBeGreaterThan(3);
}

describe('the site of the example', () => {
  test('as a module of JavaScript with its declarations', async () => {
    const out = path.join(folder, 'site.js');
    const { status, stderr } = run('compile', observatory, '--out', out);
    expect([status, stderr]).toEqual([0, `Wrote ${out}, ${out.replace('.js', '.d.ts')}.\n`]);
    expectObservatory(await load(out));
  });

  test('as JSON', () => {
    const out = path.join(folder, 'site.json');
    expect(run('compile', observatory, '--out', out).status).toBe(0);
    expectObservatory(loadSite(JSON.parse(readFileSync(out, 'utf8')) as CompiledSite));
  });

  test('below a base path, where case does not count', async () => {
    const out = path.join(folder, 'based.mjs');
    const outcome = run('compile', observatory, '--out', out, '--base', '/point/', '--ignore-case');
    expect([outcome.status, outcome.stderr]).toEqual([0, `Wrote ${out}, ${out.replace('.mjs', '.d.mts')}.\n`]);
    const site = await load(out);
    expect(locate(site, '/POINT/Hides')).toMatchObject({ status: 'exact' });
    expect(hrefTo(site, 'hides')).toBe('/point/hides');
  });

  test('as TypeScript, which knows its ids, params and menus', () => {
    const out = path.join(folder, 'typed.ts');
    expect(run('compile', observatory, '--out', out).status).toBe(0);
    expect(run('compile', observatory).stdout).toBe(readFileSync(out, 'utf8'));
    const use = path.join(folder, 'use.ts');
    const lines = [
      "import { hrefTo, type EntryId, type MenuName } from 'fair-trail';",
      "import site from './typed.ts';",
      "hrefTo(site, 'lantern-room');",
      "hrefTo(site, 'species-page', { slug: 'avocet' });",
      "hrefTo(site, 'lantern');",
      "hrefTo(site, 'species-page');",
    ];
    writeFileSync(use, lines.join('\n'));
    const program = ts.createProgram([use], {
      strict: true,
      noEmit: true,
      skipLibCheck: true,
      module: ts.ModuleKind.NodeNext,
      moduleResolution: ts.ModuleResolutionKind.NodeNext,
      target: ts.ScriptTarget.ES2023,
      allowImportingTsExtensions: true,
      types: [],
    });
    const wrong = ts
      .getPreEmitDiagnostics(program)
      .map(({ file, start = 0 }) => (file ? file.getLineAndCharacterOfPosition(start).line + 1 : 0));
    expect([...new Set(wrong)]).toEqual([5, 6]);
  });
});

test('a file that is there is kept, unless it may be replaced', () => {
  const out = write('kept.json', 'mine');
  expect(run('compile', observatory, '--out', out)).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('[file-exists]') as string,
  });
  expect(readFileSync(out, 'utf8')).toBe('mine');
  expect(run('compile', observatory, '--out', out, '--force').status).toBe(0);
});

test.each([
  ['a site with a problem', ['broken.json', '--out', 'x.json'], 'site-problems'],
  ['an ending that is no module', ['good.json', '--out', 'x.css'], 'unknown-format'],
  ['declarations alone', ['good.json', '--out', 'x.d.ts'], 'unknown-format'],
  ['a base that is no path', ['good.json', '--base', 'https://x.example/'], 'bad-usage'],
])('%s is refused, and nothing is written', (_, [file = '', ...options], code) => {
  write('broken.json', '{"name":"x","entries":[{"id":"a","label":"A","href":"javascript:1"}]}');
  write('good.json', '{"name":"x","entries":[{"id":"a","label":"A","href":"/"}]}');
  const outcome = run(
    'compile',
    place(file),
    ...options.map((option) => (option.startsWith('x.') ? place(option) : option)),
  );
  expect([outcome.status, outcome.stdout]).toEqual([2, '']);
  expect(outcome.stderr).toContain(`[${code}]`);
});

test('a compiled site is not taken for a site file', () => {
  const out = path.join(folder, 'again.js');
  expect(run('compile', observatory, '--out', out).status).toBe(0);
  const outcome = run('check', out);
  expect(outcome.status).toBe(2);
  expect(outcome.stderr).toContain('it exports a compiled site. Give the site file that it was made from.');
});
